<script lang="ts">
  /** The client's pieces below the floor: what goes with what is on, the best first. */
  import { onMount } from "svelte";
  import type { Piece } from "../api/client";
  import PieceFlat from "../rack/PieceFlat.svelte";
  import { studio } from "../studio.svelte";
  import Mark from "../ui/Mark.svelte";
  import { titleOf, UNDER } from "./kinds";
  import { said } from "../units";
  import type { LookTable } from "./table.svelte";

  interface Props {
    table: LookTable;
    /** Find looks that hold all these pieces of the rack: what is on, completed. */
    onfinish: (pieces: string[]) => void;
  }
  const { table, onfinish }: Props = $props();
  const on = $derived(Object.values(table.draft.fromRack).flatMap((id) => id ?? []));
  const rail = $derived(table.rail);
  const SAID = { works: "works", watch: "nearly works", against: "does not work" };
  onMount(() => void table.rail.load());

  /** The layer that another can go over: there are two at most. */
  const under = $derived(table.draft.pieces[UNDER] ? null : table.draft.pieces.layer);
  const putOver = (piece: { id: string; title: string; piece: Record<string, unknown> }) =>
    table.draft.wearOver(piece.piece as Piece, `the ${piece.title} over it`, piece.id);
  const putOn = (piece: { id: string; title: string; piece: Record<string, unknown> }) =>
    table.draft.wear([piece.piece as Piece], `the ${piece.title}`, piece.id);
</script>

{#if rail.trouble}
  <p role="alert" class="px-4 py-2 text-sm">
    {rail.trouble} <button class="quiet" onclick={() => void rail.load()}>Try again</button>
  </p>
{:else if rail.pieces?.length === 0}
  <p class="px-4 py-2 text-sm text-bark">
    The rack is empty: looks can be said in words above, or <a class="quiet" href="#rack">hang pieces first</a
    >.
  </p>
{:else if rail.pieces}
  <div class="flex min-h-0 items-stretch">
    <div class="flex w-36 shrink-0 flex-col gap-0.5 py-1 pl-4 text-sm">
      <select class="field" aria-label="From the rack" bind:value={rail.slot}>
        <option value="">from the rack</option>
        {#each rail.slots as slot (slot)}<option value={slot}>{titleOf(slot)}</option>{/each}
      </select>
      <input
        type="search"
        class="field"
        aria-label="Find on the rack"
        placeholder="find"
        bind:value={rail.sought}
      />
      {#if on.length && !studio.turned}
        <button class="press min-h-7 px-1.5 py-0" data-testid="finish" onclick={() => onfinish(on)}
          >Finish it</button
        >
      {/if}
    </div>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <!-- It scrolls and may be empty: the keyboard reaches it all the same. -->
    <ul
      class="relative flex min-w-0 grow overflow-x-auto overflow-y-hidden pl-2"
      aria-label="Rail"
      tabindex="0"
    >
      {#each rail.shown as piece, i (piece.id)}
        {@const goes = rail.goes.get(piece.id)}
        <li class="relative shrink-0 {i === rail.orphans && !studio.turned ? 'pl-6' : ''}">
          {#if i === rail.orphans && !studio.turned}
            <p class="apart" data-testid="orphans">not with this</p>
          {/if}
          <button
            class="rail-piece"
            data-rail={piece.title}
            data-verdict={goes?.verdict}
            title={goes?.why ? `${piece.title}: ${goes.why}` : piece.title}
            onclick={() => putOn(piece)}
          >
            <PieceFlat flats={rail.flats} {piece} id="rail-{piece.id}" tall={60} scale={0.56} />
            <span class="flex items-baseline justify-center gap-1">
              {#if goes && !studio.turned}
                <span class="translate-y-0.5"><Mark of={goes.verdict} size={11} /></span>
                <span class="sr-only">{SAID[goes.verdict]}:</span>
              {/if}
              <span class="truncate">{piece.title}</span>
            </span>
          </button>
          {#if under && piece.slot === "layer" && !studio.turned}
            <button
              class="over"
              data-over={piece.title}
              aria-label="Wear the {piece.title} over the {said(under.is)}"
              title="over the {said(under.is)}"
              onclick={() => putOver(piece)}>over</button
            >
          {/if}
        </li>
      {:else}
        <li class="py-3 text-sm text-bark">Nothing of the rack is like that, or all of it is on.</li>
      {/each}
    </ul>
  </div>
{/if}

<style>
  .rail-piece {
    display: block;
    width: 7.2rem;
    padding: 2px 4px;
    border-top: 3px solid var(--color-bark);
    font-size: 0.8125rem;
    line-height: 1.2;
    text-align: center;
  }
  /* Between what goes and what does not, along the rail. */
  .apart {
    position: absolute;
    inset: 3px auto 0 4px;
    overflow: hidden;
    writing-mode: vertical-rl;
    transform: rotate(180deg);
    padding-left: 3px;
    border-left: 1.5px dashed var(--color-rule);
    font-size: 0.75rem;
    text-align: center;
    color: var(--color-bark);
  }
  .over {
    position: absolute;
    top: 6px;
    right: 0;
    min-height: 1.5rem;
    padding: 0 3px;
    font-size: 0.6875rem;
    color: var(--color-bark);
    border: 1px solid var(--color-rule);
    background: var(--color-sheet);
  }
  .over:hover {
    color: var(--color-leaf);
  }
  .rail-piece:hover {
    background: var(--color-sheet);
  }
</style>
