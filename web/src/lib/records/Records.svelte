<script lang="ts">
  /** A client in and out of the house: the open file, the table of measures, and erasure for good. */
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
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
      <section aria-labelledby="in">
        <h2 id="in" class="heading text-xl">Measures from a table</h2>
        <TableIn {client} {onchange} />
      </section>
      <section aria-labelledby="pieces-in">
        <h2 id="pieces-in" class="heading text-xl">Pieces from a table</h2>
        <PiecesIn {client} />
      </section>
    </div>
    <div class="space-y-8">
      <section aria-labelledby="out">
        <h2 id="out" class="heading text-xl">Take it with you</h2>
        <ul class="mt-2 space-y-3">
          <li>
            <a class="press" href="{path}/file" download>Everything, as a client file</a>
            <p class="mt-1 text-sm text-bark">
              Brief, aims, every session with all its readings, rack, fittings, what is due, looks. Open JSON;
              brought in under People it gives the same client again.
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
      <section aria-labelledby="erase">
        <h2 id="erase" class="heading text-xl">Erase for good</h2>
        <Erase {client} />
      </section>
    </div>
  {/if}
</main>
