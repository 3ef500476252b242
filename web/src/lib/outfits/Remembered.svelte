<script lang="ts">
  /** What searches honour: rejected together, liked all the same; each can be taken back. */
  import type { Outfits } from "./outfits.svelte";

  const { outfits, onopen }: { outfits: Outfits; onopen: () => void } = $props();
  const held = $derived(outfits.remembered);
</script>

{#if held?.apart.length}
  <details class="border-b border-grain py-2 text-sm" data-testid="apart">
    <summary class="min-h-7">Rejected together: {held.apart.length}</summary>
    <ul>
      {#each held.apart as one (one.id)}
        <li class="py-1">
          {one.titles.join(", ")}{one.word ? `: ${one.word}` : ""}
          <button
            class="quiet text-xs"
            aria-label="take back: {one.titles.join(', ')} may be together again"
            onclick={() => void outfits.takeBack(one.id)}>take back</button
          >
        </li>
      {/each}
    </ul>
  </details>
{/if}
{#if held?.liked.length}
  <details class="py-2 text-sm">
    <summary class="min-h-7">Liked all the same: {held.liked.length}</summary>
    <ul>
      {#each held.liked as one (`${one.look_id} ${one.rule}`)}
        <li class="py-1">
          <span class="text-bark">{one.look || "Unnamed look"}:</span>
          {one.rule}
          <button class="quiet text-xs" onclick={() => void outfits.openLook(one.look_id).then(onopen)}
            >open it to take that back</button
          >
        </li>
      {/each}
    </ul>
  </details>
{/if}
