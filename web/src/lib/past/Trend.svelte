<script lang="ts">
  /** One measure over all sessions: each figure with where four of five true values lie. */
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { day, figure, length } from "../units";

  interface Props {
    measure: string;
    label: string;
    sessions: Schemas["PastSession"][];
  }
  const { measure, label, sessions }: Props = $props();
  const WIDE = 300;
  const HIGH = 54;
  const SIDE = 8;
  const points = $derived(
    sessions
      .flatMap((session) => {
        const found = session.figures.find((one) => one.measure === measure);
        return found ? [{ on: session.on, when: +new Date(session.started_at), ...found }] : [];
      })
      .toSorted((a, b) => a.when - b.when),
  );
  const low = $derived(Math.min(...points.map((point) => point.low)) - 0.4);
  const high = $derived(Math.max(...points.map((point) => point.high)) + 0.4);
  const from = $derived(points[0]?.when ?? 0);
  const to = $derived(points.at(-1)?.when ?? 1);
  const x = (when: number) => SIDE + ((when - from) / Math.max(1, to - from)) * (WIDE - 2 * SIDE);
  const y = (cm: number) => HIGH - 5 - ((cm - low) / Math.max(0.1, high - low)) * (HIGH - 10);
  const told = $derived(
    points.map((point) => `${day(point.on)}: ${length(point.cm, studio.unit)}`).join("; "),
  );
</script>

<figure>
  <figcaption class="flex justify-between text-sm">
    <span class="first-letter:uppercase">{label}</span>
    <span class="text-bark"
      >{figure(points[0]?.cm ?? 0, studio.unit)} → {length(points.at(-1)?.cm ?? 0, studio.unit)}</span
    >
  </figcaption>
  <svg viewBox="0 0 {WIDE} {HIGH}" class="w-full" role="img" aria-label="{label}: {told}">
    <line class="floor" x1="0" x2={WIDE} y1={HIGH - 1} y2={HIGH - 1} />
    <polyline points={points.map((point) => `${x(point.when)},${y(point.cm)}`).join(" ")} />
    {#each points as point (point.when)}
      <g class:settled={point.settled}>
        <line class="range" x1={x(point.when)} x2={x(point.when)} y1={y(point.low)} y2={y(point.high)} />
        <circle cx={x(point.when)} cy={y(point.cm)} r="3.2"
          ><title>{day(point.on)}: {length(point.cm, studio.unit)}</title></circle
        >
      </g>
    {/each}
  </svg>
</figure>

<style>
  .floor {
    stroke: var(--color-rule);
  }
  polyline {
    fill: none;
    stroke: var(--color-bark);
    stroke-width: 1;
  }
  .range {
    stroke: var(--color-bark);
    stroke-dasharray: 2 2;
  }
  circle {
    fill: var(--color-paper);
    stroke: var(--color-bark);
    stroke-width: 1.4;
  }
  .settled .range {
    stroke: var(--color-chalk);
    stroke-width: 2;
    stroke-dasharray: none;
  }
  .settled circle {
    fill: var(--color-chalk);
    stroke: var(--color-chalk);
  }
</style>
