<script lang="ts">
  /** Colouring: chosen in words, or found with pairs of swatches held to the face. */
  import { api, ask, type Schemas } from "../api/client";
  import { said } from "../units";
  import type { ClientState } from "./client.svelte";

  type Axis = Schemas["SwatchPair"]["axis"];
  type Pick = "first" | "second" | "same";
  interface Props {
    state: ClientState;
    words: Schemas["BriefWords"];
  }
  const { state: held, words }: Props = $props();
  const AXES: Axis[] = ["warmth", "depth", "clarity"];
  const ASKED = { warmth: "cool or warm", depth: "light or deep", clarity: "soft or clear" };
  const colouring = $derived(held.client.brief.colouring ?? {});
  let picks = $state<Record<number, Pick>>({});
  let near = $state.raw<Schemas["NamedColour"][]>([]);

  $effect(() => {
    const { warmth = null, depth = null, clarity = null } = colouring;
    void ask(api.POST("/api/brief/near-face", { body: { warmth, depth, clarity } })).then((told) => {
      if ("data" in told) near = told.data.colours;
    });
  });

  async function pick(at: number, which: Pick) {
    picks[at] = which;
    const asked: Record<Axis, Pick[]> = { warmth: [], depth: [], clarity: [] };
    words.swatches.forEach((pair, i) => picks[i] && asked[pair.axis].push(picks[i]));
    const told = await ask(api.POST("/api/brief/colouring", { body: asked }));
    if ("data" in told) held.brief({ colouring: { ...colouring, ...told.data.words } as never });
  }
  const set = (axis: Axis, word: string) =>
    held.brief({ colouring: { ...colouring, [axis]: colouring[axis] === word ? null : word } as never });
</script>

<section aria-labelledby="colouring">
  <h2 id="colouring" class="heading text-xl">Colouring</h2>
  {#each AXES as axis (axis)}
    <div class="mt-1 flex items-center gap-1.5">
      <span class="w-20 first-letter:uppercase">{axis}</span>
      {#each words.colouring[axis] ?? [] as word (word)}
        <button class="press text-sm" aria-pressed={colouring[axis] === word} onclick={() => set(axis, word)}
          >{said(word)}</button
        >
      {/each}
    </div>
  {/each}
  <details class="mt-2">
    <summary class="min-h-8 cursor-pointer py-1">Find it with swatches at the face</summary>
    <p class="text-sm text-bark">Hold the screen beside the face. Which of the two makes the face clearer?</p>
    <ul class="mt-1 grid grid-cols-3 gap-x-4 gap-y-2">
      {#each words.swatches as pair, i (i)}
        <li>
          <div class="flex">
            {#each [["first", pair.first], ["second", pair.second]] as const as [which, hex] (which)}
              <button
                class="swatch h-12 grow"
                class:picked={picks[i] === which}
                style:background={hex}
                aria-label="{ASKED[pair.axis]}: the {which}"
                aria-pressed={picks[i] === which}
                onclick={() => void pick(i, which)}
              ></button>
            {/each}
          </div>
          <button
            class="quiet w-full text-sm"
            aria-pressed={picks[i] === "same"}
            onclick={() => void pick(i, "same")}
          >
            {picks[i] === "same" ? "both the same" : "the same"}
          </button>
        </li>
      {/each}
    </ul>
  </details>
  {#if near.length}
    <p class="mt-2 text-sm text-bark">Good near the face</p>
    <ul class="flex flex-wrap gap-x-3 gap-y-1">
      {#each near as colour (colour.name)}
        <li class="flex items-center gap-1.5 text-sm">
          <span class="h-4 w-6 border border-bark" style:background={colour.hex} aria-hidden="true"
          ></span>{said(colour.name)}
        </li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  .swatch {
    border: 3px solid transparent;
  }
  .swatch.picked {
    border-color: var(--color-walnut);
  }
</style>
