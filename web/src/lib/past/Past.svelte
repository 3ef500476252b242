<script lang="ts">
  /** Memory: the sessions of a client, two of them side by side, and what changed beyond noise. */
  import { api, ask, type Schemas } from "../api/client";
  import Workbench from "../client/Workbench.svelte";
  import BodyStage from "../figure/BodyStage.svelte";
  import type { Measuring } from "../measure/measuring.svelte";
  import { studio } from "../studio.svelte";
  import { day } from "../units";
  import Changed from "./Changed.svelte";
  import Changes from "./Changes.svelte";
  import Sessions from "./Sessions.svelte";

  interface Props {
    client: Schemas["ClientOut"];
    measuring: Measuring;
  }
  const { client, measuring }: Props = $props();
  let past = $state.raw<Schemas["HistoryOut"] | null>(null);
  let compared = $state.raw<Schemas["ComparisonOut"] | null>(null);
  let trouble = $state<string | null>(null);
  let then = $state<number | null>(null);
  let now = $state<number | null>(null);
  const path = $derived({ client_id: client.id });

  async function load() {
    const told = await ask(api.GET("/api/clients/{client_id}/sessions", { params: { path } }));
    if ("refusal" in told) {
      trouble = told.refusal.message;
      return;
    }
    trouble = null;
    past = told.data;
    const measured = past.sessions.filter((session) => session.figures.length);
    now = measured[0]?.id ?? null;
    then = measured[1]?.id ?? null;
  }
  $effect(() => void load());

  let asked = 0;
  $effect(() => {
    const mine = ++asked;
    if (then === null || now === null || then === now) {
      compared = null;
      return;
    }
    const params = { path: { ...path, session_id: now, before_id: then } };
    void ask(api.GET("/api/clients/{client_id}/sessions/{session_id}/since/{before_id}", { params })).then(
      (told) => {
        if (mine !== asked) return;
        if ("data" in told) compared = told.data;
        else trouble = told.refusal.message;
      },
    );
  });
</script>

{#if trouble}
  <main class="p-8" role="alert">
    <p>{trouble}</p>
    <button class="press mt-3" onclick={() => void load()}>Try again</button>
  </main>
{:else if !past}
  <main class="p-8 text-bark"><p role="status">Looking up the sessions…</p></main>
{:else if past.sessions.length === 0}
  <main class="p-8">
    <p>Nothing has been measured yet. Each session will stand here, and what changed between any two.</p>
    <a class="press mt-3" href="#measure">Measure</a>
  </main>
{:else}
  {@const all = past}
  {@const outline = compared?.outline_after ?? measuring.desk?.outline ?? []}
  <Workbench>
    {#snippet panel()}<Sessions
        sessions={all.sessions}
        protocols={measuring.known.protocols}
        bind:then
        bind:now
      />{/snippet}
    {#snippet stage()}
      <BodyStage
        name={client.name}
        {outline}
        ghost={compared?.outline_before ?? []}
        stature={compared?.stature ?? measuring.desk?.stature ?? 170}
        marks={measuring.landmarks}
        room={150}
      >
        {#snippet over(middle)}
          {#if compared && !studio.turned}<Changed
              changes={compared.changes}
              rows={measuring.rows}
              {middle}
            />{/if}
        {/snippet}
      </BodyStage>
    {/snippet}
    {#snippet side()}<Changes {compared} sessions={all.sessions} />{/snippet}
    {#snippet under()}
      <p class="grow text-sm">
        {#if compared}The dashed outline is then, the solid one now.{:else}Choose two sessions to lay them
          over one another.{/if}
      </p>
      {#if all.due_on}
        {@const late = new Date(all.due_on) < new Date()}
        <p class="ml-4 shrink-0 text-sm {late ? 'font-semibold' : 'text-bark'}">
          {late ? "Was to be measured again by" : "Measure again by"}
          {day(all.due_on)}.
        </p>
      {/if}
    {/snippet}
  </Workbench>
{/if}
