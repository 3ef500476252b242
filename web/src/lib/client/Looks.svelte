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
