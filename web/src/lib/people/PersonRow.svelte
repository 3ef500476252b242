<script lang="ts">
  /** One client on the list: open, rename, take off the list. */
  import { tick } from "svelte";
  import { api, ask, type Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { notice } from "../ui/notice.svelte";
  import { day } from "../units";

  interface Props {
    client: Schemas["ClientRow"];
    onchange: () => Promise<void>;
  }
  const { client, onchange }: Props = $props();
  let edited = $state<{ version: number } | null>(null);
  let name = $state("");
  let note = $state("");
  let trouble = $state<string | null>(null);
  let input = $state<HTMLInputElement>();
  const path = $derived({ params: { path: { client_id: client.id } } });
  const due = $derived(client.due_on && new Date(client.due_on) < new Date());

  async function edit() {
    ({ name, note } = client);
    edited = { version: client.version };
    trouble = null;
    await tick();
    input?.focus();
  }

  async function change(event: SubmitEvent) {
    event.preventDefault();
    if (!edited) return;
    const body = { version: edited.version, name, note };
    const told = await ask(api.PATCH("/api/clients/{client_id}", { ...path, body }));
    if ("refusal" in told) {
      const theirs = told.refusal.current as Schemas["ClientRow"] | undefined;
      trouble = theirs
        ? `${told.refusal.message} It now says “${theirs.name}: ${theirs.note}”. Keep again to put yours over it.`
        : told.refusal.message;
      if (theirs) edited = theirs;
      return;
    }
    edited = null;
    await onchange();
  }

  async function remove() {
    const told = await ask(api.DELETE("/api/clients/{client_id}", path));
    if ("refusal" in told) {
      notice.say(told.refusal.message);
      return;
    }
    const undo = path;
    await onchange();
    const back = async () => {
      await ask(api.POST("/api/clients/{client_id}/restore", undo));
      await onchange();
    };
    notice.say(`${client.name.slice(0, 40)} is off the list.`, { name: "Undo", run: () => void back() });
  }
</script>

<li class="flex flex-wrap items-center gap-x-4 border-b border-rule hover:bg-sheet min-[43.75em]:flex-nowrap">
  {#if edited}
    <form
      onsubmit={change}
      class="grid grow items-end gap-3 px-1 py-2 min-[43.75em]:grid-cols-[14rem_1fr_auto_auto]"
    >
      <label class="text-sm text-bark">
        Name<input id="new-name" class="field" required bind:this={input} bind:value={name} />
      </label>
      <label class="text-sm text-bark">Note<input class="field" bind:value={note} /></label>
      <button class="press" data-main>Keep</button>
      <button class="press" type="button" onclick={() => (edited = null)}>Leave</button>
      {#if trouble}<p role="alert" class="text-madder min-[43.75em]:col-span-4">{trouble}</p>{/if}
    </form>
  {:else}
    <a
      href="/people/{client.id}"
      class="grid w-full min-w-0 grow gap-x-6 px-1 pt-2.5 min-[43.75em]:w-auto min-[43.75em]:grid-cols-[1fr_auto] min-[43.75em]:pb-2.5"
    >
      <span class="heading text-lg min-[43.75em]:truncate">{client.name}</span>
      <span class="self-center text-sm min-[43.75em]:row-span-2 min-[43.75em]:text-right">
        {#if !studio.may("work")}
          <span class="text-bark">How to reach them</span>
        {:else if client.measures}
          {client.measures}
          {client.measures === 1 ? "measure" : "measures"}{#if due}, <strong>measure again</strong>{/if}
        {:else}<span class="text-bark">not measured yet</span>{/if}
        <span class="block text-bark" class:hidden={!studio.may("work")}>
          {client.looks
            ? `${client.looks} ${client.looks === 1 ? "look" : "looks"}`
            : "no looks"}{client.due_on ? ` · ${due ? "was due" : "due"} ${day(client.due_on)}` : ""}
        </span>
      </span>
      <span class="truncate text-sm text-bark">{client.note || (studio.may("work") ? "No note" : "")}</span>
    </a>
    {#if studio.may("work")}
      <button class="quiet text-sm" aria-label="Rename {client.name}" onclick={() => void edit()}
        >Rename</button
      >
    {/if}{#if studio.may("clients")}
      <button class="quiet text-sm" aria-label="Remove {client.name}" onclick={() => void remove()}
        >Remove</button
      >
    {/if}
  {/if}
</li>
