<script lang="ts">
  import type { Schemas, Slot } from "../api/client";
  import { length } from "../units";
  import { studio } from "../studio.svelte";
  import { apart, useScale } from "./scale.svelte";

  interface Props {
    edges: Schemas["EdgeOut"][];
    from: number;
    label: number;
    chosen: Slot | null;
    /** The edge in the hand: drawn where it is held, before the engine has answered. */
    hand?: { key: string; at: number } | null;
  }
  const { edges, from, label, chosen, hand = null }: Props = $props();
  const scale = useScale();
  const ROW = 27 * scale.text;
  const shown = $derived(
    edges
      .filter((edge) => edge.seen && scale.shows(edge.height))
      .map((edge) => {
        const height = hand?.key === edge.key ? hand.at : edge.height;
        return { ...edge, height, y: scale.y(height), held: hand?.key === edge.key };
      }),
  );
  const places = $derived(
    apart(
      shown.map((edge) => edge.y - 3),
      shown.map(() => ROW),
      scale.height,
      2,
    ),
  );
</script>

<!-- Edges slide when they really move: the line, its name and its figure go together. -->
<g aria-hidden="true">
  {#each shown as edge, i (edge.key)}
    {@const top = places[i] ?? 0}
    <g
      class="edge"
      class:settled={edge.settled}
      class:chosen={chosen === edge.slot || edge.held}
      data-edge={edge.key}
    >
      <path d="M{from} {edge.y}H{label - 10}L{label - 3} {top + ROW / 2}H{label}" />
      <text x={label + 4} y={top + 11 * scale.text} class="name">{edge.name}</text>
      <text x={label + 4} y={top + 24 * scale.text} class="at">
        {studio.turned ? edge.at : `${length(edge.height, studio.unit)} · ${edge.at}`}
      </text>
    </g>
  {/each}
</g>

<style>
  path {
    fill: none;
    stroke: var(--color-walnut);
    stroke-width: 1.1;
    stroke-dasharray: 6 4;
  }
  .settled path {
    stroke: var(--color-chalk);
    stroke-width: 1.5;
    stroke-dasharray: none;
  }
  .chosen path {
    stroke: var(--color-leaf);
    stroke-width: 1.8;
  }
  text {
    font-size: 0.75rem;
    fill: var(--color-walnut);
  }
  .name {
    font-weight: 600;
  }
  .at {
    fill: var(--color-bark);
  }
</style>
