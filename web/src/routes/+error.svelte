<script lang="ts">
  import { page } from "$app/state";
</script>

<svelte:head><title>Not here · Basilwood</title></svelte:head>
<main class="mx-auto max-w-xl p-10">
  <h1 class="heading text-2xl">
    {page.status === 404 ? "There is nothing at this address." : "This did not work."}
  </h1>
  <p class="mt-3"><a class="quiet" href="/people">To your people</a></p>
</main>
