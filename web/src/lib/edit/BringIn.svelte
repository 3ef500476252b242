<script lang="ts">
  /** Many pieces at once, a line each, pasted or spoken; and the kit that travels along. */
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { length } from "../units";
  import type { Edit } from "./edit.svelte";
  import { linesOf } from "./lines";
  import PicturesIn from "./PicturesIn.svelte";

  const { edit }: { edit: Edit } = $props();
  let text = $state("");
  let trouble = $state<string | null>(null);
  let told = $state.raw<Schemas["LineOut"][]>([]);
  let busy = $state(false);
  let line = $state("");
  let wrong = $state<string | null>(null);
  const lines = $derived(linesOf(text));
  const MOST = 200;
  const refused = $derived(told.filter((one) => one.refused));
  const hung = $derived(told.filter((one) => !one.refused));
  const asked = $derived(hung.filter((one) => one.note));
  const made = $derived(hung.filter((one) => one.maker));

  async function hang() {
    if (!lines.length || busy) return;
    busy = true;
    const given = lines.slice(0, MOST);
    const answer = await edit.hang(given);
    busy = false;
    trouble = typeof answer === "string" ? answer : null;
    if (typeof answer === "string") return;
    told = answer;
    // What does not hang stays to be said otherwise: nothing that was said is lost.
    text = [...given.filter((_, at) => answer[at]?.refused), ...lines.slice(MOST)].join("\n");
  }
  async function carry(event: SubmitEvent) {
    event.preventDefault();
    if (!line.trim()) return;
    wrong = await edit.carry(line.trim());
    if (wrong === null) line = "";
  }
</script>

<div class="two">
  <section aria-label="Pieces">
    <label class="block">
      <span class="heading text-lg">Bring pieces in</span>
      <textarea
        class="field block min-h-72 resize-y border-1.5 leading-7"
        spellcheck="false"
        placeholder={"navy straight trousers high rise, ankle\nlike the last one in olive\nwhite tee skimming by Orla Weft, size M\ncamel coat knee, chest 108"}
        bind:value={text}
        onkeydown={(event) => {
          if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) void hang();
        }}></textarea>
    </label>
    <div class="mt-2 flex flex-wrap items-center gap-3">
      <button class="press" data-main disabled={!lines.length || busy} onclick={() => void hang()}>
        Hang {lines.length || ""}
        {lines.length === 1 ? "piece" : "pieces"} <span class="key">Ctrl Enter</span>
      </button>
      <span class="text-sm text-bark"
        >A line a piece; spoken into the tablet, say “next” between two. A maker may be named, and a size.
        What is not understood becomes its note.</span
      >
    </div>
    {#if trouble}<p role="alert" class="mt-2 text-madder">{trouble}</p>{/if}
    <div role="status" data-testid="brought">
      {#if told.length}
        <p class="mt-3">
          {hung.length} hang{hung.length === 1 ? "s" : ""}{refused.length
            ? `, ${refused.length} could not be read and ${refused.length === 1 ? "stands" : "stand"} above to be said otherwise`
            : ""}.
        </p>
        {#each refused as one (one.id)}<p class="text-sm text-madder">{one.refused}</p>{/each}
        {#if made.length}
          <p class="mt-2 text-sm">Of a maker; what is taken from others of theirs is to be checked:</p>
          <ul class="text-sm text-bark">
            {#each made as one (one.id)}<li>
                {one.title} by {one.maker}{#if one.taken.length}:
                  <span class="basted">{one.taken.join(", ")}</span>{/if}
              </li>{/each}
          </ul>
        {/if}
        {#if asked.length}
          <p class="mt-2 text-sm">To be asked later:</p>
          <ul class="text-sm text-bark">
            {#each asked as one (one.id)}<li>{one.title}: {one.note.replace(/^Ask: /, "")}</li>{/each}
          </ul>
        {/if}
      {/if}
    </div>
    <PicturesIn {edit} />
    {#if edit.sorting.told?.deciding.length && !studio.turned}
      <h2 class="heading mt-5 text-lg">What is worth measuring</h2>
      <ul class="text-sm" data-testid="deciding">
        {#each edit.sorting.told.deciding as one (one.piece_id + one.figure)}
          <li>
            The {one.figure} of the {one.title}: taken for
            <span class="basted">{length(one.taken_for, studio.unit)}</span>, it makes {one.outfits[1]} outfits;
            a little less
            {one.outfits[0]}, a little more {one.outfits[2]}.
          </li>
        {/each}
      </ul>
    {/if}
  </section>
  <section aria-label="Kit">
    <form onsubmit={carry}>
      <label class="block">
        <span class="heading text-lg">The kit that travels along</span>
        <input
          class="field"
          maxlength="300"
          placeholder="cognac elastic belt"
          bind:value={line}
          aria-invalid={wrong ? "true" : undefined}
          aria-describedby={wrong ? "kit-wrong" : undefined}
        />
      </label>
      {#if wrong}<p id="kit-wrong" role="alert" class="text-sm text-madder">{wrong}</p>{/if}
    </form>
    <p class="mt-1 text-sm text-bark">
      Belts, pendants, scarves, a jacket or two. They adopt orphans here, marked as brought; the whole studio
      shares them.
    </p>
    <ul class="mt-2 text-sm" data-testid="kit">
      {#each edit.kit as piece (piece.id)}
        <li class="flex items-baseline gap-3 border-b border-grain py-1">
          <span class="grow first-letter:uppercase">{piece.title}</span>
          <button
            class="quiet"
            aria-label="leave at home: {piece.title}"
            onclick={() => void edit.leaveHome(piece.id)}>leave at home</button
          >
          <button
            class="quiet"
            disabled={edit.listed(piece.words)}
            onclick={() => void edit.buy(piece.words, { why: "wanted from the kit" })}
            >{edit.listed(piece.words) ? "on the list" : "wanted: list it"}</button
          >
        </li>
      {:else}
        <li class="text-bark">Nothing yet.</li>
      {/each}
    </ul>
  </section>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
    gap: 2.5rem;
  }
  @media (max-width: 60em) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
