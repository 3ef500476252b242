<script lang="ts">
  /** Girths and breadths where they lie, basted while estimated and stitched once measured, and each
   * with its figure level beside the body. */
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { figure } from "../units";
  import { apart, useScale } from "./scale.svelte";

  interface Row {
    name: string;
    label: string;
    known: Schemas["QuantityOut"];
    tape: Schemas["TapeOut"];
  }
  interface Props {
    rows: Row[];
    active: string;
    middle: number;
    onchoose: (name: string) => void;
  }
  const { rows, active, middle, onchoose }: Props = $props();
  const scale = useScale();
  const ROW = 17 * scale.text;
  const LABELS = 150 * scale.text;
  const label = $derived(scale.width - LABELS);

  const px = (x: number) => middle + x * scale.perCm;
  const path = (points: number[][]) =>
    points.map(([x, y]) => `${px(x ?? 0).toFixed(1)},${scale.y(y ?? 0).toFixed(1)}`).join(" ");
  /** The end of the line on the label's side. */
  const end = (row: Row) =>
    row.tape.front
      .flat()
      .reduce((best, point) => ((point[0] ?? 0) > (best[0] ?? 0) ? point : best), [0, row.tape.height]);

  const sorted = $derived(rows.toSorted((a, b) => b.tape.height - a.tape.height));
  const tops = $derived(
    apart(
      sorted.map((row) => scale.y(row.tape.height)),
      sorted.map(() => ROW),
      scale.height,
      0,
    ),
  );
</script>

<g aria-hidden="true">
  {#each sorted as row, i (row.name)}
    {@const at = (tops[i] ?? 0) + ROW / 2}
    {@const [x = 0, y = 0] = end(row)}
    <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
    <!-- A short cut for the pointer; the keyboard reaches the same measure in the list. -->
    <g
      class="girth"
      class:settled={row.known.settled}
      class:active={row.name === active}
      onclick={() => onchoose(row.name)}
    >
      {#each row.tape.front as line, j (j)}<polyline class="tape" points={path(line)} />{/each}
      <path class="lead" d="M{px(x)} {scale.y(y)}L{label - 34} {scale.y(y)}L{label - 12} {at}H{label - 4}" />
      <text x={label} y={at + 4 * scale.text}>
        {row.label.replace(" girth", "")} <tspan class="figure">{figure(row.known.cm, studio.unit)}</tspan>
        {#if !row.known.settled}<tspan class="sure"
            >± {figure((row.known.high - row.known.low) / 2, studio.unit)}</tspan
          >{/if}
      </text>
    </g>
  {/each}
</g>

<style>
  .girth {
    cursor: pointer;
  }
  .tape {
    fill: none;
    stroke: var(--color-bark);
    stroke-width: 1.3;
    stroke-dasharray: 4 3;
  }
  .settled .tape {
    stroke: var(--color-chalk);
    stroke-width: 1.8;
    stroke-dasharray: none;
  }
  .lead {
    fill: none;
    stroke: var(--color-rule);
    stroke-width: 0.8;
  }
  text {
    font-size: 0.75rem;
    fill: var(--color-bark);
    paint-order: stroke;
    stroke: var(--color-paper);
    stroke-width: 4px;
    stroke-linejoin: round;
  }
  .settled text {
    fill: var(--color-chalk);
  }
  .settled .figure {
    font-weight: 600;
  }
  .active text {
    fill: var(--color-leaf);
    font-weight: 600;
  }
  .active .lead {
    stroke: var(--color-leaf);
  }
  .sure {
    font-size: 0.6875rem;
  }
</style>
