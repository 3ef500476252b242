<script lang="ts">
  /** Handing over: cards, the book, her page, a letter. */
  import { untrack } from "svelte";
  import { studio } from "../studio.svelte";
  import BookView from "./BookView.svelte";
  import CardsView from "./CardsView.svelte";
  import { VIEWS, type Hand } from "./hand.svelte";
  import LetterView from "./LetterView.svelte";
  import PageView from "./PageView.svelte";

  const { hand, name }: { hand: Hand; name: string } = $props();
  $effect(() =>
    untrack(() => {
      void hand.load();
      return () => hand.book.leave();
    }),
  );
  // A client sees her cards; the rest is the stylist's desk.
  const views = $derived(
    VIEWS.filter(([key]) => key === "cards" || (!studio.turned && studio.may("hand_out"))),
  );
  $effect(() => {
    if (studio.turned) hand.view = "cards";
  });
  const open = $derived(hand.said.filter((one) => !one.seen_at).length);

  function step(by: number) {
    const ids = (hand.cards ?? []).map((card) => card.id);
    const at = hand.here ? ids.indexOf(hand.here.id) : 0;
    hand.at = ids[Math.min(Math.max(at + by, 0), ids.length - 1)] ?? null;
  }
  /** What single letters do in this step. */
  export const letters = {
    get now(): Record<string, () => void> {
      return hand.view === "cards" ? { n: () => step(1), p: () => step(-1) } : {};
    },
  };
</script>

<main class="parted min-h-0 grow">
  <nav
    class="panel min-h-0 overflow-y-auto py-3"
    aria-label="Parts of the hand-over"
    data-panel
    tabindex="-1"
  >
    <ul>
      {#each views as [key, label] (key)}
        <li>
          <button
            class="part w-full px-4 py-1.5 text-left"
            class:here={hand.view === key}
            aria-current={hand.view === key ? "page" : undefined}
            data-view={key}
            onclick={() => (hand.view = key)}
          >
            {label}
            {#if key === "cards" && hand.cards && !studio.turned}<span class="block text-xs text-bark"
                >{hand.cards.length}</span
              >{/if}
            {#if key === "page" && open}<span class="block text-xs text-leaf">{open} new</span>{/if}
          </button>
        </li>
      {/each}
    </ul>
  </nav>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <!-- It scrolls: the keyboard reaches it. -->
  <section
    class="relative min-h-0 min-w-0 overflow-y-auto px-6 py-3"
    aria-label={VIEWS.find(([key]) => key === hand.view)?.[1]}
    tabindex="0"
  >
    {#if hand.trouble}<p role="alert" class="text-madder">
        {hand.trouble} <button class="quiet" onclick={() => void hand.load()}>Try again</button>
      </p>{/if}
    {#if hand.view === "cards"}<CardsView {hand} {name} />
    {:else if hand.view === "book"}<BookView {hand} />
    {:else if hand.view === "page"}<PageView {hand} {name} />
    {:else}<LetterView {hand} {name} house={studio.me?.studio.name ?? ""} />{/if}
  </section>
</main>
