<script lang="ts">
  /** A piece's figures, to be typed as they are measured flat or all round, with the drawing of where. */
  import { api, ask, type Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { figure as written, said, unitOf } from "../units";
  import FlatMeasures from "./FlatMeasures.svelte";
  import type { Rack } from "./rack.svelte";

  const { rack, detail }: { rack: Rack; detail: Schemas["RackDetail"] } = $props();
  const piece = $derived(detail.piece);
  const held = $derived(piece.piece as Record<string, unknown>);
  const FIBRE = /^(cotton|wool|silk|flax|cashmere|viscose|lyocell|polyester|polyamide|acrylic|elastane)_pct$/;
  const OF_CLOTH = ["stretch_pct", "recovery_pct", "weight_gsm", "repeat_cm"];
  const measured = $derived(
    piece.figures.filter((key) => key !== "hem_cm" && !FIBRE.test(key) && !OF_CLOTH.includes(key)),
  );
  const cloth = $derived(piece.figures.filter((key) => OF_CLOTH.includes(key)));
  const fibres = $derived(piece.figures.filter((key) => FIBRE.test(key)));
  const lines = $derived(new Map(detail.lines.map((line) => [line.key, line])));
  let active = $state<string | null>(null);
  /** Girths are typed as they lie flat, and doubled. */
  let flat = $state(false);

  const label = (key: string) => {
    const unit = unitOf(key);
    return said(key.replace(/_[a-z]+$/, "")) + (unit ? `, ${unit}` : "");
  };
  const halved = (key: string) => flat && (lines.get(key)?.half ?? false);
  const shown = (key: string) => {
    const value = held[key];
    if (typeof value !== "number") return "";
    return unitOf(key) ? String(value) : written(halved(key) ? value / 2 : value, studio.unit);
  };
  const composed = $derived(
    fibres
      .filter((key) => typeof held[key] === "number")
      .map((key) => `${String(held[key])} ${key.replace("_pct", "")}`)
      .join(", "),
  );

  async function set(key: string, input: HTMLInputElement) {
    const text = input.value.trim();
    const next = { ...held };
    if (!text) delete next[key];
    else if (unitOf(key)) next[key] = Number(text.replace(",", "."));
    else {
      const told = await ask(api.POST("/api/length", { body: { text, unit: studio.unit } }));
      if ("refusal" in told) {
        rack.wrong = told.refusal.message;
        return;
      }
      next[key] = Math.round(told.data.cm * (halved(key) ? 2 : 1) * 10) / 10;
    }
    if (Number.isNaN(next[key])) {
      rack.wrong = `“${text}” is not a number.`;
      return;
    }
    if (JSON.stringify(next) === JSON.stringify(held)) return;
    await rack.change({ piece: next }, `the ${piece.title}’s ${label(key)}`);
  }

  async function compose(text: string) {
    const next: Record<string, unknown> = Object.fromEntries(
      Object.entries(held).filter(([key]) => !FIBRE.test(key)),
    );
    for (const [, share, name] of text.toLowerCase().matchAll(/(\d+(?:[.,]\d+)?)\s*%?\s*([a-z]+)/g)) {
      const key = `${name}_pct`;
      if (!fibres.includes(key)) {
        rack.wrong = `“${name}” is not a fibre known here: ${fibres.map((one) => one.replace("_pct", "")).join(", ")}.`;
        return;
      }
      next[key] = Number((share ?? "0").replace(",", "."));
    }
    if (JSON.stringify(next) === JSON.stringify(held)) return;
    await rack.change({ piece: next }, `the ${piece.title}’s fibres`);
  }

  function choose(key: string) {
    active = key;
    document.querySelector<HTMLInputElement>(`[data-figure-of=${key}]`)?.focus();
  }
</script>

{#snippet field(key: string)}
  <label class="flex items-baseline gap-2 text-sm">
    <span class="grow text-bark first-letter:uppercase">{label(key)}</span>
    <input
      class="field w-16 text-right {shown(key) ? 'font-semibold text-chalk' : ''}"
      data-settled={shown(key) ? "true" : "false"}
      data-figure-of={key}
      inputmode="decimal"
      autocomplete="off"
      value={shown(key)}
      onfocus={() => (active = key)}
      onkeydown={(event) => event.key === "Enter" && void set(key, event.currentTarget)}
      onchange={(event) => void set(key, event.currentTarget)}
    />
  </label>
{/snippet}

<h3 class="heading mt-4">Figures</h3>
{#if detail.lines.length}
  <FlatMeasures
    shapes={piece.flat}
    lines={detail.lines}
    {active}
    known={Object.keys(held)}
    onchoose={choose}
  />
{/if}
<div class="grid grid-cols-2 gap-x-4">
  {#each measured as key (key)}{@render field(key)}{/each}
</div>
{#if detail.lines.some((line) => line.half)}
  <label class="mt-1 flex min-h-8 items-center gap-2 text-sm">
    <input type="checkbox" bind:checked={flat} />
    Girths as they lie flat: they are doubled
  </label>
{/if}
{#if cloth.length}
  <h3 class="heading mt-3">Cloth</h3>
  <div class="grid grid-cols-2 gap-x-4">
    {#each cloth as key (key)}{@render field(key)}{/each}
  </div>
  <label class="mt-1 block text-sm text-bark">
    Fibres, %
    <input
      class="field text-walnut"
      data-figure-of="fibres"
      autocomplete="off"
      maxlength="120"
      placeholder="98 cotton, 2 elastane"
      value={composed}
      onchange={(event) => void compose(event.currentTarget.value)}
    />
  </label>
{/if}
