<script lang="ts">
  /** What is asked of the search: where it is worn, what must be on, how different the looks are. */
  import type { Schemas } from "../api/client";
  import type { Setting } from "../client/facts";
  import { studio } from "../studio.svelte";
  import Word from "../ui/Word.svelte";
  import { celsiusOf, degrees, inScale, said } from "../units";
  import type { Outfits } from "./outfits.svelte";
  import { turned } from "./wish";

  interface Props {
    outfits: Outfits;
    words: Schemas["BriefWords"];
    titles: Record<string, string>;
    /** The colours by their names. */
    colours: Record<string, string>;
    /** Where the client's week is spent. */
    week: Schemas["Stretch"][];
  }
  const { outfits, words, titles, colours, week }: Props = $props();
  const wish = $derived(outfits.wish);
  const setting = $derived(wish.setting ?? {});
  const worn = (change: Partial<Setting>) =>
    outfits.want({ setting: { ...wish.setting, ...change } as Setting });
  let airTrouble = $state<string | null>(null);

  function air(text: string) {
    const said = text.trim().replace(",", ".").replace("−", "-");
    const celsius = said === "" ? null : celsiusOf(Number(said), studio.unit);
    if (celsius !== null && !(celsius >= -40 && celsius <= 50)) {
      const ends = [inScale(-40, studio.unit), inScale(50, studio.unit)].join(" and ");
      airTrouble = `Air is between ${ends} ${degrees(studio.unit)}.`.replaceAll("-", "−");
      return;
    }
    airTrouble = null;
    worn({ celsius });
  }
  const codeOf = (part: Schemas["Stretch"]) => (part.dress_code === "none" ? null : part.dress_code);
  const isAsked = (part: Schemas["Stretch"]) =>
    setting.occasion === part.occasion && (setting.code ?? null) === codeOf(part);
  /** A part of the week is asked for with its dress code; asked for already, no longer. */
  const askFor = (part: Schemas["Stretch"]) =>
    worn(
      isAsked(part)
        ? { occasion: null, code: null }
        : { occasion: part.occasion, code: codeOf(part) as Setting["code"] },
    );
  /** So many days without the same outfit, to begin with. */
  const RESTS = 14;
  const LISTS = [
    ["must", "must be on"],
    ["must_not", "left out"],
  ] as const;
  const out = $derived((outfits.search?.pieces ?? []).filter((piece) => piece.stays_out));
  const asked = $derived(
    wish.must.length + wish.must_not.length > 0 ||
      wish.one_statement ||
      wish.as_if ||
      wish.rest_days > 0 ||
      !!setting.occasion ||
      !!wish.by_the_face,
  );
</script>

<section aria-label="What is asked" class="border-b border-grain pb-3">
  <h2 class="heading text-base">What can they wear?</h2>
  {#if week.length}
    <div role="group" aria-label="To a part of their week" class="my-1.5 flex flex-wrap gap-1">
      {#each week as part (part.occasion)}
        <button
          class="press min-h-7 px-2 py-0 text-xs"
          aria-pressed={isAsked(part)}
          onclick={() => askFor(part)}>{said(part.occasion)}</button
        >
      {/each}
    </div>
  {/if}
  <Word
    label="to"
    value={setting.occasion}
    choices={words.occasions}
    usual="any occasion"
    onchange={(word) => worn({ occasion: word as Setting["occasion"] })}
  />
  <Word
    label="code"
    value={setting.code}
    choices={words.dress_codes}
    usual="as the occasion asks"
    onchange={(word) => worn({ code: word as Setting["code"] })}
  />
  <div class="mt-1 flex items-center gap-3 text-sm">
    <label class="flex min-w-0 items-baseline gap-1.5">
      <span class="shrink-0 text-xs text-bark">air, {degrees(studio.unit)}</span>
      <input
        class="field w-14 min-w-0"
        inputmode="numeric"
        autocomplete="off"
        aria-invalid={airTrouble ? "true" : undefined}
        aria-describedby={airTrouble ? "outfits-air" : undefined}
        value={setting.celsius === null || setting.celsius === undefined
          ? ""
          : inScale(setting.celsius, studio.unit)}
        onchange={(event) => air(event.currentTarget.value)}
      />
    </label>
    <label class="flex min-h-8 items-center gap-1.5">
      <input
        type="checkbox"
        class="size-4"
        checked={setting.rain ?? false}
        onchange={(event) => worn({ rain: event.currentTarget.checked })}
      />rain
    </label>
  </div>
  {#if airTrouble}<p id="outfits-air" role="alert" class="text-sm text-madder">{airTrouble}</p>{/if}
  <Word
    label="by the face"
    value={wish.by_the_face}
    choices={Object.keys(colours)}
    usual="any colour"
    swatches={colours}
    onchange={(word) => outfits.want({ by_the_face: word as typeof wish.by_the_face })}
  />
  <label class="mt-2 block text-sm">
    <span class="flex justify-between text-xs text-bark"
      ><span>the best</span><span>the most different</span></span
    >
    <input
      type="range"
      class="w-full"
      min="0"
      max="1"
      step="0.1"
      aria-label="From the best looks to the most different ones"
      value={wish.dial}
      onchange={(event) => outfits.want({ dial: Number(event.currentTarget.value) })}
    />
  </label>
  <label class="flex min-h-8 items-center gap-2 text-sm">
    <input
      type="checkbox"
      class="size-4"
      checked={wish.one_statement}
      onchange={(event) => outfits.want({ one_statement: event.currentTarget.checked })}
    />at most one statement piece
  </label>
  <label class="flex min-h-8 items-center gap-2 text-sm">
    <input
      type="checkbox"
      class="size-4"
      checked={wish.as_if}
      onchange={(event) => outfits.want({ as_if: event.currentTarget.checked })}
    />as if all were at hand, alterations done
  </label>
  <label class="flex min-h-8 flex-wrap items-center gap-1.5 text-sm">
    <input
      type="checkbox"
      class="size-4"
      checked={wish.rest_days > 0}
      onchange={(event) => outfits.want({ rest_days: event.currentTarget.checked ? RESTS : 0 })}
    />no outfit worn within
    <select
      class="field w-auto py-0"
      aria-label="No outfit worn within so long"
      value={String(wish.rest_days || RESTS)}
      onchange={(event) => outfits.want({ rest_days: Number(event.currentTarget.value) })}
    >
      {#each [3, 7, 14, 28] as days (days)}<option value={String(days)}
          >{days < 7 ? `${days} days` : days === 7 ? "a week" : `${days / 7} weeks`}</option
        >{/each}
    </select>
  </label>
  {#each LISTS as [list, title] (list)}
    {#if wish[list]?.length}
      <p class="mt-1 text-xs text-bark">{title}</p>
      <ul>
        {#each wish[list] ?? [] as id (id)}
          <li class="flex items-baseline justify-between gap-2 text-sm">
            <span class="min-w-0 first-letter:uppercase">{titles[id] ?? "a piece"}</span>
            <button
              class="quiet shrink-0 text-xs"
              aria-label="no longer: {titles[id] ?? 'the piece'} {title}"
              onclick={() => outfits.want(turned(wish, id, list))}>no longer</button
            >
          </li>
        {/each}
      </ul>
    {/if}
  {/each}
  {#if asked}
    <button
      class="quiet mt-1 text-sm"
      onclick={() =>
        outfits.want({
          must: [],
          must_not: [],
          one_statement: false,
          as_if: false,
          rest_days: 0,
          by_the_face: null,
          setting: {} as Setting,
        })}>Ask for any look again</button
    >
  {/if}
</section>
{#if out.length}
  <details class="border-b border-grain py-2 text-sm">
    <summary class="min-h-7">{out.length === 1 ? "One piece stays" : `${out.length} pieces stay`} out</summary
    >
    <ul>
      {#each out as piece (piece.piece_id)}
        <li class="py-0.5">
          <span class="first-letter:uppercase">{titles[piece.piece_id] ?? "A piece"}</span>:
          <span class="text-bark">{piece.stays_out.toLowerCase()}</span>
        </li>
      {/each}
    </ul>
  </details>
{/if}
