<script lang="ts">
  /** Where edges were seen, in leaf: the hand is here. Plain figures only; what is typed otherwise shows once it is read. */
  import type { Schemas } from "../api/client";
  import { useScale } from "../figure/scale.svelte";
  import { studio } from "../studio.svelte";

  interface Props {
    edges: Schemas["EdgeAt"][];
    toSee: Schemas["ToSee"][];
    typed: Record<string, string>;
    middle: number;
  }
  const { edges, toSee, typed, middle }: Props = $props();
  const scale = useScale();
  const CM_PER_INCH = 2.54;

  /** How far from where it was expected an edge was seen, up, cm. */
  function off(see: Schemas["ToSee"]): number | null {
    const text = (typed[see.key] ?? "").trim().replace(",", ".").replace("−", "-");
    if (!/^-?\d+(\.\d+)?$/.test(text)) return null;
    const cm = Number(text) * (studio.unit === "in" ? CM_PER_INCH : 1);
    const down = see.frame === "past the wrist" || see.frame === "below the neck point";
    return (cm - see.expected) * (down ? -1 : 1);
  }
  const seen = $derived(
    edges.flatMap((edge) => {
      const see = toSee.find((one) => one.key === edge.key && one.kind === "edge");
      const by = see ? off(see) : null;
      return by === null ? [] : [{ key: edge.key, y: scale.y(Math.max(0, edge.height + by)) }];
    }),
  );
  const half = $derived(26 * scale.perCm);
</script>

<g aria-hidden="true">
  {#each seen as edge (edge.key)}
    <line x1={middle - half} x2={middle + half} y1={edge.y} y2={edge.y} data-seen={edge.key} />
  {/each}
</g>

<style>
  line {
    stroke: var(--color-leaf);
    stroke-width: 2.6;
  }
</style>
