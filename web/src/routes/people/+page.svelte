<script lang="ts">
  import { tick } from "svelte";
  import { goto, invalidate } from "$app/navigation";
  import { api, ask, type Schemas } from "$lib/api/client";
  import Header from "$lib/ui/Header.svelte";
  import { notice } from "$lib/ui/notice.svelte";
  import type { PageProps } from "./$types";

  const { data }: PageProps = $props();
  let sought = $state("");
  let name = $state("");
  let trouble = $state<string | null>(null);
  let search: HTMLInputElement;
  let header: Header;

  const shown = $derived(
    data.people.filter((one) =>
      `${one.name} ${one.note}`.toLocaleLowerCase().includes(sought.trim().toLocaleLowerCase()),
    ),
  );
  const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long" });
  const refresh = () => invalidate("studio:people");

  async function add(event: SubmitEvent) {
    event.preventDefault();
    const told = await ask(api.POST("/api/clients", { body: { name, note: "" } }));
    if ("refusal" in told) {
      trouble = told.refusal.message;
      return;
    }
    await refresh();
    await goto(`/people/${told.data.id}`);
  }

  async function remove(client: Schemas["ClientRow"]) {
    const path = { params: { path: { client_id: client.id } } };
    const told = await ask(api.DELETE("/api/clients/{client_id}", path));
    if ("refusal" in told) {
      notice.say(told.refusal.message);
      return;
    }
    await refresh();
    const back = async () => {
      await ask(api.POST("/api/clients/{client_id}/restore", path));
      await refresh();
    };
    notice.say(`${client.name.slice(0, 40)} is off the list.`, { name: "Undo", run: () => void back() });
  }

  let edited = $state<Schemas["ClientRow"] | null>(null);
  let newName = $state("");
  let newNote = $state("");
  let editTrouble = $state<string | null>(null);

  async function edit(client: Schemas["ClientRow"]) {
    edited = client;
    newName = client.name;
    newNote = client.note;
    editTrouble = null;
    await tick();
    document.querySelector<HTMLInputElement>("#new-name")?.focus();
  }

  async function change(event: SubmitEvent) {
    event.preventDefault();
    if (!edited) return;
    const body = { version: edited.version, name: newName, note: newNote };
    const told = await ask(
      api.PATCH("/api/clients/{client_id}", { params: { path: { client_id: edited.id } }, body }),
    );
    if ("refusal" in told) {
      const theirs = told.refusal.current as Schemas["ClientRow"] | undefined;
      editTrouble = theirs
        ? `${told.refusal.message} It now says “${theirs.name}: ${theirs.note}”. Keep again to put yours over it.`
        : told.refusal.message;
      if (theirs) edited = theirs;
      return;
    }
    edited = null;
    await refresh();
  }

  function onkeydown(event: KeyboardEvent) {
    const typing = (event.target as HTMLElement).matches("input, textarea");
    if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === "/") {
      event.preventDefault();
      search.focus();
    } else if (event.key === "u") void header.otherUnit();
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
        <label for="search" class="text-sm text-bark">Find <span class="key">/</span></label>
        <input id="search" type="search" class="field" bind:this={search} bind:value={sought} />
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
    <div class="mt-6 border-t-2 border-walnut">
      {#if data.people.length === 0}
        <p class="py-6">Nobody here yet. Type a name above and press Enter: the rule is ready for them.</p>
      {:else if shown.length === 0}
        <p class="py-6">Nobody matches “{sought.slice(0, 60)}”.</p>
      {:else}
        <ul>
          {#each shown as client (client.id)}
            <li class="flex items-center gap-4 border-b border-rule hover:bg-sheet">
              {#if edited?.id === client.id}
                <form
                  onsubmit={change}
                  class="grid grow grid-cols-[14rem_1fr_auto_auto] items-end gap-3 px-1 py-2"
                >
                  <label class="text-sm text-bark">
                    Name<input id="new-name" class="field" required bind:value={newName} />
                  </label>
                  <label class="text-sm text-bark">Note<input class="field" bind:value={newNote} /></label>
                  <button class="press" data-main>Keep</button>
                  <button class="press" type="button" onclick={() => (edited = null)}>Leave</button>
                  {#if editTrouble}<p role="alert" class="col-span-4 text-madder">{editTrouble}</p>{/if}
                </form>
              {:else}
                <a
                  href="/people/{client.id}"
                  class="grid min-w-0 grow grid-cols-[1fr_auto] gap-x-6 px-1 py-2.5"
                >
                  <span class="heading truncate text-lg">{client.name}</span>
                  <span class="row-span-2 self-center text-right text-sm">
                    {#if client.measures}{client.measures}
                      {client.measures === 1 ? "measure" : "measures"}{:else}<span class="text-bark"
                        >not measured yet</span
                      >{/if}
                    <span class="block text-bark">
                      {client.looks ? `${client.looks} ${client.looks === 1 ? "look" : "looks"}` : "no looks"} ·
                      {day.format(new Date(client.changed_at))}
                    </span>
                  </span>
                  <span class="truncate text-sm text-bark">{client.note || "No note"}</span>
                </a>
                <button
                  class="quiet text-sm"
                  aria-label="Rename {client.name}"
                  onclick={() => void edit(client)}
                >
                  Rename
                </button>
                <button
                  class="quiet text-sm"
                  aria-label="Remove {client.name}"
                  onclick={() => void remove(client)}>Remove</button
                >
              {/if}
            </li>
          {/each}
        </ul>
      {/if}
    </div>
  </main>
</div>
