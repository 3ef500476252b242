<script lang="ts">
  /** How a client is reached. Kept as one leaves a field; two people at once are told. */
  import { onMount } from "svelte";
  import { api, ask, type Schemas } from "../api/client";

  const { client, onname }: { client: string; onname?: (name: string) => void } = $props();
  const path = $derived({ params: { path: { client_id: client } } });
  type Held = Schemas["ReachOut"];
  let held = $state<Held | null>(null);
  let trouble = $state<string | null>(null);
  let kept = $state(false);
  const FIELDS = [
    ["email", "Email", "email"],
    ["phone", "Phone", "tel"],
    ["address", "Address", "text"],
    ["prefers", "Likes to be reached by", "text"],
  ] as const;

  async function load() {
    const told = await ask(api.GET("/api/clients/{client_id}/reach", path));
    if ("data" in told) {
      held = told.data;
      onname?.(told.data.name);
    } else trouble = told.refusal.message;
  }
  onMount(() => void load());

  async function keep(version?: number) {
    if (!held) return;
    const { email, phone, address, prefers } = held;
    const body = { version: version ?? held.version, email, phone, address, prefers };
    const told = await ask(api.PUT("/api/clients/{client_id}/reach", { ...path, body }));
    kept = "data" in told;
    trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) held.version = told.data.version;
    else if (told.refusal.status === 409) {
      // Another field of the client was changed meanwhile: this one is put on top of it.
      const current = told.refusal.current as { version: number } | undefined;
      if (current && version === undefined) await keep(current.version);
    }
  }
</script>

{#if held}
  {@const row = held}
  <div class="mt-2 grid max-w-xl gap-x-6 gap-y-3 min-[43.75em]:grid-cols-2">
    {#each FIELDS as [key, label, type] (key)}
      <label class="text-sm"
        >{label}<input
          {type}
          id="reach-{key}"
          class="field"
          bind:value={row[key]}
          onchange={() => void keep()}
        /></label
      >
    {/each}
  </div>
  <p class="mt-1 text-sm text-bark" role="status" data-reach={kept}>{kept ? "Kept" : ""}</p>
{:else if !trouble}<p class="text-sm text-bark" role="status">Looking it up…</p>{/if}
{#if trouble}<p class="text-madder" role="alert">{trouble}</p>{/if}
