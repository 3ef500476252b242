<script lang="ts">
  /** A piece laid flat, at the scale of its neighbours, hanging by its upper edge. */
  import type { Attachment } from "svelte/attachments";
  import type { Schemas } from "../api/client";
  import Paint from "../figure/Paint.svelte";
  import { bounds } from "../figure/paint";

  interface Props {
    shapes: Schemas["DrawnShape"][];
    /** Pixels for a cm. */
    scale?: number;
    tall?: number;
    wide?: number;
    id: string;
    /** It is described and not measured. */
    basted?: boolean;
    /** It is in sight, or nearly, and not drawn yet. */
    onseen?: () => void;
  }
  const { shapes, scale = 0.92, tall = 112, wide = 104, id, basted = false, onseen }: Props = $props();
  /** How far off the screen a flat is asked for already. */
  const AHEAD = "300px";

  const seen: Attachment<SVGElement> = (node) => {
    const sight = new IntersectionObserver(
      (entries) => {
        if (!entries.some((entry) => entry.isIntersecting)) return;
        sight.disconnect();
        onseen?.();
      },
      { rootMargin: AHEAD },
    );
    sight.observe(node);
    return () => sight.disconnect();
  };
  const SMALL = 45;
  /** Room for the outline’s own breadth, px. */
  const EDGE = 2;
  const box = $derived(bounds(shapes));
  const slots = $derived([...new Set(shapes.map(({ slot }) => slot))]);
  const across = $derived(Math.max(1, box[2] - box[0]));
  const down = $derived(Math.max(1, box[3] - box[1]));
  // One scale for all, so that lengths can be compared; what is larger than its place is drawn smaller.
  // Shoes and jewellery would be specks: the small ones are all drawn twice as large.
  const own = $derived(Math.max(across, down) < SMALL ? 2 * scale : scale);
  const perCm = $derived(Math.min(own, (tall - 2 * EDGE) / down, (wide - 2 * EDGE) / across));
</script>

<svg
  width={wide}
  height={tall}
  aria-hidden="true"
  class="mx-auto"
  data-drawn={shapes.length > 0}
  {@attach shapes.length || !onseen ? null : seen}
>
  <g
    transform="translate({(wide / 2 - ((box[0] + box[2]) / 2) * perCm).toFixed(1)} {(
      EDGE +
      box[3] * perCm
    ).toFixed(1)}) scale({(perCm / 10).toFixed(5)} {(-perCm / 10).toFixed(5)})"
  >
    <Paint {shapes} {id} {perCm} basted={basted ? slots : []} />
  </g>
</svg>
