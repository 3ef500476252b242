<script lang="ts">
  import { untrack } from "svelte";
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import { api, ask } from "$lib/api/client";
  import { PeopleList } from "$lib/people/list.svelte";
  import PersonRow from "$lib/people/PersonRow.svelte";
  import Erasures from "$lib/records/Erasures.svelte";
  import FileIn from "$lib/records/FileIn.svelte";
  import { studio } from "$lib/studio.svelte";
  import Header from "$lib/ui/Header.svelte";
  import { alone } from "$lib/ui/letters.svelte";
  import type { PageProps } from "./$types";

  const { data }: PageProps = $props();
  const list = new PeopleList(untrack(() => data.people));
  let name = $state("");
  let trouble = $state<string | null>(null);
  let search: HTMLInputElement;
  let header: Header;
  let proofs = $state(page.url.hash === "#erased");

  async function add(event: SubmitEvent) {
    event.preventDefault();
    const told = await ask(api.POST("/api/clients", { body: { name, note: "" } }));
    if ("refusal" in told) trouble = told.refusal.message;
    else await goto(`/people/${told.data.id}`);
  }

  function onkeydown(event: KeyboardEvent) {
    if (!alone(event)) return;
    if (event.key === "/") {
      event.preventDefault();
      search.focus();
    } else if (event.key === "?") header.showKeys();
    else if (event.key === "u") void header.otherUnit();
  }
</script>

<svelte:head><title>People · Basilwood</title></svelte:head>
<svelte:window {onkeydown} />
<div class="flex min-h-dvh flex-col">
  <Header bind:this={header} />
  <main class="mx-auto w-full max-w-4xl grow px-5 py-7">
    <div class="flex flex-wrap items-end gap-x-8 gap-y-3">
      <h1 class="heading text-3xl">People</h1>
      <div class="w-56">
        <label for="search" class="text-sm text-bark">Find <span class="key letter">/</span></label>
        <input
          id="search"
          type="search"
          class="field"
          bind:this={search}
          value={list.sought}
          oninput={(event) => list.find(event.currentTarget.value)}
        />
      </div>
      <form onsubmit={add} class="ml-auto flex items-end gap-2">
        <div class="w-56">
          <label for="name" class="text-sm text-bark">New client’s name</label>
          <input
            id="name"
            class="field"
            required
            bind:value={name}
            autocomplete="off"
            aria-invalid={trouble ? "true" : undefined}
            aria-describedby={trouble ? "name-trouble" : undefined}
          />
        </div>
        <button class="press" data-main>Add</button>
      </form>
    </div>
    {#if trouble}<p id="name-trouble" role="alert" class="mt-2 text-right text-madder">{trouble}</p>{/if}
    {#if list.trouble}
      <p role="alert" class="mt-2 text-madder">
        {list.trouble}
        <button class="quiet" onclick={() => void list.refresh()}>Try again</button>
      </p>
    {/if}
    <div class="mt-6 border-t-2 border-walnut" aria-busy={list.busy} data-found={list.found}>
      {#if list.rows.length === 0}
        {#if list.found}<p class="py-6">Nobody matches “{list.found.slice(0, 60)}”.</p>
        {:else}<p class="py-6">
            Nobody here yet. Type a name above and press Enter: the rule is ready for them.
          </p>{/if}
      {:else}
        <ul>
          {#each list.rows as client (client.id)}<PersonRow {client} onchange={() => list.refresh()} />{/each}
        </ul>
        {#if list.rows.length < list.total}
          <p class="flex items-center gap-4 py-3 text-sm text-bark">
            {list.rows.length} of {list.total}
            <button class="press" disabled={list.busy} onclick={() => void list.more()}>Show more</button>
          </p>
        {/if}
      {/if}
    </div>
    <div class="mt-10 space-y-2">
      {#if studio.may("clients")}
        <details>
          <summary class="min-h-8 cursor-pointer py-1">Bring in a client file</summary>
          <div class="mt-1 max-w-xl"><FileIn /></div>
        </details>
      {/if}
      {#if studio.may("erase")}
        <details id="erased" bind:open={proofs}>
          <summary class="min-h-8 cursor-pointer py-1">Proofs of erasure</summary>
          {#if proofs}<Erasures />{/if}
        </details>
      {/if}
    </div>
  </main>
</div>
