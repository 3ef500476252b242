<script lang="ts">
  /** How far the search is and what it came to, in one line that keeps its place. */
  import { studio } from "../studio.svelte";
  import type { Outfits } from "./outfits.svelte";
  import { many } from "./wish";

  const { outfits }: { outfits: Outfits } = $props();
  const search = $derived(outfits.search);
  const share = $derived(Math.round(100 * (search?.done ?? 0)));
</script>

<div
  class="flex min-h-11 shrink-0 flex-wrap items-center gap-x-3 border-b border-grain px-4 text-sm"
  role="status"
  data-testid="search"
  data-state={search?.state ?? "asking"}
>
  {#if outfits.trouble}
    <span role="alert" class="text-madder">{outfits.trouble}</span>
    <button class="quiet" onclick={() => void outfits.ask()}>Try again</button>
  {:else if !search}
    <span>Looking through the wardrobe…</span>
  {:else if outfits.busy}
    <span>
      {outfits.looks.length
        ? "A few to begin with, while the whole wardrobe is searched."
        : "The wardrobe is searched."}
    </span>
    <progress class="h-2 w-32" max="100" value={share} aria-label="How much is searched">{share} %</progress>
    <span class="tabular-nums" data-testid="share">{share} %</span>
    <button class="press min-h-7 px-2 py-0" onclick={() => void outfits.cancel()}>Stop</button>
  {:else if search.state === "done"}
    {#if search.count === 0}
      <span>
        The wardrobe makes no look as you ask for it. Ask for less, or look at what stays out and why.
      </span>
    {:else if !studio.turned}
      <span data-testid="counted">
        <strong>{many(search.works)}</strong> of {many(search.count)} looks work.
      </span>
      {#if search.left_out.length}
        <span class="text-bark">Of this: {search.left_out.join("; ")}.</span>
      {/if}
    {/if}
  {:else if search.state === "cancelled"}
    <span>Stopped. What was found before stands.</span>
    <button class="press min-h-7 px-2 py-0" onclick={() => void outfits.ask()}>Search after all</button>
  {:else}
    <span role="alert" class="text-madder">The search did not come through; nothing is lost.</span>
    <button class="press min-h-7 px-2 py-0" onclick={() => void outfits.ask()}>Try again</button>
  {/if}
  {#if outfits.better}
    <button class="press min-h-7 px-2 py-0" data-testid="better" onclick={() => outfits.showBetter()}>
      Show the {outfits.better.length} best of all <span class="key letter">B</span>
    </button>
  {/if}
</div>
