<script lang="ts">
  /** What a plan keeps to: days of the wash, how long it takes, and of a trip what the bag holds. */
  import type { Plan, Plans } from "./plans.svelte";

  const { plans, plan }: { plans: Plans; plan: Plan } = $props();
  const WEEKDAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];
  const wash = $derived(plan.asks.wash ?? []);
  const ask = (change: Partial<Plan["asks"]>) =>
    void plans.change(plan, { asks: { ...plan.asks, ...change } });

  /** The number in a text, between two ends; null where there is none. */
  function within(text: string, least: number, most: number): number | null {
    const read = Number(text.trim().replace(",", "."));
    return text.trim() && Number.isFinite(read) ? Math.min(most, Math.max(least, read)) : null;
  }
</script>

{#snippet figure(
  before: string,
  after: string,
  value: number | null | undefined,
  take: (text: string) => void,
)}
  <label
    >{before}
    <input
      class="field w-14 text-center text-walnut"
      inputmode="decimal"
      placeholder="any"
      value={value ?? ""}
      onchange={(event) => {
        take(event.currentTarget.value);
        event.currentTarget.value = String(value ?? "");
      }}
    />
    {after}</label
  >
{/snippet}

<div class="mt-1 flex flex-wrap items-center gap-x-4 text-sm text-bark">
  <span class="flex items-center gap-1" role="group" aria-label="Days of the wash"
    >wash on
    {#each WEEKDAYS as weekday, at (weekday)}
      <button
        class="quiet"
        aria-pressed={wash.includes(at)}
        onclick={() =>
          ask({ wash: wash.includes(at) ? wash.filter((one) => one !== at) : [...wash, at].toSorted() })}
        >{weekday}</button
      >
    {/each}</span
  >
  {@render figure("hangs again after", "days", plan.asks.takes, (text) => {
    const days = within(text, 0, 7);
    if (days !== null) ask({ takes: Math.round(days) });
  })}
  {#if plan.kind === "trip"}
    {@render figure("bag up to", "kg", plan.asks.kilos, (text) => ask({ kilos: within(text, 0.1, 60) }))}
    {@render figure("pieces up to", "", plan.asks.pieces, (text) => {
      const pieces = within(text, 1, 60);
      ask({ pieces: pieces && Math.round(pieces) });
    })}
    {@render figure("pairs of shoes", "", plan.asks.shoes, (text) => {
      const shoes = within(text, 1, 10);
      if (shoes !== null) ask({ shoes: Math.round(shoes) });
    })}
  {/if}
</div>
