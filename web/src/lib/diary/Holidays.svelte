<script lang="ts">
  /** Where the studio works: the public holidays of that country or part of it stand in the diary. */
  import { onMount } from "svelte";
  import { api, ask, type Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import type { Diary } from "./diary.svelte";

  const { diary }: { diary: Diary } = $props();
  let countries = $state.raw<Schemas["CountryOut"][]>([]);
  let trouble = $state<string | null>(null);
  const NAMES = new Intl.DisplayNames("en-GB", { type: "region" });
  const named = $derived(
    countries
      .map((one) => ({ ...one, name: NAMES.of(one.country) ?? one.country }))
      .toSorted((one, other) => one.name.localeCompare(other.name)),
  );
  /** What was chosen and is not kept yet: a name that is typed chooses one after another. */
  let chosen = $state<string | null>(null);
  const place = $derived(chosen ?? studio.me?.studio.holidays_of ?? "");
  const country = $derived(place.split("-")[0]);
  const parts = $derived(countries.find((one) => one.country === country)?.parts ?? []);
  onMount(async () => {
    const told = await ask(api.GET("/api/diary/countries"));
    if ("data" in told) countries = told.data;
    else trouble = told.refusal.message;
  });

  let keeping = false;
  async function work(where: string) {
    chosen = where;
    if (keeping) return;
    keeping = true;
    // One after the other, and the last one last.
    while (chosen !== null && chosen !== studio.me?.studio.holidays_of) {
      const refusal = await studio.change({ holidays_of: chosen });
      trouble = refusal?.message ?? null;
      if (refusal) break;
    }
    chosen = null;
    keeping = false;
    await diary.load();
  }
</script>

<h3 class="mt-4 text-xs text-bark">public holidays of</h3>
<select
  class="field"
  aria-label="Country whose public holidays are shown"
  value={country}
  disabled={!countries.length}
  onchange={(event) => void work(event.currentTarget.value)}
>
  <option value="">none</option>
  {#each named as one (one.country)}<option value={one.country}>{one.name}</option>{/each}
</select>
{#if parts.length}
  <select
    class="field mt-1"
    aria-label="Part of the country"
    value={place}
    onchange={(event) => void work(event.currentTarget.value)}
  >
    <option value={country}>the whole of it</option>
    {#each parts as one (one.place)}<option value={one.place}>{one.name}</option>{/each}
  </select>
{/if}
{#if place}<p class="text-sm text-bark">Free time is found on other days.</p>{/if}
{#if trouble}<p role="alert" class="text-sm text-madder">{trouble}</p>{/if}
