<script lang="ts">
  /** Where one is signed in: device and place, each to be ended. */
  import { onMount } from "svelte";
  import { deviceOf } from "./devices";
  import { accounts } from "./accounts";

  interface Held {
    id: number;
    user_agent: string;
    ip: string;
    created_at: number;
    is_current: boolean;
  }
  let rows = $state.raw<Held[] | null>(null);
  let trouble = $state<string | null>(null);
  const others = $derived(rows?.filter((row) => !row.is_current) ?? []);

  async function load() {
    const told = await accounts<Held[]>("GET", "/auth/sessions");
    if (told.ok) rows = told.data ?? [];
    else trouble = told.said;
  }
  onMount(() => void load());

  async function end(which: Held[]) {
    const told = await accounts("DELETE", "/auth/sessions", { sessions: which.map((one) => one.id) });
    trouble = told.ok ? null : told.said;
    await load();
  }
  const when = (at: number) =>
    new Date(at * 1000).toLocaleString("en-GB", {
      day: "numeric",
      month: "long",
      hour: "2-digit",
      minute: "2-digit",
    });
</script>

{#if trouble}<p class="text-madder" role="alert">{trouble}</p>{/if}
{#if !rows}
  <p class="text-sm text-bark" role="status">Looking them up…</p>
{:else}
  <ul class="mt-2 border-t border-rule">
    {#each rows as row (row.id)}
      <li
        class="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5"
        data-current={row.is_current}
      >
        <span class="w-40 font-medium">{deviceOf(row.user_agent)}</span>
        <span class="grow text-sm text-bark">from {row.ip}, since {when(row.created_at)}</span>
        {#if row.is_current}<span class="px-1.5 text-sm">this one</span>
        {:else}<button class="quiet" onclick={() => void end([row])}>End it</button>{/if}
      </li>
    {/each}
  </ul>
  {#if others.length}
    <button class="press mt-3" onclick={() => void end(others)}>End all others</button>
  {/if}
{/if}
