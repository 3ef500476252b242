<script lang="ts">
  /** What leaves and where it goes, and what is bought and when. Nothing is gone before it is said to be gone. */
  import { stands } from "../due/due.svelte";
  import { day } from "../units";
  import type { Decided, Edit, ToBuy } from "./edit.svelte";
  import { GOES, money, outfits, sayDecision } from "./words";

  const { edit }: { edit: Edit } = $props();
  const all = $derived(Object.values(edit.decided));
  const lists = $derived(
    GOES.map(([key, said]) => [key, said, all.filter((one) => one.goes === key)] as const).filter(
      ([, , pieces]) => pieces.length,
    ),
  );
  const homeless = $derived(
    all.filter(
      (one) =>
        !one.goes && ["does_not_fit", "out_of_keeping", "twin", "care", "alter"].includes(one.decision),
    ),
  );
  const FOR_GOOD = ["sell", "give", "return"];
  const WHEN = [
    ["now", "Now"],
    ["next", "Next"],
    ["never", "Never, and why it was thought of"],
  ] as const;
  const things = $derived(edit.buying?.things ?? []);
  const currency = $derived(edit.buying?.currency ?? "EUR");
  const spent = (of: ToBuy[]) => of.reduce((sum, one) => sum + (one.price ?? 0), 0);
  const now = $derived(spent(things.filter((one) => one.when === "now")));
  function priced(thing: ToBuy, text: string) {
    const price = text.trim() === "" ? null : Number(text);
    if (price === null || (Number.isInteger(price) && price >= 0 && price <= 1_000_000))
      void edit.changeBuy(thing, { price });
  }
  const whither = (one: Decided) =>
    [one.place, one.on ? `by ${day(one.on)}, ${stands(one.on)}` : "", one.word].filter(Boolean).join("; ");
</script>

<div class="two">
  <section aria-label="What leaves">
    <h2 class="heading text-lg">What leaves</h2>
    {#if !lists.length && !homeless.length}
      <p class="text-sm text-bark">
        Nothing yet. What is decided to leave stands here with its place and day.
      </p>
    {/if}
    {#each lists as [key, said, pieces] (key)}
      <h3 class="heading mt-3 first-letter:uppercase">{said}</h3>
      <ul data-testid="list-{key}">
        {#each pieces as one (one.piece_id)}
          <li class="flex items-baseline gap-3 border-b border-grain py-1 text-sm">
            <span class="grow"
              ><span class="first-letter:uppercase">{one.title}</span>
              <span class="block text-xs text-bark"
                >{whither(one) || sayDecision(one.decision).toLowerCase()}</span
              ></span
            >
            {#if one.gone_at}
              <span class="text-bark">gone {day(one.gone_at)}</span>
            {:else if FOR_GOOD.includes(key)}
              <button class="quiet" onclick={() => void edit.gone(one.piece_id)}>It is gone</button>
            {/if}
          </li>
        {/each}
      </ul>
    {/each}
    {#if homeless.length}
      <h3 class="heading mt-3">Decided, and not yet said where it goes</h3>
      <ul class="text-sm">
        {#each homeless as one (one.piece_id)}
          <li>
            <button
              class="quiet text-left"
              onclick={() => {
                edit.at = one.piece_id;
                edit.view = "sort";
              }}>{one.title}: {sayDecision(one.decision).toLowerCase()}</button
            >
          </li>
        {/each}
      </ul>
    {/if}
  </section>
  <section aria-label="What is bought">
    <h2 class="heading text-lg">What is bought</h2>
    {#if !things.length}
      <p class="text-sm text-bark">
        Nothing yet. What is missing, orphans and the capsule put things here; the budget stands beside them.
      </p>
    {:else}
      <p class="text-sm" data-testid="budget">
        Now about {money(now, currency)}{edit.buying?.budget
          ? ` of ${money(edit.buying.budget, currency)}${now > edit.buying.budget ? ": more than the budget" : ""}`
          : ""}.
      </p>
    {/if}
    {#each WHEN as [when, label] (when)}
      {@const of = things.filter((one) => one.when === when)}
      {#if of.length}
        <h3 class="heading mt-3">{label}</h3>
        <ul data-testid="buy-{when}">
          {#each of as thing (thing.id)}
            <li class="flex flex-wrap items-baseline gap-x-3 border-b border-grain py-1 text-sm">
              <label class="flex min-w-40 grow items-baseline gap-2">
                <input
                  type="checkbox"
                  checked={thing.bought}
                  onchange={(event) => void edit.changeBuy(thing, { bought: event.currentTarget.checked })}
                />
                <span>
                  <span class="first-letter:uppercase {thing.bought ? '' : 'basted'}">{thing.title}</span>
                  <span class="block text-xs text-bark"
                    >{thing.why}{thing.looks && !thing.why.includes("outfit")
                      ? `, ${outfits(thing.looks)}`
                      : ""}</span
                  >
                </span>
              </label>
              <label class="text-bark"
                ><span class="sr-only">Price of the {thing.title}</span>
                <input
                  class="field w-16 text-right text-walnut"
                  inputmode="numeric"
                  placeholder="price"
                  value={thing.price ?? ""}
                  onchange={(event) => priced(thing, event.currentTarget.value)}
                /></label
              >
              <select
                class="field w-20 text-walnut"
                aria-label="When the {thing.title} is bought"
                value={thing.when}
                onchange={(event) =>
                  void edit.changeBuy(thing, { when: event.currentTarget.value as typeof thing.when })}
              >
                {#each WHEN as [key] (key)}<option>{key}</option>{/each}
              </select>
              <button
                class="quiet"
                aria-label="Strike the {thing.title}"
                onclick={() => void edit.strike(thing)}>strike</button
              >
            </li>
          {/each}
        </ul>
      {/if}
    {/each}
  </section>
</div>
