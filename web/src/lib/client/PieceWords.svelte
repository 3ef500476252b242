<script lang="ts">
  import type { Piece, Slot } from "../api/client";
  import { studio } from "../studio.svelte";
  import { length, said } from "../units";
  import Word from "../ui/Word.svelte";
  import type { LookTable } from "./table.svelte";
  import FigureField from "./FigureField.svelte";
  import TuckSteps from "./TuckSteps.svelte";
  import { kindsAt, titleOf } from "./places";

  interface Props {
    table: LookTable;
    slot: Slot;
    chosen: boolean;
    onchoose: () => void;
  }
  const { table, slot, chosen, onchoose }: Props = $props();
  const words = $derived(table.words);
  const piece = $derived(table.draft.pieces[slot]);
  const BOOTS = ["ankle_boots", "sock_boots", "tall_boots", "over_knee_boots"];
  const ON_TOP = ["under_bust", "waist", "high_hip", "hip", "seat", "upper_thigh", "mid_thigh"];
  const ON_LEG = ["below_knee", "mid_calf", "lower_calf", "ankle", "ankle_bone", "foot", "floor", "puddle"];
  const swatches = $derived(Object.fromEntries(words.colours.map((colour) => [colour.name, colour.hex])));
  const cloth = [
    "thin",
    "substantial",
    "chunky",
    "clinging",
    "draping",
    "structured",
    "rigid",
    "stretch",
    "ribbed",
  ];

  /** What is worn so or not, by place. */
  const FLAG = $derived<Record<string, string>>({
    layer: "open",
    shoes: "ankle_strap",
    top: "rolled",
    ...(piece?.is === "skirt" ? {} : { bottom: "cuffed" }),
  });

  interface Row {
    key: keyof Piece;
    label: string;
    choices: string[];
    usual?: string;
  }
  const rows = $derived.by<Row[]>(() => {
    const of = (key: string) => words.one_of[key] ?? [];
    const colour: Row = { key: "colour", label: "colour", choices: words.colours.map((c) => c.name) };
    const pattern: Row = { key: "pattern", label: "pattern", choices: of("pattern"), usual: "plain" };
    if (slot === "top")
      return [
        { key: "fit", label: "fit", choices: of("fit") },
        {
          key: "tuck",
          label: "tuck",
          choices: of("tuck").filter((word) => word !== "none"),
          usual: "untucked",
        },
        { key: "hem", label: "ends at", choices: ON_TOP },
        { key: "neck", label: "neck", choices: of("neck") },
        { key: "sleeve", label: "sleeve", choices: of("sleeve") },
        { key: "cut", label: "cut", choices: words.top_cuts },
        colour,
        pattern,
      ];
    if (slot === "layer")
      return [
        { key: "fit", label: "fit", choices: of("fit") },
        { key: "hem", label: "ends at", choices: [...ON_TOP, "above_knee", "knee", ...ON_LEG] },
        { key: "sleeve", label: "sleeve", choices: of("sleeve") },
        { key: "cut", label: "cut", choices: words.top_cuts },
        { key: "belted", label: "belted", choices: of("belted"), usual: "no" },
        colour,
        pattern,
      ];
    if (slot === "one_piece")
      return [
        { key: "cut", label: "cut", choices: piece?.is === "dress" ? words.skirt_cuts : words.leg_cuts },
        { key: "fit", label: "fit", choices: of("fit") },
        { key: "hem", label: "ends at", choices: ["mid_thigh", "above_knee", "knee", ...ON_LEG] },
        { key: "neck", label: "neck", choices: of("neck") },
        { key: "sleeve", label: "sleeve", choices: of("sleeve") },
        { key: "belted", label: "belted", choices: of("belted"), usual: "no" },
        colour,
        pattern,
      ];
    if (slot === "bottom" && piece?.is === "skirt")
      return [
        { key: "cut", label: "cut", choices: words.skirt_cuts },
        { key: "hem", label: "ends at", choices: ["mid_thigh", "above_knee", "knee", ...ON_LEG] },
        { key: "fit", label: "fit", choices: of("fit") },
        pattern,
        colour,
      ];
    if (slot !== "bottom" && slot !== "shoes")
      return [
        ...(slot === "belt" ? [{ key: "belted" as const, label: "width", choices: of("belted") }] : []),
        ...(slot === "necklace" ? [{ key: "drop" as const, label: "drop", choices: of("drop") }] : []),
        ...(words.kinds.swim?.includes(slot)
          ? [{ key: "neck" as const, label: "neck", choices: of("neck") }]
          : []),
        colour,
        pattern,
      ];
    if (slot === "bottom")
      return [
        { key: "cut", label: "cut", choices: words.leg_cuts },
        { key: "rise", label: "rise", choices: of("rise") },
        { key: "hem", label: "ends at", choices: ON_LEG },
        { key: "fit", label: "fit", choices: of("fit") },
        { key: "worn", label: "boots", choices: of("worn"), usual: "over" },
        pattern,
        colour,
      ];
    return [
      { key: "heel", label: "heel", choices: of("heel") },
      { key: "toe", label: "toe", choices: of("toe") },
      { key: "bulk", label: "weight", choices: of("bulk") },
      { key: "heel_shape", label: "shape", choices: of("heel_shape") },
      ...(piece && BOOTS.includes(piece.is)
        ? [{ key: "shaft" as const, label: "shaft", choices: of("shaft") }]
        : []),
      colour,
    ];
  });
  const figures = $derived(table.assessment?.figures[slot] ?? []);
  const due = $derived(table.rail.dueOf(table.draft.fromRack[slot]));
  const usual = (key: string) => said(table.assessment?.usual[slot]?.[key] ?? "as usual");
  const value = (key: keyof Piece) => piece?.[key] as string | null | undefined;

  function change(key: string, word: unknown) {
    const more: Record<string, unknown> = { [key]: word };
    // A word said after a measurement was taken is meant: it takes the measurement's place.
    if (key === "hem") more[slot === "bottom" && piece?.is !== "skirt" ? "inseam_cm" : "length_cm"] = null;
    if (key === "rise" && piece?.front_rise_cm) more.front_rise_cm = null;
    if (key === "heel") more.heel_cm = null;
    table.draft.change(slot, more, `${slot}, ${said(key)}`);
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
            ? table.draft.change(slot, null, `taking the ${slot} off`)
            : table.draft.change(slot, { is: kind }, `${slot}, kind`)}
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
          swatches={row.key === "colour" ? swatches : undefined}
          onchange={(word) => change(row.key, word)}
        />
      {/each}
      <Word
        label="cloth"
        value={piece.fabric?.[0]}
        choices={cloth}
        onchange={(word) => change("fabric", word ? [word] : null)}
      />
      {#if FLAG[slot]}
        {@const key = FLAG[slot] as keyof Piece}
        <label class="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            class="size-4 accent-leaf"
            checked={piece[key] === true}
            onchange={(event) => change(key, event.currentTarget.checked || null)}
          />
          {said(key)}
        </label>
      {/if}
    </div>
    {#if slot === "top" && piece.tuck && piece.tuck !== "none" && table.draft.pieces.bottom}
      <TuckSteps {table} tuck={said(piece.tuck)} />
    {/if}
    {#each due as one (one.id)}
      {@const altered = value(one.figure as keyof Piece) as unknown}
      <label class="flex min-h-8 items-center gap-2 text-sm" data-due={one.figure}>
        <input
          type="checkbox"
          class="size-4 accent-leaf"
          checked={altered === one.then}
          onchange={(event) =>
            table.draft.change(
              slot,
              { [one.figure]: event.currentTarget.checked ? one.then : one.now },
              `${slot}, as altered`,
            )}
        />
        <span>as altered: <span class="text-bark">{one.text}</span></span>
      </label>
    {/each}
    {#if figures.length && !studio.turned}
      <div class="mt-1 flex flex-wrap gap-x-3">
        {#each figures as one (one.key)}
          <FigureField
            figure={one}
            label={length(one.cm, studio.unit)}
            onchange={(cm) => table.draft.change(slot, { [one.key]: cm }, `${slot}, ${one.label}`)}
          />
        {/each}
      </div>
    {/if}
  {/if}
</section>
