<script lang="ts">
  /** Measures that an apprentice took and that wait for a second pair of eyes. */
  import { studio } from "../studio.svelte";
  import { figure } from "../units";
  import type { Measuring } from "./measuring.svelte";

  const { measuring }: { measuring: Measuring } = $props();
  const rows = $derived((measuring.desk?.measures ?? []).filter((row) => row.awaits));
</script>

{#if rows.length}
  <section
    aria-labelledby="awaiting"
    class="mb-4 border-l-[3px] border-dashed border-chalk pl-3"
    data-awaiting={rows.length}
  >
    <h2 id="awaiting" class="heading">Waits for a second pair of eyes</h2>
    <ul>
      {#each rows as row (row.name)}
        <li class="flex flex-wrap items-center gap-x-3 text-sm">
          <span class="grow first-letter:uppercase"
            >{measuring.cards.get(row.name)?.label}
            <span class="font-medium">{figure(row.known.cm, studio.unit)}</span>
            <span class="text-bark">by {row.awaits}</span></span
          >
          {#if studio.may("confirm")}
            <button class="quiet" data-confirm={row.name} onclick={() => void measuring.confirm(row.name)}
              >It is right</button
            >
          {/if}
        </li>
      {/each}
    </ul>
    {#if studio.may("confirm")}
      <p class="text-sm text-bark">Is one not right? Measure it yourself: what you take counts.</p>
    {/if}
  </section>
{/if}
