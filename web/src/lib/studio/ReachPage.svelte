<script lang="ts">
  /** A client as the front desk has them: a name, and how they are reached. */
  import Header from "../ui/Header.svelte";
  import Reach from "./Reach.svelte";

  const { client }: { client: string } = $props();
  let name = $state("");
</script>

<div class="flex min-h-dvh flex-col">
  <Header />
  <main class="mx-auto w-full max-w-4xl grow px-5 py-7">
    <h1 class="heading border-b-2 border-walnut pb-2 text-3xl">{name || "A client"}</h1>
    <section class="mt-5" aria-labelledby="reach">
      <h2 id="reach" class="heading text-xl">How to reach them</h2>
      <Reach {client} onname={(told) => (name = told)} />
    </section>
  </main>
</div>
