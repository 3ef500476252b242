<script lang="ts">
  /** A few pieces that make most of the week: how many, what must be in and what never; what each is for. */
  import PieceFlat from "../rack/PieceFlat.svelte";
  import type { Edit } from "./edit.svelte";
  import LookRow from "./LookRow.svelte";
  import { money, outfits } from "./words";
  import Working from "./Working.svelte";

  const { edit, name }: { edit: Edit; name: string } = $props();
  const told = $derived(edit.capsule.told);
  const wanted = $derived(edit.wanted);
  const pieces = $derived(
    (edit.rack.pieces ?? []).toSorted((one, other) => one.title.localeCompare(other.title)),
  );
  const LISTS = [
    ["must", "Must be in"],
    ["never", "Never"],
  ] as const;
  type List = (typeof LISTS)[number][0];
  const want = (change: Partial<typeof wanted>) => (edit.wanted = { ...wanted, ...change });
  const listed = (list: List): string[] => wanted[list] ?? [];
  function put(list: List, id: string) {
    if (id) want({ [list]: [...new Set([...listed(list), id])] });
  }
  const whole = (text: string, least: number, most: number, now: number) => {
    const number = Number(text);
    return Number.isInteger(number) && text.trim() ? Math.min(most, Math.max(least, number)) : now;
  };
</script>

<form
  class="flex flex-wrap items-end gap-x-6 gap-y-2 text-sm"
  onsubmit={(event) => {
    event.preventDefault();
    void edit.capsule.ask();
  }}
>
  <label
    >Pieces
    <input
      class="field w-16 text-walnut"
      inputmode="numeric"
      value={wanted.pieces}
      onchange={(event) => {
        want({ pieces: whole(event.currentTarget.value, 4, 40, wanted.pieces) });
        event.currentTarget.value = String(edit.wanted.pieces);
      }}
    /></label
  >
  <label
    >of them bought, at most
    <input
      class="field w-16 text-walnut"
      inputmode="numeric"
      value={wanted.bought}
      onchange={(event) => {
        want({ bought: whole(event.currentTarget.value, 0, 10, wanted.bought ?? 0) });
        event.currentTarget.value = String(edit.wanted.bought);
      }}
    /></label
  >
  {#each LISTS as [list, label] (list)}
    <div>
      <label
        >{label}
        <select
          class="field w-44 text-walnut"
          value=""
          onchange={(event) => {
            put(list, event.currentTarget.value);
            event.currentTarget.value = "";
          }}
        >
          <option value="">choose a piece</option>
          {#each pieces as piece (piece.id)}<option value={piece.id}>{piece.title}</option>{/each}
        </select></label
      >
      {#each listed(list) as id (id)}
        <button
          class="quiet block text-xs"
          aria-label="{edit.pieces[id]?.title} ×: {label.toLowerCase()}, no longer"
          onclick={() => want({ [list]: listed(list).filter((one) => one !== id) })}
          type="button">{edit.pieces[id]?.title} ×</button
        >
      {/each}
    </div>
  {/each}
  <button class="press" data-main disabled={edit.capsule.busy}>Choose</button>
</form>
<div class="mt-2">
  {#if told || edit.capsule.trouble}<Working
      work={edit.capsule}
      what="Pieces are chosen that make most of the week."
      testid="capsule"
    />{:else}<p class="text-sm text-bark">
      The pieces that make the most different good outfits for the week of the brief, every kind of day
      covered.
    </p>{/if}
</div>
{#if told && edit.capsule.done}
  <p class="mt-1" data-testid="capsule-says">
    {told.parts.length} pieces make <strong>{outfits(told.outfits)}</strong> on {told.bases}
    {told.bases === 1 ? "base" : "bases"}:
    {#each told.days as day, at (day.name)}{at ? ", " : ""}{day.name} {told.by_day[at]}{/each}.
    <span class="text-sm text-bark"
      >{told.proven
        ? "No other choice makes more."
        : "The best that was found in the time; a better one is not ruled out."} Chosen from {told.chosen_from}
      pieces.</span
    >
  </p>
  <div class="capsule mt-3">
    <ul class="text-sm" data-testid="parts">
      {#each told.parts as part (part.title + part.piece_id)}
        {@const own = part.piece_id ? edit.pieces[part.piece_id] : undefined}
        <li class="flex items-center gap-2 border-b border-grain py-0.5">
          <span class="w-11 flex-none"
            >{#if own}<PieceFlat
                flats={edit.rack.flats}
                piece={own}
                id="capsule-{own.id}"
                scale={0.4}
                tall={40}
                wide={44}
              />{/if}</span
          >
          <span class="min-w-0 grow">
            <span class="block first-letter:uppercase {part.whose === 'to_buy' ? 'basted' : ''}"
              >{part.title}</span
            >
            {#if part.day}<span class="block text-xs text-bark">for {part.day}</span>{/if}
          </span>
          {#if part.whose === "to_buy"}
            <span class="text-leaf"
              >to buy{part.price !== undefined && part.price !== null
                ? `, about ${money(part.price, told.currency)}`
                : ""}</span
            >
            <button
              class="quiet text-xs"
              disabled={edit.listed(part.words)}
              onclick={() =>
                void edit.buy(part.words, {
                  why: "for the capsule",
                  looks: part.outfits,
                  price: part.price ?? null,
                })}>{edit.listed(part.words) ? "on the list" : "list it"}</button
            >
          {/if}
          <span class="whitespace-nowrap text-bark tabular-nums">{outfits(part.outfits)}</span>
        </li>
      {/each}
    </ul>
    <LookRow drawings={edit.drawings} looks={told.looks} tall={220} label="{name}: looks of the capsule" />
  </div>
{/if}

<style>
  .capsule {
    display: grid;
    grid-template-columns: 22rem minmax(0, 1fr);
    gap: 2rem;
  }
  @media (max-width: 60em) {
    .capsule {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
