<script lang="ts">
  /** What was measured while the server did not answer, and what of it the server then did not take. */
  import type { Item } from "../api/outbox.svelte";
  import type { Measuring } from "./measuring.svelte";
  import type { Unsent } from "./unsent";

  const { measuring }: { measuring: Measuring } = $props();
  const waiting = $derived(measuring.outbox.waiting.filter((item) => item.what.kind === "reading").length);

  /** It was looked at again and is right: keep it as it is. */
  async function insist(item: Item<Unsent>) {
    if (item.what.kind !== "reading") return;
    // Somebody else's may have come meanwhile: mine is put beside it.
    await measuring.load();
    const newest = measuring.counting(item.what.body.measure).at(-1);
    const body = { ...item.what.body, checked: true, after: newest?.id ?? null };
    await measuring.outbox.again(item.key, { ...item.what, body });
  }
</script>

{#if waiting}
  <p class="mb-3 border-l-[3px] border-dashed border-rule pl-3 text-sm" role="status" data-waiting={waiting}>
    {waiting === 1 ? "One reading waits" : `${waiting} readings wait`} on this device for the connection.
  </p>
{/if}
{#if measuring.outbox.refused.length}
  <ul class="mb-3 border-l-[3px] border-madder pl-3 text-sm" role="alert">
    {#each measuring.outbox.refused as item (item.key)}
      <li class="py-1" data-refused>
        {#if item.what.kind === "reading"}
          <span class="font-medium first-letter:uppercase">{item.what.label} {item.what.body.typed}</span>:
        {/if}
        {item.refused}
        <span class="flex flex-wrap gap-x-3">
          {#if item.what.kind === "reading"}
            <button class="quiet" onclick={() => void insist(item)}>Keep mine</button>
          {/if}
          <button class="quiet" onclick={() => measuring.outbox.drop(item.key)}>Let it go</button>
        </span>
      </li>
    {/each}
  </ul>
{/if}
