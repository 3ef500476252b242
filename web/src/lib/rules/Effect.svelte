<script lang="ts">
  /** Which looks and pieces another way of judging would speak of otherwise. */
  import type { Schemas } from "../api/client";

  const { effect, change }: { effect: Schemas["EffectOut"] | null; change: string } = $props();
  const SAID = { works: "works", watch: "nearly works", against: "does not work" };
  const pieces = $derived(Object.entries(effect?.pieces ?? {}));
</script>

<div data-testid="effect" aria-live="polite">
  {#if !effect}
    <p class="text-bark">Holding it against the looks…</p>
  {:else if effect.looks.length}
    <p>
      {change}, {effect.looks.length} of {effect.judged} looks would be judged otherwise:
      {effect.looks
        .map((one) => `${one.client}, ${one.name || "unnamed"}: ${SAID[one.now]}, then ${SAID[one.then]}`)
        .join("; ")}.
    </p>
  {:else}
    <p>{change}, no verdict of {effect.judged} looks would change.</p>
  {/if}
  {#if pieces.length}
    <p class="text-bark">
      Racks with checks worded otherwise: {pieces
        .map(([client, count]) => `${client} (${count})`)
        .join(", ")}.
    </p>
  {/if}
</div>
