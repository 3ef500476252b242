<script lang="ts">
  /** A piece's words: colour, cut and what else its kind has. */
  import type { Schemas } from "../api/client";
  import { said } from "../units";
  import type { Rack } from "./rack.svelte";

  interface Props {
    rack: Rack;
    piece: Schemas["RackPieceOut"];
    words: Schemas["Vocabulary"];
  }
  const { rack, piece, words }: Props = $props();
  const CLOTH = ["pattern", "runs", "drape", "sheerness", "surface"];
  const BY_SLOT: Record<string, string[]> = {
    bottom: ["cut", "fit", "rise", "hem", "band", "pockets", "wash", "hem_finish", ...CLOTH],
    top: ["cut", "fit", "neck", "sleeve", "sleeve_shape", "hem", "gathers", "cut_out", ...CLOTH],
    layer: ["cut", "fit", "neck", "sleeve", "sleeve_shape", "hem", ...CLOTH],
    one_piece: ["cut", "fit", "neck", "sleeve", "sleeve_shape", "hem", "gathers", "cut_out", ...CLOTH],
    shoes: ["toe", "bulk", "heel", "heel_shape", "shaft", "vamp", "surface", "pattern"],
    swim: ["neck", "rise", "hem", ...CLOTH],
    extra: ["belted", "drop", "size", "lift", "surface", "pattern"],
  };
  const held = $derived(piece.piece as Record<string, unknown>);
  const asked = $derived(BY_SLOT[piece.slot] ?? []);
  const some = $derived(piece.slot === "swim" ? "swim_detail" : "fabric");
  const chosen = $derived((held[some] as string[] | undefined) ?? []);

  function set(key: string, word: unknown) {
    const next = { ...held };
    if (word === "" || word === false || (Array.isArray(word) && !word.length)) delete next[key];
    else next[key] = word;
    void rack.change({ piece: next }, `the ${piece.title}’s ${said(key)}`);
  }
</script>

<h3 class="heading mt-4">Words</h3>
<div class="grid grid-cols-2 gap-x-4">
  {#each ["colour", "second_colour", "third_colour"] as key (key)}
    {@const own = String(held[key] ?? "")}
    <label class="text-sm text-bark first-letter:uppercase">
      {said(key)}
      <select
        class="field text-walnut"
        data-word-of={key}
        value={own}
        onchange={(event) => set(key, event.currentTarget.value)}
      >
        <option value="">{key === "colour" ? "as usual" : "none"}</option>
        {#if own.startsWith("#")}<option value={own}>{own}, of its picture</option>{/if}
        {#each words.colours as colour (colour.name)}<option value={colour.name}>{said(colour.name)}</option
          >{/each}
      </select>
    </label>
  {/each}
  {#each asked as key (key)}
    <label class="text-sm text-bark first-letter:uppercase">
      {said(key)}
      <select
        class="field text-walnut"
        data-word-of={key}
        value={held[key] ?? ""}
        onchange={(event) => set(key, event.currentTarget.value)}
      >
        <option value="">as usual</option>
        {#each words.one_of[key] ?? [] as word (word)}<option value={word}>{said(word)}</option>{/each}
      </select>
    </label>
  {/each}
</div>
{#if words.some_of[some] && piece.slot !== "extra"}
  <fieldset class="mt-1 flex flex-wrap gap-x-3 text-sm">
    <legend class="text-bark">{some === "fabric" ? "Cloth" : "Details"}</legend>
    {#each words.some_of[some] as word (word)}
      <label class="flex min-h-7 items-center gap-1">
        <input
          type="checkbox"
          checked={chosen.includes(word)}
          onchange={(event) =>
            set(
              some,
              event.currentTarget.checked ? [...chosen, word] : chosen.filter((other) => other !== word),
            )}
        />{said(word)}
      </label>
    {/each}
  </fieldset>
{/if}
{#if piece.slot === "bottom"}
  <fieldset class="mt-1 flex flex-wrap gap-x-3 text-sm">
    <legend class="text-bark">Faded at</legend>
    {#each words.some_of.fade ?? [] as word (word)}
      {@const faded = (held.fade as string[] | undefined) ?? []}
      <label class="flex min-h-7 items-center gap-1">
        <input
          type="checkbox"
          checked={faded.includes(word)}
          onchange={(event) =>
            set("fade", event.currentTarget.checked ? [...faded, word] : faded.filter((one) => one !== word))}
        />{word}
      </label>
    {/each}
  </fieldset>
  <label class="flex min-h-7 items-center gap-1 text-sm">
    <input
      type="checkbox"
      checked={held.distressed === true}
      onchange={(event) => set("distressed", event.currentTarget.checked)}
    />distressed
  </label>
{/if}
