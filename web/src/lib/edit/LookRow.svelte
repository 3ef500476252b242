<script lang="ts">
  /** A few looks side by side on one floor line at one scale, each with its pieces below: owned, brought and to buy told apart. */
  import Paint from "../figure/Paint.svelte";
  import type { Edit, EditLook } from "./edit.svelte";

  interface Props {
    edit: Edit;
    looks: EditLook[];
    /** Height of the figures, px. */
    tall?: number;
    /** Whose looks these are, to be read out. */
    label: string;
  }
  const { edit, looks, tall = 300, label }: Props = $props();
  $effect(() => void edit.draw(looks));
  const ABOVE = 4;
  const WIDE = 92;
  const tallest = $derived(Math.max(150, ...looks.map((look) => edit.drawn[look.key]?.height ?? 0)) + ABOVE);
  const perCm = $derived(tall / tallest);
  const WHOSE = { owned: "", brought: "from the kit", to_buy: "to buy" } as const;
</script>

<ul class="flex flex-wrap items-start gap-x-3 gap-y-4" aria-label={label}>
  {#each looks as look (look.key)}
    {@const drawn = edit.drawn[look.key]}
    <li class="look flex flex-col" style:width="{Math.max(8.5 * 16, WIDE * perCm)}px" data-look={look.key}>
      <svg width="100%" height={tall} class="block overflow-visible" aria-hidden="true">
        {#if drawn}
          <svg x="50%" overflow="visible">
            <g transform="translate(0 {tall}) scale({(perCm / 10).toFixed(5)} {(-perCm / 10).toFixed(5)})">
              <Paint shapes={drawn.shapes} id="edit-{look.key}" {perCm} />
            </g>
          </svg>
        {/if}
      </svg>
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
  .basted {
    text-decoration: underline dashed var(--color-leaf) 1px;
    text-underline-offset: 3px;
  }
</style>
