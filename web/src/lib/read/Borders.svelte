<script lang="ts">
  /** Where this body stands among the shapes: a line for bust, waist and hip, each with its borders. */
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { figure, length } from "../units";

  const { reading }: { reading: Schemas["BodyReadingOut"] } = $props();
  const WIDE = 300;
  const border = $derived(reading.girths.runner_up);

  function line(along: Schemas["AlongOut"]) {
    const low = along.bands[0]?.low ?? 0;
    const high = along.bands.at(-1)?.high ?? 1;
    const x = (cm: number) => Math.max(0, Math.min(WIDE, ((cm - low) / (high - low)) * WIDE));
    const bands = along.bands.map((band) => ({ ...band, from: x(band.low), to: x(band.high) }));
    const own = bands.findIndex((band) => along.here.cm >= band.low && along.here.cm <= band.high);
    return { x, own, bands, names: named(bands, own) };
  }

  /** Names under the bands: the own one first, then each that finds room beside those. */
  function named(bands: { shape: string; from: number; to: number }[], own: number) {
    const LETTER = 6.2;
    const placed: { shape: string; at: number; half: number; own: boolean }[] = [];
    const order = [own, ...bands.map((_, i) => i).filter((i) => i !== own)];
    for (const i of order) {
      const band = bands[i];
      if (!band) continue;
      const half = (band.shape.length * LETTER) / 2;
      const at = Math.max(half, Math.min(WIDE - half, (band.from + band.to) / 2));
      if (placed.every((other) => Math.abs(other.at - at) > other.half + half + 4))
        placed.push({ shape: band.shape, at, half, own: i === own });
    }
    return placed;
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<!-- It scrolls and holds no control: the keyboard reaches it all the same. -->
<section aria-label="Borders and advice" class="h-full space-y-4 overflow-y-auto px-4 py-3" tabindex="0">
  {#if !studio.turned}
    <section aria-labelledby="borders">
      <h2 id="borders" class="heading text-lg">How near the borders lie</h2>
      {#if border}
        <p class="text-sm">
          {length(Math.abs(border.cm), studio.unit)}
          {border.cm > 0 ? "more" : "less"} at the {border.measure} would read as {border.shape}.
        </p>
      {/if}
      {#each reading.along as along (along.measure)}
        {@const drawn = line(along)}
        {@const at = drawn.x(along.here.cm)}
        <figure class="mt-3">
          <figcaption class="flex justify-between text-sm">
            <span class="first-letter:uppercase">{along.measure}</span>
            <span class={along.here.settled ? "font-semibold text-chalk" : "text-bark"}>
              {length(along.here.cm, studio.unit)}
            </span>
          </figcaption>
          <svg
            viewBox="0 0 {WIDE} 40"
            class="w-full"
            role="img"
            aria-label="{along.measure}: {along.bands
              .map(
                (band) =>
                  `${band.shape} from ${figure(band.low, studio.unit)} to ${figure(band.high, studio.unit)}`,
              )
              .join(', ')}"
          >
            {#each drawn.bands as band, i (i)}
              <rect
                class:own={i === drawn.own}
                x={band.from}
                y="8"
                width={Math.max(0, band.to - band.from - 1.5)}
                height="12"
              />
            {/each}
            {#each drawn.names as name (name.at)}
              <text x={name.at} y="34" text-anchor="middle" class:own={name.own}>{name.shape}</text>
            {/each}
            <line
              class="range"
              class:settled={along.here.settled}
              x1={drawn.x(along.here.low)}
              x2={drawn.x(along.here.high)}
              y1="14"
              y2="14"
            />
            <path class="here" d="M{at} 20L{at - 5} 3H{at + 5}Z" />
          </svg>
        </figure>
      {/each}
    </section>
  {/if}
  <section aria-labelledby="advice">
    <h2 id="advice" class="heading text-lg">
      {reading.both_sides ? "Holds on both sides of the border" : "What this line asks for"}
    </h2>
    <ul class="mt-1 space-y-1.5">
      {#each reading.advice as advice (advice)}<li>{advice}</li>{/each}
    </ul>
  </section>
  {#if !studio.turned}
    <section aria-labelledby="parts">
      <h2 id="parts" class="heading">How the height divides</h2>
      <table class="w-full text-sm">
        <thead class="text-left text-xs text-bark">
          <tr
            ><th class="font-normal">Part</th><th class="text-right font-normal">Share</th><th
              class="text-right font-normal">Beside the usual</th
            ></tr
          >
        </thead>
        <tbody>
          {#each reading.parts as part (part.name)}
            <tr class="border-b {part.settled ? 'border-solid border-chalk' : 'border-dashed border-rule'}">
              <th scope="row" class="py-0.5 text-left font-normal first-letter:uppercase">{part.name}</th>
              <td class="text-right">{(part.share * 100).toFixed(0)} %</td>
              <td class="text-right {part.word === 'usual' ? 'text-bark' : 'font-semibold'}">
                {part.over_usual > 0 ? "+" : ""}{figure(part.over_usual, studio.unit)}, {part.word}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </section>
  {/if}
</section>

<style>
  rect {
    fill: var(--color-grain);
  }
  rect.own {
    fill: var(--color-leaf-pale);
    stroke: var(--color-leaf);
    stroke-width: 1;
  }
  text {
    font-size: 0.6875rem;
    fill: var(--color-bark);
  }
  text.own {
    fill: var(--color-walnut);
    font-weight: 600;
  }
  .range {
    stroke: var(--color-walnut);
    stroke-width: 1.5;
    stroke-dasharray: 3 3;
  }
  .range.settled {
    stroke: var(--color-chalk);
    stroke-width: 2.5;
    stroke-dasharray: none;
  }
  .here {
    fill: var(--color-walnut);
  }
</style>
