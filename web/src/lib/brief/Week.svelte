<script lang="ts">
  /** The client's week: where it is spent, by share, drawn as one strip. */
  import type { Schemas } from "../api/client";
  import { said } from "../units";
  import type { ClientState } from "./client.svelte";

  interface Props {
    state: ClientState;
    words: Schemas["BriefWords"];
  }
  const { state: held, words }: Props = $props();
  const week = $derived(held.client.brief.week ?? []);
  const total = $derived(week.reduce((sum, part) => sum + part.share, 0));
  const free = $derived(words.occasions.filter((one) => !week.some((part) => part.occasion === one)));

  function change(at: number, what: Partial<Schemas["Stretch"]>) {
    held.brief({ week: week.map((part, i) => (i === at ? { ...part, ...what } : part)) });
  }
  const add = (occasion: string) =>
    held.brief({
      week: [
        ...week,
        { occasion, share: Math.max(0, Math.min(20, 100 - total)), dress_code: "none" } as Schemas["Stretch"],
      ],
    });
  const clamp = (text: string) => Math.max(0, Math.min(100, Math.round(Number(text) || 0)));
</script>

<section aria-labelledby="week">
  <h2 id="week" class="heading text-xl">Their week</h2>
  {#if week.length}
    <div class="mt-1 flex h-7 overflow-hidden border border-bark" aria-hidden="true">
      {#each week as part, i (part.occasion)}
        <span
          class="overflow-hidden border-r border-paper px-1 text-xs leading-7 whitespace-nowrap {i % 2
            ? 'bg-grain'
            : 'bg-leaf-pale'}"
          style:width="{part.share}%">{part.share >= 12 ? said(part.occasion) : ""}</span
        >
      {/each}
    </div>
    <ul class="mt-1">
      {#each week as part, at (part.occasion)}
        <li class="flex items-center gap-3 border-b border-grain py-0.5">
          <span class="grow first-letter:uppercase">{said(part.occasion)}</span>
          <input
            class="field w-14 text-right"
            type="number"
            min="0"
            max="100"
            step="5"
            aria-label="{said(part.occasion)}, per cent of the week"
            value={part.share}
            onchange={(event) => change(at, { share: clamp(event.currentTarget.value) })}
          />%
          <select
            class="field w-32"
            aria-label="{said(part.occasion)}, dress code"
            value={part.dress_code}
            onchange={(event) => change(at, { dress_code: event.currentTarget.value as never })}
          >
            {#each words.dress_codes as code (code)}<option value={code}
                >{code === "none" ? "no code" : said(code)}</option
              >{/each}
          </select>
          <button
            class="quiet text-sm"
            aria-label="Take out {said(part.occasion)}"
            onclick={() => held.brief({ week: week.filter((_, i) => i !== at) })}>out</button
          >
        </li>
      {/each}
    </ul>
    <p class="text-sm {total === 100 ? 'text-bark' : ''}">
      {total} % of the week{total === 100
        ? ""
        : total < 100
          ? `, ${100 - total} % open`
          : ": more than there is"}.
    </p>
  {:else}
    <p class="text-sm text-bark">Nothing yet. Add where the week is spent.</p>
  {/if}
  <div class="mt-1.5 flex flex-wrap gap-1.5">
    {#each free as occasion (occasion)}<button class="press text-sm" onclick={() => add(occasion)}
        >+ {said(occasion)}</button
      >{/each}
  </div>
</section>
