<script lang="ts">
  /** Ways to mend what is on: the smallest first, each with what it reaches. */
  import { onMount } from "svelte";
  import Mark from "../ui/Mark.svelte";
  import type { LookTable } from "./table.svelte";
  import { inWords, type Way } from "./ways.svelte";

  interface Props {
    table: LookTable;
    onmend: (way: Way) => void;
    onclose: () => void;
  }
  const { table, onmend, onclose }: Props = $props();
  const ways = $derived(table.ways);
  const MEANS = { free: "free", rack: "from the rack", tailor: "at the tailor", buy: "to buy" };
  const THEN = { works: "then works", watch: "then nearly works", against: "better, not there yet" };
  const against = $derived(
    (table.assessment?.findings ?? []).some((finding) => finding.stance === "against" && !finding.outranked),
  );
  onMount(() => table.ways.watch());
</script>

<section aria-labelledby="ways" class="flex h-full flex-col px-4 pt-2" aria-busy={ways.stale}>
  <div class="flex items-baseline justify-between border-b border-grain pb-1">
    <h2 id="ways" class="heading text-lg">Ways to mend</h2>
    <button class="quiet shrink-0 text-sm whitespace-nowrap" onclick={onclose}
      >Reasons <span class="key">Esc</span></button
    >
  </div>
  <div class="relative min-h-0 grow overflow-y-auto pb-2" class:opacity-60={ways.stale && ways.told}>
    {#if ways.trouble}
      <p role="alert" class="py-2 text-sm">
        {ways.trouble} <button class="quiet" onclick={() => void ways.ask()}>Try again</button>
      </p>
    {:else if !ways.told}
      <p role="status" class="py-2 text-bark">Trying changes on this look…</p>
    {:else if !table.draft.list.length}
      <p class="py-2">Nothing on yet: there is nothing to mend.</p>
    {:else if !ways.told.length && !against}
      <p class="py-2">Nothing speaks against this look.</p>
    {:else if !ways.told.length}
      <p class="py-2">No one or two changes make this look better. Another piece is the way from here.</p>
    {:else}
      <ul>
        {#each ways.told as way, i (i)}
          <li class="border-b border-grain py-2" data-way={way.means}>
            <p class="flex items-baseline gap-2">
              <span class="shrink-0 text-xs text-bark">{MEANS[way.means]}</span>
              <span class="ml-auto flex shrink-0 items-baseline gap-1 text-xs">
                <span class="translate-y-0.5"><Mark of={way.verdict} size={12} /></span>{THEN[way.verdict]}
              </span>
            </p>
            {#each way.steps as step, at (at)}<p class="leading-snug">{step.text}</p>{/each}
            <p class="text-sm leading-snug text-bark">
              ends: {way.gone.join(", ").toLowerCase()}{way.new.length
                ? `; brings: ${way.new.join(", ").toLowerCase()}`
                : ""}
            </p>
            {#if way.shop}<p class="text-sm leading-snug text-chalk">shop with: {way.shop}</p>{/if}
            <button class="quiet -ml-1 text-sm text-leaf" disabled={ways.stale} onclick={() => onmend(way)}>
              {way.means === "buy" ? "See it on" : "Take it"}
              <span class="sr-only">: {inWords(way)}</span>
              {#if i === 0}<span class="key letter">M</span>{/if}
            </button>
          </li>
        {/each}
      </ul>
    {/if}
  </div>
</section>
