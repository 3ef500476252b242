<script lang="ts">
  /** The body as numbers to shop with, drawn on the rule; and what a piece from a shop would do on it. */
  import { untrack } from "svelte";
  import type { Schemas } from "../api/client";
  import Workbench from "../client/Workbench.svelte";
  import BodyStage from "../figure/BodyStage.svelte";
  import { studio } from "../studio.svelte";
  import Bands from "./Bands.svelte";
  import Checks from "./Checks.svelte";
  import Numbers from "./Numbers.svelte";
  import Paste from "./Paste.svelte";
  import PlacedEdges from "./PlacedEdges.svelte";
  import { Shop } from "./shop.svelte";

  const { client, shop }: { client: Schemas["ClientOut"]; shop: Shop } = $props();
  // The sentences are said in the studio's unit: ask again when it changes.
  $effect(() => {
    void studio.unit;
    // Only the unit is listened to: what is being typed is placed when it is handed in.
    untrack(() => void Promise.all([shop.load(), shop.place()]));
  });
  const STANCES = { fits: "Fits", watch: "Look twice", against: "Does not fit yet", caution: "Take care" };
</script>

{#if shop.trouble}
  <main class="p-8" role="alert">
    <p>{shop.trouble}</p>
    <button class="press mt-3" onclick={() => void shop.load()}>Try again</button>
  </main>
{:else if !shop.numbers}
  <main class="p-8 text-bark"><p role="status">Turning the body into numbers…</p></main>
{:else}
  {@const numbers = shop.numbers}
  {@const lift = shop.placed?.lift ?? 0}
  <Workbench>
    {#snippet panel()}<Paste {shop} clientId={client.id} />{/snippet}
    {#snippet stage()}
      <BodyStage
        name={client.name}
        outline={numbers.outline}
        stature={numbers.stature}
        marks={shop.marks}
        {lift}
        room={150}
      >
        {#snippet over(middle)}
          {#if shop.placed}<PlacedEdges edges={shop.placed.edges} {middle} />
          {:else}<Bands numbers={shop.shown} {middle} />{/if}
        {/snippet}
      </BodyStage>
    {/snippet}
    {#snippet side()}
      {#if shop.placed}<Checks placed={shop.placed} />{:else}<Numbers {shop} />{/if}
    {/snippet}
    {#snippet under()}
      <p class="text-sm" aria-live="polite">
        {#if shop.placed}
          <strong data-testid="stance" data-stance={shop.placed.stance}>{STANCES[shop.placed.stance]}.</strong
          >
          <span class="inline-block first-letter:uppercase">{shop.placed.name}</span>, each edge where it
          lands on this body.
        {:else}
          Pale bands are where an edge does well; hatched ones are wide places to keep edges off.
        {/if}
      </p>
    {/snippet}
  </Workbench>
{/if}
