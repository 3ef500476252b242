<script lang="ts">
  /** The reading of the body, as it is measured now. */
  import { api, ask, type Schemas } from "../api/client";
  import Schools from "../client/Schools.svelte";
  import type { LookTable } from "../client/table.svelte";
  import Workbench from "../client/Workbench.svelte";
  import BodyStage from "../figure/BodyStage.svelte";
  import type { Measuring } from "../measure/measuring.svelte";
  import { studio } from "../studio.svelte";
  import Borders from "./Borders.svelte";
  import Places from "./Places.svelte";
  import Read from "./Read.svelte";

  interface Props {
    client: Schemas["ClientOut"];
    measuring: Measuring;
    table: LookTable;
  }
  const { client, measuring, table }: Props = $props();
  const desk = $derived(measuring.desk);
  let reading = $state.raw<Schemas["BodyReadingOut"] | null>(null);
  let trouble = $state<string | null>(null);
  // The sentences are said in the studio's unit: ask again when it or the body changes.
  $effect(() => {
    void [studio.unit, measuring.desk];
    void load();
  });

  async function load() {
    const path = { params: { path: { client_id: client.id } } };
    const told = await ask(api.GET("/api/clients/{client_id}/reading", path));
    trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) reading = told.data;
  }
</script>

{#if trouble}
  <main class="p-8" role="alert">
    <p>{trouble}</p>
    <button class="press mt-3" onclick={() => void load()}>Try again</button>
  </main>
{:else if !reading || !desk}
  <main class="p-8 text-bark"><p role="status">Reading the body…</p></main>
{:else}
  {@const read = reading}
  {@const body = desk}
  <Workbench>
    {#snippet panel()}
      <Read reading={read} />
      {#if !studio.turned}<div class="mt-4"><Schools {table} /></div>{/if}
    {/snippet}
    {#snippet stage()}
      <BodyStage
        name={client.name}
        outline={body.outline}
        stature={body.stature}
        marks={measuring.landmarks}
        room={150}
      >
        {#snippet over(middle)}<Places reading={read} {middle} />{/snippet}
      </BodyStage>
    {/snippet}
    {#snippet side()}<Borders reading={read} />{/snippet}
    {#snippet under()}
      <p class="text-sm">
        {#if body.sessions === 0}
          Nothing is measured yet: this is the average body until the tape says otherwise.
        {:else}
          Arrows inwards mark narrow places, where edges belong; outwards, wide ones; each figure is the girth
          beside the next wide or narrow place. Dashed is estimated.
        {/if}
      </p>
    {/snippet}
  </Workbench>
{/if}
