<script lang="ts">
  /** The undressed figure on floor and rule, with whatever a screen draws over it. */
  import type { Snippet } from "svelte";
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { length } from "../units";
  import Paint from "./Paint.svelte";
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
    outline: Schemas["DrawnShape"][];
    stature: number;
    marks: Mark[];
    /** Drawn over the figure; is told where the midline lies, px. */
    over?: Snippet<[number]>;
    /** Another outline laid over it, basted: how it was. */
    ghost?: Schemas["DrawnShape"][];
    /** How far shoes lift the body off the floor, cm. */
    lift?: number;
    /** Kept free for labels at the right, px. */
    room?: number;
  }
  const { name, outline, stature, marks, over, ghost = [], lift = 0, room = 156 }: Props = $props();
  const scale = useScale();
  const RULE = 34 * scale.text;
  /** Room for the landmarks’ names: none on a phone, where the figure has it. */
  const side = $derived(scale.width < 540 * scale.text ? 8 : 112 * scale.text);

  $effect(() => {
    scale.tall = stature + lift + 4;
  });
  const middle = $derived(RULE + side + (scale.width - RULE - side - room * scale.text) / 2);
  const mm = $derived(scale.perCm / 10);
  const onFloor = $derived(
    `translate(${middle.toFixed(1)} ${scale.y(lift).toFixed(1)}) scale(${mm.toFixed(5)} ${(-mm).toFixed(5)})`,
  );
  const areas = $derived(ghost.filter((shape) => shape.role === "skin"));
</script>

<div class="relative h-full min-h-0" bind:clientHeight={scale.height} bind:clientWidth={scale.width}>
  <svg width={scale.width} height={scale.height} role="img" aria-label="{name}, front view at true scale">
    <g transform={onFloor}><Paint shapes={outline} id="body" perCm={scale.perCm} /></g>
    {#if areas.length}
      <!-- Only what lies outside all areas: the outline of the whole, without the seams between them. -->
      <mask id="outside" maskUnits="userSpaceOnUse" x="0" y="0" width={scale.width} height={scale.height}>
        <rect width={scale.width} height={scale.height} fill="white" />
        <g transform={onFloor}>
          {#each areas as area (area.key)}<path d={area.d} fill="black" />{/each}
        </g>
      </mask>
      <g mask="url(#outside)">
        <g
          class="ghost"
          transform={onFloor}
          style:stroke-width={30 / scale.perCm}
          style:stroke-dasharray="{50 / scale.perCm}
          {40 / scale.perCm}"
        >
          {#each areas as area (area.key)}<path d={area.d} />{/each}
        </g>
      </g>
    {/if}
    {@render over?.(middle)}
    <Rule landmarks={side > 8 ? marks : []} {lift} x={RULE} />
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
  .ghost path {
    fill: none;
    stroke: var(--color-walnut);
  }
</style>
