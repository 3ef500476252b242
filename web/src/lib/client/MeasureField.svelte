<script lang="ts">
  import type { Desk } from "./desk.svelte";
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { figure, length } from "../units";

  interface Props {
    desk: Desk;
    measure: Schemas["MeasureWord"];
    estimate: Schemas["QuantityOut"] | undefined;
  }
  const { desk, measure, estimate }: Props = $props();
  const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", year: "numeric" });
  const reading = $derived(desk.readings[measure.name]);
  const doubt = $derived(desk.doubts[measure.name]);
  const shown = $derived(reading ? figure(reading.cm, studio.unit) : "");
  let typed = $state<string | null>(null);
  let busy = $state(false);
  let input: HTMLInputElement;

  async function accept(checked = false): Promise<boolean> {
    if (typed === null || (typed.trim() === shown && !doubt)) {
      typed = null;
      return true;
    }
    busy = true;
    const kept = await desk.take(measure.name, typed, checked);
    busy = false;
    if (kept) typed = null;
    return kept;
  }

  function next() {
    const all = [...document.querySelectorAll<HTMLInputElement>("input[data-measure]")];
    all[all.indexOf(input) + 1]?.focus();
  }

  async function onkeydown(event: KeyboardEvent) {
    if (event.key === "Enter") {
      event.preventDefault();
      if (await accept()) next();
    } else if (event.key === "Escape" && typed !== null) {
      event.preventDefault();
      typed = null;
      delete desk.doubts[measure.name];
    }
  }

  async function use(cm: number) {
    typed = length(cm, studio.unit);
    if (await accept()) next();
  }

  async function keep() {
    if (await accept(true)) next();
  }

  function theirs() {
    typed = null;
    desk.takeTheirs(measure.name);
  }

  async function mine() {
    if (await desk.keepMine(measure.name)) typed = null;
  }
</script>

<div class="py-px">
  <div class="flex items-baseline gap-2">
    <label class="w-[8.5rem] shrink-0 first-letter:uppercase" for="m-{measure.name}">{measure.label}</label>
    <input
      id="m-{measure.name}"
      bind:this={input}
      class="field max-w-28 text-right {reading ? 'font-semibold text-chalk' : ''}"
      data-measure={measure.name}
      data-settled={reading ? "true" : "false"}
      inputmode="decimal"
      autocomplete="off"
      aria-invalid={doubt ? "true" : undefined}
      aria-describedby={doubt ? `d-${measure.name}` : undefined}
      placeholder={estimate && !reading ? `about ${figure(estimate.cm, studio.unit)}` : ""}
      title={reading
        ? `${reading.typed}, ${reading.taken_by}, ${day.format(new Date(reading.taken_at))}`
        : undefined}
      value={typed ?? shown}
      readonly={busy}
      oninput={(event) => (typed = event.currentTarget.value)}
      onfocus={(event) => event.currentTarget.select()}
      onblur={() => void (doubt ? null : accept())}
      {onkeydown}
    />
    <span class="w-6 text-xs text-bark">{studio.unit}</span>
  </div>
  {#if doubt}
    <div id="d-{measure.name}" role="alert" class="mb-2 border-l-2 border-madder py-0.5 pl-2 text-sm">
      <p>{doubt.message}</p>
      <div class="mt-1 flex flex-wrap gap-1.5">
        {#if doubt.theirs !== undefined}
          <button class="press" onclick={() => void mine()}>Keep mine, {doubt.typed || "none"}</button>
          <button class="press" onclick={theirs}>
            Take theirs, {doubt.theirs ? length(doubt.theirs.cm, studio.unit) : "none"}
          </button>
        {:else}
          {#if doubt.suggestedCm !== null}
            {@const cm = doubt.suggestedCm}
            <button class="press" onclick={() => void use(cm)}>Use {length(cm, studio.unit)}</button>
          {/if}
          {#if !doubt.refused}
            <button class="press" onclick={() => void keep()}>Keep {doubt.typed}, checked</button>
          {/if}
        {/if}
      </div>
    </div>
  {/if}
</div>
