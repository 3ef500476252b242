<script lang="ts">
  /** Whether to buy the piece in hand: does it fit, how many outfits does it make with what hangs there, what would it need. */
  import { api, ask, type Schemas } from "../api/client";
  import Mark from "../ui/Mark.svelte";

  const { clientId, piece }: { clientId: string; piece: Record<string, unknown> } = $props();
  let told = $state.raw<Schemas["VerdictOut"] | null>(null);
  let trouble = $state<string | null>(null);
  let busy = $state(false);
  const SAID = { buy: "Buy", alter: "Alter and buy", leave: "Leave it" } as const;
  const MARKS = { buy: "works", alter: "watch", leave: "against" } as const;
  $effect(() => {
    void piece;
    told = trouble = null;
  });

  async function find() {
    busy = true;
    const body = { piece: piece as Schemas["PieceWords"] };
    const params = { path: { client_id: clientId } };
    const answer = await ask(api.POST("/api/clients/{client_id}/buying/verdict", { params, body }));
    busy = false;
    trouble = "refusal" in answer ? answer.refusal.message : null;
    told = "data" in answer ? answer.data : null;
  }
</script>

<div class="mt-2" data-testid="buy-or-leave">
  {#if told}
    <p class="flex items-baseline gap-1.5 font-semibold" data-verdict={told.verdict}>
      <span class="translate-y-0.5"><Mark of={MARKS[told.verdict]} /></span>{SAID[told.verdict]}
    </p>
    <ul class="pl-[21px] text-sm leading-snug">
      {#each told.reasons as reason (reason)}<li>{reason}</li>{/each}
      {#if told.days.length > 1}
        <li class="text-bark">
          {#each told.days as day, at (day.name)}{at ? ", " : ""}{day.name}
            {told.looks[at]}{/each}.
        </li>
      {/if}
    </ul>
  {:else}
    <button class="press" disabled={busy} onclick={() => void find()}
      >{busy ? "Trying it with what hangs…" : "Buy or leave?"}</button
    >
    {#if trouble}<p role="alert" class="text-sm text-madder">{trouble}</p>{/if}
  {/if}
</div>
