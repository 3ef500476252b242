<script lang="ts">
  /** Hems that can be taken hold of: dragged, or nudged with the arrow keys; let go, it is one change with one undo. */
  import { movable, moved, reach, type Moved } from "../client/hems";
  import type { LookTable } from "../client/table.svelte";
  import type { Schemas } from "../api/client";
  import { notice } from "../ui/notice.svelte";
  import { studio } from "../studio.svelte";
  import { length, said } from "../units";
  import { useScale } from "./scale.svelte";

  const { table, right }: { table: LookTable; right: number } = $props();
  const scale = useScale();
  /** How far an arrow key moves a hem, with Shift, and Page Up or Down, cm. */
  const STEP = 0.5;
  const LEAP = 2;
  const PAGE = 10;
  type Edge = Schemas["EdgeOut"];
  const stature = $derived(table.assessment?.stature ?? 165);
  const [low, high] = $derived(reach(stature));
  const edges = $derived(
    (table.assessment?.edges ?? []).filter(
      (edge) => movable(edge, table.draft.pieces[edge.slot]) && scale.shows(edge.height),
    ),
  );
  /** The edge in the hand, as it was when it was taken; where it is now is the table's to show. */
  let held = $state.raw<Edge | null>(null);
  /** Where the stage begins on the screen, px: looked up once, since asking costs a layout. */
  let above = 0;
  const heightOf = (edge: Edge) => (table.hand?.key === edge.key ? table.hand.at : edge.height);
  const tenth = (cm: number) => Math.round(cm * 10) / 10;
  /** Where the hem is now, in words: while it moves, where the engine last saw it. */
  const placeOf = (edge: Edge) =>
    (table.assessment?.edges ?? []).find((one) => one.key === edge.key)?.at ?? edge.at;
  /** Half of a handle, px: one for a hem on the floor stands on the floor. */
  const HALF = 12;
  const topOf = (edge: Edge) => Math.min(scale.y(heightOf(edge)), scale.height - HALF) - HALF;

  const meaning = (move: Moved) =>
    move.figure
      ? `${said(move.figure.replace("_cm", ""))} ${move.by < 0 ? "shorter" : "longer"} by ${length(Math.abs(move.by), studio.unit)}`
      : `ends ${length(Number(move.words.hem_cm), studio.unit)} up`;

  function keep(edge: Edge, height: number) {
    const piece = table.draft.pieces[edge.slot];
    if (!piece || Math.abs(height - edge.height) < 0.05) return;
    const move = moved(edge, piece, height, stature);
    table.draft.change(move.slot, move.words, `moving the ${edge.name}`);
    notice.say(`The ${edge.name}: ${meaning(move)}.`);
  }

  function onpointerdown(event: PointerEvent, edge: Edge) {
    const handle = event.currentTarget as HTMLElement;
    handle.setPointerCapture(event.pointerId);
    above = handle.parentElement?.getBoundingClientRect().top ?? 0;
    held = edge;
  }

  function onpointermove(event: PointerEvent) {
    const piece = held && table.draft.pieces[held.slot];
    if (!held || !piece) return;
    const at = scale.heightAt(event.clientY - above);
    table.hand = { key: held.key, at };
    table.preview(held.slot, moved(held, piece, at, stature).words);
  }

  function onpointerup() {
    const [edge, hand] = [held, table.hand];
    held = table.hand = null;
    if (edge && hand) keep(edge, hand.at);
  }

  function onkeydown(event: KeyboardEvent, edge: Edge) {
    const by = event.shiftKey ? LEAP : STEP;
    const to = {
      ArrowUp: edge.height + by,
      ArrowDown: edge.height - by,
      PageUp: edge.height + PAGE,
      PageDown: edge.height - PAGE,
      Home: low,
      End: high,
    }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    keep(edge, Math.min(Math.max(to, low), high));
  }
</script>

{#if !studio.turned}
  <div class="pointer-events-none absolute inset-0">
    {#each edges as edge (edge.key)}
      <div
        class="handle"
        class:held={held?.key === edge.key}
        role="slider"
        tabindex="0"
        aria-orientation="vertical"
        aria-label="{edge.name}, height above the ground"
        aria-valuemin={tenth(low)}
        aria-valuemax={tenth(high)}
        aria-valuenow={tenth(heightOf(edge))}
        aria-valuetext="{length(heightOf(edge), studio.unit)}, {placeOf(edge)}"
        title="Drag the {edge.name}, or ↑ ↓, Page Up and Down, Home and End"
        data-handle={edge.key}
        style:transform="translateY({topOf(edge)}px)"
        style:left="{right - 30}px"
        onpointerdown={(event) => onpointerdown(event, edge)}
        {onpointermove}
        {onpointerup}
        onpointercancel={() => {
          held = table.hand = null;
          table.again();
        }}
        onkeydown={(event) => onkeydown(event, edge)}
      >
        <svg width="24" height="24" aria-hidden="true"><path d="M12 4l4 5h-8zM12 20l-4-5h8z" /></svg>
      </div>
    {/each}
  </div>
{/if}

<style>
  .handle {
    position: absolute;
    top: 0;
    width: 24px;
    height: 24px;
    cursor: ns-resize;
    pointer-events: auto;
    touch-action: none;
    background: var(--color-paper);
    border: 1px solid var(--color-rule);
    border-radius: 2px;
  }
  /* A finger needs more than what is drawn. */
  @media (pointer: coarse) {
    .handle::after {
      position: absolute;
      inset: -10px;
      content: "";
    }
  }
  .handle svg {
    fill: var(--color-bark);
  }
  .handle:hover,
  .handle.held,
  .handle:focus-visible {
    border-color: var(--color-leaf);
  }
  .handle.held svg,
  .handle:hover svg {
    fill: var(--color-leaf);
  }
</style>
