<script lang="ts">
  import type { Assessment, Slot } from "../api/client";
  import type { LookTable } from "../client/table.svelte";
  import { length } from "../units";
  import { studio } from "../studio.svelte";
  import Edges from "./Edges.svelte";
  import Figure from "./Figure.svelte";
  import Handles from "./Handles.svelte";
  import Rule from "./Rule.svelte";
  import { shown, type Detail } from "./detail";
  import { useScale } from "./scale.svelte";

  interface Props {
    assessment: Assessment;
    name: string;
    chosen: Slot | null;
    onchoose: (slot: Slot) => void;
    /** The look whose hems can be taken hold of here, if they can. */
    table?: LookTable;
    /** What is shown beside the front: the side outline or the back. */
    turned?: "side" | "back" | null;
    /** A part of the figure that is shown large; the whole of it where there is none. */
    detail?: Detail | null;
  }
  const { assessment, name, chosen, onchoose, table, turned = null, detail = null }: Props = $props();
  const scale = useScale();
  /** The body stands still while a hem moves: its marks are drawn anew only when they changed. */
  const landmarks = $derived(assessment.landmarks);
  const lift = $derived(assessment.lift);
  const RULE = 34 * scale.text;
  const LABELS = 120 * scale.text;
  /** Room for the landmarks’ names beside the rule: none on a phone, where the figure has it. */
  const names = $derived(scale.width < 540 * scale.text ? 8 : 104 * scale.text);

  $effect(() => {
    const [from, tall] = shown(assessment, detail);
    scale.from = from;
    scale.tall = tall;
  });
  // Other steps show the whole figure on the same rule.
  $effect(() => () => void (scale.from = 0));
  $effect(() => (turned && table ? table.profile.watch() : undefined));
  const room = $derived(scale.width - RULE - names - LABELS);
  /** On the table the line says what the tape has said; to the client it is a picture. */
  const basted = $derived(studio.turned ? [] : (table?.draft.described ?? []));
  const told = $derived(turned ? (table?.profile.told ?? null) : null);
  const beside = $derived(turned === "back" ? (told?.back ?? null) : (told?.shapes ?? null));
  /** Half of what a front takes with its arms; what a side takes before and behind its plumb line, cm. */
  const front = $derived(
    1 + Math.max(...assessment.shapes.map(({ box }) => Math.max(box[2] ?? 0, -(box[0] ?? 0)))),
  );
  const [behind, before] = $derived(turned === "back" ? [front, front] : [19, 24]);
  const both = $derived((2 * front + behind + before) * scale.perCm <= room);
  const spread = $derived(beside && both ? (behind + before) * scale.perCm : 0);
  const middle = $derived(RULE + names + (room - spread) / 2);
  /** Where the side's plumb line stands: beside the front, or in its place where there is no room for both. */
  const plumb = $derived(both ? middle + (front + behind) * scale.perCm : middle);
</script>

<div class="relative h-full min-h-0" bind:clientHeight={scale.height} bind:clientWidth={scale.width}>
  <svg width={scale.width} height={scale.height} role="img" aria-labelledby="figure-name">
    <title id="figure-name"
      >{name}, {beside ? `front and ${turned}` : "front view"} at true scale; the edges are listed after the picture.</title
    >
    {#if !beside || both}<Figure shapes={assessment.shapes} {middle} {chosen} {onchoose} {basted} />{/if}
    {#if beside}
      <Figure shapes={beside} middle={plumb} {chosen} {onchoose} {basted} id="turned" />
      <text x={plumb} y={11 * scale.text} text-anchor="middle" class="fill-bark text-xs"
        >{turned === "back" ? "from behind" : "from the side"}</text
      >
    {/if}
    <Edges
      edges={assessment.edges}
      from={RULE + names + 4}
      label={scale.width - LABELS}
      {chosen}
      hand={table?.hand}
    />
    <Rule landmarks={names > 8 ? landmarks : []} {lift} x={RULE} />
  </svg>
  {#if table}<Handles {table} right={scale.width - LABELS} />{/if}
  <ul class="sr-only" aria-label="What is worn, the outermost first">
    {#each assessment.worn as piece, at (at)}<li>{piece}</li>{/each}
  </ul>
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
