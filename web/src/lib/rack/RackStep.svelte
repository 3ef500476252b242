<script lang="ts">
  /** The rack: every piece as a flat on a rail, filtered as you look, and what the chosen one does. */
  import { untrack } from "svelte";
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import Mark from "../ui/Mark.svelte";
  import Detail from "./Detail.svelte";
  import Filters from "./Filters.svelte";
  import PieceFlat from "./PieceFlat.svelte";
  import type { Counts } from "../outfits/counts.svelte";
  import { many } from "../outfits/wish";
  import type { Rack } from "./rack.svelte";

  interface Props {
    rack: Rack;
    words: Schemas["Vocabulary"];
    counts: Counts;
    /** Show the looks that stand with these pieces on. */
    onfind: (pieces: string[]) => void;
  }
  const { rack, words, counts, onfind }: Props = $props();
  const MARKS = { fits: "for", watch: "watch", against: "against", caution: "caution" } as const;
  const SAID = { fits: "fits", watch: "look twice", against: "does not fit yet", caution: "take care" };
  // The sentences are said in the studio's unit: ask again when it changes.
  $effect(() => {
    void studio.unit;
    untrack(() => void rack.load());
  });
  // Another piece, or the same one otherwise: the looks are counted anew.
  $effect(() => {
    void [rack.pieces?.length, ...(rack.pieces ?? []).map((piece) => piece.version)];
    return untrack(() => (rack.pieces ? counts.watch() : undefined));
  });
</script>

{#if rack.trouble}
  <main class="p-8" role="alert">
    <p>{rack.trouble}</p>
    <button class="press mt-3" onclick={() => void rack.load()}>Try again</button>
  </main>
{:else if !rack.pieces}
  <main class="p-8 text-bark"><p role="status">Bringing the rack…</p></main>
{:else}
  <main class="rack min-h-0 grow">
    <div class="panel relative min-h-0 overflow-y-auto px-4 py-3" data-panel tabindex="-1">
      <Filters {rack} />
    </div>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <!-- It scrolls and may be empty: the keyboard reaches it all the same. -->
    <section aria-label="Pieces" class="relative min-h-0 overflow-y-auto px-4 pt-3" tabindex="0">
      {#if rack.pieces.length === 0}
        <p class="py-6">Nothing hangs here yet. Say a piece in one line and press Enter.</p>
      {:else if rack.shown.length === 0}
        <p class="py-6">No piece of {rack.pieces.length} is like that.</p>
      {/if}
      {#if rack.unreadable.length}
        <div class="mb-3 border-l-2 border-madder pl-3" role="status" data-testid="unreadable">
          {rack.unreadable.length === 1 ? "One piece cannot" : `${rack.unreadable.length} pieces cannot`} be read
          any more and {rack.unreadable.length === 1 ? "is" : "are"} left out of everything:
          {#each rack.unreadable as piece (piece.id)}
            <span class="mr-3 whitespace-nowrap"
              >{piece.name}
              <button class="underline underline-offset-4" onclick={() => void rack.discard(piece.id)}
                >take it off</button
              ></span
            >
          {/each}
        </div>
      {/if}
      <ul class="rail">
        {#each rack.shown as piece (piece.id)}
          {@const here = rack.detail?.piece.id === piece.id}
          <li>
            <button
              class="hanging w-full"
              class:here
              aria-pressed={here}
              data-piece={piece.title}
              onclick={() => void rack.choose(here ? null : piece.id)}
            >
              <span class="hook" aria-hidden="true"></span>
              <PieceFlat flats={rack.flats} {piece} id={piece.id} />
              <span class="mt-1 flex items-baseline justify-center gap-1 text-sm leading-tight">
                {#if piece.measured && !studio.turned}
                  <span class="translate-y-0.5"><Mark of={MARKS[piece.stance]} size={12} /></span>
                  <span class="sr-only">{SAID[piece.stance]}:</span>
                {/if}
                <span class="two-lines first-letter:uppercase {piece.measured ? 'stitched' : 'basted'}"
                  >{piece.title}</span
                >
              </span>
              {#if piece.facts.state !== "in_use"}
                <span class="block text-xs text-bark">{piece.facts.state.replaceAll("_", " ")}</span>
              {/if}
            </button>
            {#if counts.of[piece.id] && piece.facts.state === "in_use" && !studio.turned}
              {@const count = counts.of[piece.id]}
              <button
                class="quiet block w-full text-center text-xs {counts.stale ? 'basted' : ''}"
                data-works={count?.works}
                disabled={!count?.works}
                title={counts.stale
                  ? "As it was before the last change; it is counted anew"
                  : "So many looks that work have it on; show the best of them"}
                onclick={() => onfind([piece.id])}
              >
                {count?.works
                  ? `${many(count.works)} looks`
                  : (count?.stays_out || "in no good look").toLowerCase()}
              </button>
            {/if}
          </li>
        {/each}
      </ul>
    </section>
    {#if rack.detail}
      {#key rack.detail.piece.id}<Detail {rack} detail={rack.detail} {words} />{/key}
    {/if}
  </main>
{/if}

<style>
  .rack {
    display: grid;
    grid-template: minmax(0, 1fr) / 15.5rem minmax(0, 1fr) auto;
  }
  .panel {
    border-right: 1px solid var(--color-rule);
  }
  .rail {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(7.4rem, 1fr));
  }
  /* Each row of pieces hangs on a rail of its own. */
  .rail li {
    border-top: 3px solid var(--color-bark);
    margin-bottom: 0.9rem;
  }
  .hanging {
    padding: 0 0.25rem 0.3rem;
    border: 1.5px solid transparent;
    text-align: center;
  }
  .hanging:hover {
    background: var(--color-sheet);
  }
  .hanging.here {
    border-color: var(--color-leaf);
    background: var(--color-sheet);
  }
  .hook {
    display: block;
    width: 1.5px;
    height: 9px;
    margin: 0 auto;
    background: var(--color-bark);
  }
  .two-lines {
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    line-clamp: 2;
    overflow: hidden;
  }
  @media (max-width: 60em) {
    .rack {
      grid-template-columns: 13rem minmax(0, 1fr);
      grid-template-rows: minmax(0, 1fr) auto;
    }
  }
  /* In a shop, in one hand: what is said, then the pieces, one below the other. */
  @media (max-width: 43.75em) {
    .rack {
      display: block;
      overflow-y: auto;
    }
    .panel {
      overflow: visible;
      border-right: 0;
    }
    .rack > section {
      overflow: visible;
    }
    .rail {
      grid-template-columns: repeat(auto-fill, minmax(6.6rem, 1fr));
    }
  }
</style>
