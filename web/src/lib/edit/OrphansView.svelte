<script lang="ts">
  /** Pieces in no good look: what stands in the way, and the smallest thing that would adopt each. */
  import PieceFlat from "../rack/PieceFlat.svelte";
  import type { Edit } from "./edit.svelte";
  import { outfits, sayDecision } from "./words";
  import Working from "./Working.svelte";
  import { day } from "../units";

  const { edit }: { edit: Edit } = $props();
  const orphans = $derived((edit.sorting.told?.orphans ?? []).filter((one) => edit.pieces[one.piece_id]));
  const adopted = $derived(orphans.filter((one) => one.adoptions.length));
  const alone = $derived(orphans.filter((one) => !one.adoptions.length));
  const twins = $derived(
    (edit.sorting.told?.twins ?? []).map((pair) => pair.map((id) => edit.pieces[id]?.title ?? "")),
  );
  const unworn = $derived(
    (edit.worn?.uses ?? []).filter(
      (one) => edit.worn?.unworn.includes(one.piece_id) && edit.pieces[one.piece_id],
    ),
  );
  const MEANS = { worn: "worn otherwise", tailor: "the tailor", kit: "from the kit", buy: "to buy" } as const;
</script>

<Working work={edit.sorting} what="The wardrobe is read." />
<h2 class="heading text-lg">Orphans</h2>
{#if edit.sorting.done && !orphans.length}
  <p>Every piece that fits stands in a good look.</p>
{/if}
<ul class="mt-2 divide-y divide-grain" data-testid="orphans">
  {#each adopted as orphan (orphan.piece_id)}
    {@const piece = edit.pieces[orphan.piece_id]}
    {#if piece}
      <li class="flex gap-4 py-3" data-orphan={piece.title}>
        <span class="flex-none"
          ><PieceFlat
            flats={edit.rack.flats}
            {piece}
            id="orphan-{piece.id}"
            scale={0.7}
            tall={84}
            wide={78}
          /></span
        >
        <div class="min-w-0 grow">
          <p class="font-semibold first-letter:uppercase">{piece.title}</p>
          <p class="text-sm">
            {orphan.why
              ? `In the way most often: ${orphan.why.toLowerCase()}.`
              : "There is nothing to wear it with."}
          </p>
          <ul class="mt-1 text-sm">
            {#each orphan.adoptions as one, at (at)}
              <li class="flex flex-wrap items-baseline gap-x-3">
                <span class={at ? "" : "font-semibold"}>{one.text}</span>
                <span class="text-bark">{MEANS[one.means]}, {outfits(one.looks)}</span>
                {#if one.piece && (one.means === "buy" || one.means === "kit")}
                  {@const thing = one.piece}
                  <button
                    class="quiet"
                    disabled={edit.listed(thing)}
                    onclick={() =>
                      void edit.buy(thing, { why: `adopts the ${piece.title}`, looks: one.looks })}
                    >{edit.listed(thing) ? "on the list" : "put it on the list"}</button
                  >
                {:else if one.means === "tailor"}
                  {@const sent = edit.decided[piece.id]?.goes === "mend"}
                  <button
                    class="quiet"
                    disabled={sent}
                    onclick={() => void edit.decide(piece.id, "alter", { goes: "mend", word: one.text })}
                    >{sent ? "for the tailor" : "send it to the tailor"}</button
                  >
                {/if}
              </li>
            {/each}
          </ul>
        </div>
      </li>
    {/if}
  {/each}
</ul>
{#if alone.length}
  <h3 class="heading mt-4">Nothing that was tried adopts these</h3>
  <ul class="alone mt-2" data-testid="alone">
    {#each alone as orphan (orphan.piece_id)}
      {@const piece = edit.pieces[orphan.piece_id]}
      {#if piece}
        {@const decided = edit.decided[piece.id]}
        <li class="flex gap-3 text-sm" data-orphan={piece.title}>
          <span class="flex-none"
            ><PieceFlat
              flats={edit.rack.flats}
              {piece}
              id="alone-{piece.id}"
              scale={0.6}
              tall={56}
              wide={64}
            /></span
          >
          <span class="min-w-0">
            <span class="block font-semibold first-letter:uppercase">{piece.title}</span>
            <span class="block">{orphan.why || "Nothing to wear it with"}.</span>
            <button
              class="quiet"
              disabled={!!decided}
              onclick={() => void edit.decide(piece.id, "out_of_keeping")}
              >{decided ? sayDecision(decided.decision).toLowerCase() : "out of keeping"}</button
            >
          </span>
        </li>
      {/if}
    {/each}
  </ul>
{/if}
{#if twins.length}
  <h2 class="heading mt-5 text-lg">Twins</h2>
  <ul class="text-sm">
    {#each twins as pair, at (at)}<li>
        {pair[0] === pair[1] ? `Twice ${pair[0]}: they` : `${pair.join(" and ")}:`} make the same looks.
      </li>{/each}
  </ul>
{/if}
{#if edit.worn?.begun}
  <h2 class="heading mt-5 text-lg">Long unworn</h2>
  {#if !unworn.length}<p class="text-sm text-bark">
      Recorded since {day(edit.worn.begun)}: nothing hangs unworn for long.
    </p>{/if}
  <ul class="text-sm" data-testid="unworn">
    {#each unworn as one (one.piece_id)}
      {@const decided = edit.decided[one.piece_id]}
      {@const stands = edit.proposals[one.piece_id]?.works ?? 0}
      <li class="flex flex-wrap items-baseline gap-x-3 py-0.5" data-unworn={one.title}>
        <span class="font-semibold first-letter:uppercase">{one.title}</span>
        <span class="text-bark"
          >{one.last ? `last worn ${day(one.last)}` : `not since ${day(edit.worn.begun)}`}, stands in {outfits(
            stands,
          )}</span
        >
        <button class="quiet" onclick={() => ((edit.at = one.piece_id), (edit.view = "sort"))}
          >{decided ? sayDecision(decided.decision).toLowerCase() : "sort it"}</button
        >
      </li>
    {/each}
  </ul>
{/if}

<style>
  .alone {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
    gap: 0.7rem 1.5rem;
  }
</style>
