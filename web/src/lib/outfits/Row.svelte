<script lang="ts">
  /** Looks on one floor line at one scale, as many as fit; a caption below each. */
  import Figure from "../figure/Figure.svelte";
  import { useScale } from "../figure/scale.svelte";
  import { studio } from "../studio.svelte";
  import { written } from "../ui/dates";
  import Mark from "../ui/Mark.svelte";
  import type { Outfits } from "./outfits.svelte";
  import { pageOf, shownIn } from "./wish";

  const { outfits, name }: { outfits: Outfits; name: string } = $props();
  const SAID = { works: "Works", watch: "Nearly", against: "Does not work yet" };
  const scale = useScale();
  /** Kept free above the heads, cm. */
  const ABOVE = 4;
  const shown = $derived(shownIn(scale.width / scale.text));
  const from = $derived(pageOf(outfits.at, shown));
  const page = $derived(outfits.looks.slice(from, from + shown));
  const each = $derived(scale.width / Math.max(1, shown));
  const tallest = $derived(Math.max(0, ...page.map((look) => outfits.drawn[look.key]?.height ?? 0)));
  $effect(() => {
    // What comes next is drawn too, so that a page turns at once.
    void outfits.draw(outfits.looks.slice(from, from + 2 * shown));
  });
  $effect(() => {
    scale.from = 0;
    if (tallest) scale.tall = tallest + ABOVE;
  });
  const last = $derived(Math.max(0, outfits.looks.length - 1));
</script>

<div class="stage relative min-h-40 grow" bind:clientHeight={scale.height} bind:clientWidth={scale.width}>
  <svg
    width={scale.width}
    height={scale.height}
    role="img"
    aria-label="{name}: {page.length} looks on one floor line, at true scale"
    class="absolute inset-0"
  >
    {#each page as look, i (look.key)}
      {@const drawn = outfits.drawn[look.key]}
      {#if drawn}
        <Figure
          shapes={drawn.shapes}
          middle={each * (i + 0.5)}
          chosen={null}
          id={look.key}
          onchoose={() => outfits.choose(from + i)}
        />
      {/if}
    {/each}
  </svg>
</div>
<ul
  class="captions flex shrink-0"
  aria-label="Looks {from + 1} to {from + page.length} of {outfits.looks.length}"
>
  {#each page as look, i (look.key)}
    {@const here = outfits.at === from + i}
    <li class="min-w-0" style:width="{each}px">
      <button
        class="caption flex h-full w-full flex-col items-start px-2 py-1.5 text-left"
        class:here
        aria-pressed={here}
        data-look={look.key}
        data-verdict={look.verdict}
        onclick={() => outfits.choose(from + i)}
      >
        <span class="flex items-baseline gap-1 text-sm font-semibold">
          {#if !studio.turned}
            <span class="translate-y-0.5"><Mark of={look.verdict} size={13} /></span>
            {SAID[look.verdict]}{outfits.kept[look.key] ? ", kept" : ""}
          {:else}
            Look {from + i + 1}
          {/if}
        </span>
        {#each look.reasons as reason, at (at)}
          {#if !studio.turned || reason.stance === "for"}
            <span class="block w-full truncate text-xs" title={reason.text}>{reason.title}</span>
          {/if}
        {/each}
        {#if look.worn_on}
          <span class="text-xs leading-tight text-bark">worn on {written(look.worn_on)}</span>
        {/if}
        {#if look.new && !studio.turned}
          <span class="two-lines text-xs leading-tight text-bark" title="Never worn together yet: {look.new}"
            >new: {look.new}</span
          >
        {/if}
        <span class="sr-only">{outfits.drawn[look.key]?.told}</span>
      </button>
    </li>
  {/each}
</ul>
{#if outfits.looks.length > shown}
  <p class="flex shrink-0 items-center gap-2 px-4 pb-1 text-sm text-bark">
    <button
      class="press min-h-7 px-2 py-0"
      disabled={from === 0}
      aria-label="Looks before these"
      onclick={() => outfits.choose(from - shown)}>←</button
    >
    <span class="tabular-nums">{from + 1} to {from + page.length} of {outfits.looks.length}</span>
    <button
      class="press min-h-7 px-2 py-0"
      disabled={from + shown > last}
      aria-label="Looks after these"
      onclick={() => outfits.choose(from + shown)}>→</button
    >
  </p>
{/if}

<style>
  .captions {
    border-top: 2px solid var(--color-walnut);
  }
  .caption {
    border-bottom: 3px solid transparent;
  }
  .two-lines {
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    line-clamp: 2;
    overflow: hidden;
  }
  .caption:hover {
    background: var(--color-sheet);
  }
  .caption.here {
    border-bottom-color: var(--color-leaf);
    background: var(--color-sheet);
  }
</style>
