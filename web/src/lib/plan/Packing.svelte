<script lang="ts">
  /** What lies in the bag: what each piece is for, ticked as it is packed. */
  import { SvelteMap } from "svelte/reactivity";
  import type { Plan, Plans } from "./plans.svelte";

  const { plans, plan }: { plans: Plans; plan: Plan } = $props();
  const SHORT = new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", timeZone: "UTC" });
  const dayOf = $derived(
    new SvelteMap(plan.occasions.map((one) => [one.key, SHORT.format(new Date(`${one.on}T12:00:00Z`))])),
  );
  const packed = $derived(plan.taken.filter((one) => one.ticked).length);
</script>

<section aria-label="To pack" class="mt-6 max-w-3xl">
  <h2 class="heading border-b-2 border-walnut pb-1 text-lg">To pack</h2>
  <p class="py-1 text-sm text-bark">
    {plan.taken.length} pieces, about {(plan.grams / 1000).toFixed(1)} kg in the bag, estimated; {packed} packed.
    {plan.fewest ? "No fewer would dress every day." : "Fewer could not be ruled out in the time."}
  </p>
  <ul>
    {#each plan.taken as piece (piece.piece_id)}
      <li class="flex flex-wrap items-baseline gap-x-3 border-b border-dashed border-rule py-1">
        <label class="flex min-h-7 grow items-center gap-2"
          ><input
            type="checkbox"
            checked={piece.ticked}
            onchange={(event) => void plans.tick(plan, piece.piece_id, event.currentTarget.checked)}
          /><span class:line-through={piece.ticked}>{piece.title}</span></label
        >
        {#if piece.on_the_way}<span class="text-xs text-leaf">worn on the way</span>{/if}
        <span class="text-xs text-bark"
          >{[...new Set(piece.days.map((key) => dayOf.get(key)))].join(", ")}</span
        >
        <span class="w-14 text-right text-xs text-bark">{piece.grams} g</span>
      </li>
    {/each}
  </ul>
</section>
