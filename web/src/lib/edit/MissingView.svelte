<script lang="ts">
  /** What is missing: each thing that would unlock most, in the outfits that it makes, and the best few together. */
  import { untrack } from "svelte";
  import { studio } from "../studio.svelte";
  import { range } from "../shop/range";
  import type { Edit } from "./edit.svelte";
  import InShops from "./InShops.svelte";
  import LookRow from "./LookRow.svelte";
  import { money, outfits } from "./words";
  import Working from "./Working.svelte";

  const { edit, name }: { edit: Edit; name: string } = $props();
  $effect(() => untrack(() => void edit.gaps.ask()));
  const told = $derived(edit.gaps.shown);
  const gains = $derived(Object.fromEntries((told?.gains ?? []).map((one) => [one.key, one])));
  const of = (keys: string[]) => keys.flatMap((key) => gains[key] ?? []);
  const lead = $derived(of(told?.lead ?? []));
  const small = $derived(of(told?.small ?? []));
  /** What does as much as buying and costs less: the tailor, another way to wear it, the kit. */
  const cheaper = $derived(
    (edit.sorting.told?.orphans ?? []).flatMap((one) => {
      const first = one.adoptions[0];
      const piece = edit.pieces[one.piece_id];
      return first && first.means !== "buy" && piece ? [{ piece, first }] : [];
    }),
  );
  let chosen = $state<string | null>(null);
  const gain = $derived(gains[chosen ?? ""] ?? lead[0] ?? small[0]);
  const best = (looks: number[]) => Math.max(0, ...looks);
  const size = (count: number) => ["", "One", "Two", "Three", "Four", "Five"][count] ?? `${count}`;
</script>

<Working
  work={edit.gaps}
  what="Everything that might be bought is tried with everything that hangs."
  testid="gaps"
/>
{#if told}
  {#if !edit.gaps.done}<p class="py-1 text-sm text-bark" data-testid="as-before">
      This is as it was before the change.
    </p>{/if}
  {#if !lead.length && !small.length}
    <p class="py-4">Nothing that was tried makes one more outfit that works.</p>
  {/if}
  <div class="missing">
    <div>
      {#if cheaper.length && !studio.turned}
        <h2 class="heading text-lg">Before anything is bought</h2>
        <ul class="mb-3 text-sm" data-testid="cheaper">
          {#each cheaper as one (one.piece.id)}
            <li>
              <button class="underline underline-offset-4" onclick={() => (edit.view = "orphans")}
                >{one.piece.title}</button
              >
              <span class="block">{one.first.text}: {outfits(one.first.looks)}.</span>
            </li>
          {/each}
        </ul>
      {/if}
      {#snippet things(listed: typeof lead)}
        {#each listed as one (one.key)}
          <li>
            <button
              class="gain w-full px-2 py-1 text-left"
              class:here={gain?.key === one.key}
              aria-pressed={gain?.key === one.key}
              data-gain={one.title}
              onclick={() => (chosen = one.key)}
            >
              <span class="block first-letter:uppercase">{one.title}</span>
              <span class="block text-xs text-bark"
                >{outfits(best(one.looks))} more{edit.listed(one.piece) ? ", on the list" : ""}</span
              >
            </button>
          </li>
        {/each}
      {/snippet}
      <h2 class="heading text-lg">One thing</h2>
      <ul data-testid="gains">{@render things(lead)}</ul>
      {#if small.length}
        <h2 class="heading mt-3 text-lg">Small things</h2>
        <ul data-testid="small">{@render things(small)}</ul>
      {/if}
      {#if told.together.length}
        <h2 class="heading mt-4 text-lg">Together</h2>
        <ul class="space-y-2 text-sm" data-testid="together">
          {#each told.together as set (set.keys.length)}
            <li>
              <span class="font-semibold">{size(set.keys.length)}: {outfits(best(set.looks))} more</span>
              <span class="text-bark"
                >{typeof set.price === "number" ? `about ${money(set.price, told.currency)}` : ""}</span
              >
              <span class="block">
                {#each set.keys as key, at (key)}{at ? ", " : ""}<button
                    class="underline underline-offset-4"
                    onclick={() => (chosen = key)}>{set.titles[at]}</button
                  >{/each}
              </span>
            </li>
          {/each}
        </ul>
      {/if}
      <p class="mt-4 text-xs text-bark">
        {told.candidates} things were tried in {told.tried.toLocaleString("en-GB")} looks; of sets {told.weighed.toLocaleString(
          "en-GB",
        )} of the {told.listed} best were weighed{told.left_off
          ? `; the best thing off that list does ${told.left_off} % of what the first does`
          : ""}. An outfit is its pieces, however they are worn.
        {#if told.left_out.length}Of this: {told.left_out.join("; ")}.{/if}
      </p>
    </div>
    {#if gain}
      <section aria-label={gain.title} class="min-w-0" data-testid="gain">
        <h2 class="heading text-xl first-letter:uppercase">{gain.title}</h2>
        <p>
          {#each told.days as day, at (day.name)}{at ? ", " : ""}{day.name}
            <strong class="tabular-nums">{gain.looks[at]?.toLocaleString("en-GB")}</strong> more{told.there[
              at
            ]
              ? ` to ${told.there[at]?.toLocaleString("en-GB")}`
              : ", where there is none"}{/each}.
        </p>
        <p class="text-sm text-bark">
          {gain.lasts ? "Carries over the years." : "For a season."}
          {#if gain.price !== undefined && gain.price !== null}
            Reckon with about {money(gain.price, told.currency)}{gain.a_wear
              ? `, ${money(gain.a_wear, told.currency)} a wear if it takes turns with the others`
              : ""}.
          {/if}
          {#if gain.instead.length}As much would do: {gain.instead.join("; ")}.{/if}
        </p>
        {#if gain.numbers.length && !studio.turned}
          <dl class="mt-2 flex flex-wrap gap-x-6 gap-y-1 text-sm" aria-label="What to look for">
            {#each gain.numbers as number (number.name)}
              <div>
                <dt class="text-xs text-bark">{number.name}</dt>
                <dd class="tabular-nums {number.settled ? 'stitched' : 'basted'}">
                  {range(number.low, number.high, studio.unit)}
                </dd>
              </div>
            {/each}
          </dl>
        {/if}
        <p class="mt-2">
          <button
            class="press"
            disabled={edit.listed(gain.piece)}
            onclick={() =>
              void edit.buy(gain.piece, {
                why: `${outfits(best(gain.looks))} more`,
                looks: best(gain.looks),
                price: gain.price ?? null,
              })}>{edit.listed(gain.piece) ? "On the buying list" : "Put it on the buying list"}</button
          >
        </p>
        {#key gain.key}<InShops {edit} {gain} />{/key}
        <div class="mt-3">
          <LookRow
            drawings={edit.drawings}
            looks={gain.shown}
            tall={290}
            label="{name}: looks with the {gain.title}"
          />
        </div>
      </section>
    {/if}
  </div>
{/if}

<style>
  .missing {
    display: grid;
    grid-template-columns: 17rem minmax(0, 1fr);
    gap: 2rem;
  }
  .gain {
    border-left: 3px solid transparent;
  }
  .gain:hover {
    background: var(--color-sheet);
  }
  .gain.here {
    border-left-color: var(--color-leaf);
    background: var(--color-sheet);
  }
  @media (max-width: 60em) {
    .missing {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
