<script lang="ts">
  /** One look on the floor line, so tall; empty until it is drawn. */
  import Paint from "../figure/Paint.svelte";
  import type { Drawings, DrawnLook } from "./drawings.svelte";

  interface Props {
    drawings: Drawings;
    look: DrawnLook | undefined;
    /** Height of the picture, px, and of the tallest figure beside it, cm. */
    tall: number;
    tallest?: number;
  }
  const { drawings, look, tall, tallest }: Props = $props();
  const ABOVE = 4;
  const drawn = $derived(look ? drawings.drawn[look.key] : undefined);
  const perCm = $derived(tall / ((tallest ?? Math.max(150, drawn?.height ?? 0)) + ABOVE));
</script>

<svg width="100%" height={tall} class="block overflow-visible" aria-hidden="true">
  {#if drawn && look}
    <svg x="50%" overflow="visible">
      <g transform="translate(0 {tall}) scale({(perCm / 10).toFixed(5)} {(-perCm / 10).toFixed(5)})">
        <Paint shapes={drawn.shapes} id="look-{look.key}" {perCm} />
      </g>
    </svg>
  {/if}
</svg>
