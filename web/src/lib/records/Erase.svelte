<script lang="ts">
  /** Erase a client with everything recorded of them. The name has to be typed; the proof stays. */
  import { api, ask, type Schemas } from "../api/client";
  import { notice } from "../ui/notice.svelte";

  const { client }: { client: Schemas["ClientOut"] } = $props();
  let name = $state("");
  let trouble = $state<string | null>(null);
  let proof = $state.raw<Schemas["ErasureOut"] | null>(null);

  async function erase(event: SubmitEvent) {
    event.preventDefault();
    const params = { path: { client_id: client.id } };
    const told = await ask(api.POST("/api/clients/{client_id}/erase", { params, body: { name } }));
    if ("refusal" in told) {
      trouble = told.refusal.message;
      return;
    }
    proof = told.data;
    trouble = null;
    notice.say("Erased. The proof stands under People.");
    // What is on this screen is gone: leave it for good, so that nothing of it stays in memory.
    location.assign("/people#erased");
  }
</script>

{#if proof}
  <p role="status">Erased.</p>
{:else}
  <p class="mt-1 text-sm text-bark">
    Name, brief, sessions, readings, rack and looks go, and cannot be brought back. What stays is a proof
    without a name: when, by whom, how many rows.
  </p>
  <form onsubmit={erase} class="mt-2 flex flex-wrap items-end gap-3">
    <label class="grow text-sm text-bark">
      Type “{client.name}” to erase
      <input
        class="field text-walnut"
        autocomplete="off"
        bind:value={name}
        aria-invalid={trouble ? "true" : undefined}
        aria-describedby={trouble ? "erase-trouble" : undefined}
      />
    </label>
    <button class="press" disabled={!name.trim()}>Erase for good</button>
  </form>
  {#if trouble}<p id="erase-trouble" role="alert" class="mt-1 text-madder">{trouble}</p>{/if}
{/if}
