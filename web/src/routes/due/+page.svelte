<script lang="ts">
  /** What is due in the whole studio: alterations and returns, the soonest first. */
  import Errands from "$lib/due/Errands.svelte";
  import FromClients from "$lib/due/FromClients.svelte";
  import Header from "$lib/ui/Header.svelte";
</script>

<svelte:head><title>Due · Basilwood</title></svelte:head>
<div class="flex min-h-dvh flex-col">
  <Header />
  <main class="mx-auto w-full max-w-4xl grow px-5 py-7">
    <h1 class="heading mb-4 border-b-2 border-walnut pb-2 text-3xl">Due</h1>
    <FromClients />
    <Errands wide />
  </main>
</div>
