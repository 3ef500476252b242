<script lang="ts">
  /** Measures from a table. */
  import { api, ask, type Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { day, length } from "../units";
  import TableSheet from "./TableSheet.svelte";

  interface Props {
    client: Schemas["ClientOut"];
    onchange: () => void;
  }
  const { client, onchange }: Props = $props();
  const EXAMPLE = "measure,value (cm),taken on\nwaist,74.5,2026-05-09\nhip,100,2026-05-09";
  const path = $derived({ params: { path: { client_id: client.id } } });
</script>

<p class="mt-1 text-sm text-bark">
  One row a measure. The first line names the columns: measure, then value (cm) or value (in); taken on and
  origin may follow. Nothing is kept before you say so.
</p>
<TableSheet
  example={EXAMPLE}
  thing="reading"
  {onchange}
  preview={(text) => ask(api.POST("/api/clients/{client_id}/table/preview", { ...path, body: { text } }))}
  keep={(text, again) => ask(api.POST("/api/clients/{client_id}/table", { ...path, body: { text, again } }))}
>
  {#snippet rows(table: Schemas["TableOut"])}
    <table class="w-full text-sm">
      <thead class="sr-only"><tr><th>Measure</th><th>Value</th><th>Taken on</th></tr></thead>
      <tbody>
        {#each table.rows as row (row.line)}
          <tr class="border-b border-dashed border-rule">
            <th scope="row" class="py-0.5 text-left font-normal first-letter:uppercase">{row.label}</th>
            <td class="text-right">
              {length(row.cm, studio.unit)}{row.origin === "said"
                ? ", own word"
                : row.origin === "checked"
                  ? ", checked"
                  : ""}
            </td>
            <td class="w-40 text-right text-bark">{row.taken_on ? day(row.taken_on) : "today"}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/snippet}
</TableSheet>
