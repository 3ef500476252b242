<script lang="ts">
  /** The undressed figure on floor and rule, with whatever a screen draws over it. */
  import type { Snippet } from "svelte";
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { length } from "../units";
  import Rule from "./Rule.svelte";
  import { useScale } from "./scale.svelte";

  interface Mark {
    name: string;
    label: string;
    cm: number;
    settled: boolean;
    spread: number;
  }
  interface Props {
    name: string;
    outline: Schemas["Outline"][];
    stature: number;
    marks: Mark[];
    /** Drawn over the figure; is told where the midline lies, px. */
    over?: Snippet<[number]>;
    /** Another outline laid over it, basted: how it was. */
    ghost?: Schemas["Outline"][];
    /** How far shoes lift the body off the floor, cm. */
    lift?: number;
    /** Kept free for labels at the right, px. */
    room?: number;
  }
  const { name, outline, stature, marks, over, ghost = [], lift = 0, room = 156 }: Props = $props();
  const scale = useScale();
  const RULE = 34;
  const SIDE = 112;

  $effect(() => {
    scale.tall = stature + lift + 4;
  });
  const middle = $derived(RULE + SIDE + (scale.width - RULE - SIDE - room) / 2);
  const path = (points: number[][]) =>
    points
      .map(
        ([x, y]) => `${(middle + (x ?? 0) * scale.perCm).toFixed(1)},${scale.y((y ?? 0) + lift).toFixed(1)}`,
      )
      .join(" ");
</script>

<div class="relative h-full min-h-0" bind:clientHeight={scale.height} bind:clientWidth={scale.width}>
  <svg width={scale.width} height={scale.height} role="img" aria-label="{name}, front view at true scale">
    <g class="contour"
      >{#each outline as area (area.key)}<polygon points={path(area.points)} />{/each}</g
    >
    <g class="skin"
      >{#each outline as area (area.key)}<polygon points={path(area.points)} />{/each}</g
    >
    {#if ghost.length}
      <!-- Only what lies outside all areas: the outline of the whole, without the seams between them. -->
      <mask id="outside" maskUnits="userSpaceOnUse" x="0" y="0" width={scale.width} height={scale.height}>
        <rect width={scale.width} height={scale.height} fill="white" />
        {#each ghost as area (area.key)}<polygon points={path(area.points)} fill="black" />{/each}
      </mask>
      <g class="ghost" mask="url(#outside)">
        {#each ghost as area (area.key)}<polygon points={path(area.points)} />{/each}
      </g>
    {/if}
    {@render over?.(middle)}
    <Rule landmarks={marks} {lift} x={RULE} />
  </svg>
  <ol class="sr-only" aria-label="Landmarks, top to bottom">
    {#each marks.toSorted((a, b) => b.cm - a.cm) as mark (mark.name)}
      <li>
        {mark.label}{#if !studio.turned}: {length(mark.cm, studio.unit)}, {mark.settled
            ? "measured"
            : "not measured"}{/if}
      </li>
    {/each}
  </ol>
</div>

<style>
  .contour polygon {
    fill: none;
    stroke: #8f7a62;
    stroke-width: 2.4;
    stroke-linejoin: round;
  }
  .skin polygon {
    fill: #eadfcd;
  }
  .ghost polygon {
    fill: none;
    stroke: var(--color-walnut);
    stroke-width: 3;
    stroke-dasharray: 5 4;
  }
</style>
