<script lang="ts">
  /** The measures of the protocol in the order round the body; the hand is at one of them. */
  import { tick } from "svelte";
  import { studio } from "../studio.svelte";
  import { figure, length } from "../units";
  import type { Measuring } from "./measuring.svelte";

  const { measuring }: { measuring: Measuring } = $props();
  let input = $state<HTMLInputElement>();
  let list: HTMLElement;

  const groups = $derived.by(() => {
    const found: { turn: string; names: string[] }[] = [];
    for (const name of measuring.order) {
      const turn = measuring.cards.get(name)?.turn ?? "";
      if (found.at(-1)?.turn !== turn) found.push({ turn, names: [] });
      found.at(-1)?.names.push(name);
    }
    return found;
  });
  const doubt = $derived(measuring.doubt?.measure === measuring.active ? measuring.doubt : null);

  // The hand goes with the measure: its field is focused, and in sight.
  $effect(() => {
    void [measuring.active, doubt, measuring.trouble];
    void tick().then(() => {
      const typing = document.activeElement?.matches("input:not([type=checkbox]):not([data-measure])");
      if (!typing) input?.focus({ preventScroll: true });
      list?.querySelector("[data-active=true]")?.scrollIntoView({ block: "nearest" });
    });
  });

  function onkeydown(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const key = event.key.toLowerCase();
    const untouched = !measuring.typed.trim();
    const does: Record<string, (() => unknown) | false | null | undefined> = {
      enter: () => (doubt && !doubt.refused ? null : measuring.accept()),
      escape: () => clear(),
      arrowdown: () => step(1),
      arrowup: () => step(-1),
      ...(doubt && {
        c: () => measuring.answer("correct"),
        k: () => measuring.answer("keep"),
        r: () => measuring.answer("again"),
      }),
      ...(!doubt &&
        untouched && {
          r: () => measuring.again(),
          s: () => measuring.skip(),
          w: () => (measuring.said = !measuring.said),
          " ": () => measuring.tape?.read(),
        }),
    };
    const act = does[key];
    if (!act) return;
    event.preventDefault();
    event.stopPropagation();
    act();
  }

  function step(by: number) {
    const next = measuring.order[measuring.order.indexOf(measuring.active) + by];
    if (next) measuring.go(next);
  }

  function clear() {
    // The first time clears; on an empty field it lets go, so that single keys are heard.
    if (!measuring.typed && !measuring.doubt) input?.blur();
    measuring.typed = "";
    if (measuring.doubt?.reading) void measuring.answer("again");
    else measuring.doubt = null;
  }

  /** A reading that waits for the connection is shown as it was typed. */
  const said = (reading: { cm: number; typed: string }) =>
    reading.cm ? figure(reading.cm, studio.unit) : `${reading.typed} (waits)`;

  const ORIGINS: Record<string, string> = {
    measured: "measured once",
    repeated: "measured twice or more",
    carried: "carried over from an earlier session",
    aged: "older than six months",
    said: "the client’s own word",
    estimated: "estimated",
  };
</script>

<div bind:this={list}>
  {#each groups as group (group.turn)}
    <h2 class="heading mt-4 mb-1 text-sm text-bark first-letter:uppercase first:mt-0">{group.turn}</h2>
    <ul>
      {#each group.names as name (name)}
        {@const row = measuring.rows.get(name)}
        {@const here = name === measuring.active}
        {@const readings = measuring.counting(name)}
        <li data-active={here} class="row {here ? 'here' : ''}" data-taken={measuring.isTaken(name)}>
          <button
            class="flex min-h-7 w-full items-baseline gap-2 text-left"
            tabindex={here ? -1 : 0}
            onclick={() => measuring.go(name)}
          >
            <span class="grow first-letter:uppercase">{measuring.cards.get(name)?.label}</span>
            {#if row}
              <span
                class="value {row.known.settled ? 'settled' : ''}"
                data-figure={name}
                title="{ORIGINS[row.known.origin]}; four of five times between {length(
                  row.known.low,
                  studio.unit,
                )} and {length(row.known.high, studio.unit)}"
              >
                {figure(row.known.cm, studio.unit)}
              </span>
            {/if}
          </button>
          {#if here && measuring.session}
            <div class="pb-2">
              <div class="flex items-end gap-2">
                <input
                  bind:this={input}
                  bind:value={measuring.typed}
                  id="m-{name}"
                  class="field max-w-32 text-right text-lg"
                  data-measure={name}
                  inputmode="decimal"
                  autocomplete="off"
                  aria-label="{measuring.cards.get(name)?.label}{measuring.said
                    ? ', the client’s own word'
                    : ''}"
                  aria-invalid={doubt ? "true" : undefined}
                  aria-describedby={doubt ? `d-${name}` : undefined}
                  readonly={measuring.busy}
                  oninput={() => {
                    if (measuring.doubt && !measuring.doubt.reading) measuring.doubt = null;
                  }}
                  {onkeydown}
                />
                <span class="pb-1 text-sm text-bark">{studio.unit}</span>
                <span class="pb-1 text-sm text-bark" data-testid="which">
                  {measuring.said
                    ? "own word"
                    : readings.length === 0
                      ? "first"
                      : row?.wants_another
                        ? readings.length === 1
                          ? "once more"
                          : "they differ: a third"
                        : "again"}
                </span>
              </div>
              {#if measuring.trouble}<p role="alert" class="mt-1 text-sm text-madder">
                  {measuring.trouble}
                </p>{/if}
              {#if doubt}
                <div id="d-{name}" role="alert" class="mt-1 border-l-2 border-madder py-0.5 pl-2 text-sm">
                  <p>{doubt.message}</p>
                  <div class="mt-1 flex flex-wrap gap-1.5">
                    {#if doubt.theirs !== undefined}
                      <button class="press" onclick={() => void measuring.settle("mine")}
                        >Add mine beside it</button
                      >
                      <button class="press" onclick={() => void measuring.settle("theirs")}
                        >Let theirs stand</button
                      >
                    {:else}
                      {#if doubt.suggestedCm !== null}
                        <button class="press" onclick={() => void measuring.answer("correct")}>
                          Correct to {length(doubt.suggestedCm, studio.unit)} <span class="key">C</span>
                        </button>
                      {/if}
                      {#if !doubt.refused}
                        <button class="press" onclick={() => void measuring.answer("keep")}>
                          Keep, checked <span class="key">K</span>
                        </button>
                      {/if}
                      {#if doubt.reason}
                        <button class="press" onclick={() => void measuring.answer("again")}>
                          Measure again <span class="key">R</span>
                        </button>
                      {/if}
                    {/if}
                  </div>
                </div>
              {/if}
              {#if row && row.readings.length}
                <ul class="mt-1 flex flex-wrap gap-x-3 text-sm">
                  {#each row.readings as reading (reading.id)}
                    {@const out = reading.set_aside || reading.withdrawn}
                    <li class={out ? "text-bark line-through" : ""}>
                      {said(reading)}{reading.said ? " said" : ""}{reading.checked ? " checked" : ""}
                      {#if !out}
                        <button
                          class="quiet text-xs"
                          aria-label="Take back the reading of {said(reading)}"
                          onclick={() => void measuring.withdraw(reading)}>take back</button
                        >
                      {/if}
                    </li>
                  {/each}
                </ul>
              {/if}
            </div>
          {/if}
        </li>
      {/each}
    </ul>
  {/each}
</div>

<style>
  .row {
    border-left: 3px solid transparent;
    padding-left: 0.5rem;
    margin-left: -0.6rem;
    /* Below the line that stays in sight above the list. */
    scroll-margin: 4.5rem 0 1rem;
  }
  .here {
    border-left-color: var(--color-leaf);
    background: var(--color-sheet);
  }
  .value {
    color: var(--color-bark);
    border-bottom: 1.5px dashed var(--color-rule);
  }
  .value.settled {
    color: var(--color-chalk);
    font-weight: 600;
    border-bottom: 1.5px solid var(--color-chalk);
  }
</style>
