<script lang="ts">
  /** Days side by side over the hours: visits where they lie, the way there basted, the buffer after it; moved by hand and by key. */
  import { todayIso } from "../plan/plans.svelte";
  import type { Appointment, Diary } from "./diary.svelte";
  import { clock, lasts, minutesOf, wall } from "./times";

  const { diary }: { diary: Diary } = $props();
  const [FROM, TO, HOUR, STEP] = [7 * 60, 21 * 60, 46, 15];
  const perMinute = HOUR / 60;
  const y = (minutes: number) => (Math.min(Math.max(minutes, FROM), TO) - FROM) * perMinute;
  const hours = Array.from({ length: (TO - FROM) / 60 + 1 }, (_, at) => FROM + 60 * at);
  const HEAD = new Intl.DateTimeFormat("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    timeZone: "UTC",
  });
  const head = (day: string) => HEAD.format(new Date(`${day}T12:00:00Z`));
  const today = todayIso();

  /** Side by side where they overlap: of each its column and how many there are. */
  function lanes(listed: Appointment[]): Map<string, [number, number]> {
    const found = new Map<string, [number, number]>();
    let group: Appointment[] = [];
    let ends = 0;
    const settle = () => {
      const open: number[] = [];
      for (const one of group) {
        const at = minutesOf(one.local);
        let lane = open.findIndex((end) => end <= at);
        if (lane < 0) lane = open.length;
        open[lane] = at + one.minutes;
        found.set(one.key, [lane, 0]);
      }
      for (const one of group) found.set(one.key, [found.get(one.key)?.[0] ?? 0, open.length]);
      group = [];
    };
    for (const one of listed.toSorted((a, b) => minutesOf(a.local) - minutesOf(b.local))) {
      if (group.length && minutesOf(one.local) >= ends) settle();
      group.push(one);
      ends = Math.max(group.length === 1 ? 0 : ends, minutesOf(one.local) + one.minutes);
    }
    settle();
    return found;
  }

  let grid = $state<HTMLElement>();
  let drag = $state<{
    one: Appointment;
    x: number;
    y: number;
    days: number;
    minutes: number;
    moved: boolean;
  } | null>(null);

  function grab(event: PointerEvent, one: Appointment) {
    if (event.button !== 0) return;
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    drag = { one, x: event.clientX, y: event.clientY, days: 0, minutes: 0, moved: false };
  }
  function pull(event: PointerEvent) {
    if (!drag || !grid) return;
    const wide = grid.clientWidth / diary.days.length;
    const at = diary.days.indexOf(drag.one.local.slice(0, 10));
    const days = Math.min(
      Math.max(Math.round((event.clientX - drag.x) / wide), -at),
      diary.days.length - 1 - at,
    );
    const minutes = Math.round((event.clientY - drag.y) / perMinute / STEP) * STEP;
    drag = { ...drag, days, minutes, moved: drag.moved || days !== 0 || minutes !== 0 };
  }
  function drop() {
    const held = drag;
    drag = null;
    if (!held) return;
    if (held.moved && (held.days || held.minutes))
      void diary.move(held.one, { days: held.days, minutes: held.minutes });
    else diary.at = held.one.key;
    diary.fresh = null;
  }
  function press(event: KeyboardEvent, one: Appointment) {
    const far: Record<string, [number, number]> = {
      ArrowUp: [0, -STEP],
      ArrowDown: [0, STEP],
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
    };
    const by = far[event.key];
    if (by) {
      event.preventDefault();
      const how = event.shiftKey && by[1] ? { longer: by[1] } : { days: by[0], minutes: by[1] };
      const el = event.currentTarget as HTMLElement;
      const key = one.id;
      void diary.move(one, how).then(() => {
        // The place of the hand stays on what was moved, wherever it lies now.
        if (!el.isConnected) document.querySelector<HTMLElement>(`[data-appointment="${key}"]`)?.focus();
      });
    } else if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      diary.at = one.key;
      diary.fresh = null;
    } else if (event.key === "Delete") {
      event.preventDefault();
      void (one.rule ? diary.leaveOut(one) : diary.remove(one));
    }
  }
  function begin(event: MouseEvent, day: string) {
    if ((event.target as HTMLElement).closest("[data-appointment]")) return;
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
    const minutes = FROM + Math.floor((event.clientY - box.top) / perMinute / STEP) * STEP;
    diary.begin(wall(day, minutes));
  }
  const standing = (one: Appointment) => {
    const lifted = drag?.one.key === one.key ? drag : null;
    const from = minutesOf(one.local) + (lifted?.minutes ?? 0);
    return { from, to: from + one.minutes, days: lifted?.days ?? 0 };
  };
</script>

<div class="time" style:--days={diary.days.length}>
  <div></div>
  {#each diary.days as day (day)}
    <div class="px-1 pb-1" class:today={day === today}>
      <button
        class="heading block text-left text-base hover:text-leaf"
        onclick={() => {
          diary.on = day;
          diary.view = "day";
          void diary.load();
        }}>{head(day)}</button
      >
      {#if diary.holiday(day)}<p class="truncate text-xs leading-tight text-leaf" title={diary.holiday(day)}>
          {diary.holiday(day)}
        </p>{/if}
      <ul class="text-xs leading-tight" aria-label="Due on {head(day)}">
        {#each diary.dueOn(day).slice(0, 4) as due, at (at)}
          <li class="due truncate" title="{due.client ? `${due.client}: ` : ''}{due.text}">
            {#if due.client_id}<a href="/people/{due.client_id}" class="hover:text-leaf"
                >{due.client.split(" ")[0]}: {due.text}</a
              >{:else}{due.text}{/if}
          </li>
        {/each}
        {#if diary.dueOn(day).length > 4}<li class="text-bark">
            and {diary.dueOn(day).length - 4} more due
          </li>{/if}
      </ul>
    </div>
  {/each}
  <div class="relative" style:height="{y(TO)}px" aria-hidden="true">
    {#each hours as hour (hour)}<span
        class="absolute right-1 -translate-y-1/2 text-xs text-bark"
        style:top="{y(hour)}px">{clock(hour)}</span
      >{/each}
  </div>
  <div class="field-of-days relative" style:height="{y(TO)}px" bind:this={grid}>
    {#each hours as hour (hour)}<div class="hour" style:top="{y(hour)}px"></div>{/each}
    {#each diary.days as day, column (day)}
      {@const listed = diary.of(day)}
      {@const lane = lanes(listed)}
      <!-- A double press on empty time begins an appointment; the button above the grid and the key N do the same. -->
      <div
        class="column"
        style:left="{(100 * column) / diary.days.length}%"
        style:width="{100 / diary.days.length}%"
        ondblclick={(event) => begin(event, day)}
        role="presentation"
      >
        {#each listed as one (one.key)}
          {@const at = standing(one)}
          {@const [number, of] = lane.get(one.key) ?? [0, 1]}
          <div
            class="stack"
            style:left="calc({(100 * number) / of}% + {at.days * 100}%)"
            style:width="{100 / of}%"
            style:top="{y(at.from - one.travel)}px"
            style:height="{Math.max(y(at.to + one.buffer) - y(at.from - one.travel), 18)}px"
          >
            {#if one.travel}<div
                class="way"
                style:height="{y(at.from) - y(at.from - one.travel)}px"
                title="{one.travel} min on the way"
              ></div>{/if}
            <div
              class="visit"
              class:here={diary.at === one.key}
              class:short={one.minutes < 45}
              class:clash={diary.clashing.has(one.key)}
              class:done={one.done_at}
              class:away={one.kind === "away"}
              class:lifted={drag?.one.key === one.key && drag.moved}
              style:height="{Math.max(y(at.to) - y(at.from), 18)}px"
              data-appointment={one.id}
              role="button"
              tabindex="0"
              aria-label="{one.title} {clock(at.from)}{one.place ? `, ${one.place}` : ''}{one.rule
                ? ', repeats'
                : ''}; {head(one.local.slice(0, 10))}, {lasts(one.minutes)}{diary.clashing.has(one.key)
                ? ', clashes'
                : ''}"
              onpointerdown={(event) => grab(event, one)}
              onpointermove={pull}
              onpointerup={drop}
              onpointercancel={() => (drag = null)}
              onkeydown={(event) => press(event, one)}
            >
              <!-- A short one has one line for all of it. -->
              <span class="leading-tight font-semibold {one.minutes < 45 ? '' : 'block'}">{one.title}</span>
              <span class={one.minutes < 45 ? "" : "block truncate"}
                >{clock(at.from)}{#if one.place}, {one.place}{/if}{#if one.rule}, repeats{/if}</span
              >
            </div>
            {#if one.buffer}<div
                class="buffer"
                style:height="{y(at.to + one.buffer) - y(at.to)}px"
              ></div>{/if}
          </div>
        {/each}
      </div>
    {/each}
  </div>
</div>

<style>
  .time {
    display: grid;
    grid-template-columns: 3rem repeat(var(--days), minmax(0, 1fr));
  }
  .field-of-days {
    grid-column: 2 / -1;
    border-bottom: 2px solid var(--color-walnut);
  }
  .hour {
    position: absolute;
    inset-inline: 0;
    border-top: 1px solid var(--color-grain);
  }
  .column {
    position: absolute;
    top: 0;
    bottom: 0;
    border-left: 1px solid var(--color-rule);
  }
  .today .heading {
    color: var(--color-leaf);
  }
  .due {
    border-left: 2px dashed var(--color-rule);
    padding-left: 0.3rem;
    margin-top: 0.15rem;
  }
  .stack {
    position: absolute;
    padding-inline: 1px;
  }
  .way {
    border-left: 2px dashed var(--color-bark);
    margin-left: 0.4rem;
  }
  .visit {
    overflow: hidden;
    background: var(--color-sheet);
    border: 1.5px solid var(--color-walnut);
    border-left-width: 4px;
    padding: 0.05rem 0.3rem;
    font-size: 0.75rem;
    cursor: grab;
    touch-action: none;
    user-select: none;
  }
  .visit.short {
    white-space: nowrap;
    text-overflow: ellipsis;
    line-height: 1.25;
  }
  .visit.here {
    background: var(--color-leaf-pale);
    border-color: var(--color-leaf);
  }
  .visit.clash {
    border-left-color: var(--color-madder);
    border-left-style: double;
    border-left-width: 6px;
  }
  .visit.done {
    color: var(--color-bark);
    border-color: var(--color-rule);
  }
  .visit.away {
    background: repeating-linear-gradient(45deg, var(--color-sheet) 0 6px, var(--color-grain) 6px 9px);
  }
  .visit.lifted {
    cursor: grabbing;
    border-color: var(--color-leaf);
  }
  .buffer {
    background: repeating-linear-gradient(0deg, transparent 0 3px, var(--color-grain) 3px 4px);
  }
</style>
