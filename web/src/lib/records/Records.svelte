<script lang="ts">
  /** A client's record: how they are reached, to whom they are open, in and out of the house, who saw what. */
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import OpenTo from "../studio/OpenTo.svelte";
  import Reach from "../studio/Reach.svelte";
  import Seen from "../studio/Seen.svelte";
  import Erase from "./Erase.svelte";
  import PiecesIn from "./PiecesIn.svelte";
  import TableIn from "./TableIn.svelte";

  interface Props {
    client: Schemas["ClientOut"];
    onchange: () => void;
  }
  const { client, onchange }: Props = $props();
  const path = $derived(`/api/clients/${client.id}`);
</script>

<main
  class="grid min-h-0 grow content-start gap-x-12 gap-y-8 overflow-y-auto px-6 py-5 lg:grid-cols-2"
  data-panel
  tabindex="-1"
>
  {#if studio.turned}
    <p>The screen is turned to the client; records are hidden until it is turned back.</p>
  {:else}
    <div class="space-y-8">
      <section aria-labelledby="reach">
        <h2 id="reach" class="heading text-xl">How to reach {client.name}</h2>
        <Reach client={client.id} />
      </section>
      {#if studio.may("clients")}
        <section aria-labelledby="open-to">
          <h2 id="open-to" class="heading text-xl">Open to</h2>
          <OpenTo client={client.id} />
        </section>
      {/if}
      <section aria-labelledby="in">
        <h2 id="in" class="heading text-xl">Measures from a table</h2>
        <TableIn {client} {onchange} />
      </section>
      <section aria-labelledby="pieces-in">
        <h2 id="pieces-in" class="heading text-xl">Pieces from a table</h2>
        <PiecesIn {client} />
      </section>
      {#if studio.may("hand_out")}
        <section aria-labelledby="out">
          <h2 id="out" class="heading text-xl">Take it with you</h2>
          <ul class="mt-2 space-y-3">
            <li>
              <a class="press" href="{path}/file" download>Everything, as a client file</a>
              <p class="mt-1 text-sm text-bark">
                Brief, aims, every session with all its readings, rack, fittings, what is due, looks, who saw
                what. Open JSON; brought in under People it gives the same client again.
              </p>
            </li>
            <li class="flex flex-wrap gap-2">
              <a class="press" href="{path}/table?unit=cm" download>Measures as a table, cm</a>
              <a class="press" href="{path}/table?unit=in" download>Measures as a table, inches</a>
              <a class="press" href="{path}/rack/table?unit={studio.unit}" download>The rack as a table</a>
              <a class="press" href="{path}/pictures.zip" download>All pictures</a>
              <a class="press" href="{path}/shopping/sheet.pdf" target="_blank">Shopping numbers, PDF</a>
            </li>
          </ul>
        </section>
      {/if}
      {#if studio.may("erase")}
        <section aria-labelledby="erase">
          <h2 id="erase" class="heading text-xl">Erase for good</h2>
          <Erase {client} />
        </section>
      {/if}
    </div>
    <section aria-labelledby="seen">
      <h2 id="seen" class="heading text-xl">Who saw what</h2>
      <p class="mt-1 text-sm text-bark">
        Every look and change; the same look again within ten minutes is one.
      </p>
      <Seen client={client.id} />
    </section>
  {/if}
</main>
