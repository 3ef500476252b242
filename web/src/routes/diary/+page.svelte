<script lang="ts">
  /** The diary: day, week and month; visits, what is due, clashes, free time, calendars. */
  import { onMount, untrack } from "svelte";
  import CalendarsPanel from "$lib/diary/CalendarsPanel.svelte";
  import { Diary, type View } from "$lib/diary/diary.svelte";
  import FreshPanel from "$lib/diary/FreshPanel.svelte";
  import MonthGrid from "$lib/diary/MonthGrid.svelte";
  import TimeGrid from "$lib/diary/TimeGrid.svelte";
  import { wall } from "$lib/diary/times";
  import VisitPanel from "$lib/diary/VisitPanel.svelte";
  import { press } from "$lib/client/keys";
  import { todayIso } from "$lib/plan/plans.svelte";
  import Header from "$lib/ui/Header.svelte";

  const diary = new Diary();
  let calendars = $state(false);
  let header = $state<Header>();
  onMount(() => void diary.load());
  const MONTH = new Intl.DateTimeFormat("en-GB", { month: "long", year: "numeric", timeZone: "UTC" });
  const DAY = new Intl.DateTimeFormat("en-GB", {
    day: "numeric",
    month: "long",
    year: "numeric",
    timeZone: "UTC",
  });
  const at = (iso: string) => new Date(`${iso}T12:00:00Z`);
  const called = $derived(
    diary.view === "month"
      ? MONTH.format(at(diary.on))
      : diary.view === "day"
        ? DAY.format(at(diary.on))
        : DAY.formatRange(at(diary.days[0] ?? diary.on), at(diary.days.at(-1) ?? diary.on)),
  );
  const VIEWS: [View, string, string][] = [
    ["day", "Day", "d"],
    ["week", "Week", "w"],
    ["month", "Month", "m"],
  ];
  function show(view: View) {
    diary.view = view;
    void diary.load();
  }
  function fresh() {
    calendars = false;
    diary.begin(wall(diary.on < todayIso() && diary.days.includes(todayIso()) ? todayIso() : diary.on, 600));
  }
  function onkeydown(event: KeyboardEvent) {
    press(event, {
      keep: () => undefined,
      back: (way) => void diary.undo(way),
      placed: (code) => (code === "KeyU" ? () => void header?.otherUnit() : undefined),
      letters: {
        ...Object.fromEntries(VIEWS.map(([view, , key]) => [key, () => show(view)])),
        n: fresh,
        t: () => {
          diary.on = todayIso();
          void diary.load();
        },
        "[": () => void diary.go(-1),
        "]": () => void diary.go(1),
        "?": () => header?.showKeys(),
      },
      escape: () => {
        diary.at = null;
        diary.fresh = null;
        calendars = false;
      },
    });
  }
  const panel = $derived(Boolean(diary.fresh ?? diary.held) || calendars);
  $effect(() => {
    if (diary.fresh ?? diary.held) untrack(() => (calendars = false));
  });
</script>

<svelte:head><title>Diary · Basilwood</title></svelte:head>
<svelte:window {onkeydown} />
<div class="flex h-dvh min-h-[600px] flex-col">
  <Header bind:this={header} />
  <main class="diary min-h-0 grow" class:panel>
    <section class="min-h-0 min-w-0 overflow-y-auto px-4 py-3">
      <div class="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1">
        <h1 class="heading text-2xl">{called}</h1>
        <span class="flex items-center">
          <button class="quiet" aria-label="Earlier" onclick={() => void diary.go(-1)}
            >earlier <span class="key letter">[</span></button
          >
          <button
            class="quiet"
            onclick={() => {
              diary.on = todayIso();
              void diary.load();
            }}>today <span class="key letter">T</span></button
          >
          <button class="quiet" aria-label="Later" onclick={() => void diary.go(1)}
            >later <span class="key letter">]</span></button
          >
        </span>
        <span class="flex" role="group" aria-label="How much is shown">
          {#each VIEWS as [view, label, key] (view)}<button
              class="quiet"
              aria-pressed={diary.view === view}
              onclick={() => show(view)}>{label} <span class="key letter">{key.toUpperCase()}</span></button
            >{/each}
        </span>
        <button class="press" data-main onclick={fresh}>New <span class="key letter">N</span></button>
        <button
          class="quiet"
          aria-expanded={calendars}
          onclick={() => {
            diary.at = null;
            diary.fresh = null;
            calendars = !calendars;
          }}>calendars</button
        >
        <button class="quiet" disabled={!diary.history.past.length} onclick={() => void diary.undo("undo")}
          >undo</button
        >
        {#if (diary.told?.members.length ?? 0) > 1}
          <span class="flex flex-wrap gap-x-2 text-sm" role="group" aria-label="Whose visits are shown">
            {#each diary.told?.members ?? [] as member (member.id)}
              <label class="inline-flex min-h-7 items-center gap-1"
                ><input
                  type="checkbox"
                  checked={!diary.hidden.includes(member.id)}
                  onchange={(event) =>
                    (diary.hidden = event.currentTarget.checked
                      ? diary.hidden.filter((one) => one !== member.id)
                      : [...diary.hidden, member.id])}
                />{member.name}</label
              >
            {/each}
          </span>
        {/if}
      </div>
      {#if diary.trouble}<p role="alert" class="text-madder">
          {diary.trouble} <button class="quiet" onclick={() => void diary.load()}>Try again</button>
        </p>{/if}
      {#if diary.told?.clashes.length}
        <ul class="mb-2 text-sm" aria-label="Clashes">
          {#each diary.told.clashes as clash, number (number)}<li class="text-madder">{clash.text}</li>{/each}
        </ul>
      {/if}
      {#if !diary.told}<p role="status" class="text-bark">Opening the diary…</p>
      {:else if diary.view === "month"}<MonthGrid {diary} />
      {:else}<TimeGrid {diary} />{/if}
    </section>
    {#if panel}
      <aside class="side min-h-0 overflow-y-auto px-4 py-3" aria-label="In hand">
        {#if diary.fresh}<FreshPanel {diary} fresh={diary.fresh} />
        {:else if diary.held}{#key diary.held.id}<VisitPanel {diary} held={diary.held} />{/key}
        {:else}<CalendarsPanel {diary} onclose={() => (calendars = false)} />{/if}
      </aside>
    {/if}
  </main>
</div>

<style>
  .diary {
    display: grid;
    grid-template: minmax(0, 1fr) / minmax(0, 1fr);
  }
  .diary.panel {
    grid-template-columns: minmax(0, 1fr) 19rem;
  }
  .side {
    border-left: 1px solid var(--color-rule);
  }
  @media (max-width: 60em) {
    .diary.panel {
      display: block;
      overflow-y: auto;
    }
    .side {
      border-left: 0;
      border-top: 2px solid var(--color-walnut);
    }
  }
</style>
