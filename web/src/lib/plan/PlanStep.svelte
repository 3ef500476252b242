<script lang="ts">
  /** A client's weeks and trips, and what was worn. */
  import { untrack } from "svelte";
  import type { Schemas } from "../api/client";
  import Working from "../edit/Working.svelte";
  import { studio } from "../studio.svelte";
  import DateField from "../ui/DateField.svelte";
  import { written } from "../ui/dates";
  import Asks from "./Asks.svelte";
  import DayColumn from "./DayColumn.svelte";
  import Packing from "./Packing.svelte";
  import { after, todayIso, type Kind, type Plans } from "./plans.svelte";
  import WornView from "./WornView.svelte";

  const { plans, name, words }: { plans: Plans; name: string; words: Schemas["BriefWords"] } = $props();
  $effect(() => untrack(() => void plans.load()));
  const plan = $derived(plans.here);
  const days = $derived(new Map(plan?.days.map((day) => [day.key, day])));
  $effect(() => void plans.drawings.draw((plan?.days ?? []).flatMap((day) => (day.look ? [day.look] : []))));
  const tallest = $derived(
    Math.max(
      150,
      ...(plan?.days ?? []).map((day) => (day.look && plans.drawings.drawn[day.look.key]?.height) || 0),
    ),
  );
  let starting = $state<Kind | null>(null);
  let first = $state<string | null>(after(todayIso(), 1));
  let many = $state(7);
  let place = $state("");
  let placed = $state(0);

  function start(kind: Kind) {
    starting = kind;
    many = kind === "week" ? 7 : 5;
    first = after(todayIso(), 1);
  }
  async function begin() {
    const kind = starting;
    if (!kind || !first) return;
    starting = null;
    const called = kind === "week" ? `Week from ${written(first)}` : `${place || "Trip"}, ${written(first)}`;
    plans.view = "plan";
    await plans.begin(kind, first, Math.min(Math.max(Math.round(many) || 1, 1), 31), called, place);
  }

  /** What single letters do in this step: arrows walk the days, the letters change the one that is held. */
  function move(event: KeyboardEvent) {
    if (!plan || (event.target as HTMLElement).closest("input, textarea, select, [role=listbox]")) return;
    const by = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (!by) return;
    event.preventDefault();
    placed = Math.min(Math.max(placed + by, 0), plan.occasions.length - 1);
  }
  const held = $derived(plan?.occasions[placed]);
  const heldDay = $derived(held && days.get(held.key));
  export const letters = {
    get now(): Record<string, () => void> {
      if (!plan || !held || !heldDay || studio.turned) return {};
      return {
        k: () => void plans.day(plan, { key: held.key, doing: heldDay.kept ? "free" : "keep" }, false),
        x: () => void (heldDay.others.length && plans.day(plan, { key: held.key, doing: "other", other: 0 })),
        w: () => void plans.wear(plan, held, heldDay),
      };
    },
  };
</script>

<svelte:window onkeydown={move} />

<main class="parted min-h-0 grow">
  <nav class="panel min-h-0 overflow-y-auto py-3" aria-label="Plans" data-panel tabindex="-1">
    {#if !studio.turned}
      <div class="flex flex-wrap gap-2 px-4 pb-3">
        <button class="press" aria-pressed={starting === "week"} onclick={() => start("week")}
          >New week</button
        >
        <button class="press" aria-pressed={starting === "trip"} onclick={() => start("trip")}
          >New trip</button
        >
      </div>
      {#if starting}
        <form
          class="space-y-2 border-y border-rule px-4 py-3 text-sm"
          onsubmit={(event) => {
            event.preventDefault();
            void begin();
          }}
        >
          <label class="block text-xs text-bark"
            >from<DateField
              value={first}
              class="text-base text-walnut"
              label="First day"
              onchange={(iso) => (first = iso)}
            /></label
          >
          <label class="block text-xs text-bark"
            >days<input
              class="field w-16 text-base text-walnut"
              type="number"
              min="1"
              max="31"
              bind:value={many}
            /></label
          >
          <label class="block text-xs text-bark"
            >place<input
              class="field text-base text-walnut"
              maxlength="120"
              bind:value={place}
              placeholder="for the forecast"
            /></label
          >
          <button class="press" data-main disabled={!first}
            >{starting === "week" ? "Plan the week" : "Pack for it"}</button
          >
          <button class="quiet" type="button" onclick={() => (starting = null)}>not now</button>
        </form>
      {/if}
    {/if}
    <ul>
      {#each plans.plans ?? [] as one (one.id)}
        <li>
          <button
            class="part w-full px-4 py-1.5 text-left"
            class:here={plans.view === "plan" && plan?.id === one.id}
            aria-current={plans.view === "plan" && plan?.id === one.id ? "page" : undefined}
            onclick={() => {
              plans.at = one.id;
              plans.view = "plan";
              placed = 0;
            }}
          >
            {one.name}<span class="block text-xs text-bark">{one.kind}, {one.occasions.length} occasions</span
            >
          </button>
        </li>
      {/each}
      <li>
        <button
          class="part w-full px-4 py-1.5 text-left"
          class:here={plans.view === "worn"}
          aria-current={plans.view === "worn" ? "page" : undefined}
          data-view="worn"
          onclick={() => (plans.view = "worn")}>Worn</button
        >
      </li>
    </ul>
  </nav>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <!-- It scrolls: the keyboard reaches it. -->
  <section
    class="relative min-h-0 min-w-0 overflow-y-auto px-6 py-3"
    aria-label={plans.view === "worn" ? "Worn" : (plan?.name ?? "Plan")}
    tabindex="0"
  >
    {#if plans.trouble}<p role="alert" class="text-madder">
        {plans.trouble} <button class="quiet" onclick={() => void plans.load()}>Try again</button>
      </p>{/if}
    {#if plans.view === "worn"}
      <WornView {plans} />
    {:else if plans.plans === null}
      <p role="status" class="text-bark">Looking for plans…</p>
    {:else if !plan}
      <p class="max-w-xl text-bark">
        No plan yet. A week dresses {name.split(" ")[0]}’s days from the rack: nothing worn more often than
        the wash allows, nobody seeing the same outfit twice running. A trip finds the fewest pieces that
        dress every day well.
      </p>
    {:else}
      <header class="flex flex-wrap items-end gap-x-4 gap-y-1">
        {#if studio.turned}<h2 class="heading text-2xl">{plan.name}</h2>{:else}
          <input
            class="field heading w-72 text-2xl"
            aria-label="Name of the plan"
            maxlength="120"
            value={plan.name}
            onchange={(event) =>
              event.currentTarget.value.trim() &&
              void plans.change(plan, { name: event.currentTarget.value })}
          />
          <button class="press" data-main onclick={() => void plans.dress()}>Dress the days</button>
          <label class="flex items-baseline gap-1 text-sm text-bark"
            >place<input
              class="field w-32 text-walnut"
              maxlength="120"
              value={plan.place}
              onchange={(event) => void plans.change(plan, { place: event.currentTarget.value })}
            /></label
          >
          <button class="quiet" onclick={() => void plans.air()}>take the forecast</button>
          {#if studio.may("hand_out")}<a
              class="quiet flex items-center"
              href="/api/plans/{plan.id}/plan.pdf"
              download>print</a
            >{/if}
          <button class="quiet" onclick={() => void plans.remove(plan)}>take away</button>
        {/if}
      </header>
      {#if !studio.turned}
        <Asks {plans} {plan} />
        {#if plans.work.job || plans.work.trouble}<Working
            work={plans.work}
            asked={plans.asked}
            what="Dressing the days"
            testid="plan-work"
          />{/if}
        {#if plan.weighed}
          <p class="text-sm text-bark">
            {plan.short_by
              ? `No plan of these ${plan.weighed} looks could be more than ${(100 * plan.short_by).toFixed(1)} % better.`
              : `Of ${plan.weighed} looks no plan is better.`}
          </p>
        {/if}
        {#each plan.broken as breach (breach)}<p class="text-sm text-madder" role="note">{breach}</p>{/each}
      {/if}
      <ul class="days mt-3" aria-label="{name}: {plan.name}">
        {#each plan.occasions as occasion, at (occasion.key)}
          {@const day = days.get(occasion.key)}
          {#if day}<DayColumn
              {plans}
              {plan}
              {occasion}
              {day}
              occasions={words.occasions}
              codes={words.dress_codes}
              drawings={plans.drawings}
              {tallest}
              here={at === placed && !studio.turned}
            />{/if}
        {/each}
      </ul>
      {#if plan.kind === "trip" && plan.taken.length}<Packing {plans} {plan} />{/if}
    {/if}
  </section>
</main>

<style>
  .days {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(7.6rem, 1fr));
    gap: 1.25rem 0.75rem;
  }
</style>
