<script lang="ts">
  /** The tape where it lies: solid in sight, dashed behind the body. */
  import type { Schemas } from "../api/client";
  import { useScale } from "./scale.svelte";

  const { tape, middle }: { tape: Schemas["TapeOut"]; middle: number } = $props();
  const scale = useScale();
  const path = (points: number[][]) =>
    points
      .map(([x, y]) => `${(middle + (x ?? 0) * scale.perCm).toFixed(1)},${scale.y(y ?? 0).toFixed(1)}`)
      .join(" ");
</script>

<g aria-hidden="true">
  {#each tape.behind as line, i (i)}<polyline class="behind" points={path(line)} />{/each}
  {#each tape.front as line, i (i)}<polyline class="front" points={path(line)} />{/each}
</g>

<style>
  polyline {
    fill: none;
    stroke: var(--color-leaf);
    stroke-linejoin: round;
  }
  .front {
    stroke-width: 4;
  }
  .behind {
    stroke-width: 2;
    stroke-dasharray: 4 4;
  }
</style>
