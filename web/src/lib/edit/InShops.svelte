<script lang="ts">
  /** Which real things of the shops fill a gap, in which size, and how each lands on this body. */
  import { api, ask, type Schemas } from "../api/client";
  import OfferLine from "../shop/OfferLine.svelte";
  import type { Edit } from "./edit.svelte";
  import { near } from "./words";

  interface Props {
    edit: Edit;
    gain: Schemas["GainOut"];
  }
  const { edit, gain }: Props = $props();
  const MOST = 4;
  let offers = $state.raw<Schemas["OnOffer"][] | null>(null);
  let trouble = $state<string | null>(null);
  let busy = $state(false);

  async function look() {
    busy = true;
    const params = { path: { client_id: edit.clientId } };
    const told = await ask(api.GET("/api/clients/{client_id}/shopping/shelf", { params }));
    busy = false;
    trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told)
      offers = told.data.offers
        .filter((offer) => offer.placed.piece.is === gain.piece.is)
        .toSorted((one, other) => near(gain.piece, other.placed.piece) - near(gain.piece, one.placed.piece))
        .slice(0, MOST);
  }
</script>

<div class="mt-2 text-sm" data-testid="in-shops">
  {#if offers === null}
    <button class="quiet" disabled={busy} onclick={() => void look()}
      >{busy ? "Asking the shops…" : "What the shops have of it"}</button
    >
    {#if trouble}<span role="alert" class="text-madder">{trouble}</span>{/if}
  {:else}
    <ul>
      {#each offers as offer (offer.id)}
        <li class="flex flex-wrap items-baseline gap-x-2">
          <OfferLine {offer} />
          <span class="text-bark"
            >{offer.placed.checks.find((check) => check.stance === offer.placed.stance)?.title ?? ""}</span
          >
        </li>
      {:else}
        <li class="text-bark">The shops have nothing of that kind.</li>
      {/each}
    </ul>
  {/if}
</div>
