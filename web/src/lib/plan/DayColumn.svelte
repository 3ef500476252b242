<script lang="ts">
  /** One occasion of a plan: the day, the air, who sees her, the look drawn, and what is done with it by hand. */
  import type { Drawings } from "../outfits/drawings.svelte";
  import DrawnLook from "../outfits/DrawnLook.svelte";
  import { studio } from "../studio.svelte";
  import Word from "../ui/Word.svelte";
  import { celsiusOf, degrees, inScale, said, temperature } from "../units";
  import type { Occasion, Plan, PlanDay, Plans } from "./plans.svelte";

  interface Props {
    plans: Plans;
    plan: Plan;
    occasion: Occasion;
    day: PlanDay;
    occasions: string[];
    codes: string[];
    drawings: Drawings;
    tallest: number;
    /** It holds the keyboard's place. */
    here: boolean;
  }
  const { plans, plan, occasion, day, occasions, codes, drawings, tallest, here }: Props = $props();
  let others = $state(false);
  let more = $state(false);
  const WEEKDAY = new Intl.DateTimeFormat("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    timeZone: "UTC",
  });
  const on = $derived(WEEKDAY.format(new Date(`${occasion.on}T12:00:00Z`)));
  const called = $derived(`${on}, ${said(occasion.occasion)}`);
  const air = $derived(occasion.celsius == null ? "" : String(inScale(occasion.celsius, studio.unit)));

  function typed(text: string) {
    const figure = Number(text.replace(",", ".").replace("−", "-"));
    const celsius = text.trim() === "" || Number.isNaN(figure) ? null : celsiusOf(figure, studio.unit);
    void plans.changeDay(plan, occasion.key, { celsius, forecast: false });
  }
  const people = (text: string) =>
    text
      .split(",")
      .map((one) => one.trim())
      .filter(Boolean)
      .slice(0, 6);
</script>

<li class="day flex min-w-0 flex-col" class:here data-day={occasion.key} aria-label={called}>
  <div class="flex items-baseline justify-between gap-1">
    <h2 class="heading text-base">{on}</h2>
    {#if day.kept}<span class="text-xs text-leaf" title="Kept by hand">kept</span>{/if}
  </div>
  <p class="min-h-[2.7em] text-sm">
    {said(occasion.occasion)}{#if air}<span class="text-bark"
        >, {temperature(occasion.celsius ?? 0, studio.unit)}{occasion.rain ? ", rain" : ""}</span
      >{/if}
  </p>
  <DrawnLook {drawings} look={day.look ?? undefined} tall={230} {tallest} />
  <div class="floor grow pt-1 text-xs leading-tight">
    {#if day.look}
      <ul>
        {#each day.look.pieces as piece (piece.title + piece.how)}
          <li class="piece flex items-start justify-between gap-1">
            <span
              >{piece.title}{#if piece.how}<span class="text-bark">, {piece.how}</span>{/if}</span
            >
            {#if !studio.turned && piece.piece_id}
              <button
                class="without quiet shrink-0"
                aria-label="{called}: do without the {piece.title}"
                title="Do without it this day"
                onclick={() =>
                  void plans.day(plan, { key: occasion.key, doing: "without", piece: piece.piece_id })}
                >×</button
              >
            {/if}
          </li>
        {/each}
      </ul>
      {#if day.look.verdict !== "works"}<p class="text-madder">
          Only just: {day.look.reasons[0]?.title ?? ""}
        </p>{/if}
    {:else}
      <p class="text-bark">{plan.weighed ? "Nothing at hand works here." : "Nothing planned."}</p>
    {/if}
    {#if day.way}<p class="text-bark">for the way: {day.way}</p>{/if}
    {#each day.without as title (title)}<p class="text-bark">without the {title}</p>{/each}
  </div>
  {#if !studio.turned}
    <div class="mt-1 flex flex-wrap gap-x-1 text-sm">
      {#if day.look}
        <button
          class="quiet"
          aria-pressed={day.kept}
          aria-label="{called}: keep"
          onclick={() =>
            void plans.day(plan, { key: occasion.key, doing: day.kept ? "free" : "keep" }, false)}
          >keep</button
        >
        <button
          class="quiet"
          aria-expanded={others}
          aria-label="{called}: others"
          onclick={() => (others = !others)}>others</button
        >
        <button
          class="quiet"
          aria-pressed={day.worn}
          disabled={day.worn}
          aria-label="{called}: worn"
          onclick={() => void plans.wear(plan, occasion, day)}>worn</button
        >
      {/if}
      {#if day.without.length}<button
          class="quiet"
          onclick={() => void plans.day(plan, { key: occasion.key, doing: "free" })}>all again</button
        >{/if}
      <button
        class="quiet"
        aria-expanded={more}
        aria-label="{called}: change the day"
        onclick={() => (more = !more)}>day</button
      >
    </div>
    {#if others}
      <ul class="mt-1 space-y-1 border-t border-rule pt-1 text-xs leading-tight">
        {#each day.others as look, at (look.key)}
          <li>
            <button
              class="w-full text-left hover:text-leaf"
              data-other={at}
              onclick={() => {
                others = false;
                void plans.day(plan, { key: occasion.key, doing: "other", other: at });
              }}>{look.pieces.map((piece) => piece.title).join(", ")}</button
            >
          </li>
        {:else}<li class="text-bark">No other base works here.</li>{/each}
      </ul>
    {/if}
    {#if more}
      <div class="mt-1 space-y-1 border-t border-rule pt-1">
        <Word
          label="where"
          value={occasion.occasion}
          choices={occasions}
          removable={false}
          onchange={(word) =>
            word && void plans.changeDay(plan, occasion.key, { occasion: word as Occasion["occasion"] })}
        />
        <Word
          label="dress"
          value={occasion.code === "none" ? null : occasion.code}
          choices={codes.filter((one) => one !== "none")}
          onchange={(word) =>
            void plans.changeDay(plan, occasion.key, { code: (word ?? "none") as Occasion["code"] })}
        />
        <label class="flex items-baseline gap-1 text-xs text-bark"
          >air, {degrees(studio.unit)}<input
            class="field w-14 text-walnut"
            inputmode="numeric"
            value={air}
            onchange={(event) => typed(event.currentTarget.value)}
          /></label
        >
        <label class="flex items-center gap-1 text-xs text-bark"
          ><input
            type="checkbox"
            checked={occasion.rain}
            onchange={(event) =>
              void plans.changeDay(plan, occasion.key, {
                rain: event.currentTarget.checked,
                forecast: false,
              })}
          />rain</label
        >
        <label class="block text-xs text-bark"
          >seen by<input
            class="field text-walnut"
            maxlength="120"
            value={(occasion.seen_by ?? []).join(", ")}
            onchange={(event) =>
              void plans.changeDay(plan, occasion.key, { seen_by: people(event.currentTarget.value) })}
          /></label
        >
        <button
          class="quiet text-xs"
          disabled={plan.occasions.length < 2}
          onclick={() =>
            void plans.change(plan, { occasions: plan.occasions.filter((one) => one.key !== occasion.key) })}
          >leave this out</button
        >
      </div>
    {/if}
  {/if}
</li>

<style>
  .floor {
    border-top: 2px solid var(--color-walnut);
    min-height: 4.5rem;
  }
  .day.here h2 {
    color: var(--color-leaf);
  }
  .without {
    min-height: 1.2rem;
    padding: 0 0.25rem;
    opacity: 0;
  }
  .piece:hover .without,
  .without:focus-visible {
    opacity: 1;
  }
  @media (hover: none) {
    .without {
      opacity: 1;
      min-height: 1.75rem;
    }
  }
</style>
