<script lang="ts">
  /** One piece after another: what it is, what is proposed and why, its best looks; one key decides. */
  import PieceFlat from "../rack/PieceFlat.svelte";
  import { studio } from "../studio.svelte";
  import DateField from "../ui/DateField.svelte";
  import type { Edit } from "./edit.svelte";
  import LookRow from "./LookRow.svelte";
  import { day } from "../units";
  import { broad, DECISIONS, GOES, LEAVES, sayDecision, type Decision } from "./words";
  import Working from "./Working.svelte";

  const { edit, name }: { edit: Edit; name: string } = $props();
  const id = $derived(edit.here);
  const piece = $derived(id ? edit.pieces[id] : undefined);
  const proposal = $derived(id ? edit.proposals[id] : undefined);
  const decided = $derived(id ? edit.decided[id] : undefined);
  const at = $derived(id ? edit.order.indexOf(id) : -1);
  const done = $derived(edit.order.length - edit.left.length);
  /** Whose whither is asked: the piece decided last, or the one in sight if it is decided. */
  const asked = $derived(decided ? id : edit.last && edit.decided[edit.last] ? edit.last : null);
  const whither = $derived.by(() => {
    const of = asked ? edit.decided[asked] : undefined;
    // What is worn as it was proposed needs no word.
    return of && (LEAVES.includes(of.decision) || of.decision !== of.proposed || of.word) ? of : undefined;
  });
  const coming = $derived(
    edit.order
      .slice(at + 1)
      .filter((one) => !(one in edit.decided))
      .slice(0, 5),
  );

  /** What single letters do here. */
  export const letters: Record<string, () => void> = {
    ...Object.fromEntries(DECISIONS.map(([key, on]) => [on.toLowerCase(), () => decide(key)])),
    enter: () => {
      // On a button Enter does what the button does.
      const on = document.activeElement;
      if (on instanceof HTMLElement && on.matches("button, a")) on.click();
      else if (proposal) decide(proposal.decision);
    },
    arrowright: () => edit.step(1),
    arrowleft: () => edit.step(-1),
  };

  function decide(decision: Decision) {
    // Nothing is decided over a screen that is turned to the client.
    if (id && !studio.turned) void edit.decide(id, decision);
  }
  function change(what: Parameters<Edit["revise"]>[1]) {
    if (asked) void edit.revise(asked, what);
  }
</script>

<Working work={edit.sorting} what="Every piece is tried with every other." testid="sorting" />
{#if edit.order.length}
  <div class="flex items-center gap-3 text-sm">
    {#if !studio.turned}<span data-testid="progress" class="tabular-nums"
        >{done} of {edit.order.length} decided</span
      >{/if}
    <span class="bar" aria-hidden="true"><span style:width={broad(done / edit.order.length)}></span></span>
    <span class="ml-auto text-bark tabular-nums">piece {at + 1}</span>
    <button class="press min-h-7 px-2 py-0" aria-label="The piece before" onclick={() => edit.step(-1)}
      >←</button
    >
    <button class="press min-h-7 px-2 py-0" aria-label="The piece after" onclick={() => edit.step(1)}
      >→</button
    >
  </div>
{:else if edit.sorting.done}
  <p class="py-6">Nothing hangs here yet. Bring pieces in first: a line each.</p>
{/if}

{#if piece && proposal}
  <div class="one mt-3" data-testid="sorted-piece" data-piece={piece.title}>
    <div class="flat">
      <PieceFlat flats={edit.rack.flats} {piece} id="sort-{piece.id}" scale={1.9} tall={230} wide={200} />
      <h2 class="heading mt-2 text-center text-lg leading-tight first-letter:uppercase">{piece.title}</h2>
      {#if piece.facts.note && !studio.turned}<p class="mt-1 text-center text-sm text-bark">
          {piece.facts.note}
        </p>{/if}
      {#if coming.length}
        <p class="coming mt-4 text-xs text-bark">Next</p>
        <ul class="coming flex flex-wrap gap-1">
          {#each coming as next (next)}
            {@const other = edit.pieces[next]}
            {#if other}
              <li>
                <button
                  class="quiet"
                  title={other.title}
                  aria-label={other.title}
                  onclick={() => (edit.at = next)}
                >
                  <PieceFlat
                    flats={edit.rack.flats}
                    piece={other}
                    id="next-{next}"
                    scale={0.4}
                    tall={48}
                    wide={40}
                  />
                </button>
              </li>
            {/if}
          {/each}
        </ul>
      {/if}
    </div>
    <div class="min-w-0">
      {#if !studio.turned}
        <p class="proposed" data-testid="proposal" data-decision={proposal.decision}>
          <span class="text-sm text-bark">Proposed</span>
          <span class="heading text-xl {decided ? '' : 'basted'}">{sayDecision(proposal.decision)}</span>
          <span class="block">{proposal.reason}</span>
          {#if proposal.worn_days != null}<span class="block text-sm text-bark"
              >{proposal.worn_days
                ? `Worn on ${proposal.worn_days} ${proposal.worn_days === 1 ? "day" : "days"}, last ${day(proposal.last_worn ?? "")}.`
                : "Not worn since it is recorded."}</span
            >{/if}
          {#if proposal.twin}<span class="block text-sm">Its twin: {proposal.twin}.</span>{/if}
          {#if proposal.adoption?.piece && proposal.adoption.means === "buy"}
            <button
              class="quiet text-sm"
              disabled={edit.listed(proposal.adoption.piece)}
              onclick={() =>
                proposal.adoption?.piece &&
                void edit.buy(proposal.adoption.piece, {
                  why: `adopts the ${piece.title}`,
                  looks: proposal.adoption.looks,
                })}
              >{edit.listed(proposal.adoption.piece)
                ? "On the buying list"
                : `Put ${proposal.adoption.title} on the buying list`}</button
            >
          {/if}
        </p>
        <div class="mt-2 flex flex-wrap gap-1.5" role="group" aria-label="Decide of the {piece.title}">
          {#each DECISIONS as [key, on, short, long] (key)}
            <button
              class="press"
              data-main={key === proposal.decision && !decided ? "" : undefined}
              aria-pressed={decided?.decision === key}
              title={long}
              onclick={() => decide(key)}
            >
              {short} <span class="key letter">{on}</span>
            </button>
          {/each}
          <span class="self-center text-sm text-bark"><span class="key letter">Enter</span> as proposed</span>
        </div>
        {#if whither && asked}
          <div class="whither mt-3" data-testid="whither">
            <p class="text-sm">
              <span class="font-semibold first-letter:uppercase">{whither.title}</span>:
              {sayDecision(whither.decision).toLowerCase()}, by {whither.by}.
            </p>
            <div class="flex flex-wrap items-end gap-x-4 gap-y-1 text-sm">
              <label
                >In a word
                <input
                  class="field text-walnut"
                  maxlength="80"
                  size="16"
                  value={whither.word}
                  onchange={(event) => change({ word: event.currentTarget.value })}
                /></label
              >
              {#if LEAVES.includes(whither.decision)}
                <label
                  >It goes to
                  <select
                    class="field text-walnut"
                    value={whither.goes}
                    onchange={(event) => change({ goes: event.currentTarget.value as typeof whither.goes })}
                  >
                    <option value="">nowhere yet</option>
                    {#each GOES as [key, said] (key)}<option value={key}>{said}</option>{/each}
                  </select></label
                >
                {#if whither.goes}
                  <label
                    >Where
                    <input
                      class="field text-walnut"
                      maxlength="80"
                      size="14"
                      value={whither.place}
                      onchange={(event) => change({ place: event.currentTarget.value })}
                    /></label
                  >
                  <span
                    >By <DateField
                      label="By which day"
                      value={whither.on}
                      onchange={(on) => change({ on })}
                    /></span
                  >
                {/if}
              {/if}
            </div>
          </div>
        {/if}
      {/if}
      {#if proposal.looks.length}
        <div class="mt-3">
          <LookRow
            drawings={edit.drawings}
            looks={proposal.looks}
            tall={250}
            label="{name}: the best looks with the {piece.title}"
          />
        </div>
      {:else if !studio.turned}
        <p class="mt-4 text-sm text-bark">It stands in no good look as it is.</p>
      {/if}
    </div>
  </div>
{/if}

<style>
  .one {
    display: grid;
    grid-template-columns: 13.5rem minmax(0, 1fr);
    gap: 1.5rem;
  }
  .flat {
    border-top: 3px solid var(--color-bark);
    padding-top: 0.5rem;
  }
  .proposed {
    min-height: 5.2rem;
  }
  .bar {
    width: 10rem;
    height: 0.4rem;
    border-bottom: 1.5px dashed var(--color-rule);
  }
  .bar span {
    display: block;
    height: 100%;
    border-bottom: 3px solid var(--color-leaf);
  }
  .whither {
    border-left: 2px solid var(--color-leaf);
    padding-left: 0.75rem;
  }
  @media (max-width: 43.75em) {
    .one {
      grid-template-columns: minmax(0, 1fr);
      gap: 0.5rem;
    }
    .coming {
      display: none;
    }
  }
</style>
