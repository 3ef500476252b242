<script lang="ts">
  import { figure } from "../units";
  import { studio } from "../studio.svelte";
  import { apart, useScale } from "./scale.svelte";

  interface Props {
    landmarks: { name: string; label: string; cm: number; spread: number; settled: boolean }[];
    lift: number;
    x: number;
  }
  const { landmarks, lift, x }: Props = $props();
  const scale = useScale();
  const OF_80 = 1.2816;
  const inches = $derived(studio.unit === "in");
  // A tick a cm and a number every ten; in inches a tick each and a number every four.
  const step = $derived(inches ? 2.54 : 1);
  const ticks = $derived.by(() => {
    const first = Math.ceil(scale.from / step);
    const last = Math.floor((scale.from + scale.tall - 1) / step);
    return Array.from({ length: last - first + 1 }, (_, i) => first + i);
  });
  const named = $derived(inches ? 4 : 10);
  const half = $derived(inches ? 2 : 5);
  const long = (tick: number) => (tick % named === 0 ? 11 : tick % half === 0 ? 8 : 4);
  const line = (tick: number) => `M${x - long(tick)} ${scale.y(tick * step)}H${x}`;

  const marks = $derived(
    landmarks
      .filter((mark) => scale.shows(mark.cm + lift))
      .map((mark) => ({ ...mark, at: scale.y(mark.cm + lift) })),
  );
  const places = $derived(
    apart(
      marks.map((mark) => mark.at),
      marks.map(() => 12 * scale.text),
      scale.height,
      0,
    ),
  );
</script>

<g class="rule" aria-hidden="true">
  <!-- One line with all its ticks: two hundred elements would be laid out and painted with every change beside them. -->
  <path
    class="ticks"
    d="M{x} {scale.y(scale.from + scale.tall - 1)}V{scale.floor}{ticks.map(line).join('')}"
  />
  <!-- The floor needs no number. -->
  {#each ticks.filter((tick) => tick && tick % named === 0) as tick (tick)}
    <text class="number" x={x - 14} y={scale.y(tick * step) + 4} text-anchor="end">{tick}</text>
  {/each}
</g>
<g aria-hidden="true">
  {#each marks as mark, i (mark.name)}
    {@const y = (places[i] ?? 0) + 6 * scale.text}
    {#if !mark.settled && mark.spread}
      <!-- Where four of five true heights lie. -->
      <line
        class="sure"
        x1={x + 3.5}
        x2={x + 3.5}
        y1={scale.y(mark.cm + lift - OF_80 * mark.spread)}
        y2={scale.y(mark.cm + lift + OF_80 * mark.spread)}
      />
    {/if}
    <path class="pin" class:settled={mark.settled} d="M{x} {mark.at}H{x + 7}L{x + 14} {y}H{x + 18}" />
    <text class="landmark" class:settled={mark.settled} x={x + 21} y={y + 3.5}>
      <tspan>{mark.label.replace(" height", "")}</tspan>
      {#if !studio.turned}<tspan dx="3">{figure(mark.cm, studio.unit)}</tspan>{/if}
    </text>
  {/each}
</g>

<style>
  .ticks {
    fill: none;
    stroke: var(--color-bark);
    stroke-width: 1;
  }
  text {
    font-size: 0.6875rem;
    fill: var(--color-bark);
  }
  .landmark.settled {
    fill: var(--color-chalk);
    font-weight: 600;
  }
  .sure {
    stroke: var(--color-rule);
    stroke-width: 4;
    opacity: 0.6;
  }
  .pin {
    fill: none;
    stroke: var(--color-rule);
    stroke-width: 1.2;
    stroke-dasharray: 3 2.5;
  }
  .pin.settled {
    stroke: var(--color-chalk);
    stroke-dasharray: none;
  }
</style>
