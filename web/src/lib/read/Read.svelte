<script lang="ts">
  /** The reading as a panel: what can be said aloud, and the differences it rests on. */
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { length } from "../units";

  const { reading }: { reading: Schemas["BodyReadingOut"] } = $props();
  const NAMES: Record<string, string> = {
    shoulder_hip: "Shoulders over hips",
    bust_waist: "Bust over waist",
    waist_hip: "Waist over hip",
    bust_hip: "Bust over hip",
    belly_waist: "Belly over waist",
  };
  const FRAMES: Record<string, string> = { petite: "petite frame", average: "average height", tall: "tall" };
  const differ = $derived(reading.front.shape !== reading.girths.shape);
</script>

<div class="space-y-4">
  <div>
    <p class="text-sm text-bark">The girths read as</p>
    <p class="heading text-2xl first-letter:uppercase" data-testid="shape">{reading.girths.shape}</p>
    <p class="text-sm">
      {reading.girths.has_waist ? "A waist to mark" : "No waist to mark"} · {FRAMES[reading.stature_word]} ·
      {reading.waist_word === "even" ? "torso and leg in balance" : reading.waist_word}
    </p>
    {#if !reading.girths.settled}
      <p class="mt-1 text-sm text-bark">
        Bust, waist and hip are not all measured, so this may still change.
      </p>
    {/if}
    <p class="mt-1 text-sm">
      From the front, by breadths, it reads as <span class="font-semibold">{reading.front.shape}</span>{differ
        ? ""
        : " too"}{reading.front.settled ? "" : ", by estimate"}.
      {#if differ}The two differ: girth goes round, the eye sees across.{/if}
    </p>
  </div>
  <section aria-labelledby="aloud">
    <h2 id="aloud" class="heading mb-1">Said aloud</h2>
    <ul class="space-y-1">
      {#each reading.sentences as sentence (sentence)}<li class="border-l-2 border-rule pl-2">
          {sentence}
        </li>{/each}
    </ul>
  </section>
  {#if !studio.turned}
    <table class="w-full text-sm">
      <caption class="heading mb-1 text-left text-base">Differences</caption>
      <thead class="sr-only"><tr><th>Between</th><th>Difference</th><th>Per cent</th></tr></thead>
      <tbody>
        {#each reading.differences as row (row.name)}
          <tr class="border-b {row.settled ? 'border-solid border-chalk' : 'border-dashed border-rule'}">
            <th scope="row" class="py-1 text-left font-normal">{NAMES[row.name] ?? row.name}</th>
            <td class="text-right {row.settled ? 'font-semibold text-chalk' : ''}">
              {row.cm > 0 ? "+" : ""}{length(row.cm, studio.unit)}
            </td>
            <td class="w-16 text-right text-bark">{row.per_cent.toFixed(0)} %</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  <section aria-labelledby="seated">
    <h2 id="seated" class="heading mb-1">Sitting{reading.lives_seated ? ", most of the day" : ""}</h2>
    {#if studio.turned}
      <p class="text-sm">Hems rise and the back of a band asks for more when sitting; we allow for both.</p>
    {:else}
      <p class="text-sm {reading.lives_seated ? '' : 'text-bark'}">
        Hems rise about {length(reading.seated.hem_rises, studio.unit)}; the back of a band needs about
        {length(reading.seated.back_needs, studio.unit)} more; {length(
          reading.seated.above_seat,
          studio.unit,
        )} of the figure show above the seat{reading.lives_seated
          ? ", so neckline, shoulder and waist speak first"
          : ""}.
      </p>
    {/if}
  </section>
</div>
