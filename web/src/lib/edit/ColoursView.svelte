<script lang="ts">
  /** The wardrobe in colour, drawn as a length of cloth, and its shape: what hangs at each place and what of it is worn. */
  import { studio } from "../studio.svelte";
  import type { Edit } from "./edit.svelte";
  import { broad, outfits, percent, PLACES } from "./words";
  import Working from "./Working.svelte";

  const { edit }: { edit: Edit } = $props();
  const colours = $derived(edit.sorting.told?.colours);
  const shape = $derived(edit.sorting.told?.shape);
  const days = $derived(edit.sorting.told?.days ?? []);
  const FACE = { good: "good by the face", plain: "", away: "away from the face", "": "" } as const;
  const said = (name: string) => name.replaceAll("_", " ");
  const list = (names: string[]) => names.map(said).join(", ");
  const most = $derived(Math.max(1, ...(colours?.clusters ?? []).map((one) => one.joins)));
  const SEASONS = ["spring", "summer", "autumn", "winter"] as const;
</script>

<Working work={edit.sorting} what="The wardrobe is read." />
{#if colours?.clusters.length}
  <h2 class="heading text-lg">Colours</h2>
  <ul class="cloth mt-1" aria-label="Colours by their share of the pieces">
    {#each colours.clusters as one (one.name + one.hex)}
      <li
        style:flex-grow={one.share}
        style:background={one.hex}
        title="{said(one.name)}, {percent(one.share)}"
      >
        <span class="sr-only">{said(one.name)} {percent(one.share)}</span>
      </li>
    {/each}
  </ul>
  <p class="mt-2 text-sm">
    Neutrals are {percent(colours.neutral_share)} of it.
    {#if colours.joins.length}What joins most: <strong>{list(colours.joins)}</strong>.{/if}
    {#if colours.build_on.length}Build on <strong>{list(colours.build_on)}</strong>.{/if}
    {#if colours.enough.length}Enough of <strong>{list(colours.enough)}</strong>: what is bought brings
      another colour.{/if}
    {#if colours.missing.length}Good by the face and not there: <strong>{list(colours.missing)}</strong>.{/if}
  </p>
  <ul class="threads mt-3" data-testid="colours">
    {#each colours.clusters as one (one.name + one.hex)}
      <li class="flex items-center gap-2 text-sm" data-colour={one.name}>
        <span class="swatch" style:background={one.hex} aria-hidden="true"></span>
        <span class="name">{said(one.name)}</span>
        <span class="thread" aria-hidden="true"
          ><span style:width={broad(one.joins / most)} class={one.neutral ? "neutral" : "accent"}
          ></span></span
        >
        <span class="text-bark tabular-nums">
          {one.pieces.length}
          {one.pieces.length === 1 ? "piece" : "pieces"}, {outfits(one.joins)}
          {#if FACE[one.by_face] && (one.by_face === "away" ? !studio.turned : !one.neutral)}
            <span class={one.by_face === "good" ? "text-leaf" : ""}>{FACE[one.by_face]}</span>
          {/if}
        </span>
      </li>
    {/each}
  </ul>
{:else if edit.sorting.done}
  <p class="py-6">No piece hangs here that has a colour yet.</p>
{/if}
{#if shape && !studio.turned}
  <h2 class="heading mt-6 text-lg">Shape</h2>
  {#each shape.says as says (says)}<p class="text-sm">{says}</p>{/each}
  <ul class="mt-2 space-y-2" data-testid="shape">
    {#each shape.places as place (place.slot)}
      {@const idle = place.fits - place.works}
      <li class="grid grid-cols-[8.5rem_minmax(0,1fr)] items-start gap-3 text-sm">
        <span
          >{PLACES[place.slot]}
          <span class="block text-xs text-bark">{place.pieces} hang, {place.fits} fit</span></span
        >
        <span>
          <span class="hangers" aria-hidden="true">
            {#each Array(place.pieces).keys() as i (i)}
              <span class={i < place.works ? "worn" : i < place.fits ? "idle" : "out"}></span>
            {/each}
          </span>
          <span class="block text-xs text-bark">
            {place.works} in good looks{idle ? `, ${idle} in none` : ""}{place.pieces > place.fits
              ? `, ${place.pieces - place.fits} do not fit or are away`
              : ""}.
            {#if days.length > 1}
              {#each days as day, i (day.name)}{i ? ", " : ""}{day.name}
                {place.works_on[i]}{/each}.
            {/if}
            {#if new Set(SEASONS.map((season) => place.seasons[season])).size > 1}
              {#each SEASONS as season, i (season)}{i ? ", " : ""}{season} {place.seasons[season]}{/each}.
            {/if}
          </span>
        </span>
      </li>
    {/each}
  </ul>
  <p class="mt-2 text-xs text-bark">
    A stitch stands in a good look, a baste fits and stands in none, a dot does not fit or is away.
  </p>
{/if}

<style>
  .cloth {
    display: flex;
    height: 4.5rem;
    border-top: 3px solid var(--color-bark);
    border-bottom: 1.5px solid var(--color-rule);
  }
  .cloth li {
    min-width: 3px;
  }
  .threads {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(24rem, 1fr));
    gap: 0.2rem 2rem;
  }
  .swatch {
    width: 1.5rem;
    height: 1rem;
    border: 1px solid var(--color-rule);
    flex: none;
  }
  .name {
    width: 5.5rem;
    flex: none;
  }
  .thread {
    width: 5rem;
    flex: none;
  }
  .thread span {
    display: block;
    border-bottom: 3px solid var(--color-bark);
  }
  .thread .accent {
    border-color: var(--color-leaf);
  }
  .hangers {
    display: flex;
    flex-wrap: wrap;
    gap: 3px;
    padding-top: 3px;
  }
  .hangers span {
    width: 9px;
    height: 16px;
  }
  .worn {
    border-left: 3px solid var(--color-chalk);
  }
  .idle {
    border-left: 3px dashed var(--color-bark);
  }
  .out {
    border-left: 3px dotted var(--color-rule);
  }
  @media (max-width: 43.75em) {
    .threads {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
