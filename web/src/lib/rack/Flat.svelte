<script lang="ts">
  /** A piece laid flat, at the scale of its neighbours, hanging by its upper edge. */
  import type { Schemas } from "../api/client";

  interface Props {
    shapes: Schemas["DrawnShape"][];
    /** Pixels for a cm. */
    scale?: number;
    tall?: number;
    id: string;
  }
  const { shapes, scale = 0.92, tall = 112, id }: Props = $props();
  const WIDE = 104;
  const SMALL = 45;
  const points = $derived(shapes.flatMap((shape) => shape.points));
  const top = $derived(Math.max(...points.map(([, y]) => y ?? 0)));
  const low = $derived(Math.min(...points.map(([, y]) => y ?? 0)));
  const left = $derived(Math.min(...points.map(([x]) => x ?? 0)));
  const right = $derived(Math.max(...points.map(([x]) => x ?? 0)));
  // One scale for all, so that lengths can be compared; what is larger than its place is drawn smaller.
  // Shoes and jewellery would be specks: the small ones are all drawn twice as large.
  const own = $derived(Math.max(top - low, right - left) < SMALL ? 2 * scale : scale);
  const fit = $derived(Math.min(own, tall / Math.max(1, top - low), WIDE / Math.max(1, right - left)));
  const path = (shape: Schemas["DrawnShape"]) =>
    shape.points
      .map(
        ([x = 0, y = 0]) =>
          `${(WIDE / 2 + (x - (left + right) / 2) * fit).toFixed(1)},${((top - y) * fit).toFixed(1)}`,
      )
      .join(" ");
  /** A seam must show on black as on white. */
  function thread(colour: string | null | undefined): string {
    const code = Number.parseInt((colour ?? "#888888").slice(1), 16);
    const light = 0.299 * (code >> 16) + 0.587 * ((code >> 8) & 255) + 0.114 * (code & 255);
    return light < 90 ? "#b9a88c" : "#35261b";
  }
</script>

<svg width={WIDE} height={tall + 2} aria-hidden="true" class="mx-auto">
  {#each shapes.filter((shape) => shape.pattern) as shape (shape.key)}
    <pattern id="{id}-{shape.key.replaceAll(/\W/g, '')}" width="5" height="5" patternUnits="userSpaceOnUse">
      <rect width="5" height="5" fill={shape.colour} />
      {#if shape.pattern === "vertical_stripe"}<rect width="1.6" height="5" fill="#f4efe4" />
      {:else if shape.pattern === "horizontal_stripe"}<rect width="5" height="2" fill="#f4efe4" />
      {:else if shape.pattern === "check"}<path d="M0 2.5H5M2.5 0V5" stroke="#f4efe4" />
      {:else}<circle cx="2.5" cy="2.5" r={shape.pattern === "large_print" ? 1.8 : 0.9} fill="#f4efe4" />{/if}
    </pattern>
  {/each}
  {#each shapes as shape (shape.key)}
    {#if shape.role === "detail"}
      <polyline
        points={path(shape)}
        fill="none"
        stroke={shapes.length === 1 ? shape.colour : thread(shape.colour)}
        stroke-width="0.9"
        opacity="0.8"
      />
    {:else}
      <polygon
        points={path(shape)}
        fill={shape.pattern ? `url(#${id}-${shape.key.replaceAll(/\W/g, "")})` : shape.colour}
        stroke="#35261b"
        stroke-width="0.8"
        stroke-linejoin="round"
      />
    {/if}
  {/each}
</svg>
