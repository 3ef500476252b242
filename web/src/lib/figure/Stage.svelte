<script lang="ts">
  import type { Assessment, Slot } from "../api/client";
  import type { LookTable } from "../client/table.svelte";
  import { length } from "../units";
  import { studio } from "../studio.svelte";
  import Edges from "./Edges.svelte";
  import Figure from "./Figure.svelte";
  import Handles from "./Handles.svelte";
  import Rule from "./Rule.svelte";
  import { useScale } from "./scale.svelte";

  interface Props {
    assessment: Assessment;
    name: string;
    chosen: Slot | null;
    onchoose: (slot: Slot) => void;
    /** The look whose hems can be taken hold of here, if they can. */
    table?: LookTable;
  }
  const { assessment, name, chosen, onchoose, table }: Props = $props();
  const scale = useScale();
  const RULE = 34;
  const LABELS = 120;

  $effect(() => {
    scale.tall = assessment.stature + assessment.lift + 3;
  });
  const middle = $derived(RULE + 104 + (scale.width - RULE - 104 - LABELS) / 2);
</script>

<div class="relative h-full min-h-0" bind:clientHeight={scale.height} bind:clientWidth={scale.width}>
  <svg width={scale.width} height={scale.height} role="img" aria-labelledby="figure-name">
    <title id="figure-name">{name}, front view at true scale; the edges are listed after the picture.</title>
    <Figure shapes={assessment.shapes} {middle} {chosen} {onchoose} />
    <Edges
      edges={assessment.edges}
      from={RULE + 108}
      label={scale.width - LABELS}
      {chosen}
      hand={table?.hand}
    />
    <Rule landmarks={assessment.landmarks} lift={assessment.lift} x={RULE} />
  </svg>
  {#if table}<Handles {table} right={scale.width - LABELS} />{/if}
  <ol class="sr-only" aria-label="Edges, top to bottom">
    {#each assessment.edges as edge (edge.key)}
      <li>
        {edge.name}: {#if !studio.turned}{length(edge.height, studio.unit)} above the floor,
        {/if}{edge.at}{edge.seen ? "" : ", covered"},
        {edge.settled ? "measured" : "not yet measured"}
      </li>
    {/each}
  </ol>
</div>
