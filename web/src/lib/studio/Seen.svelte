<script lang="ts">
  /** Who saw what: of one client, or of the whole studio, searched. The last stands first; days part them. */
  import { untrack } from "svelte";
  import { api, ask, type Refusal, type Schemas } from "../api/client";
  import { day } from "../units";

  type Entry = Schemas["SeenOut"];
  interface Props {
    /** Of this client alone; without, of the studio. */
    client?: string;
    sought?: { by?: number; client_id?: string; kind?: Entry["kind"]; first?: string; last?: string };
  }
  const { client, sought = {} }: Props = $props();
  let rows = $state.raw<Entry[] | null>(null);
  let total = $state(0);
  let trouble = $state<string | null>(null);
  let busy = $state(false);
  let asked = 0;

  async function load(offset: number) {
    const mine = ++asked;
    busy = true;
    const told = client
      ? await ask(
          api.GET("/api/clients/{client_id}/seen", {
            params: { path: { client_id: client }, query: { offset } },
          }),
        )
      : await ask(api.GET("/api/seen", { params: { query: { ...sought, offset } as never } }));
    if (mine !== asked) return;
    busy = false;
    take(told as { data: Schemas["SeenList"] } | { refusal: Refusal }, offset);
  }

  function take(told: { data: Schemas["SeenList"] } | { refusal: Refusal }, offset: number) {
    trouble = "refusal" in told ? told.refusal.message : null;
    if ("refusal" in told) return;
    total = told.data.total;
    rows = offset ? [...(rows ?? []), ...told.data.rows] : told.data.rows;
  }
  $effect(() => {
    void [client, JSON.stringify(sought)];
    untrack(() => void load(0));
  });
  /** What somebody did in a row from one place stands in one line. */
  interface Line {
    first: Entry;
    what: string[];
  }
  const same = (one: Entry, other: Entry): boolean =>
    (["by", "verb", "client_id", "erased", "place", "device"] as const).every(
      (key) => one[key] === other[key],
    ) && clock(one.at) === clock(other.at);
  const days = $derived.by(() => {
    const found: { day: string; lines: Line[] }[] = [];
    for (const row of rows ?? []) {
      const on = day(row.at);
      if (found.at(-1)?.day !== on) found.push({ day: on, lines: [] });
      const lines = found.at(-1)?.lines ?? [];
      const before = lines.at(-1);
      if (!before || !same(before.first, row)) lines.push({ first: row, what: [row.what] });
      else if (!before.what.includes(row.what)) before.what.unshift(row.what);
    }
    return found;
  });
  const empty = $derived(
    client
      ? "Nobody has looked yet."
      : Object.keys(sought).length
        ? "Nothing on record is like this."
        : "Nothing is on record yet.",
  );
  const listed = new Intl.ListFormat("en-GB");
  const clock = (at: string) =>
    new Date(at).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
</script>

{#if trouble}<p class="text-madder" role="alert">
    {trouble} <button class="quiet" onclick={() => void load(0)}>Try again</button>
  </p>{/if}
{#if !rows}
  {#if !trouble}<p class="text-sm text-bark" role="status">Looking it up…</p>{/if}
{:else if !rows.length}
  <p class="py-3 text-sm text-bark">
    {empty}
  </p>
{:else}
  <div aria-busy={busy} data-seen={total}>
    {#each days as one (one.day)}
      <svelte:element this={client ? "h3" : "h2"} class="heading mt-3 text-sm text-bark"
        >{one.day}</svelte:element
      >
      <ul>
        {#each one.lines as { first, what }, at (at)}
          <li class="grid grid-cols-[3.2rem_minmax(0,1fr)_auto] gap-x-3 border-b border-grain py-1 text-sm">
            <span class="text-bark">{clock(first.at)}</span>
            <span>
              <span class="font-medium">{first.by || "Somebody"}</span>
              {first.verb}
              {listed.format(what)}
              {#if !client && first.client_id}
                of <a class="underline" href="/people/{first.client_id}#records">{first.client}</a>
              {:else if !client && first.erased}
                of somebody since erased
              {/if}
            </span>
            <span class="text-right text-bark">{first.device}, {first.place}</span>
          </li>
        {/each}
      </ul>
    {/each}
    {#if rows.length < total}
      <p class="flex items-center gap-4 py-3 text-sm text-bark">
        {rows.length} of {total}
        <button class="press" disabled={busy} onclick={() => void load(rows?.length ?? 0)}>Show more</button>
      </p>
    {/if}
  </div>
{/if}
