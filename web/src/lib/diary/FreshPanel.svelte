<script lang="ts">
  /** A new appointment; and when everybody who is to be there is free. */
  import { api, ask, type Schemas } from "../api/client";
  import { todayIso } from "../plan/plans.svelte";
  import type { Diary } from "./diary.svelte";
  import { clock, minutesOf, plus } from "./times";
  import VisitForm from "./VisitForm.svelte";

  const { diary, fresh }: { diary: Diary; fresh: Schemas["NewAppointment"] } = $props();
  let wrong = $state<string | null>(null);
  let free = $state.raw<string[] | null>(null);
  let busy = $state(false);
  const SHORT = new Intl.DateTimeFormat("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    timeZone: "UTC",
  });

  async function find() {
    const first = fresh.local.slice(0, 10) < todayIso() ? todayIso() : fresh.local.slice(0, 10);
    const { members, minutes, travel, buffer, zone } = fresh;
    const body = {
      members,
      minutes,
      travel,
      buffer,
      zone,
      first,
      last: plus(first, 20),
      begins: "09:00",
      ends: "18:00",
      weekdays: [0, 1, 2, 3, 4],
      on_holidays: false,
    };
    const told = await ask(api.POST("/api/diary/free", { body }));
    if ("data" in told) free = told.data.local.slice(0, 12);
    else wrong = told.refusal.message;
  }
  async function put() {
    busy = true;
    wrong = await diary.put(fresh);
    busy = false;
  }
</script>

<form
  onsubmit={(event) => {
    event.preventDefault();
    void put();
  }}
>
  <div class="flex items-baseline justify-between gap-2">
    <h2 class="heading text-lg">New</h2>
    <button class="quiet" type="button" onclick={() => (diary.fresh = null)}>not now</button>
  </div>
  <VisitForm {diary} held={fresh} onchange={(change) => (diary.fresh = { ...fresh, ...change })} />
  {#if wrong}<p role="alert" class="text-sm text-madder">{wrong}</p>{/if}
  <div class="mt-3 flex flex-wrap gap-2">
    <button class="press" data-main disabled={busy}>Put it down</button>
    <button class="press" type="button" onclick={() => void find()}>Find free time</button>
  </div>
  {#if free}
    <p class="mt-2 text-xs text-bark">
      {free.length ? "all of them free, from that day on" : "Nobody is free together in these three weeks."}
    </p>
    <ul class="text-sm" aria-label="Free time">
      {#each free as local (local)}
        <li>
          <button class="quiet" type="button" onclick={() => (diary.fresh = { ...fresh, local })}
            >{SHORT.format(new Date(`${local.slice(0, 10)}T12:00:00Z`))}, {clock(minutesOf(local))}</button
          >
        </li>
      {/each}
    </ul>
  {/if}
</form>
