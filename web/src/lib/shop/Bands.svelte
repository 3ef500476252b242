<script lang="ts">
  /** On the figure: where edges of this kind of piece do well, and the wide places to keep them off. */
  import type { Schemas } from "../api/client";
  import { apart, useScale } from "../figure/scale.svelte";
  import { studio } from "../studio.svelte";
  import { range } from "./range";

  const { numbers, middle }: { numbers: Schemas["NumberOut"][]; middle: number } = $props();
  const scale = useScale();
  const LABELS = 158 * scale.text;
  const ROW = 29 * scale.text;
  const HALF = 27 * scale.text;
  /** A line is drawn at least so tall, px. */
  const LEAST = 3;

  const good = $derived(
    numbers
      .filter((number) => number.lands_low !== null && number.lands_high !== null)
      .map((number) => ({ ...number, from: number.lands_low ?? 0, to: number.lands_high ?? 0 }))
      .toSorted((a, b) => b.to - a.to),
  );
  const bad = $derived([
    ...new Map(
      numbers
        .filter((number) => number.poor_lands_low !== null)
        .map((number) => [
          number.poor_lands_low,
          { from: number.poor_lands_low ?? 0, to: number.poor_lands_high ?? 0 },
        ]),
    ).values(),
  ]);
  const tops = $derived(
    apart(
      good.map((number) => scale.y((number.from + number.to) / 2)),
      good.map(() => ROW),
      scale.height,
      2,
    ),
  );
  const left = $derived(middle - HALF * scale.perCm);
  const wide = $derived(2 * HALF * scale.perCm);
  const label = $derived(scale.width - LABELS);
  const tall = (from: number, to: number) => Math.max(LEAST, (to - from) * scale.perCm);
</script>

<defs>
  <pattern id="keep-off" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
    <line x1="0" y1="0" x2="0" y2="7" stroke="#9c2b27" stroke-width="1.6" />
  </pattern>
</defs>
<g aria-hidden="true">
  {#each bad as band (band.from)}
    <rect
      class="bad"
      x={left}
      y={scale.y(band.to)}
      width={wide}
      height={tall(band.from, band.to)}
      fill="url(#keep-off)"
    />
    <text class="off" x={left + 4} y={scale.y(band.to) - 3}>not here</text>
  {/each}
  {#each good as number, i (number.name + number.worn)}
    {@const at = (tops[i] ?? 0) + ROW / 2}
    {@const y = scale.y((number.from + number.to) / 2)}
    <g class:settled={number.settled}>
      <rect class="good" x={left} y={scale.y(number.to)} width={wide} height={tall(number.from, number.to)} />
      <path d="M{left + wide} {y}H{label - 22}L{label - 8} {at}H{label - 2}" />
      <text x={label} y={at - 3 * scale.text}
        >{number.name.replace("length, ", "").replace("inseam, ", "")}</text
      >
      <text class="figure" x={label} y={at + 11 * scale.text}>
        {studio.turned
          ? number.worn
          : `${range(number.low, number.high, studio.unit)}${number.worn ? `, ${number.worn}` : ""}`}
      </text>
    </g>
  {/each}
</g>

<style>
  .good {
    fill: var(--color-leaf-pale);
    opacity: 0.85;
    stroke: var(--color-leaf);
    stroke-width: 1;
    stroke-dasharray: 4 3;
  }
  .settled .good {
    stroke-dasharray: none;
  }
  .bad {
    opacity: 0.7;
  }
  path {
    fill: none;
    stroke: var(--color-rule);
  }
  text {
    font-size: 0.75rem;
    fill: var(--color-walnut);
    paint-order: stroke;
    stroke: var(--color-paper);
    stroke-width: 4px;
  }
  .figure {
    fill: var(--color-bark);
  }
  .settled .figure {
    fill: var(--color-chalk);
    font-weight: 600;
  }
  .off {
    fill: var(--color-madder);
  }
</style>
