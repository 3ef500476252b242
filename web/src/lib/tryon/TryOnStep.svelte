<script lang="ts">
  /** The try-on: what is expected is shown first, then what is seen, then what becomes of the piece. */
  import { onDestroy, onMount, tick, untrack } from "svelte";
  import type { Schemas } from "../api/client";
  import Workbench from "../client/Workbench.svelte";
  import BodyStage from "../figure/BodyStage.svelte";
  import PlacedEdges from "../shop/PlacedEdges.svelte";
  import type { Shop } from "../shop/shop.svelte";
  import { studio } from "../studio.svelte";
  import { alone } from "../ui/letters.svelte";
  import Decide from "./Decide.svelte";
  import Finder from "./Finder.svelte";
  import { DECISIONS } from "./form.svelte";
  import On from "./On.svelte";
  import SeenEdges from "./SeenEdges.svelte";
  import type { TryOn } from "./tryon.svelte";

  interface Props {
    client: Schemas["ClientOut"];
    tryon: TryOn;
    shop: Shop;
  }
  const { client, tryon, shop }: Props = $props();
  // The sentences are said in the studio's unit: ask again when it changes.
  $effect(() => {
    void studio.unit;
    untrack(() => void Promise.all([shop.load(), tryon.load()]));
  });
  const online = () => void tryon.outbox.flush();
  onMount(() => window.addEventListener("online", online));
  onDestroy(() => {
    window.removeEventListener("online", online);
    tryon.outbox.close();
  });

  async function log() {
    if (!(await tryon.keep(studio.unit))) return;
    await tick();
    document.querySelector<HTMLElement>("#try")?.focus();
  }

  /** Letters decide where nothing is being typed. */
  function onkeydown(event: KeyboardEvent) {
    if (!tryon.on || !tryon.open) return;
    if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      void log();
      return;
    }
    if (!alone(event)) return;
    const decided = DECISIONS.find(([, , key]) => key === event.key.toLowerCase());
    if (decided) tryon.form.decide(decided[0], tryon.on);
    else if (event.key.toLowerCase() === "y") tryon.form.allAsSaid(tryon.on);
    else return;
    event.preventDefault();
  }
</script>

<svelte:window {onkeydown} />
{#if tryon.trouble}
  <main class="p-8" role="alert">
    <p>{tryon.trouble}</p>
    <button class="press mt-3" onclick={() => void tryon.load()}>Try again</button>
  </main>
{:else if !tryon.fittings || !shop.numbers}
  <main class="p-8 text-bark"><p role="status">Laying out the rack…</p></main>
{:else}
  {@const numbers = shop.numbers}
  <Workbench>
    {#snippet panel()}<Finder {tryon} />{/snippet}
    {#snippet stage()}
      <BodyStage
        name={client.name}
        outline={numbers.outline}
        stature={numbers.stature}
        marks={shop.marks}
        lift={tryon.on?.placed.lift ?? 0}
        room={150}
      >
        {#snippet over(middle)}
          {#if tryon.on}
            <PlacedEdges edges={tryon.on.placed.edges} {middle} />
            <SeenEdges
              edges={tryon.on.placed.edges}
              toSee={tryon.on.to_see}
              typed={tryon.form.typed}
              {middle}
            />
          {/if}
        {/snippet}
      </BodyStage>
    {/snippet}
    {#snippet side()}<On {tryon} onlog={() => void log()} />{/snippet}
    {#snippet under()}
      {@const { away, waiting } = tryon.outbox}
      {#if studio.turned}<span></span>{:else}<Decide {tryon} onlog={() => void log()} />{/if}
      <p
        class="text-sm {tryon.on && !studio.turned ? 'ml-3 max-w-52 shrink-0' : ''}"
        role="status"
        data-testid="connection"
        data-unsent={waiting.length}
      >
        {#if away}
          <strong>No connection.</strong>
          {waiting.length === 1 ? "One entry waits" : `${waiting.length} entries wait`} here, and will be sent.
        {:else if waiting.length}
          Sending {waiting.length}…
        {:else if !tryon.open}
          Begin a fitting: at the client’s wardrobe or in a shop.
        {:else if !tryon.on}
          Put a piece on: what is expected of it comes first.
        {/if}
      </p>
    {/snippet}
  </Workbench>
{/if}
