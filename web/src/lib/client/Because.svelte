<script lang="ts">
  /** Why the best of the looks held up is better than the next, and what leads each of them. */
  import type { Look, Schemas } from "../api/client";
  import { studio } from "../studio.svelte";

  const { told, held }: { told: Schemas["ComparedOut"]; held: Look[] } = $props();
  const nameOf = (i: number) => held[i]?.name || "Unnamed look";
</script>

<section aria-label="Why" class="h-full overflow-y-auto px-4 py-3" data-testid="because">
  {#if studio.turned}
    <p>What each look does for you stands above it.</p>
  {:else}
    <h2 class="heading text-lg">Why {nameOf(told.best)}</h2>
    {#each told.because as sentence (sentence)}<p class="mt-1">{sentence}</p>
    {:else}<p class="mt-1">The rules find no difference that counts.</p>{/each}
    {#each told.looks as look, i (held[i]?.id ?? i)}
      <h3 class="heading mt-4">{nameOf(i)}</h3>
      <p class="text-sm">{look.leading.join(" · ") || "Nothing stands out."}</p>
    {/each}
  {/if}
</section>
