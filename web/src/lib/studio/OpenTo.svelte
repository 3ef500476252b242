<script lang="ts">
  /** To whom a client is open: to the studio, or to those named. */
  import { onMount } from "svelte";
  import { api, ask, type Schemas } from "../api/client";
  import { ROLES } from "./roles";

  const { client }: { client: string } = $props();
  const path = $derived({ params: { path: { client_id: client } } });
  let held = $state.raw<Schemas["AssignedOut"] | null>(null);
  let trouble = $state<string | null>(null);
  /** An owner sees everybody, and the front desk names alone: only these two are told by it. */
  const among = $derived(
    held?.colleagues.filter((one) => ["stylist", "apprentice"].includes(one.role)) ?? [],
  );

  async function load() {
    const told = await ask(api.GET("/api/clients/{client_id}/assigned", path));
    if ("data" in told) held = told.data;
    else trouble = told.refusal.message;
  }
  onMount(load);

  /** It stands so at once; what changes is sent one after the other, and the last answer shows what others changed too. */
  let sending: Promise<unknown> = Promise.resolve();
  let waiting = $state(0);
  function change(body: Schemas["AssignedChange"]) {
    if (!held) return;
    const { restricted, add = [], remove = [] } = body;
    held = {
      ...held,
      restricted: restricted ?? held.restricted,
      members: [...held.members.filter((one) => !remove.includes(one)), ...add],
    };
    waiting += 1;
    sending = sending.then(async () => {
      const told = await ask(api.PATCH("/api/clients/{client_id}/assigned", { ...path, body }));
      waiting -= 1;
      trouble = "refusal" in told ? told.refusal.message : null;
      if ("refusal" in told) await load();
      else if (!waiting) held = told.data;
    });
  }
</script>

{#if held}
  {@const row = held}
  <div class="mt-2 space-y-1" aria-busy={waiting > 0}>
    <label class="flex min-h-8 items-center gap-2"
      ><input
        type="radio"
        name="open"
        checked={!row.restricted}
        onchange={() => change({ restricted: false })}
      /> the stylists of the studio, and those ticked</label
    >
    <label class="flex min-h-8 items-center gap-2"
      ><input
        type="radio"
        name="open"
        checked={row.restricted}
        onchange={() => change({ restricted: true })}
      /> those ticked alone</label
    >
    <ul class="border-l border-rule pl-4">
      {#each among as one (one.id)}
        <li>
          <label class="flex min-h-8 items-center gap-2"
            ><input
              type="checkbox"
              checked={row.members.includes(one.id)}
              onchange={(event) =>
                change(event.currentTarget.checked ? { add: [one.id] } : { remove: [one.id] })}
            />
            {one.name} <span class="text-sm text-bark">{ROLES[one.role].name.toLowerCase()}</span></label
          >
        </li>
      {/each}
    </ul>
    <p class="text-sm text-bark">An owner sees every client.</p>
  </div>
{:else if !trouble}<p class="text-sm text-bark" role="status">Looking it up…</p>{/if}
{#if trouble}<p class="text-madder" role="alert">{trouble}</p>{/if}
