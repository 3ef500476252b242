<script lang="ts">
  /** A table of measures: read row by row, shown, and kept only when it is confirmed. */
  import { api, ask, type Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { day, length } from "../units";
  import TextIn from "./TextIn.svelte";

  interface Props {
    client: Schemas["ClientOut"];
    onchange: () => void;
  }
  const { client, onchange }: Props = $props();
  const EXAMPLE = "measure,value (cm),taken on\nwaist,74.5,2026-05-09\nhip,100,2026-05-09";
  let text = $state("");
  let table = $state.raw<Schemas["TableOut"] | null>(null);
  let said = $state<string | null>(null);
  let trouble = $state<string | null>(null);
  let busy = $state(false);
  const path = $derived({ params: { path: { client_id: client.id } } });
  // What is shown belongs to what was read: other text has to be read again.
  $effect(() => {
    void text;
    table = null;
  });

  async function preview() {
    busy = true;
    said = null;
    const told = await ask(api.POST("/api/clients/{client_id}/table/preview", { ...path, body: { text } }));
    busy = false;
    trouble = "refusal" in told ? told.refusal.message : null;
    table = "data" in told ? told.data : null;
  }

  async function keep() {
    busy = true;
    const told = await ask(api.POST("/api/clients/{client_id}/table", { ...path, body: { text } }));
    busy = false;
    if ("refusal" in told) {
      trouble = told.refusal.message;
      return;
    }
    said = told.data.added === 1 ? "One reading is kept." : `${told.data.added} readings are kept.`;
    text = "";
    onchange();
  }
</script>

<p class="mt-1 text-sm text-bark">
  One row a measure. The first line names the columns: measure, then value (cm) or value (in); taken on and
  origin may follow. Nothing is kept before you say so.
</p>
<form
  class="mt-2"
  onsubmit={(event) => {
    event.preventDefault();
    void preview();
  }}
>
  <TextIn label="Paste the table" accept=".csv,.tsv,.txt,text/csv" example={EXAMPLE} bind:text />
  <button class="press mt-2" disabled={busy || !text.trim()}>Read the table</button>
</form>
{#if trouble}<p role="alert" class="mt-2 text-madder">{trouble}</p>{/if}
{#if said}<p role="status" class="mt-2">{said}</p>{/if}
{#if table}
  <div class="mt-4" data-testid="preview">
    {#if table.refused.length}
      <h3 class="heading">Refused: {table.refused.length}</h3>
      <ul class="text-sm">
        {#each table.refused as bad (bad.line)}
          <li class="border-b border-grain py-1">
            <span class="text-bark">line {bad.line}</span> <span class="font-mono">{bad.text}</span>
            <span class="block">{bad.reason}</span>
          </li>
        {/each}
      </ul>
    {/if}
    <h3 class="heading mt-3">Good: {table.rows.length}</h3>
    {#if table.rows.length}
      <table class="w-full text-sm">
        <thead class="sr-only"><tr><th>Measure</th><th>Value</th><th>Taken on</th></tr></thead>
        <tbody>
          {#each table.rows as row (row.line)}
            <tr class="border-b border-dashed border-rule">
              <th scope="row" class="py-0.5 text-left font-normal first-letter:uppercase">{row.label}</th>
              <td class="text-right"
                >{length(row.cm, studio.unit)}{row.origin === "said"
                  ? ", own word"
                  : row.origin === "checked"
                    ? ", checked"
                    : ""}</td
              >
              <td class="w-40 text-right text-bark">{row.taken_on ? day(row.taken_on) : "today"}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      <button class="press mt-3" data-main disabled={busy} onclick={() => void keep()}>
        Keep {table.rows.length === 1 ? "this row" : `these ${table.rows.length} rows`}{table.refused.length
          ? ", leave the others"
          : ""}
      </button>
    {:else}
      <p class="text-sm">No row can be kept as it is.</p>
    {/if}
  </div>
{/if}
