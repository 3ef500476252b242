<script lang="ts">
  /** A dressed figure standing on the stage’s floor, its midline at `middle`. */
  import type { Schemas, Slot } from "../api/client";
  import Paint from "./Paint.svelte";
  import { useScale } from "./scale.svelte";

  interface Props {
    shapes: Schemas["DrawnShape"][];
    middle: number;
    chosen: Slot | null;
    onchoose: (slot: Slot) => void;
    /** Places whose pieces are outlined: where looks held side by side differ. */
    marked?: Slot[];
    /** Places whose pieces are described and not measured. */
    basted?: readonly Slot[];
    /** Tells figures on one screen apart. */
    id?: string;
  }
  const { shapes, middle, chosen, onchoose, marked = [], basted = [], id = "" }: Props = $props();
  const scale = useScale();
  const mm = $derived(scale.perCm / 10);
</script>

<g
  transform="translate({middle.toFixed(1)} {scale.y(0).toFixed(1)}) scale({mm.toFixed(5)} {(-mm).toFixed(5)})"
>
  <Paint
    {shapes}
    id="figure{id}"
    {basted}
    marked={chosen ? [...marked, chosen] : marked}
    onchoose={(slot) => onchoose(slot as Slot)}
    perCm={scale.perCm}
  />
</g>
