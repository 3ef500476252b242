<script lang="ts">
  /** What the last measuring changed: outfits before and now, what no longer fits, what the tailor can save. */
  import { untrack } from "svelte";
  import Flat from "../rack/Flat.svelte";
  import type { Edit } from "./edit.svelte";
  import { broad, outfits } from "./words";
  import Working from "./Working.svelte";

  const { edit }: { edit: Edit } = $props();
  $effect(() => untrack(() => void edit.changed.ask()));
  const told = $derived(edit.changed.told);
  const lost = $derived((told?.pieces ?? []).filter((one) => !one.then && one.now));
  const won = $derived((told?.pieces ?? []).filter((one) => one.then && !one.now));
  const other = $derived((told?.pieces ?? []).filter((one) => one.then && one.now));
  const most = $derived(Math.max(1, told?.then ?? 0, told?.now ?? 0, told?.saved ?? 0));
  const bars = $derived([
    ["Before", told?.then ?? 0],
    ["Now", told?.now ?? 0],
    ["With what the tailor can save", told?.saved ?? 0],
  ] as const);
  const groups = $derived([
    ["Fitted before and does not now", lost],
    ["Fits now and did not", won],
    ["Does not fit in another way", other],
  ] as const);
</script>

<Working work={edit.changed} what="The whole rack is landed on both bodies." testid="changed" />
{#if told && edit.changed.done}
  <h2 class="heading text-lg">Outfits, before and now</h2>
  <ul class="mt-1 space-y-1" data-testid="before-and-now">
    {#each bars as [label, count] (label)}
      <li class="grid grid-cols-[14rem_minmax(0,1fr)] items-center gap-3 text-sm">
        <span>{label}</span>
        <span class="flex items-center gap-2">
          <span
            class="thread {label.startsWith('With') ? 'basted' : 'stitched'}"
            style:width={broad((0.75 * count) / most)}
            aria-hidden="true"
          ></span>
          <span class="tabular-nums">{outfits(count)}</span>
        </span>
      </li>
    {/each}
  </ul>
  {#if !told.pieces.length}<p class="mt-3">Every piece fits as it did.</p>{/if}
  {#each groups as [label, pieces] (label)}
    {#if pieces.length}
      <h3 class="heading mt-4">{label}</h3>
      <ul class="pieces mt-1">
        {#each pieces as one (one.piece_id)}
          <li class="flex gap-3 text-sm" data-changed={one.title}>
            <span class="flex-none"
              ><Flat shapes={one.flat} id="changed-{one.piece_id}" scale={0.6} tall={72} wide={66} /></span
            >
            <span class="min-w-0">
              <span class="block font-semibold first-letter:uppercase">{one.title}</span>
              <span class="block">{one.then || "fitted"} → {one.now || "fits"}</span>
              {#if one.saved_by}
                <span class="block basted">{one.saved_by}: then it fits.</span>
              {:else if one.now}
                <span class="block text-bark">No tailor makes that good.</span>
              {/if}
            </span>
          </li>
        {/each}
      </ul>
    {/if}
  {/each}
{/if}

<style>
  .thread {
    height: 0;
  }
  .thread.stitched {
    border-bottom: 6px solid var(--color-chalk);
  }
  .thread.basted {
    border-bottom: 6px dashed var(--color-bark);
  }
  .pieces {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(19rem, 1fr));
    gap: 0.6rem 1.5rem;
  }
</style>
