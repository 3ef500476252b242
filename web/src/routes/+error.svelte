<script lang="ts">
  import { page } from "$app/state";

  const here = $derived(page.status === 404);
</script>

<svelte:head><title>{here ? "Not here" : "Something is wrong"} · Basilwood</title></svelte:head>
<main class="mx-auto max-w-xl p-10">
  <h1 class="heading text-2xl">{here ? "There is nothing at this address." : "This did not work."}</h1>
  <p class="mt-3">{page.error?.message ?? ""}</p>
  <p class="mt-3 flex gap-3">
    <a class="press" href="/people">To your people</a>
    {#if !here}<button class="press" onclick={() => location.reload()}>Try again</button>{/if}
  </p>
</main>
