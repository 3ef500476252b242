<script lang="ts">
  /** The specimen sheets: how this house draws every kind, and one look on three bodies. */
  import Header from "$lib/ui/Header.svelte";

  const SHEETS = [
    ["kinds", "Every kind of piece by its main cuts and cloths, laid flat; then twelve looks, worn."],
    ["bodies", "One look on three bodies: small and full, tall and straight, a man with a belly."],
  ] as const;
  let missing = $state<Record<string, boolean>>({});
</script>

<svelte:head><title>How pieces are drawn · Basilwood</title></svelte:head>
<div class="flex min-h-dvh flex-col">
  <Header />
  <main class="mx-auto w-full max-w-[104rem] grow px-5 py-7">
    <h1 class="heading text-3xl">How pieces are drawn</h1>
    {#each SHEETS as [sheet, says] (sheet)}
      <figure class="mt-6">
        <figcaption class="mb-2">{says}</figcaption>
        {#if missing[sheet]}
          <p role="alert">This sheet could not be fetched. Load the page again.</p>
        {:else}
          <img
            class="h-auto max-w-full border border-grain"
            src="/api/specimens.svg?sheet={sheet}"
            alt={says}
            onerror={() => (missing[sheet] = true)}
          />
        {/if}
      </figure>
    {/each}
  </main>
</div>
