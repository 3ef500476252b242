<script lang="ts">
  /** A month in whole weeks: visits by their time, and what is due. */
  import { todayIso } from "../plan/plans.svelte";
  import type { Appointment, Diary } from "./diary.svelte";
  import { clock, minutesOf } from "./times";

  const { diary }: { diary: Diary } = $props();
  const MOST = 4;
  const today = todayIso();
  const LONG = new Intl.DateTimeFormat("en-GB", {
    weekday: "long",
    day: "numeric",
    month: "long",
    timeZone: "UTC",
  });
  const named = (day: string) => LONG.format(new Date(`${day}T12:00:00Z`));

  function press(event: KeyboardEvent, one: Appointment) {
    const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }[event.key];
    if (!by) return;
    event.preventDefault();
    void diary
      .move(one, { days: by })
      .then(() => document.querySelector<HTMLElement>(`[data-appointment="${one.id}"]`)?.focus());
  }
</script>

<div class="month">
  {#each ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as weekday (weekday)}
    <div class="px-1 text-xs text-bark">{weekday}</div>
  {/each}
  {#each diary.days as day (day)}
    {@const listed = diary.of(day)}
    {@const due = diary.dueOn(day)}
    <section class="cell" class:other={day.slice(0, 7) !== diary.on.slice(0, 7)} aria-label={named(day)}>
      <button
        class="heading text-sm hover:text-leaf"
        class:text-leaf={day === today}
        aria-label="Open {named(day)}"
        onclick={() => {
          diary.on = day;
          diary.view = "day";
          void diary.load();
        }}>{Number(day.slice(8))}</button
      >
      {#if diary.holiday(day)}<span
          class="block truncate text-xs leading-tight text-leaf"
          title={diary.holiday(day)}>{diary.holiday(day)}</span
        >{/if}
      <ul class="text-xs leading-tight">
        {#each listed.slice(0, MOST) as one (one.key)}
          <li>
            <button
              class="visit w-full truncate text-left"
              class:here={diary.at === one.key}
              class:clash={diary.clashing.has(one.key)}
              data-appointment={one.id}
              title={one.title}
              onclick={() => (diary.at = one.key)}
              onkeydown={(event) => press(event, one)}
              ><span class="text-bark">{clock(minutesOf(one.local))}</span> {one.title}</button
            >
          </li>
        {/each}
        {#if listed.length > MOST}<li class="text-bark">and {listed.length - MOST} more</li>{/if}
        {#if due.length}<li
            class="due truncate text-bark"
            title={due.map((one) => `${one.client} ${one.text}`).join("; ")}
          >
            {due.length} due
          </li>{/if}
      </ul>
    </section>
  {/each}
</div>

<style>
  .month {
    display: grid;
    grid-template-columns: repeat(7, minmax(0, 1fr));
  }
  .cell {
    min-height: 6rem;
    border: 0 solid var(--color-rule);
    border-width: 1px 0 0 1px;
    padding: 0.15rem 0.3rem;
  }
  .other {
    background: color-mix(in srgb, var(--color-grain) 35%, transparent);
  }
  .visit {
    border-left: 3px solid var(--color-walnut);
    padding-left: 0.3rem;
    margin-top: 0.1rem;
  }
  .visit.here {
    background: var(--color-leaf-pale);
    border-left-color: var(--color-leaf);
  }
  .visit.clash {
    border-left: 5px double var(--color-madder);
  }
  .due {
    border-left: 2px dashed var(--color-rule);
    padding-left: 0.3rem;
    margin-top: 0.15rem;
  }
</style>
