<script lang="ts">
  /** Every edge of a piece from a shop, across the figure at the height where it lands. */
  import type { Schemas } from "../api/client";
  import { apart, useScale } from "../figure/scale.svelte";
  import { studio } from "../studio.svelte";
  import { length } from "../units";

  const { edges, middle }: { edges: Schemas["EdgeAt"][]; middle: number } = $props();
  const scale = useScale();
  const LABELS = 152 * scale.text;
  const ROW = 29 * scale.text;
  const shown = $derived(edges.map((edge) => ({ ...edge, y: scale.y(Math.max(edge.height, 0)) })));
  const tops = $derived(
    apart(
      shown.map((edge) => edge.y),
      shown.map(() => ROW),
      scale.height,
      2,
    ),
  );
  const label = $derived(scale.width - LABELS);
</script>

<g aria-hidden="true">
  {#each shown as edge, i (edge.key)}
    {@const at = (tops[i] ?? 0) + ROW / 2}
    <g class:settled={edge.settled} data-placed={edge.key}>
      <path d="M{middle - 26 * scale.perCm} {edge.y}H{label - 20}L{label - 8} {at}H{label - 2}" />
      <text class="name" x={label} y={at - 3 * scale.text}>{edge.name}</text>
      <text x={label} y={at + 11 * scale.text}
        >{studio.turned ? edge.place : `${length(edge.height, studio.unit)}, ${edge.place}`}</text
      >
    </g>
  {/each}
</g>

<style>
  path {
    fill: none;
    stroke: var(--color-walnut);
    stroke-width: 1.4;
    stroke-dasharray: 6 4;
  }
  .settled path {
    stroke: var(--color-chalk);
    stroke-width: 1.8;
    stroke-dasharray: none;
  }
  text {
    font-size: 0.75rem;
    fill: var(--color-bark);
    paint-order: stroke;
    stroke: var(--color-paper);
    stroke-width: 4px;
  }
  .name {
    font-weight: 600;
    fill: var(--color-walnut);
  }
</style>
