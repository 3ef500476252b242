<script lang="ts">
  /** A thing of a shop in the size that would do: how it lands, its name, whose it is, its price. */
  import type { Schemas } from "../api/client";
  import Mark from "../ui/Mark.svelte";

  const { offer }: { offer: Schemas["OnOffer"] } = $props();
  const MARKS = { fits: "for", watch: "watch", against: "against", caution: "caution" } as const;
  const SAID = { fits: "fits", watch: "look twice", against: "does not fit", caution: "take care" } as const;
</script>

<span class="translate-y-0.5"><Mark of={MARKS[offer.placed.stance]} size={12} /></span>
<span class="sr-only">{SAID[offer.placed.stance]}:</span>
<span class="font-semibold">{offer.name}</span>
<span>{offer.maker}, size {offer.size}{offer.price ? `, ${offer.price}` : ""}</span>
