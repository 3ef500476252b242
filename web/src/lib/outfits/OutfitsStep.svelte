<script lang="ts">
  /** Every look that the wardrobe can make: what is asked, the looks on one floor line, and what is done with the chosen one. */
  import { untrack } from "svelte";
  import type { Schemas } from "../api/client";
  import SideBySide from "../client/SideBySide.svelte";
  import { studio } from "../studio.svelte";
  import Chosen from "./Chosen.svelte";
  import type { Outfits } from "./outfits.svelte";
  import Progress from "./Progress.svelte";
  import Remembered from "./Remembered.svelte";
  import Row from "./Row.svelte";
  import Wished from "./Wished.svelte";

  interface Props {
    outfits: Outfits;
    words: Schemas["BriefWords"];
    name: string;
    /** The names of the rack's pieces, by their ids. */
    titles: Record<string, string>;
    colours: Record<string, string>;
    week: Schemas["Stretch"][];
    onopen: () => void;
  }
  const { outfits, words, name, titles, colours, week, onopen }: Props = $props();
  let chosen = $state<Chosen>();
  $effect(() => untrack(() => outfits.open()));
  // The reasons are said in the studio's unit: ask again when it changes.
  let saidIn = studio.unit;
  $effect(() => {
    if (studio.unit === saidIn) return;
    saidIn = studio.unit;
    untrack(() => void outfits.ask());
  });

  const look = $derived(outfits.chosen);
  const act = (what: (one: NonNullable<typeof look>) => unknown) => () => {
    if (look) void what(look);
  };
  /** What single letters do in this step. */
  export const letters: Record<string, () => void> = {
    arrowright: () => outfits.choose(outfits.at + 1),
    arrowleft: () => outfits.choose(outfits.at - 1),
    home: () => outfits.choose(0),
    end: () => outfits.choose(outfits.looks.length - 1),
    k: act((one) => outfits.keep(one)),
    x: () => chosen?.reject(),
    h: act((one) => outfits.hold(one)),
    d: act((one) => outfits.onTable(one).then(onopen)),
    m: act((one) => unlike(one)),
    b: () => outfits.showBetter(),
  };

  /** Looks as unlike this one as the wardrobe has: without its base, and with the dial far over. */
  function unlike(one: NonNullable<typeof look>) {
    const base = one.pieces.filter((piece) => !["layer", "shoes"].includes(placeAt(piece))).slice(0, 2);
    const left = base.map((piece) => piece.piece_id);
    outfits.want({
      must_not: [...new Set([...outfits.wish.must_not, ...left])],
      must: outfits.wish.must.filter((id) => !left.includes(id)),
      dial: Math.max(outfits.wish.dial, 0.7),
    });
  }
  const placeAt = (piece: Schemas["FoundPieceOut"]) =>
    piece.words.worn === "over" ? "layer" : piece.words.is;
</script>

<main class="outfits min-h-0 grow">
  <div class="panel relative min-h-0 overflow-y-auto px-4 py-3" data-panel tabindex="-1">
    {#if !studio.turned}
      <Wished {outfits} {words} {titles} {colours} {week} />
      <Remembered {outfits} {onopen} />
    {:else}
      <p class="text-sm">Looks from your own wardrobe.</p>
    {/if}
  </div>
  <section aria-label="Found looks" class="relative flex min-h-0 min-w-0 flex-col">
    <Progress {outfits} />
    {#if outfits.compare.told}
      <div class="min-h-0 grow"><SideBySide compare={outfits.compare} {name} /></div>
      <p class="px-4 py-2 text-sm">
        {outfits.compare.held.length} side by side.
        <button class="quiet" onclick={() => void outfits.compare.clear()}>Put them down</button>
      </p>
    {:else}
      <Row {outfits} {name} />
    {/if}
    {#if outfits.compare.held.length === 1}
      <p class="px-4 text-sm">One is held up. Hold up another to see both side by side.</p>
    {/if}
    {#if look && !studio.turned && !outfits.compare.told}
      <Chosen bind:this={chosen} {outfits} {look} {onopen} onunlike={() => unlike(look)} />
    {/if}
  </section>
</main>

<style>
  .outfits {
    display: grid;
    grid-template: minmax(0, 1fr) / 16rem minmax(0, 1fr);
  }
  .panel {
    border-right: 1px solid var(--color-rule);
    /* It is given the focus so that arrows walk the looks; nothing in it is chosen by that. */
    outline: none;
  }
  @media (max-width: 60em) {
    .outfits {
      grid-template-columns: 13rem minmax(0, 1fr);
    }
  }
  @media (max-width: 43.75em) {
    .outfits {
      display: flex;
      flex-direction: column-reverse;
      overflow-y: auto;
    }
    .panel {
      overflow: visible;
      border-right: 0;
      border-top: 1px solid var(--color-rule);
    }
    .outfits > section {
      flex: none;
      min-height: 80vh;
    }
  }
</style>
