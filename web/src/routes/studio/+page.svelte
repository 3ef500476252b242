<script lang="ts">
  /** The studio itself: who works here, who saw what, and how long clients are kept. */
  import { page } from "$app/state";
  import Members from "$lib/studio/Members.svelte";
  import Keeping from "$lib/studio/Keeping.svelte";
  import SeenSearch from "$lib/studio/SeenSearch.svelte";
  import { studio } from "$lib/studio.svelte";
  import Header from "$lib/ui/Header.svelte";

  const PARTS = [
    ["members", "Members"],
    ["seen", "Who saw what"],
    ["keeping", "Keeping and erasing"],
  ] as const;
  const here = $derived(PARTS.find(([key]) => `#${key}` === page.url.hash)?.[0] ?? "members");
</script>

<svelte:head><title>Studio · Basilwood</title></svelte:head>
<div class="flex min-h-dvh flex-col">
  <Header />
  <main class="mx-auto w-full max-w-5xl grow px-5 py-7">
    <div class="flex flex-wrap items-end gap-x-8 border-b-2 border-walnut pb-2">
      <h1 class="heading text-3xl">{studio.me?.studio.name}</h1>
      <nav aria-label="Parts of the studio" class="flex flex-wrap gap-x-2">
        {#each PARTS as [key, name] (key)}
          <a
            class="quiet flex items-center aria-[current=page]:decoration-leaf aria-[current=page]:decoration-2"
            href="#{key}"
            aria-current={here === key ? "page" : undefined}>{name}</a
          >
        {/each}
      </nav>
    </div>
    {#if !studio.may("members")}
      <p class="py-6">This is for the owner of the studio.</p>
    {:else if here === "members"}<Members />
    {:else if here === "seen"}<SeenSearch />
    {:else}<Keeping />{/if}
  </main>
</div>
