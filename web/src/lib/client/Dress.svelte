<script lang="ts">
  import { api, ask, type Slot } from "../api/client";
  import type { LookTable } from "./table.svelte";
  import { SLOTS } from "./draft.svelte";
  import PieceWords from "./PieceWords.svelte";

  interface Props {
    table: LookTable;
    chosen: Slot | null;
    onchoose: (slot: Slot) => void;
  }
  const { table, chosen, onchoose }: Props = $props();
  let text = $state("");
  let trouble = $state<string | null>(null);

  async function hear(event: SubmitEvent) {
    event.preventDefault();
    if (!text.trim()) return;
    const told = await ask(api.POST("/api/words/hear", { body: { text } }));
    if ("refusal" in told) {
      trouble = told.refusal.message;
      return;
    }
    trouble = null;
    table.draft.wear(told.data.pieces, "the described pieces");
    text = "";
  }
</script>

<form onsubmit={hear} class="mb-2">
  <label for="say" class="heading">Say the pieces</label>
  <div class="flex items-end gap-2">
    <input
      id="say"
      class="field"
      bind:value={text}
      maxlength="600"
      autocomplete="off"
      placeholder="slim jeans high rise; white tee"
      aria-invalid={trouble ? "true" : undefined}
      aria-describedby={trouble ? "say-trouble" : undefined}
    />
    <button class="press">Put on</button>
  </div>
  {#if trouble}<p id="say-trouble" role="alert" class="mt-1 text-sm text-madder">{trouble}</p>{/if}
</form>
{#each SLOTS as slot (slot)}
  <PieceWords {table} {slot} chosen={chosen === slot} onchoose={() => onchoose(slot)} />
{/each}
