<script lang="ts">
  /** The piece laid flat with the tape on it: a line for the figure being typed, pale lines for the others. */
  import type { Schemas } from "../api/client";
  import Paint from "../figure/Paint.svelte";
  import { bounds } from "../figure/paint";
  import { said } from "../units";

  interface Props {
    shapes: Schemas["DrawnShape"][];
    lines: Schemas["FlatMeasure"][];
    /** The figure being typed, and those that are known. */
    active: string | null;
    known: string[];
    onchoose: (key: string) => void;
  }
  const { shapes, lines, active, known, onchoose }: Props = $props();
  const WIDE = 300;
  const TALL = 190;
  const EDGE = 12;
  const ends = $derived(lines.flatMap((line) => line.points));
  const box = $derived(bounds(shapes));
  const left = $derived(Math.min(box[0], ...ends.map(([x]) => x ?? 0)));
  const low = $derived(Math.min(box[1], ...ends.map(([, y]) => y ?? 0)));
  const right = $derived(Math.max(box[2], ...ends.map(([x]) => x ?? 0)));
  const top = $derived(Math.max(box[3], ...ends.map(([, y]) => y ?? 0)));
  const scale = $derived(
    Math.min((WIDE - 2 * EDGE) / Math.max(1, right - left), (TALL - 2 * EDGE) / Math.max(1, top - low)),
  );
  const px = (x = 0) => WIDE / 2 + (x - (left + right) / 2) * scale;
  const py = (y = 0) => EDGE + (top - y) * scale;
  const chosen = $derived(lines.find((line) => line.key === active));
</script>

<svg width="100%" viewBox="0 0 {WIDE} {TALL}" aria-hidden="true" class="mt-1 block">
  <g transform="translate({px(0).toFixed(1)} {py(0).toFixed(1)}) scale({scale / 10} {-scale / 10})">
    <Paint {shapes} id="measured" perCm={scale} plain />
  </g>
  {#each lines as line (line.key)}
    {@const [from, to] = line.points}
    <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
    <!-- The fields below choose the same lines from the keyboard. -->
    <line
      x1={px(from?.[0])}
      y1={py(from?.[1])}
      x2={px(to?.[0])}
      y2={py(to?.[1])}
      class="tape"
      class:known={known.includes(line.key)}
      class:here={line.key === active}
      onclick={() => onchoose(line.key)}
    />
  {/each}
</svg>
<p class="min-h-5 text-xs text-bark" aria-live="polite">
  {#if chosen}
    <span class="inline-block first-letter:uppercase">{said(chosen.key.replace(/_cm$/, ""))}:</span>
    {chosen.half ? "straight across; the figure is twice that." : "along the line, without stretching."}
  {:else if lines.length}Choose a figure below: its line shows where the tape lies.{/if}
</p>

<style>
  .tape {
    stroke: var(--color-rule);
    stroke-width: 1.4;
    stroke-dasharray: 4 3;
    cursor: pointer;
  }
  .known {
    stroke: var(--color-chalk);
    stroke-dasharray: none;
  }
  .here {
    stroke: var(--color-leaf);
    stroke-width: 3.5;
    stroke-dasharray: none;
  }
</style>
