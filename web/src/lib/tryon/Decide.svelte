<script lang="ts">
  /** What becomes of the piece that is on: always in sight, under the floor line. */
  import { DECISIONS } from "./form.svelte";
  import type { TryOn } from "./tryon.svelte";

  const { tryon, onlog }: { tryon: TryOn; onlog: () => void } = $props();
</script>

{#if tryon.on}
  {@const piece = tryon.on}
  <div class="flex flex-wrap gap-1.5" role="group" aria-label="What becomes of it">
    {#each DECISIONS as [key, name, letter] (key)}
      <button
        class="press text-sm"
        aria-pressed={tryon.form.decision === key}
        data-decide={key}
        onclick={() => tryon.form.decide(key, piece)}
        >{name} <span class="key letter hidden min-[1100px]:inline">{letter.toUpperCase()}</span></button
      >
    {/each}
  </div>
  <button class="press ml-auto" data-log onclick={onlog}
    >Log it <span class="key hidden min-[1100px]:inline">Ctrl Enter</span></button
  >
{/if}
