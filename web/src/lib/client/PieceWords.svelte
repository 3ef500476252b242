<script lang="ts">
  /** One place of the look: the kind that is worn there, its words, and the figures a tape would read. */
  import type { Piece, Slot } from "../api/client";
  import { studio } from "../studio.svelte";
  import Several from "../ui/Several.svelte";
  import Word from "../ui/Word.svelte";
  import { length, said } from "../units";
  import AsAltered from "./AsAltered.svelte";
  import { asked, CLOTH, flagOf, meant } from "./asked";
  import FigureField from "./FigureField.svelte";
  import { kindsAt, titleOf, UNDER } from "./kinds";
  import type { LookTable } from "./table.svelte";
  import TuckSteps from "./TuckSteps.svelte";

  interface Props {
    table: LookTable;
    slot: Slot;
    chosen: boolean;
    onchoose: () => void;
  }
  const { table, slot, chosen, onchoose }: Props = $props();
  const words = $derived(table.words);
  const piece = $derived(table.draft.pieces[slot]);
  const rows = $derived(piece ? asked(words, slot, piece.is) : []);
  const flag = $derived(piece ? flagOf(words, slot, piece.is) : null);
  const swatches = $derived(Object.fromEntries(words.colours.map((colour) => [colour.name, colour.hex])));
  const figures = $derived(table.assessment?.figures[slot] ?? []);
  const usual = (key: string) => said(table.assessment?.usual[slot]?.[key] ?? "as usual");
  const value = (key: keyof Piece) => piece?.[key] as string | null | undefined;

  function change(key: string, word: unknown) {
    if (piece) table.draft.change(slot, meant(words, piece, key, word), `${said(slot)}, ${said(key)}`);
  }
</script>

<section class="border-t border-grain pt-1.5 pb-2" aria-labelledby="slot-{slot}" onfocusin={onchoose}>
  <div class="flex items-baseline gap-2">
    <h2 id="slot-{slot}" class="heading w-20 shrink-0 truncate {chosen ? 'text-leaf' : ''}">
      {titleOf(slot)}
    </h2>
    <div class="grow">
      <Word
        label="kind"
        value={piece?.is}
        choices={kindsAt(words, slot)}
        usual="none"
        onchange={(kind) =>
          kind === null
            ? table.draft.change(slot, null, `taking the ${said(slot)} off`)
            : table.draft.change(slot, { is: kind }, `${said(slot)}, kind`)}
      />
    </div>
  </div>
  {#if piece}
    <div class="grid grid-cols-[repeat(auto-fill,minmax(6.9rem,1fr))] gap-x-3">
      {#each rows as row (row.key)}
        <Word
          label={row.label}
          value={value(row.key)}
          choices={row.choices}
          usual={row.usual ?? usual(row.key)}
          swatches={row.key.endsWith("colour") ? swatches : undefined}
          onchange={(word) => change(row.key, word)}
        />
      {/each}
      <Several
        label="cloth"
        value={piece.fabric ?? []}
        choices={CLOTH}
        onchange={(cloths) => change("fabric", cloths.length ? cloths : null)}
      />
      {#if flag}
        <label class="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            class="size-4 accent-leaf"
            checked={piece[flag] === true}
            onchange={(event) => change(flag, event.currentTarget.checked || null)}
          />
          {said(flag)}
        </label>
      {/if}
    </div>
    {#if slot === UNDER}
      <button class="quiet" onclick={() => table.draft.turnLayers()}>
        Wear it over the {said(table.draft.pieces.layer?.is ?? "other")}
      </button>
    {/if}
    {#if slot === "top" && piece.tuck && piece.tuck !== "none" && table.draft.pieces.bottom}
      <TuckSteps {table} tuck={said(piece.tuck)} />
    {/if}
    <AsAltered {table} {slot} {piece} />
    {#if figures.length && !studio.turned}
      <div class="mt-1 flex flex-wrap gap-x-3">
        {#each figures as one (one.key)}
          <FigureField
            figure={one}
            label={length(one.cm, studio.unit)}
            onchange={(cm) => table.draft.change(slot, { [one.key]: cm }, `${said(slot)}, ${one.label}`)}
          />
        {/each}
      </div>
    {/if}
  {/if}
</section>
