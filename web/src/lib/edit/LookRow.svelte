<script lang="ts">
  /** A few looks side by side on one floor line at one scale, each with its pieces below: owned, brought and to buy told apart. */
  import type { Drawings, DrawnLook as Look } from "../outfits/drawings.svelte";
  import DrawnLook from "../outfits/DrawnLook.svelte";

  interface Props {
    drawings: Drawings;
    looks: Look[];
    /** Height of the figures, px. */
    tall?: number;
    /** Whose looks these are, to be read out. */
    label: string;
  }
  const { drawings, looks, tall = 300, label }: Props = $props();
  $effect(() => void drawings.draw(looks));
  const ABOVE = 4;
  const WIDE = 92;
  const tallest = $derived(Math.max(150, ...looks.map((look) => drawings.drawn[look.key]?.height ?? 0)));
  const perCm = $derived(tall / (tallest + ABOVE));
  const WHOSE = { owned: "", brought: "from the kit", to_buy: "to buy" } as const;
</script>

<ul class="flex flex-wrap items-start gap-x-3 gap-y-4" aria-label={label}>
  {#each looks as look (look.key)}
    <li class="look flex flex-col" style:width="{Math.max(8.5 * 16, WIDE * perCm)}px" data-look={look.key}>
      <DrawnLook {drawings} {look} {tall} {tallest} />
      <ul class="floor pt-1 text-xs leading-tight">
        {#each look.pieces as piece, at (at)}
          <li class={piece.whose === "owned" ? "" : "font-semibold"}>
            <span class={piece.whose === "to_buy" ? "basted" : ""}>{piece.title}</span>{#if piece.how},
              <span class="text-bark">{piece.how}</span>{/if}
            {#if WHOSE[piece.whose]}<span class="text-leaf">{WHOSE[piece.whose]}</span>{/if}
          </li>
        {/each}
      </ul>
    </li>
  {/each}
</ul>

<style>
  .floor {
    border-top: 2px solid var(--color-walnut);
    min-height: 4.5rem;
  }
</style>
