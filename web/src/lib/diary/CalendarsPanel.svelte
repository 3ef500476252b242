<script lang="ts">
  /** Calendars in and out: a secret address to subscribe to, and a file taken in after a look at it. */
  import { api, ask, type Schemas } from "../api/client";
  import { notice } from "../ui/notice.svelte";
  import { studio } from "../studio.svelte";
  import type { Diary } from "./diary.svelte";
  import Holidays from "./Holidays.svelte";
  import { clock, lasts, minutesOf } from "./times";

  const { diary, onclose }: { diary: Diary; onclose: () => void } = $props();
  let address = $state<string | null>(null);
  let text = $state("");
  let events = $state.raw<Schemas["EventOut"][] | null>(null);
  let wanted = $state.raw<readonly number[]>([]);
  let wrong = $state<string | null>(null);
  const SHORT = new Intl.DateTimeFormat("en-GB", {
    day: "numeric",
    month: "short",
    year: "numeric",
    timeZone: "UTC",
  });

  async function subscribe() {
    const told = await ask(api.POST("/api/diary/feed"));
    if ("data" in told) address = told.data.address;
    await diary.load();
  }
  async function end() {
    await ask(api.DELETE("/api/diary/feed"));
    address = null;
    await diary.load();
  }
  async function look(file: File | undefined) {
    if (!file) return;
    text = await file.text();
    const told = await ask(api.POST("/api/diary/calendar/preview", { body: { text, zone: diary.zone } }));
    wrong = "refusal" in told ? told.refusal.message : null;
    events = "data" in told ? told.data.events : null;
    wanted = (events ?? []).filter((one) => !one.there && !one.refused).map((one) => one.number);
  }
  async function take() {
    const told = await ask(
      api.POST("/api/diary/calendar", { body: { text, zone: diary.zone, wanted: [...wanted] } }),
    );
    if ("refusal" in told) {
      wrong = told.refusal.message;
      return;
    }
    const { ids } = told.data;
    events = null;
    await diary.load();
    const each = (way: "away" | "back") =>
      Promise.all(
        ids.map((appointment_id) => {
          const params = { path: { appointment_id } };
          return way === "away"
            ? ask(api.DELETE("/api/appointments/{appointment_id}", { params }))
            : ask(api.POST("/api/appointments/{appointment_id}/restore", { params }));
        }),
      ).then(() => diary.load());
    diary.history.add({
      name: `taking in ${ids.length} events`,
      undo: () => each("away"),
      redo: () => each("back"),
    });
    notice.say(`${ids.length} ${ids.length === 1 ? "event is" : "events are"} in your diary.`, {
      name: "Undo",
      run: () => void diary.undo("undo"),
    });
  }
</script>

<div class="flex items-baseline justify-between gap-2">
  <h2 class="heading text-lg">Calendars</h2>
  <button class="quiet" onclick={onclose}>close</button>
</div>
<h3 class="mt-2 text-xs text-bark">your diary in another calendar</h3>
{#if address}
  <p class="text-sm">
    Subscribe to this address there. It is told once, and whoever has it reads your diary.
  </p>
  <input
    class="field"
    readonly
    aria-label="Secret address"
    value={address}
    onfocus={(event) => event.currentTarget.select()}
  />
{:else if diary.told?.has_feed}<p class="text-sm">An address is in use.</p>{/if}
<div class="flex flex-wrap gap-2">
  <button class="quiet text-sm" onclick={() => void subscribe()}
    >{diary.told?.has_feed ? "make another, end the old one" : "make a secret address"}</button
  >
  {#if diary.told?.has_feed}<button class="quiet text-sm" onclick={() => void end()}>end it</button>{/if}
</div>
{#if studio.may("house")}<Holidays {diary} />{/if}
<h3 class="mt-4 text-xs text-bark">a calendar file taken in</h3>
<input
  type="file"
  accept=".ics,text/calendar"
  aria-label="Calendar file"
  class="w-full text-sm"
  onchange={(event) => void look(event.currentTarget.files?.[0])}
/>
{#if wrong}<p role="alert" class="text-sm text-madder">{wrong}</p>{/if}
{#if events}
  <ul class="mt-2 text-sm" aria-label="Events of the file">
    {#each events as one (one.number)}
      <li class="border-b border-dashed border-rule py-1">
        <label class="flex items-baseline gap-1.5"
          ><input
            type="checkbox"
            disabled={one.there || Boolean(one.refused)}
            checked={wanted.includes(one.number)}
            onchange={(event) =>
              (wanted = event.currentTarget.checked
                ? [...wanted, one.number]
                : wanted.filter((number) => number !== one.number))}
          /><span
            >{one.title}{#if one.local}<span class="text-bark"
                >, {SHORT.format(new Date(`${one.local.slice(0, 10)}T12:00:00Z`))}
                {clock(minutesOf(one.local))}, {lasts(one.minutes)}{one.rule ? ", repeats" : ""}</span
              >{/if}
            {#if one.there}<span class="text-bark">is here already</span>{/if}{#if one.refused}<span
                class="text-madder">{one.refused}</span
              >{/if}</span
          ></label
        >
      </li>
    {/each}
  </ul>
  <button class="press mt-2" data-main disabled={!wanted.length} onclick={() => void take()}
    >Take in {wanted.length}</button
  >
{/if}
