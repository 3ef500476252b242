<script lang="ts">
  /** Shop for this one's figures: what the shops have that comes nearest to a piece that is loved, and what differs. */
  import { api, ask, type Schemas } from "../api/client";
  import OfferLine from "../shop/OfferLine.svelte";
  import { studio } from "../studio.svelte";
  import { length } from "../units";

  const { piece, heel }: { piece: Schemas["RackPieceOut"]; heel: number } = $props();
  /** Less than this, cm, is the same on a tape. */
  const SAME = 0.5;
  let told = $state.raw<Schemas["LikesOut"] | null>(null);
  let trouble = $state<string | null>(null);
  let busy = $state(false);
  $effect(() => {
    // What was found for another piece, or for other figures, is not found for this one.
    void [piece.id, piece.version, heel];
    told = trouble = null;
  });

  async function look() {
    busy = true;
    const of = `${piece.id} ${piece.version} ${heel}`;
    const answer = await ask(
      api.GET("/api/rack/{piece_id}/like", {
        params: { path: { piece_id: piece.id }, query: { heel_cm: heel } },
      }),
    );
    busy = false;
    if (of !== `${piece.id} ${piece.version} ${heel}`) return;
    trouble = "refusal" in answer ? answer.refusal.message : null;
    if ("data" in answer) told = answer.data;
  }

  /** What differs, in words: “inseam 1.5 cm shorter”. */
  function difference({ figure, cm }: Schemas["Differs"]): string {
    const ways: [RegExp, string, string][] = [
      [/heel|platform/, "higher", "lower"],
      [/depth/, "deeper", "shallower"],
      [/inseam|length|sleeve|rise|outseam|shaft$/, "longer", "shorter"],
      [/./, "wider", "closer"],
    ];
    const [, more, less] = ways.find(([of]) => of.test(figure)) ?? ways[3]!;
    return `${figure} ${length(Math.abs(cm), studio.unit)} ${cm > 0 ? more : less}`;
  }
  function compared(one: Schemas["LikeOut"]): string {
    const other = one.differs.filter(({ cm }) => Math.abs(cm) >= SAME);
    const same = one.differs.filter(({ cm }) => Math.abs(cm) < SAME).map(({ figure }) => figure);
    const parts = [
      ...(same.length ? [`same ${same.join(" and ")}`] : []),
      ...other.map(difference),
      ...one.other_words.map((word) => `${word} instead`),
      ...(one.untold.length ? [`${one.untold.join(" and ")} not told`] : []),
    ];
    return parts.join("; ");
  }
</script>

<div class="mt-4 text-sm" data-testid="like-this">
  {#if told === null}
    <button class="press text-sm" disabled={busy} onclick={() => void look()}
      >{busy ? "Asking the shops…" : "Shop for its figures"}</button
    >
    {#if trouble}<p role="alert" class="mt-1 text-madder">{trouble}</p>{/if}
  {:else if !told.figures.length}
    <p class="text-bark">Measure what sits well of it first: shops are asked for its own figures.</p>
  {:else}
    <h3 class="heading text-base">In the shops, nearest to its {told.figures.join(", ")}</h3>
    <ul>
      {#each told.likes as one (one.offer.id)}
        <li class="border-b border-dashed border-rule py-1">
          <p class="flex flex-wrap items-baseline gap-x-2">
            <OfferLine offer={one.offer} />
          </p>
          <p class="text-bark first-letter:uppercase">{compared(one)}.</p>
        </li>
      {:else}
        <li class="text-bark">The shops have nothing of that kind.</li>
      {/each}
    </ul>
  {/if}
</div>
