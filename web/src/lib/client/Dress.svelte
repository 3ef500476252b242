<script lang="ts">
  import { api, ask, type Piece, type Slot } from "../api/client";
  import type { LookTable } from "./table.svelte";
  import { ALWAYS, isCovered, placeOf, titleOf, UNDER } from "./kinds";
  import { said } from "../units";
  import PieceWords from "./PieceWords.svelte";

  interface Props {
    table: LookTable;
    chosen: Slot | null;
    onchoose: (slot: Slot) => void;
  }
  const { table, chosen, onchoose }: Props = $props();
  let text = $state("");
  let trouble = $state<string | null>(null);

  const more = ["layer", "one_piece", "extra", "swim"];
  const WORN_DOWN = ["layer", UNDER, "top", "one_piece", "bottom", "tights", "socks", "shoes"];
  const down = (place: Slot) => (WORN_DOWN.includes(place) ? WORN_DOWN.indexOf(place) : WORN_DOWN.length);
  // Those that are on, and the three that any look begins with; a dress takes the place of two.
  const shown = $derived(
    table.words.places
      .filter((place) => table.draft.pieces[place] || (ALWAYS.includes(place) && !covered(place)))
      .toSorted((a, b) => down(a) - down(b)),
  );
  const covered = (place: Slot) => isCovered(table.words, place, table.draft.list);

  function add(select: HTMLSelectElement) {
    const kind = select.value;
    select.value = "";
    const place = placeOf(table.words, kind);
    if (!place) return;
    const over = place === "layer" && table.draft.pieces.layer && !table.draft.pieces[UNDER];
    if (over) table.draft.wearOver({ is: kind } as Piece, said(kind));
    else table.draft.change(place, { is: kind }, said(kind));
    onchoose(place);
  }

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
{#each shown as slot (slot)}
  <PieceWords {table} {slot} chosen={chosen === slot} onchoose={() => onchoose(slot)} />
{/each}
<label class="mt-2 flex items-baseline gap-2 border-t border-grain pt-2 text-sm text-bark">
  And besides
  <select class="field text-walnut" data-add value="" onchange={(event) => add(event.currentTarget)}>
    <option value="">a layer, a dress, a belt…</option>
    {#each more as slot (slot)}
      <optgroup label={titleOf(slot)}>
        {#each table.words.kinds[slot] ?? [] as kind (kind)}<option value={kind}>{said(kind)}</option>{/each}
      </optgroup>
    {/each}
  </select>
</label>
