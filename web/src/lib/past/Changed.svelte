<script lang="ts">
  /** On the figure: the measures that changed beyond noise, each at its height. */
  import type { Schemas } from "../api/client";
  import { apart, useScale } from "../figure/scale.svelte";
  import { studio } from "../studio.svelte";
  import { figure } from "../units";

  interface Props {
    changes: Schemas["ChangeOut"][];
    rows: Map<string, Schemas["MeasureOut"]>;
    middle: number;
  }
  const { changes, rows, middle }: Props = $props();
  const scale = useScale();
  const LABELS = 150;
  const ROW = 17;
  const shown = $derived(
    changes
      .filter((change) => change.beyond_noise && rows.has(change.measure))
      .map((change) => ({ ...change, height: rows.get(change.measure)?.tape.height ?? 0 }))
      .toSorted((a, b) => b.height - a.height),
  );
  const tops = $derived(
    apart(
      shown.map((change) => scale.y(change.height)),
      shown.map(() => ROW),
      scale.height,
      2,
    ),
  );
  const label = $derived(scale.width - LABELS);
</script>

<g aria-hidden="true">
  {#each shown as change, i (change.measure)}
    {@const y = scale.y(change.height)}
    {@const at = (tops[i] ?? 0) + ROW / 2}
    <path d="M{middle - 24 * scale.perCm} {y}H{label - 24}L{label - 8} {at}H{label - 2}" />
    <text x={label} y={at + 4}>
      {change.label}
      <tspan class="by">{change.cm > 0 ? "+" : ""}{figure(change.cm, studio.unit)}</tspan>
    </text>
  {/each}
</g>

<style>
  path {
    fill: none;
    stroke: var(--color-chalk);
    stroke-width: 1.4;
  }
  text {
    font-size: 0.78125rem;
    fill: var(--color-chalk);
  }
  .by {
    font-weight: 600;
  }
</style>
