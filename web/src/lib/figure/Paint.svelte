<script lang="ts">
  /** Shapes as the drawing core describes them, painted: paths in mm of the real thing, y up. craft/draw/svg.py is the same. */
  import type { Schemas } from "../api/client";
  import { FADE, fit, LIGHTS } from "./paint";

  interface Props {
    shapes: Schemas["DrawnShape"][];
    /** Tells pictures on one page apart. */
    id: string;
    /** Places whose pieces are outlined. */
    marked?: string[];
    onchoose?: (slot: string) => void;
    /** Lines are at least so many px broad at this many px a cm: a small picture keeps its lines. */
    perCm: number;
    /** Places whose silhouette is basted: their pieces are described and not measured. */
    basted?: readonly string[];
    /** The pattern only: paper and lines, for what is drawn over it. */
    plain?: boolean;
  }
  const { shapes, id, marked = [], basted = [], onchoose, perCm, plain = false }: Props = $props();
  /** A basting stitch and the gap after it, over a line's breadth. */
  const STITCH = 4.6;
  const GAP = 2.2;
  const LINE = { cloth: 3.4, sole: 3, edge: 3, seam: 2.4, stitch: 2.2, skinline: 2.6 };
  type Line = keyof typeof LINE;
  const broad = (role: string) => fit(LINE[role as Line] ?? 3, perCm);
  const body = $derived(shapes.filter((shape) => shape.role === "skin" && shape.slot === "body"));
  const weaves = $derived([
    ...new Map(shapes.flatMap(({ weave }) => (weave ? [[weave.key, weave]] : []))).values(),
  ]);
  const lights = $derived([...new Set(shapes.flatMap(({ light }) => light ?? []))]);
  const held = $derived(new Set(shapes.flatMap(({ slot, clip }) => (clip ? `${slot}-${clip}` : []))));
  const clips = $derived(shapes.filter((shape) => held.has(`${shape.slot}-${shape.key}`)));
  const clipped = (shape: Schemas["DrawnShape"]) =>
    shape.clip ? `url(#${id}-${shape.slot}-${shape.clip})` : undefined;
  const isArea = (role: string) => role === "cloth" || role === "sole";
</script>

<defs>
  {#if !plain}
    {#each weaves as weave (weave.key)}
      <pattern
        id="{id}{weave.key}"
        width={weave.width}
        height={weave.height}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate({[weave.turn, ...weave.about].join(' ')})"
      >
        {#each weave.marks as { d, colour, wide }, at (at)}
          {#if wide}<path {d} fill="none" stroke={colour} stroke-width={wide} />{:else}<path
              {d}
              fill={colour}
            />{/if}
        {/each}
      </pattern>
    {/each}
    {#each lights as light (light)}
      <linearGradient id="{id}{light}" x1="0" y1="1" x2="1" y2="0.85">
        {#each LIGHTS[light] ?? [] as [offset, colour, opacity] (offset)}
          <stop {offset} stop-color={colour} stop-opacity={opacity} />
        {/each}
      </linearGradient>
    {/each}
    {#if shapes.some((shape) => shape.role === "fade")}
      <radialGradient id="{id}fade">
        {#each FADE as [offset, colour, opacity] (offset)}
          <stop {offset} stop-color={colour} stop-opacity={opacity} />
        {/each}
      </radialGradient>
    {/if}
  {/if}
  {#each clips as shape (`${shape.slot}-${shape.key}`)}
    <clipPath id="{id}-{shape.slot}-{shape.key}"><path d={shape.d} /></clipPath>
  {/each}
</defs>

<!-- Contours first and areas over them, so that arms and trunk read as one figure. -->
{#each body as shape (shape.key)}<path d={shape.d} class="contour" stroke-width={fit(6, perCm)} />{/each}
{#each shapes as shape (`${shape.slot}-${shape.key}`)}
  {#if shape.role === "skin" || shape.role === "bare"}
    <path d={shape.d} class="skin" clip-path={clipped(shape)} />
  {:else if shape.role === "skinline"}
    <path d={shape.d} class="line" stroke="#a58d70" stroke-width={broad("skinline")} opacity="0.8" />
  {:else if isArea(shape.role)}
    {@const over = plain
      ? []
      : [shape.weave?.key, shape.light].flatMap((name) => (name ? [`url(#${id}${name})`] : []))}
    <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
    <!-- A short cut for the pointer only: the keyboard reaches the same words in the Dress step. -->
    <path
      d={shape.d}
      class="cloth"
      class:chosen={marked.includes(shape.slot)}
      class:taken={onchoose}
      data-slot={shape.slot}
      data-key={shape.key}
      fill={plain ? "var(--color-sheet)" : (shape.colour ?? "#8a8b8d")}
      fill-opacity={shape.opacity < 1 ? shape.opacity : undefined}
      stroke-width={broad(shape.role)}
      stroke-dasharray={basted.includes(shape.slot)
        ? `${(STITCH * broad("cloth")).toFixed(1)} ${(GAP * broad("cloth")).toFixed(1)}`
        : undefined}
      clip-path={clipped(shape)}
      onclick={onchoose ? () => onchoose(shape.slot) : undefined}
    />
    {#each over as fill (fill)}
      <path
        d={shape.d}
        {fill}
        class="over"
        opacity={shape.opacity < 1 ? shape.opacity : undefined}
        clip-path={clipped(shape)}
      />
    {/each}
  {:else if shape.role === "fade"}
    {#if !plain}<path d={shape.d} fill="url(#{id}fade)" class="over" clip-path={clipped(shape)} />{/if}
  {:else if shape.role === "fold"}
    {#if !plain}<path
        d={shape.d}
        fill="#35261b"
        opacity="0.26"
        class="over"
        clip-path={clipped(shape)}
      />{/if}
  {:else}
    <path
      d={shape.d}
      class="line"
      stroke={plain ? "var(--color-rule)" : (shape.colour ?? "#35261b")}
      stroke-width={broad(shape.role)}
      stroke-dasharray={shape.role === "stitch" ? "7 5" : undefined}
      opacity={shape.role === "edge" ? 1 : 0.85}
      clip-path={clipped(shape)}
    />
  {/if}
{/each}

<style>
  path {
    stroke-linejoin: round;
    stroke-linecap: round;
  }
  .contour {
    fill: none;
    stroke: #8f7a62;
  }
  .skin {
    fill: #eadfcd;
    pointer-events: none;
  }
  .cloth {
    stroke: #35261b;
  }
  .taken {
    cursor: pointer;
  }
  .cloth.chosen {
    stroke: var(--color-leaf);
  }
  .line {
    fill: none;
    pointer-events: none;
  }
  .over {
    pointer-events: none;
  }
</style>
