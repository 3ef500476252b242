<script lang="ts" generics="T extends { rows: unknown[]; refused: Schemas['RefusedOut'][]; before?: string }">
  /** A table brought in: read row by row, shown, and kept only when it is confirmed. */
  import type { Snippet } from "svelte";
  import type { Refusal, Schemas } from "../api/client";
  import TextIn from "./TextIn.svelte";

  type Answer<A> = Promise<{ data: A } | { refusal: Refusal }>;
  interface Props {
    example: string;
    preview: (text: string) => Answer<T>;
    /** `again` where the same table was kept before, and it is meant. */
    keep: (text: string, again: boolean) => Answer<Schemas["Added"]>;
    /** What one row is called where it was kept: reading, piece. */
    thing: string;
    onchange: () => void;
    rows: Snippet<[T]>;
    /** The table itself, where it may come from elsewhere. */
    text?: string;
  }
  let { example, preview, keep, thing, onchange, rows, text = $bindable("") }: Props = $props();
  let table = $state.raw<T | null>(null);
  let said = $state<string | null>(null);
  let trouble = $state<string | null>(null);
  let busy = $state(false);
  // What is shown belongs to what was read: other text has to be read again.
  $effect(() => {
    void text;
    table = null;
  });

  async function read(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    said = null;
    const told = await preview(text);
    busy = false;
    trouble = "refusal" in told ? told.refusal.message : null;
    table = "data" in told ? told.data : null;
  }

  async function take() {
    busy = true;
    const told = await keep(text, Boolean(table?.before));
    busy = false;
    if ("refusal" in told) {
      trouble = told.refusal.message;
      return;
    }
    said = told.data.added === 1 ? `One ${thing} is kept.` : `${told.data.added} ${thing}s are kept.`;
    text = "";
    onchange();
  }
</script>

<form class="mt-2" onsubmit={read}>
  <TextIn label="Paste the table" accept=".csv,.tsv,.txt,text/csv" {example} bind:text />
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
            <span class="text-bark">line {bad.line}</span> <span class="font-mono break-all">{bad.text}</span>
            <span class="block">{bad.reason}</span>
          </li>
        {/each}
      </ul>
    {/if}
    <h3 class="heading mt-3">Good: {table.rows.length}</h3>
    {#if table.rows.length}
      {@render rows(table)}
      {#if table.before}<p class="mt-3 border-l-2 border-madder pl-3" data-testid="before">
          {table.before}
        </p>{/if}
      <button
        class="press mt-3"
        data-main={table.before ? undefined : ""}
        disabled={busy}
        onclick={() => void take()}
      >
        Keep {table.rows.length === 1 ? "this row" : `these ${table.rows.length} rows`}{table.refused.length
          ? ", leave the others"
          : ""}{table.before ? ", once more" : ""}
      </button>
    {:else}
      <p class="text-sm">No row can be kept as it is.</p>
    {/if}
  </div>
{/if}
