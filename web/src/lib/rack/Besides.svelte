<script lang="ts">
  /** What no landing needs: maker, size, price, season, formality, where the piece is. */
  import DateField from "../ui/DateField.svelte";
  import type { Schemas } from "../api/client";
  import { said } from "../units";
  import type { Rack } from "./rack.svelte";

  const { rack, piece }: { rack: Rack; piece: Schemas["RackPieceOut"] } = $props();
  const STATES = ["in_use", "at_the_tailor", "lent", "to_let_go"] as const;
  const FORMALITY = ["", "home", "relaxed", "smart", "formal"] as const;
  const SEASONS = ["spring", "summer", "autumn", "winter"] as const;
  type Facts = Schemas["Facts"];

  const set = (what: Partial<Facts>) =>
    void rack.change(
      { facts: { ...piece.facts, ...what } },
      `the ${piece.title}’s ${said(Object.keys(what).join())}`,
    );

  function season(name: (typeof SEASONS)[number], on: boolean) {
    const others = (piece.facts.seasons ?? []).filter((one) => one !== name);
    set({ seasons: SEASONS.filter((one) => (one === name ? on : others.includes(one))) });
  }

  function price(input: HTMLInputElement) {
    const value = input.value.trim();
    const whole = Math.round(Number(value.replace(",", ".")));
    if (value && (Number.isNaN(whole) || whole < 0)) rack.wrong = `“${value}” is not a price.`;
    else set({ price: value ? whole : null });
  }
</script>

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
      onchange={(event) => set({ maker: event.currentTarget.value })}
    />
  </label>
  <label class="text-sm text-bark">
    Size on the label
    <input
      class="field text-walnut"
      maxlength="20"
      value={piece.facts.label_size}
      onchange={(event) => set({ label_size: event.currentTarget.value })}
    />
  </label>
  <label class="text-sm text-bark">
    Price paid
    <input
      class="field text-walnut"
      inputmode="numeric"
      maxlength="8"
      value={piece.facts.price ?? ""}
      onchange={(event) => price(event.currentTarget)}
    />
  </label>
  <label class="text-sm text-bark">
    Bought
    <DateField
      class="text-walnut"
      value={piece.facts.bought_on}
      onchange={(iso) => set({ bought_on: iso })}
    />
  </label>
  <label class="text-sm text-bark">
    Where it is
    <select
      class="field text-walnut"
      value={piece.facts.state}
      onchange={(event) => set({ state: event.currentTarget.value as Facts["state"] })}
    >
      {#each STATES as state (state)}<option value={state}>{said(state)}</option>{/each}
    </select>
  </label>
  <label class="text-sm text-bark">
    Formality
    <select
      class="field text-walnut"
      value={piece.facts.formality ?? ""}
      onchange={(event) => set({ formality: event.currentTarget.value as Facts["formality"] })}
    >
      {#each FORMALITY as word (word)}<option value={word}>{word || "not said"}</option>{/each}
    </select>
  </label>
  <fieldset class="col-span-2 flex flex-wrap gap-x-3 text-sm">
    <legend class="text-bark">Seasons</legend>
    {#each SEASONS as name (name)}
      <label class="flex min-h-8 items-center gap-1.5 first-letter:uppercase">
        <input
          type="checkbox"
          checked={piece.facts.seasons?.includes(name)}
          onchange={(event) => season(name, event.currentTarget.checked)}
        />{name}
      </label>
    {/each}
  </fieldset>
  <label class="col-span-2 text-sm text-bark">
    Care
    <input
      class="field text-walnut"
      maxlength="120"
      value={piece.facts.care}
      onchange={(event) => set({ care: event.currentTarget.value })}
    />
  </label>
  <label class="col-span-2 text-sm text-bark">
    Note
    <input
      class="field text-walnut"
      maxlength="400"
      value={piece.facts.note}
      onchange={(event) => set({ note: event.currentTarget.value })}
    />
  </label>
</div>
