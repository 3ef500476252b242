<script lang="ts">
  /** Pieces for the rack from a table. */
  import { api, ask, type Schemas } from "../api/client";
  import TableSheet from "./TableSheet.svelte";

  const { client }: { client: Schemas["ClientOut"] } = $props();
  const EXAMPLE =
    "piece,colour,cut,front rise (cm),inseam (cm),maker\njeans,navy,straight,28,70,Alderlane\ntee,white,,,,";
  const path = $derived({ params: { path: { client_id: client.id } } });
</script>

<p class="mt-1 text-sm text-bark">
  One row a piece. The first line names the columns: piece, then any words, figures with their unit, and
  facts.
</p>
<TableSheet
  example={EXAMPLE}
  thing="piece"
  onchange={() => {}}
  preview={(text) =>
    ask(api.POST("/api/clients/{client_id}/rack/table/preview", { ...path, body: { text } }))}
  keep={(text, again) =>
    ask(api.POST("/api/clients/{client_id}/rack/table", { ...path, body: { text, again } }))}
>
  {#snippet rows(table: Schemas["PieceTableOut"])}
    <ul class="text-sm">
      {#each table.rows as row (row.line)}
        <li class="flex gap-2 border-b border-dashed border-rule py-0.5">
          <span class="grow first-letter:uppercase">{row.title}</span>
          <span class="text-bark"
            >{row.figures ? `${row.figures} ${row.figures === 1 ? "figure" : "figures"}` : "in words"}</span
          >
        </li>
      {/each}
    </ul>
  {/snippet}
</TableSheet>
