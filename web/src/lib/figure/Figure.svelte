<script lang="ts">
  import type { Schemas, Slot } from "../api/client";
  import { useScale } from "./scale.svelte";

  type Shape = Schemas["DrawnShape"];
  interface Props {
    shapes: Shape[];
    middle: number;
    chosen: Slot | null;
    onchoose: (slot: Slot) => void;
    /** Places whose pieces are outlined: where looks held side by side differ. */
    marked?: Slot[];
    /** Tells figures on one screen apart. */
    id?: string;
  }
  const { shapes, middle, chosen, onchoose, marked = [], id = "" }: Props = $props();
  const scale = useScale();

  const path = (shape: Shape) =>
    shape.points
      .map(([x, y]) => `${(middle + (x ?? 0) * scale.perCm).toFixed(1)},${scale.y(y ?? 0).toFixed(1)}`)
      .join(" ");

  const body = $derived(shapes.filter((shape) => shape.slot === "body"));
  const worn = $derived(shapes.filter((shape) => shape.slot !== "body"));

  /** A line on cloth must show on black as on white: take the paper or the walnut. */
  function thread(colour: string | null | undefined): string {
    const code = Number.parseInt((colour ?? "#888888").slice(1), 16);
    const light = 0.299 * (code >> 16) + 0.587 * ((code >> 8) & 255) + 0.114 * (code & 255);
    return light < 90 ? "#b9a88c" : "#35261b";
  }
</script>

<defs>
  {#each worn.filter((shape) => shape.pattern) as shape (shape.key)}
    {@const step = scale.perCm * 2.4}
    <pattern id="cloth{id}-{shape.key}" width={step} height={step} patternUnits="userSpaceOnUse">
      <rect width={step} height={step} fill={shape.colour} />
      {#if shape.pattern === "vertical_stripe"}
        <rect width={step * 0.3} height={step} fill="#f4efe4" />
      {:else if shape.pattern === "horizontal_stripe"}
        <rect width={step} height={step * 0.4} fill="#f4efe4" />
      {:else if shape.pattern === "check"}
        <path d="M0 {step / 2}H{step}M{step / 2} 0V{step}" stroke="#f4efe4" stroke-width="1.5" />
      {:else}
        <circle
          cx={step / 2}
          cy={step / 2}
          r={step * (shape.pattern === "large_print" ? 0.4 : 0.2)}
          fill="#f4efe4"
        />
      {/if}
    </pattern>
  {/each}
</defs>

<!-- Outline first, then the areas over it, so that arms and trunk read as one figure. -->
<g class="contour">
  {#each body as shape (shape.key)}<polygon points={path(shape)} />{/each}
</g>
<g class="skin">
  {#each body as shape (shape.key)}<polygon points={path(shape)} />{/each}
</g>
{#each worn as shape (shape.key)}
  {#if shape.role === "detail"}
    <polyline class="detail" points={path(shape)} stroke={thread(shape.colour)} />
  {:else}
    <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
    <!-- A short cut for the pointer only: the keyboard reaches the same words in the Dress step. -->
    <polygon
      class="cloth"
      class:chosen={chosen === shape.slot || marked.includes(shape.slot)}
      data-slot={shape.slot}
      points={path(shape)}
      fill={shape.pattern
        ? `url(#cloth${id}-${shape.key})`
        : shape.role === "sole"
          ? "#4a3c30"
          : (shape.colour ?? "#8a8b8d")}
      onclick={() => onchoose(shape.slot as Slot)}
    />
  {/if}
{/each}

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
  .cloth {
    stroke: #35261b;
    stroke-width: 0.9;
    stroke-linejoin: round;
    cursor: pointer;
  }
  .cloth.chosen {
    stroke: var(--color-leaf);
    stroke-width: 2;
  }
  .detail {
    fill: none;
    stroke-width: 0.8;
    opacity: 0.75;
    pointer-events: none;
  }
</style>
