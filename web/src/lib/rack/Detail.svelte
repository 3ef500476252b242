<script lang="ts">
  /** The chosen piece: what it does on this body, its words and figures to change in place, and its facts. */
  import { api, ask, type Schemas } from "../api/client";
  import FitCheck from "../shop/FitCheck.svelte";
  import { studio } from "../studio.svelte";
  import { figure as written, length, said } from "../units";
  import { notice } from "../ui/notice.svelte";
  import type { Rack } from "./rack.svelte";

  interface Props {
    rack: Rack;
    detail: Schemas["RackDetail"];
    words: Schemas["Vocabulary"];
  }
  const { rack, detail, words }: Props = $props();
  const STATES = ["in_use", "at_the_tailor", "lent", "to_let_go"] as const;
  const BY_SLOT: Record<string, string[]> = {
    bottom: ["cut", "fit", "rise", "hem", "pattern"],
    top: ["cut", "fit", "neck", "sleeve", "hem", "pattern"],
    layer: ["cut", "fit", "neck", "sleeve", "hem", "pattern"],
    one_piece: ["cut", "fit", "neck", "sleeve", "hem", "pattern"],
    shoes: ["toe", "bulk", "heel", "heel_shape", "shaft"],
    swim: ["neck", "pattern"],
    extra: ["belted", "drop", "pattern"],
  };
  const piece = $derived(detail.piece);
  const held = $derived(piece.piece as Record<string, unknown>);
  const asked = $derived(BY_SLOT[piece.slot] ?? []);
  const figures = $derived(piece.figures.filter((key) => key !== "hem_cm"));
  const checks = $derived(detail.placed.checks.filter((check) => !studio.turned || check.stance === "fits"));

  function setWord(key: string, word: string) {
    const next = { ...held };
    if (word) next[key] = word;
    else delete next[key];
    void rack.change({ piece: next }, `the ${piece.title}’s ${said(key)}`);
  }

  async function setFigure(key: string, input: HTMLInputElement) {
    const text = input.value.trim();
    const next = { ...held };
    if (!text) delete next[key];
    else if (key.endsWith("_pct")) next[key] = Number(text.replace(",", "."));
    else {
      const told = await ask(api.POST("/api/length", { body: { text, unit: studio.unit } }));
      if ("refusal" in told) {
        rack.wrong = told.refusal.message;
        return;
      }
      next[key] = Math.round(told.data.cm * 10) / 10;
    }
    if (JSON.stringify(next) === JSON.stringify(held)) return;
    await rack.change({ piece: next }, `the ${piece.title}’s ${label(key)}`);
  }

  const label = (key: string) => said(key.replace(/_(cm|pct)$/, "")) + (key.endsWith("_pct") ? ", %" : "");
  const shown = (key: string) => {
    const cm = held[key];
    return typeof cm === "number" ? (key.endsWith("_pct") ? String(cm) : written(cm, studio.unit)) : "";
  };
  const setFact = (what: Partial<Schemas["Facts"]>) =>
    void rack.change(
      { facts: { ...piece.facts, ...what } },
      `the ${piece.title}’s ${Object.keys(what).join()}`,
    );

  async function remove() {
    const { id, title } = piece;
    if (await rack.remove(id))
      notice.say(`The ${title} is off the rack.`, { name: "Undo", run: () => void rack.history.undo() });
  }
</script>

<section
  aria-label={piece.title}
  class="relative w-[22rem] overflow-y-auto border-l border-rule px-4 py-3"
  data-testid="detail"
>
  <div class="flex items-baseline gap-2">
    <h2 class="heading min-w-0 grow text-xl first-letter:uppercase">{piece.title}</h2>
    <button class="quiet text-sm" onclick={() => void rack.choose(null)}>Close</button>
  </div>
  {#if rack.wrong}<p role="alert" class="mt-1 text-madder">{rack.wrong}</p>{/if}
  <ul class="mt-1 space-y-1.5">
    {#each checks as check (check.key)}
      <li data-check={check.key} data-stance={check.stance}>
        <FitCheck {check} />
      </li>
    {:else}
      <li class="text-sm text-bark">No figure yet says how it fits. Type one below.</li>
    {/each}
  </ul>
  {#if detail.placed.edges.length && !studio.turned}
    <p class="mt-2 text-sm text-bark">
      {detail.placed.edges
        .map((edge) => `${edge.name} ${length(edge.height, studio.unit)}, ${edge.place}`)
        .join("; ")}.
    </p>
  {/if}
  {#if !studio.turned}
    <h3 class="heading mt-4">Figures</h3>
    <div class="grid grid-cols-2 gap-x-4">
      {#each figures as key (key)}
        <label class="flex items-baseline gap-2 text-sm">
          <span class="grow text-bark first-letter:uppercase">{label(key)}</span>
          <input
            class="field w-16 text-right {shown(key) ? 'font-semibold text-chalk' : ''}"
            data-settled={shown(key) ? "true" : "false"}
            data-figure-of={key}
            inputmode="decimal"
            autocomplete="off"
            value={shown(key)}
            onkeydown={(event) => event.key === "Enter" && void setFigure(key, event.currentTarget)}
            onchange={(event) => void setFigure(key, event.currentTarget)}
          />
        </label>
      {/each}
    </div>
    <p class="text-xs text-bark">Lengths along the piece; girths all round, twice what lies flat.</p>
  {/if}
  <h3 class="heading mt-4">Words</h3>
  <div class="grid grid-cols-2 gap-x-4">
    <label class="text-sm text-bark">
      Colour
      <select
        class="field text-walnut"
        value={held.colour ?? ""}
        onchange={(event) => setWord("colour", event.currentTarget.value)}
      >
        <option value="">as usual</option>
        {#each words.colours as colour (colour.name)}<option value={colour.name}>{said(colour.name)}</option
          >{/each}
      </select>
    </label>
    {#each asked as key (key)}
      <label class="text-sm text-bark first-letter:uppercase">
        {said(key)}
        <select
          class="field text-walnut"
          data-word-of={key}
          value={held[key] ?? ""}
          onchange={(event) => setWord(key, event.currentTarget.value)}
        >
          <option value="">as usual</option>
          {#each words.one_of[key] ?? [] as word (word)}<option value={word}>{said(word)}</option>{/each}
        </select>
      </label>
    {/each}
  </div>
  <h3 class="heading mt-4">Besides</h3>
  <div class="grid grid-cols-2 gap-x-4 gap-y-1">
    <label class="col-span-2 text-sm text-bark">
      Its own name
      <input
        class="field text-walnut"
        maxlength="120"
        value={piece.name}
        onchange={(event) => void rack.change({ name: event.currentTarget.value }, "its name")}
      />
    </label>
    <label class="text-sm text-bark">
      Maker
      <input
        class="field text-walnut"
        maxlength="120"
        value={piece.facts.maker}
        onchange={(event) => setFact({ maker: event.currentTarget.value })}
      />
    </label>
    <label class="text-sm text-bark">
      Size on the label
      <input
        class="field text-walnut"
        maxlength="20"
        value={piece.facts.label_size}
        onchange={(event) => setFact({ label_size: event.currentTarget.value })}
      />
    </label>
    <label class="col-span-2 text-sm text-bark">
      Where it is
      <select
        class="field text-walnut"
        value={piece.facts.state}
        onchange={(event) => setFact({ state: event.currentTarget.value as never })}
      >
        {#each STATES as state (state)}<option value={state}>{said(state)}</option>{/each}
      </select>
    </label>
  </div>
  <div class="mt-4 flex gap-2">
    <button class="press text-sm" onclick={() => void rack.copy(piece.id)}>Another like it</button>
    <button class="press text-sm" onclick={() => void remove()}>Take it off</button>
  </div>
</section>
