<script lang="ts">
  /** One chart: its maker and piece, and every size with its figures. */
  import type { Snippet } from "svelte";
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { figure, said } from "../units";

  const { chart, children }: { chart: Schemas["ChartOut"]; children?: Snippet } = $props();
  const name = (key: string) => said(key.replace(/_[a-z]+$/, ""));
  const shown = (key: string, cm: number | undefined) =>
    cm === undefined ? "" : key.endsWith("_cm") ? figure(cm, studio.unit) : String(cm);
</script>

<details>
  <summary class="flex min-h-8 cursor-pointer items-baseline gap-2">
    <span class="turn text-bark" aria-hidden="true">▸</span>
    <strong class="font-semibold">{chart.maker}</strong>
    <span class="min-w-0 grow">{chart.product ? `${chart.product}: ` : ""}{chart.title}</span>
    <span class="text-sm text-bark"
      >{chart.sizes.length} sizes, {chart.of === "body" ? "of the body" : "of the garment"}</span
    >
  </summary>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <!-- It scrolls sideways where a chart is broad: the keyboard reaches it. -->
  <div class="overflow-x-auto" tabindex="0" role="group" aria-label="Sizes of {chart.maker} {chart.product}">
    <table class="mt-1 text-sm">
      <thead>
        <tr class="text-bark">
          <th class="pr-4 text-left font-normal">Size</th>
          {#each chart.figures as key (key)}
            <th class="px-3 text-right font-normal first-letter:uppercase">{name(key)}, {studio.unit}</th>
          {/each}
        </tr>
      </thead>
      <tbody>
        {#each chart.sizes as size (size.label)}
          <tr class="border-b border-grain">
            <th scope="row" class="pr-4 text-left whitespace-nowrap">{size.label}</th>
            {#each chart.figures as key (key)}<td class="px-3 text-right">{shown(key, size.figures[key])}</td
              >{/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {@render children?.()}
</details>

<style>
  details[open] .turn {
    transform: rotate(90deg);
  }
</style>
