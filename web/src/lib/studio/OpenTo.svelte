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

  /** It stands so at once; what is sent goes one after the other, each with all that was said before it. */
  let sending: Promise<unknown> = Promise.resolve();
  let waiting = $state(0);
  function put(change: Partial<Pick<Schemas["AssignedOut"], "restricted" | "members">>) {
    if (!held) return;
    const now = (held = { ...held, ...change });
    waiting += 1;
    sending = sending.then(async () => {
      const body = { restricted: now.restricted, members: now.members };
      const told = await ask(api.PUT("/api/clients/{client_id}/assigned", { ...path, body }));
      trouble = "refusal" in told ? told.refusal.message : null;
      if ("refusal" in told) await load();
      waiting -= 1;
    });
  }
  const toggled = (id: number, on: boolean): number[] =>
    on ? [...(held?.members ?? []), id] : (held?.members ?? []).filter((one) => one !== id);
</script>

{#if held}
  {@const row = held}
  <div class="mt-2 space-y-1" aria-busy={waiting > 0}>
    <label class="flex min-h-8 items-center gap-2"
      ><input
        type="radio"
        name="open"
        checked={!row.restricted}
        onchange={() => put({ restricted: false })}
      /> the stylists of the studio, and those ticked</label
    >
    <label class="flex min-h-8 items-center gap-2"
      ><input type="radio" name="open" checked={row.restricted} onchange={() => put({ restricted: true })} /> those
      ticked alone</label
    >
    <ul class="border-l border-rule pl-4">
      {#each among as one (one.id)}
        <li>
          <label class="flex min-h-8 items-center gap-2"
            ><input
              type="checkbox"
              checked={row.members.includes(one.id)}
              onchange={(event) => put({ members: toggled(one.id, event.currentTarget.checked) })}
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
