<script lang="ts">
  /** The numbers of one group: what to look for, what to leave, why, and how sure. */
  import { studio } from "../studio.svelte";
  import { figure } from "../units";
  import { poor, range } from "./range";
  import Shelf from "./Shelf.svelte";
  import type { Shop } from "./shop.svelte";

  const { shop }: { shop: Shop } = $props();

  const BESIDE = [
    ["numbers", "To look for"],
    ["shelf", "In the shops"],
    ["charts", "Size charts"],
  ] as const;

  function show(beside: (typeof BESIDE)[number][0]) {
    if (shop.beside !== beside) shop.shelf = null;
    shop.beside = beside;
    if (beside !== "numbers") void shop.loadShelf();
  }
</script>

<section aria-label="Shopping numbers" class="flex h-full flex-col px-4 py-3">
  <div class="flex flex-wrap gap-1.5" role="group" aria-label="Beside the figure">
    {#each BESIDE as [key, name] (key)}
      <button class="press px-2 text-sm" aria-pressed={shop.beside === key} onclick={() => show(key)}
        >{name}</button
      >
    {/each}
  </div>
  {#if shop.beside !== "numbers"}
    <Shelf {shop} />
  {:else}
    <label class="mt-1 flex items-baseline gap-2 text-sm text-bark">
      Kind
      <select class="field w-auto text-walnut" bind:value={shop.group} aria-label="Kind of piece">
        {#each shop.groups as group (group)}<option>{group}</option>{/each}
      </select>
    </label>
    {#if studio.turned}
      <p class="mt-2">The numbers are kept out of sight; the bands on the figure show where edges do well.</p>
    {:else}
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <!-- It scrolls and holds no control: the keyboard reaches it all the same. -->
      <ul class="mt-2 min-h-0 grow space-y-2 overflow-y-auto pr-2" tabindex="0" aria-label={shop.group}>
        {#each shop.shown as number (number.name + number.worn)}
          <li class="number border-b pb-1.5" class:settled={number.settled}>
            <p class="flex items-baseline gap-2">
              <span class="grow">
                <span class="inline-block first-letter:uppercase">{number.name}</span>{number.worn
                  ? `, ${number.worn}`
                  : ""}
              </span>
              <span class="figure whitespace-nowrap" data-number={number.name}
                >{range(number.low, number.high, studio.unit)}</span
              >
            </p>
            <p class="text-sm text-bark">
              {number.reason}{#if number.serves}{" "}
                <span class="text-leaf">For your aims: it {number.serves}.</span>{/if}
              {#if poor(number, studio.unit)}<strong class="font-semibold text-walnut"
                  >{poor(number, studio.unit)}.</strong
                >{/if}
              {#if !number.settled}
                Give or take {figure(1.28 * number.spread, studio.unit)}
                {studio.unit}: measure {number.rests_on.join(" and ")}.
              {/if}
            </p>
          </li>
        {/each}
      </ul>
    {/if}
  {/if}
</section>

<style>
  .number {
    border-bottom-style: dashed;
    border-color: var(--color-rule);
  }
  .number.settled {
    border-bottom-style: solid;
    border-color: var(--color-chalk);
  }
  .settled .figure {
    color: var(--color-chalk);
    font-weight: 600;
  }
</style>
