<script lang="ts">
  /** What goes along beside the cards, and a word from the stylist. */
  import type { Hand } from "./hand.svelte";

  const { hand }: { hand: Hand } = $props();
  const PARTS = [
    ["colours", "colours to build on"],
    ["buying", "the buying list"],
    ["care", "care"],
    ["dates", "the next dates"],
    ["numbers", "numbers for the shop"],
  ] as const;
</script>

<fieldset class="text-sm">
  <legend class="text-xs text-bark">{hand.chosen.length} of {hand.cards?.length ?? 0} cards, and</legend>
  {#each PARTS as [key, label] (key)}
    <label class="mr-4 inline-flex min-h-8 items-center gap-1.5"
      ><input
        type="checkbox"
        checked={hand.parts[key]}
        onchange={(event) => (hand.parts = { ...hand.parts, [key]: event.currentTarget.checked })}
      />{label}</label
    >
  {/each}
</fieldset>
<label class="mt-2 block text-xs text-bark"
  >a word from you<textarea
    class="field text-base text-walnut"
    rows="3"
    maxlength="4000"
    bind:value={hand.note}></textarea></label
>
