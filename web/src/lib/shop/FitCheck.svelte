<script lang="ts">
  /** One fit check: how it stands, what it says, and what would mend it by how much. */
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import Mark from "../ui/Mark.svelte";

  interface Props {
    check: Schemas["CheckOut"];
    /** Puts what a tailor would do on the list of what is due. */
    onowe?: (change: Schemas["AlterationOut"]) => void;
  }
  const { check, onowe }: Props = $props();
  const MARKS = { fits: "for", watch: "watch", against: "against", caution: "caution" } as const;
  const SAID = { fits: "fits", watch: "look twice", against: "does not fit", caution: "caution" };
  const COSTS = { free: "Free", shoe: "Another shoe", tailor: "Tailor", shop: "Shop" };
</script>

<p class="flex items-baseline gap-1.5 font-semibold">
  <span class="translate-y-0.5"><Mark of={MARKS[check.stance]} /></span>
  <span class="sr-only">{SAID[check.stance]}:</span>{check.title}
</p>
{#if !studio.turned}
  <p class="pl-[21px] text-sm leading-snug">{check.text}</p>
  {#each check.alterations as change (change.key)}
    <p class="ml-[21px] border-l-2 border-dashed border-rule pl-2 text-sm">
      <span class="text-bark">{COSTS[change.cost]}:</span>
      {change.text} <span class="text-bark">{change.reaches}</span>
      {#if onowe && change.cost === "tailor"}
        <button class="quiet min-h-6 py-0 text-sm" onclick={() => onowe(change)}>Have it done</button>
      {/if}
    </p>
  {/each}
{/if}
