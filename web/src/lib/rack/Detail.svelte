<script lang="ts">
  /** The chosen piece: what it does on this body, its words and figures to change in place, and its facts. */
  import { api, ask, type Schemas } from "../api/client";
  import FitCheck from "../shop/FitCheck.svelte";
  import { studio } from "../studio.svelte";
  import { notice } from "../ui/notice.svelte";
  import { length } from "../units";
  import Besides from "./Besides.svelte";
  import Figures from "./Figures.svelte";
  import Flat from "./Flat.svelte";
  import LikeThis from "./LikeThis.svelte";
  import Pictures from "./Pictures.svelte";
  import type { Rack } from "./rack.svelte";
  import Words from "./Words.svelte";

  interface Props {
    rack: Rack;
    detail: Schemas["RackDetail"];
    words: Schemas["Vocabulary"];
  }
  const { rack, detail, words }: Props = $props();
  const piece = $derived(detail.piece);
  /** Its back is shown beside its front. */
  let turned = $state(false);
  const checks = $derived(detail.placed.checks.filter((check) => !studio.turned || check.stance === "fits"));

  async function remove() {
    const { id, title } = piece;
    if (await rack.remove(id))
      notice.say(`The ${title} is off the rack.`, { name: "Undo", run: () => void rack.history.undo() });
  }

  /** Put an alteration on the list of what is due. */
  async function owe(change: Schemas["AlterationOut"]) {
    const DAYS = 7;
    const due = new Date(Date.now() + DAYS * 86_400_000).toISOString().slice(0, 10);
    const { text, figure, by_cm } = change;
    const body = { id: crypto.randomUUID(), kind: "alter" as const, text, figure, by_cm, due_on: due };
    const told = await ask(
      api.POST("/api/rack/{piece_id}/errands", { params: { path: { piece_id: piece.id } }, body }),
    );
    if ("refusal" in told) rack.wrong = told.refusal.message;
    else {
      const params = { path: { errand_id: told.data.id } };
      const back = () => void ask(api.DELETE("/api/errands/{errand_id}", { params }));
      notice.say("On the list of what is due, in a week.", { name: "Undo", run: back });
    }
  }

  /** The shades of a picture as a piece's ground, second and third colour, with what each takes. */
  function taken(shades: { colour: string; share: number }[]) {
    const [ground, second, third] = shades;
    const pct = (share: number) => Math.round(100 * share);
    return {
      colour: ground?.colour,
      second_colour: second?.colour ?? null,
      second_colour_pct: second ? pct(second.share) : null,
      third_colour: third?.colour ?? null,
      third_colour_pct: third ? pct(third.share) : null,
    };
  }
</script>

<section
  aria-label={piece.title}
  class="relative w-[23rem] overflow-y-auto border-l border-rule px-4 py-3"
  data-testid="detail"
>
  <div class="flex items-baseline gap-2">
    <h2 class="heading min-w-0 grow text-xl first-letter:uppercase">{piece.title}</h2>
    <button class="quiet text-sm" onclick={() => void rack.choose(null)}>Close</button>
  </div>
  {#if rack.wrong}<p role="alert" class="mt-1 text-madder">{rack.wrong}</p>{/if}
  <ul class="mt-1 space-y-1.5">
    {#each checks as check (check.key)}
      <li data-check={check.key} data-stance={check.stance}>
        <FitCheck {check} onowe={(change) => void owe(change)} />
      </li>
    {:else}
      <li class="text-sm text-bark">No figure yet says how it fits. Type one below.</li>
    {/each}
  </ul>
  {#if detail.off_label.length && !studio.turned}
    <p class="mt-2 text-sm" data-testid="off-label">
      {piece.facts.maker}’s chart says of {piece.facts.label_size}:
      {detail.off_label
        .map(
          (off) =>
            `${off.label} ${length(off.chart, studio.unit)}, and this one has ${length(off.piece, studio.unit)}`,
        )
        .join("; ")}.
    </p>
  {/if}
  {#if detail.placed.edges.length && !studio.turned}
    <p class="mt-2 text-sm text-bark">
      {detail.placed.edges
        .map((edge) => `${edge.name} ${length(edge.height, studio.unit)}, ${edge.place}`)
        .join("; ")}.
    </p>
  {/if}
  <div class="mt-2 flex items-end justify-center gap-2">
    <Flat shapes={piece.flat} id="front" basted={!piece.measured} scale={1.6} tall={150} wide={150} />
    {#if turned && detail.behind.length}
      <span data-behind
        ><Flat
          shapes={detail.behind}
          id="behind"
          basted={!piece.measured}
          scale={1.6}
          tall={150}
          wide={150}
        /></span
      >
    {/if}
  </div>
  {#if detail.behind.length}
    <button class="quiet mx-auto block text-sm" aria-pressed={turned} onclick={() => (turned = !turned)}
      >From behind</button
    >
  {/if}
  <div class="mt-3">
    <Pictures
      path="/api/rack/{piece.id}/pictures"
      of={piece.title}
      onpick={(colour) =>
        void rack.change({ piece: { ...piece.piece, colour } }, `the ${piece.title}’s colour`)}
      onpalette={(shades) =>
        void rack.change({ piece: { ...piece.piece, ...taken(shades) } }, `the ${piece.title}’s colours`)}
      onchange={() => void rack.load()}
    />
  </div>
  {#if !studio.turned}<Figures {rack} {detail} />{/if}
  <Words {rack} {piece} {words} />
  {#if !studio.turned}
    <Besides {rack} {piece} />
    <LikeThis {piece} heel={rack.heel} />
  {/if}
  <div class="mt-4 flex gap-2">
    <button class="press text-sm" onclick={() => void rack.copy(piece.id)}>Another like it</button>
    <button class="press text-sm" onclick={() => void remove()}>Take it off</button>
  </div>
</section>
