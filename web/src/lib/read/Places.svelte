<script lang="ts">
  /** Over the figure: narrow and wide places at their heights, and how the height divides. */
  import type { Schemas } from "../api/client";
  import { apart, useScale } from "../figure/scale.svelte";
  import { studio } from "../studio.svelte";
  import { figure } from "../units";

  const { reading, middle }: { reading: Schemas["BodyReadingOut"]; middle: number } = $props();
  const scale = useScale();
  const LABELS = 168 * scale.text;
  const ROW = 16 * scale.text;
  const places = $derived(
    reading.places.filter((place) => (place.kind === "wide" ? place.by >= 1 : place.by <= -1)),
  );
  const tops = $derived(
    apart(
      places.map((place) => scale.y(place.height)),
      places.map(() => ROW),
      scale.height,
      1,
    ),
  );
  const label = $derived(scale.width - LABELS);
  const parts = $derived(reading.parts.filter((part) => ["lower leg", "thigh", "torso"].includes(part.name)));
  const left = $derived(middle - 40 * scale.perCm);
  /** Beside the landmarks’ names there must be room; the shares stand in the table too. */
  const roomy = $derived(left > 146);
</script>

<g aria-hidden="true">
  {#each roomy ? parts : [] as part (part.name)}
    <g class="part" class:settled={part.settled}>
      <path d="M{left + 6} {scale.y(part.low)}H{left}V{scale.y(part.high)}H{left + 6}" />
      <text
        transform="translate({left - 5} {(scale.y(part.low) + scale.y(part.high)) / 2}) rotate(-90)"
        text-anchor="middle"
      >
        {part.name}
        {#if !studio.turned}{(part.share * 100).toFixed(0)} %{/if}
      </text>
    </g>
  {/each}
  {#each places as place, i (place.name)}
    {@const y = scale.y(place.height)}
    {@const at = (tops[i] ?? 0) + ROW / 2}
    <g class="place {place.kind}" class:settled={place.settled}>
      <path d="M{middle + 22 * scale.perCm} {y}H{label - 14}L{label - 4} {at}H{label}" />
      <path
        class="mark"
        d={place.kind === "narrow"
          ? `M${label + 4} ${at - 4}l5 4l-5 4M${label + 16} ${at - 4}l-5 4l5 4`
          : `M${label + 9} ${at - 4}l-5 4l5 4M${label + 11} ${at - 4}l5 4l-5 4`}
      />
      <text x={label + 21} y={at + 4 * scale.text}>
        {place.name}{#if !studio.turned}<tspan dx="4" class="by"
            >{place.by > 0 ? "+" : ""}{figure(place.by, studio.unit)}</tspan
          >{/if}
      </text>
    </g>
  {/each}
</g>

<style>
  path {
    fill: none;
    stroke: var(--color-bark);
    stroke-width: 1.1;
    stroke-dasharray: 4 3;
  }
  .settled path {
    stroke: var(--color-chalk);
    stroke-dasharray: none;
  }
  .mark,
  .settled .mark {
    stroke: var(--color-walnut);
    stroke-width: 1.4;
    stroke-dasharray: none;
  }
  text {
    font-size: 0.75rem;
    fill: var(--color-walnut);
  }
  .by {
    fill: var(--color-bark);
  }
</style>
