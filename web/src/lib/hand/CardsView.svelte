<script lang="ts">
  /** Outfit cards: the drawn look, its pieces, how to wear it, when, and why; every sentence can be written anew. */
  import { studio } from "../studio.svelte";
  import { temperature } from "../units";
  import CardLine from "./CardLine.svelte";
  import { SAYS, type Hand } from "./hand.svelte";

  const { hand, name }: { hand: Hand; name: string } = $props();
  const card = $derived(hand.here);
  const at = $derived(card ? (hand.cards ?? []).findIndex((one) => one.id === card.id) : -1);
  const SOURCE = { owned: "", described: "", brought: "from the kit", to_buy: "to buy" } as const;
  let finding = $state(false);

  async function variants() {
    if (!card) return;
    finding = true;
    await hand.variants(card);
    finding = false;
  }
</script>

{#if hand.cards === null}
  <p role="status" class="text-bark">Reading the cards…</p>
{:else}
  <div class="cards">
    <nav aria-label="Cards of {name}">
      <ul>
        {#each hand.cards as one, number (one.id)}
          <li class="flex items-center">
            {#if !studio.turned}
              <input
                type="checkbox"
                class="mr-1 h-6 w-6 shrink-0"
                aria-label="{one.name} goes along"
                checked={!hand.without.includes(one.id)}
                onchange={(event) => hand.choose(one, event.currentTarget.checked)}
              />
            {/if}
            <button
              class="part min-w-0 grow px-2 py-1 text-left"
              class:here={card?.id === one.id}
              aria-current={card?.id === one.id ? "true" : undefined}
              data-card={one.id}
              onclick={() => (hand.at = one.id)}
            >
              <span class="text-bark">{number + 1}</span>
              {one.name}
              {#if !studio.turned && one.marks.length}<span class="block text-xs text-leaf"
                  >{one.marks.map((mark) => SAYS[mark.says]).join(", ")}</span
                >{/if}
            </button>
          </li>
        {/each}
      </ul>
      {#if !studio.turned && hand.uncarded.length}
        <h3 class="mt-4 text-xs text-bark">Looks without a card</h3>
        <ul class="text-sm">
          {#each hand.uncarded as look (look.id)}
            <li class="flex items-baseline justify-between gap-1">
              <span class="min-w-0 truncate" title={look.name}>{look.name || "Unnamed look"}</span><button
                class="quiet shrink-0"
                aria-label="Make a card of {look.name || 'the unnamed look'}"
                onclick={() => void hand.make(look.id)}>make</button
              >
            </li>
          {/each}
        </ul>
        {#if hand.uncarded.length > 1}<button class="press mt-2" onclick={() => void hand.makeAll()}
            >Make all</button
          >{/if}
      {/if}
    </nav>
    {#if !card}
      <p class="max-w-md text-bark">
        {hand.uncarded.length
          ? "No card yet. Make one of a kept look: it is told in the client’s words, and every sentence can be written anew."
          : "No card yet, and no look is kept. Dress a look and keep it; then make its card here."}
      </p>
    {:else}
      <article aria-label="Card: {card.name}" class="card">
        <img
          class="picture"
          src="/api/cards/{card.id}/picture.svg?v={card.version}-{hand.looks.find(
            (one) => one.id === card.look_id,
          )?.version ?? 0}"
          alt={card.told}
        />
        <div class="min-w-0">
          <header class="flex flex-wrap items-baseline justify-between gap-x-3">
            <h2 class="heading text-2xl">{card.name}</h2>
            {#if !studio.turned}
              <span class="flex flex-wrap gap-x-1 text-sm">
                <button class="quiet" disabled={at <= 0} onclick={() => void hand.move(card, -1)}
                  >earlier</button
                >
                <button
                  class="quiet"
                  disabled={at >= hand.cards.length - 1}
                  onclick={() => void hand.move(card, 1)}>later</button
                >
                {#if studio.may("hand_out")}<a
                    class="quiet flex items-center"
                    href="/api/cards/{card.id}/card.png"
                    download>PNG</a
                  >{/if}
                {#if studio.may("hand_out")}<a
                    class="quiet flex items-center"
                    href="/api/cards/{card.id}/card.svg"
                    download>SVG</a
                  >{/if}
                <button class="quiet" onclick={() => void hand.takeAway(card)}>take away</button>
              </span>
            {/if}
          </header>
          <p class="text-sm text-bark">
            {card.occasions.length
              ? `For ${card.occasions.join(", ")}`
              : "For none of the usual days"}{#if card.air}; {temperature(card.air[0] ?? 0, studio.unit)} to {temperature(
                card.air[1] ?? 0,
                studio.unit,
              )}{/if}
          </p>
          <ul class="my-2">
            {#each card.pieces as piece (piece.place)}
              <li>
                {piece.title}{#if SOURCE[piece.source]}
                  <span class="text-sm text-leaf">{SOURCE[piece.source]}</span>{/if}
              </li>
            {/each}
          </ul>
          <CardLine {hand} {card} line={card.own} hint="In your own words" />
          <h3 class="mt-2 text-xs text-bark">How to wear it</h3>
          {#each card.how as line (line.key)}<CardLine {hand} {card} {line} />{/each}
          {#if card.reasons.length}<h3 class="mt-2 text-xs text-bark">Why</h3>{/if}
          {#each card.reasons as line (line.key)}<CardLine {hand} {card} {line} />{/each}
          {#if card.variants.length || !studio.turned}<h3 class="mt-2 text-xs text-bark">
              For another occasion
            </h3>{/if}
          {#each card.variants as line (line.key)}<CardLine {hand} {card} {line} />{/each}
          {#if !studio.turned}<button class="quiet text-sm" disabled={finding} onclick={() => void variants()}
              >{finding ? "Trying on…" : card.variants.length ? "find anew" : "make it over"}</button
            >{/if}
          {#if card.mind.length}<h3 class="mt-2 text-xs text-bark">To mind</h3>{/if}
          {#each card.mind as line (line.key)}<CardLine {hand} {card} {line} />{/each}
          {#if card.steps.length}
            <h3 class="mt-2 text-xs text-bark">The tuck, drawn on paper and on the page</h3>
            <ol class="list-decimal pl-5 text-sm">
              {#each card.steps as step (step)}<li>{step}</li>{/each}
            </ol>
          {/if}
        </div>
      </article>
    {/if}
  </div>
{/if}

<style>
  .cards {
    display: grid;
    grid-template-columns: 14rem minmax(0, 1fr);
    gap: 2rem;
  }
  .card {
    display: grid;
    grid-template-columns: 15rem minmax(0, 40rem);
    gap: 2rem;
  }
  .picture {
    height: 30rem;
    width: 100%;
    object-fit: contain;
    border-bottom: 2px solid var(--color-walnut);
  }
  @media (max-width: 75em) {
    .card {
      grid-template-columns: 11rem minmax(0, 1fr);
      gap: 1.25rem;
    }
  }
  /* On paper the card alone: which others there are is for the screen. */
  @media print {
    .cards {
      display: block;
    }
    .cards > :not(.card) {
      display: none;
    }
  }
  @media (max-width: 43.75em) {
    .cards,
    .card {
      grid-template-columns: minmax(0, 1fr);
    }
    .picture {
      height: 22rem;
    }
  }
</style>
