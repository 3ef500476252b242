<script lang="ts">
  /** Hems that can be taken hold of: dragged, or nudged with the arrow keys; let go, it is one change with one undo. */
  import { movable, moved, type Moved } from "../client/hems";
  import type { LookTable } from "../client/table.svelte";
  import type { Schemas } from "../api/client";
  import { notice } from "../ui/notice.svelte";
  import { studio } from "../studio.svelte";
  import { length, said } from "../units";
  import { useScale } from "./scale.svelte";

  const { table, right }: { table: LookTable; right: number } = $props();
  const scale = useScale();
  const STEP = 0.5;
  const LEAP = 2;
  type Edge = Schemas["EdgeOut"];
  const stature = $derived(table.assessment?.stature ?? 165);
  const edges = $derived(
    (table.assessment?.edges ?? []).filter((edge) => movable(edge, table.draft.pieces[edge.slot])),
  );
  /** The edge in the hand, as it was when it was taken; where it is now is the table's to show. */
  let held = $state.raw<Edge | null>(null);
  /** Where the stage begins on the screen, px: looked up once, since asking costs a layout. */
  let above = 0;
  const heightOf = (edge: Edge) => (table.hand?.key === edge.key ? table.hand.at : edge.height);
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
    const way = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    keep(edge, edge.height + way * (event.shiftKey ? LEAP : STEP));
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
        aria-valuemin={0}
        aria-valuemax={Math.round(stature)}
        aria-valuenow={Math.round(edge.height)}
        aria-valuetext="{length(edge.height, studio.unit)}, {edge.at}"
        title="Drag the {edge.name}, or ↑ ↓"
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
