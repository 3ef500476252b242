<script lang="ts">
  /** A client file brought in: what it holds is shown, and kept only when it is confirmed. */
  import { goto } from "$app/navigation";
  import { api, ask, type Schemas } from "../api/client";
  import TextIn from "./TextIn.svelte";

  let text = $state("");
  let held = $state.raw<Schemas["FilePreview"] | null>(null);
  let trouble = $state<string | null>(null);
  let busy = $state(false);
  $effect(() => {
    void text;
    held = null;
  });

  async function preview(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    const told = await ask(api.POST("/api/client-files/preview", { body: { text } }));
    busy = false;
    trouble = "refusal" in told ? told.refusal.message : null;
    held = "data" in told ? told.data : null;
  }

  async function keep() {
    busy = true;
    const told = await ask(api.POST("/api/client-files", { body: { text, again: Boolean(held?.before) } }));
    busy = false;
    if ("refusal" in told) trouble = told.refusal.message;
    else await goto(`/people/${told.data.id}`);
  }
</script>

<form onsubmit={preview}>
  <TextIn label="Paste a client file" accept=".json,application/json" rows={3} bind:text />
  <button class="press mt-2" disabled={busy || !text.trim()}>Read the file</button>
</form>
{#if trouble}<p role="alert" class="mt-2 text-madder">{trouble}</p>{/if}
{#if held}
  <p class="mt-3">
    <strong>{held.name}</strong>: {held.sessions}
    {held.sessions === 1 ? "session" : "sessions"}, {held.readings} readings,
    {held.looks}
    {held.looks === 1 ? "look" : "looks"}.
  </p>
  {#if held.before}<p class="mt-2 border-l-2 border-madder pl-3" data-testid="before">{held.before}</p>{/if}
  <button
    class="press mt-2"
    data-main={held.before ? undefined : ""}
    disabled={busy}
    onclick={() => void keep()}
  >
    {held.before ? "Bring them in once more" : "Bring them in"}
  </button>
{/if}
