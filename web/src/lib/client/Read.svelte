<script lang="ts">
  import type { Assessment } from "../api/client";
  import { studio } from "../studio.svelte";
  import { length } from "../units";

  const { assessment }: { assessment: Assessment } = $props();
  const NAMES: Record<string, string> = {
    shoulder_hip: "Shoulders over hips",
    bust_waist: "Bust over waist",
    waist_hip: "Waist over hip",
    bust_hip: "Bust over hip",
    belly_waist: "Belly over waist",
  };
  const shape = $derived(assessment.shape);
  const border = $derived(shape.runner_up);
  const crotch = $derived(assessment.landmarks.find((mark) => mark.name === "crotch_height"));
  const leg = $derived(crotch ? crotch.cm / assessment.stature : 0);
  const article = (word: string) => (/^[aeiou]|^hour/.test(word) ? "an" : "a");
</script>

<div class="space-y-3">
  <div>
    <p class="text-sm text-bark">The girths read as</p>
    <p class="heading text-2xl first-letter:uppercase" data-testid="shape">{shape.shape}</p>
    {#if !shape.settled}
      <p class="text-sm">Bust, waist and hip are not all measured yet, so this reading may still change.</p>
    {/if}
  </div>
  {#if border && !studio.turned}
    <p>
      {length(Math.abs(border.cm), studio.unit)}
      {border.cm > 0 ? "more" : "less"} at the {border.measure} would read as {article(border.shape)}
      {border.shape}.
      {#if shape.near_border}That is near: choose what holds for both.{/if}
    </p>
  {/if}
  <p>
    {shape.has_waist ? "There is a waist to mark." : "The line runs straight at the waist."}
    The leg is {(100 * leg).toFixed(0)} % of the height{crotch?.settled ? "" : ", by estimate"}.
  </p>
  {#if !studio.turned}
    <table class="w-full text-sm">
      <caption class="heading mb-1 text-left text-base">Differences</caption>
      <thead class="sr-only">
        <tr><th>Between</th><th>Difference</th><th>Per cent</th></tr>
      </thead>
      <tbody>
        {#each shape.differentials as row (row.name)}
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
    <p class="text-xs text-bark">Blue and solid: both measured. Dashed: at least one is estimated.</p>
  {/if}
</div>
