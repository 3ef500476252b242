<script lang="ts">
  /** A border of a rule, and how far this house may move it; what that would change is said before it is done. */
  import { studio } from "../studio.svelte";
  import Effect from "./Effect.svelte";
  import { drawn, type Border, type HouseRules, type Ways } from "./rules.svelte";

  interface Props {
    house: HouseRules;
    border: Border;
    ontake: (ways: Partial<Ways>, what: string) => void;
  }
  const { house, border, ontake }: Props = $props();
  const STEPS = { cm: 0.25, share: 0.005, scale: 0.05, "°C": 0.5 };
  const at = $derived(house.at(border));
  const proposed = $derived(house.proposed?.of === border.key ? house.proposed.ways : null);

  const written = (value: number) => drawn(border, value, studio.unit);
  /** The slider's steps do not meet the usual exactly: near it, it is meant. */
  const near = (value: number) =>
    Math.abs(value - border.usual) < STEPS[border.unit] / 2 ? border.usual : value;
</script>

<div class="mt-1.5" data-border={border.key}>
  <label class="flex flex-wrap items-center gap-x-3">
    <span class="min-w-0 grow">{border.says}</span>
    <input
      type="range"
      class="w-40 accent-leaf"
      min={border.low}
      max={border.high}
      step="any"
      value={at}
      aria-valuetext={written(at)}
      oninput={(event) => house.slide(border, near(Number(event.currentTarget.value)))}
      onkeydown={(event) => {
        const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
        if (!way) return;
        event.preventDefault();
        const to = Math.min(border.high, Math.max(border.low, at + way * STEPS[border.unit]));
        house.slide(border, near(Math.round(to * 1000) / 1000));
      }}
    />
    <output class="w-24 text-right font-semibold {border.drawn === border.usual ? '' : 'text-chalk'}"
      >{written(at)}</output
    >
  </label>
  <p class="text-xs text-bark">
    usually {written(border.usual)}; it may be moved from {written(border.low)} to {written(border.high)}
    {#if border.drawn !== border.usual}· this house draws it at {written(border.drawn)}{/if}
  </p>
  {#if proposed}
    <Effect effect={house.effect} change="Drawn at {written(at)}" />
    <button
      class="press mt-1 min-h-7 px-2 py-0 text-sm"
      onclick={() => ontake(proposed, "The border is drawn there now.")}>Draw it at {written(at)}</button
    >
  {/if}
</div>
