<script lang="ts">
  /** What was worn, what a wear has cost, what hangs unworn, what is always worn. */
  import { studio } from "../studio.svelte";
  import { day } from "../units";
  import type { Plans } from "./plans.svelte";

  const { plans }: { plans: Plans } = $props();
  $effect(() => void plans.loadUses());
  const uses = $derived(plans.uses);
  const worn = $derived((uses?.uses ?? []).filter((one) => one.days > 0));
  const unworn = $derived((uses?.uses ?? []).filter((one) => uses?.unworn.includes(one.piece_id)));
</script>

<h2 class="heading text-2xl">Worn</h2>
{#if !uses}
  <p role="status" class="text-bark">Counting…</p>
{:else if !uses.begun}
  <p class="mt-2 max-w-xl text-bark">
    Nothing is recorded yet. Tap “worn” under a day of a plan; what the client taps on the page comes here by
    itself.
  </p>
{:else}
  <p class="text-sm text-bark">Recorded since {day(uses.begun)}.</p>
  <div class="two mt-3">
    <section aria-label="Pieces by use">
      <h3 class="heading border-b-2 border-walnut pb-1 text-lg">Pieces by use</h3>
      <table class="w-full text-sm">
        <thead class="text-left text-xs text-bark">
          <tr
            ><th class="py-1 font-normal">piece</th><th class="font-normal">days</th><th class="font-normal"
              >last</th
            >{#if !studio.turned}<th class="text-right font-normal">a wear, so far</th>{/if}</tr
          >
        </thead>
        <tbody>
          {#each worn as use (use.piece_id)}
            <tr class="border-t border-dashed border-rule">
              <td class="py-1"
                >{use.title}{#if uses.always.includes(use.piece_id)}
                  <span class="text-xs text-leaf">always worn</span>{/if}</td
              >
              <td>{use.days}</td><td class="text-bark">{use.last ? day(use.last) : ""}</td>
              {#if !studio.turned}<td class="text-right"
                  >{use.a_wear == null
                    ? ""
                    : `${use.a_wear.toFixed(use.a_wear < 10 ? 1 : 0)} ${uses.currency}`}</td
                >{/if}
            </tr>
          {/each}
        </tbody>
      </table>
      {#if unworn.length}
        <h3 class="heading mt-5 border-b-2 border-walnut pb-1 text-lg">Hangs unworn</h3>
        <ul class="text-sm">
          {#each unworn as use (use.piece_id)}<li class="border-b border-dashed border-rule py-1">
              {use.title}<span class="text-bark"
                >, {use.last ? `last on ${day(use.last)}` : "never since it is recorded"}</span
              >
            </li>{/each}
        </ul>
      {/if}
    </section>
    <section aria-label="Day by day">
      <h3 class="heading border-b-2 border-walnut pb-1 text-lg">Day by day</h3>
      <ul class="text-sm">
        {#each uses.worn as one (one.id)}
          <li class="flex items-baseline justify-between gap-2 border-b border-dashed border-rule py-1">
            <span
              ><span class="text-bark">{day(one.on)}</span>
              {one.pieces.join(", ")}{#if one.by_client}
                <span class="text-xs text-leaf">told by the client</span>{/if}</span
            >
            <button
              class="quiet shrink-0"
              aria-label="Take back what was worn on {day(one.on)}"
              onclick={() => void plans.unwear(one.id)}>take back</button
            >
          </li>
        {/each}
      </ul>
    </section>
  </div>
{/if}
