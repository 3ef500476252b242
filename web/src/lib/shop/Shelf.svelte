<script lang="ts">
  /** What the shops offer: the best size of each product for this body, best first. */
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import Mark from "../ui/Mark.svelte";
  import type { Shop } from "./shop.svelte";

  const { shop }: { shop: Shop } = $props();
  const MARKS = { fits: "for", watch: "watch", against: "against", caution: "caution" } as const;
  const SAID = { fits: "fits", watch: "look twice", against: "does not fit yet", caution: "take care" };
  let kind = $state("");
  const kinds = $derived([...new Set((shop.shelf?.offers ?? []).map((offer) => offer.kind))].toSorted());
  const shown = $derived((shop.shelf?.offers ?? []).filter((offer) => !kind || offer.kind === kind));

  /** What stands against it, in a few words; or what holds. */
  function why(offer: Schemas["OnOffer"]): string {
    const against = offer.placed.checks.filter((check) => check.stance !== "fits");
    const said = (against.length ? against : offer.placed.checks).map((check) => check.title);
    return said.slice(0, 3).join(" · ");
  }
</script>

<div class="flex min-h-0 grow flex-col" data-testid="shelf">
  {#if shop.shelfTrouble}
    <p role="alert" class="mt-2">{shop.shelfTrouble}</p>
    <button class="press mt-2 self-start text-sm" onclick={() => void shop.loadShelf()}>Try again</button>
  {:else if !shop.shelf}
    <p role="status" class="mt-2 text-bark">
      {shop.beside === "charts" ? "Reading the charts…" : "Asking the shops…"}
    </p>
  {:else}
    <label class="mt-1 flex items-baseline gap-2 text-sm text-bark">
      Kind
      <select class="field w-auto text-walnut" bind:value={kind}>
        <option value="">all kinds</option>
        {#each kinds as one (one)}<option>{one}</option>{/each}
      </select>
    </label>
    <ul class="relative mt-1 min-h-0 grow overflow-y-auto">
      {#each shown as offer (offer.id)}
        <li class="border-b border-grain">
          <button
            class="w-full py-1.5 text-left hover:bg-sheet"
            data-offer={offer.name}
            onclick={() => shop.show(offer)}
          >
            <span class="flex items-baseline gap-1.5">
              <span class="translate-y-0.5"><Mark of={MARKS[offer.placed.stance]} size={13} /></span>
              <span class="sr-only">{SAID[offer.placed.stance]}:</span>
              <span class="min-w-0 grow truncate font-semibold">{offer.name}</span>
              {#if !studio.turned}<span class="shrink-0 text-sm">size <strong>{offer.size}</strong></span
                >{/if}
            </span>
            <span class="block text-sm text-bark"
              >{[offer.maker, offer.kind, offer.price].filter(Boolean).join(", ")}</span
            >
            {#if !studio.turned}<span class="block text-sm">{why(offer)}</span>{/if}
          </button>
        </li>
      {:else}
        <li class="py-3">
          {#if shop.beside === "charts" && !shop.shelf.offers.length}
            No size chart is kept yet. <a class="quiet" href="/charts">Bring charts in</a>
          {:else}Nothing of this kind.{/if}
        </li>
      {/each}
    </ul>
    {#if shop.shelf.unread}
      <p class="pt-1 text-sm text-bark">
        {shop.shelf.unread}
        {shop.shelf.unread === 1 ? "product" : "products"} could not be read and {shop.shelf.unread === 1
          ? "is"
          : "are"} left out.
      </p>
    {/if}
  {/if}
</div>
