<script lang="ts">
  /** A piece of the rack as it hangs, or as it comes back from the tailor. */
  import type { Piece, Slot } from "../api/client";
  import type { LookTable } from "./table.svelte";

  const { table, slot, piece }: { table: LookTable; slot: Slot; piece: Piece } = $props();
  const due = $derived(table.rail.dueOf(table.draft.fromRack[slot]));
  const value = (figure: string) => (piece as unknown as Record<string, unknown>)[figure];
</script>

{#each due as one (one.id)}
  <label class="flex min-h-8 items-center gap-2 text-sm" data-due={one.figure}>
    <input
      type="checkbox"
      class="size-4 accent-leaf"
      checked={value(one.figure) === one.then}
      onchange={(event) =>
        table.draft.change(
          slot,
          { [one.figure]: event.currentTarget.checked ? one.then : one.now },
          `${slot}, as altered`,
        )}
    />
    <span>as altered: <span class="text-bark">{one.text}</span></span>
  </label>
{/each}
