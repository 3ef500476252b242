<script lang="ts">
  import { said } from "../units";
  import type { Look } from "../api/client";
  import type { LookTable } from "./table.svelte";

  interface Props {
    table: LookTable;
    onopen: () => void;
  }
  const { table, onopen }: Props = $props();
  let trouble = $state<string | null>(null);
  const compare = $derived(table.compare);

  const sentence = (look: Look) =>
    look.pieces
      .map((piece) =>
        [piece.colour, piece.cut, piece.is]
          .filter(Boolean)
          .map((w) => said(w!))
          .join(" "),
      )
      .join(", ");
</script>

<div class="flex items-baseline justify-between">
  <p class="text-sm text-bark">Kept as you go; the last changed first.</p>
  <button class="press" onclick={() => void table.draft.blank().then(onopen)}>New look</button>
</div>
{#if compare.held.length}
  <p class="mt-1 text-sm">
    {compare.held.length === 1
      ? "Hold up another to see both side by side."
      : `${compare.held.length} side by side.`}
    <button class="quiet" onclick={() => void compare.clear()}>Put them down</button>
  </p>
{/if}
{#if compare.trouble}<p role="alert" class="text-sm text-madder">{compare.trouble}</p>{/if}
{#if trouble}<p role="alert" class="text-sm text-madder">{trouble}</p>{/if}
<ul class="mt-2">
  {#each table.draft.looks as look (look.id)}
    <li class="flex items-start gap-2 border-t border-grain py-1.5">
      <button
        class="grow text-left"
        aria-current={table.draft.id === look.id ? "true" : undefined}
        onclick={() => void table.draft.open(look).then(onopen)}
      >
        <span class="block font-semibold {table.draft.id === look.id ? 'text-leaf' : ''}">
          {look.name || "Unnamed look"}
        </span>
        <span class="block text-sm text-bark">{sentence(look) || "nothing on yet"}</span>
      </button>
      <button
        class="press min-h-7 px-1.5 py-0 text-sm"
        aria-pressed={compare.has(look)}
        aria-label="Hold up {look.name || 'unnamed look'} beside others"
        data-hold={look.name}
        onclick={() => void compare.toggle(look)}>Hold up</button
      >
      <button
        class="quiet text-sm"
        aria-label="Remove {look.name || 'unnamed look'}"
        onclick={async () => (trouble = await table.draft.remove(look))}
      >
        Remove
      </button>
    </li>
  {:else}
    <li class="border-t border-grain py-3">
      No look yet. Choose a top, a bottom or shoes under <em>Dress</em>; it is kept from the first word on.
    </li>
  {/each}
</ul>
