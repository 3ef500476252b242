<script lang="ts">
  /** Which fitting, which piece next, and what was logged so far. */
  import Errands from "../due/Errands.svelte";
  import { heelsFor } from "../shop/heels";
  import { studio } from "../studio.svelte";
  import { day } from "../units";
  import { DECIDED } from "./form.svelte";
  import Log from "./Log.svelte";
  import type { TryOn } from "./tryon.svelte";

  const { tryon }: { tryon: TryOn } = $props();
  let place = $state<"wardrobe" | "shop">("wardrobe");
  let where = $state("");
  const PLACES = { wardrobe: "At the wardrobe", shop: "In a shop" };

  function find(event: SubmitEvent) {
    event.preventDefault();
    const text = tryon.sought.trim();
    if (!text) return;
    const first = tryon.shown[0];
    if (first) {
      tryon.take(first);
      tryon.sought = "";
    } else void tryon.say(text);
  }

  function counted(fitting: (typeof tryon.past)[number]): string {
    const by = new Map<string, number>();
    for (const trial of fitting.trials) {
      const word = DECIDED[trial.decision] ?? "seen";
      by.set(word, (by.get(word) ?? 0) + 1);
    }
    return [...by].map(([word, count]) => `${count} ${word}`).join(", ") || "nothing logged";
  }
</script>

{#if !tryon.open}
  <form
    onsubmit={(event) => {
      event.preventDefault();
      void tryon.begin(place, where);
    }}
  >
    <h2 class="heading text-lg">A new fitting</h2>
    <fieldset class="mt-1 flex gap-4">
      <legend class="sr-only">Where it is</legend>
      {#each Object.entries(PLACES) as [key, name] (key)}
        <label class="flex min-h-8 items-center gap-1.5">
          <input type="radio" name="place" value={key} bind:group={place} />{name}
        </label>
      {/each}
    </fieldset>
    {#if place === "shop"}
      <label class="mt-1 block text-sm text-bark">
        Which shop
        <input class="field text-walnut" maxlength="120" bind:value={where} />
      </label>
    {/if}
    <button class="press mt-3" data-main>Begin</button>
  </form>
{:else}
  <div class="flex items-baseline gap-2">
    <h2 class="heading min-w-0 grow truncate text-lg">
      {tryon.open.where || PLACES[tryon.open.place as keyof typeof PLACES]}
    </h2>
    <button class="quiet text-sm" onclick={() => void tryon.end()}>End the fitting</button>
  </div>
  <form onsubmit={find} class="mt-1">
    <label class="block text-sm text-bark">
      Which piece next
      <input
        id="try"
        class="field text-walnut"
        autocomplete="off"
        maxlength="300"
        placeholder="of the rack, or said in a line"
        bind:value={tryon.sought}
      />
    </label>
    <label class="mt-1 flex items-center gap-2 text-sm text-bark">
      Worn with
      <select class="field w-auto text-walnut" bind:value={tryon.heel} onchange={() => void tryon.load()}>
        {#each heelsFor(tryon.heels) as [name, cm] (cm)}<option value={cm}>{name}</option>{/each}
      </select>
    </label>
    {#if tryon.sought.trim() && !tryon.shown.length}
      <button class="press mt-2 text-sm">Try it as a new piece <span class="key">Enter</span></button>
    {/if}
  </form>
  {#if tryon.wrong && !tryon.on}<p role="alert" class="mt-1 text-sm text-madder">{tryon.wrong}</p>{/if}
  {#if tryon.shown.length}
    <ul class="relative mt-2 max-h-56 overflow-y-auto border-y border-grain" aria-label="Pieces of the rack">
      {#each tryon.shown as piece (piece.piece_id)}
        <li>
          <button
            class="flex min-h-8 w-full items-baseline gap-2 px-1 py-0.5 text-left hover:bg-sheet aria-pressed:bg-leaf-pale"
            aria-pressed={tryon.on?.piece_id === piece.piece_id}
            data-try={piece.title}
            onclick={() => tryon.take(piece)}
          >
            <span class="min-w-0 grow truncate first-letter:uppercase">{piece.title}</span>
            {#if tryon.tried.has(piece.piece_id)}<span class="text-sm text-bark">tried</span>{/if}
          </button>
        </li>
      {/each}
    </ul>
  {:else if !tryon.pieces.length && !tryon.sought}
    <p class="mt-2 text-sm text-bark">The rack is empty. Say what is being tried on in one line.</p>
  {/if}
  <Log {tryon} />
{/if}
{#if !studio.turned}
  <div class="mt-5 border-t border-grain pt-3">
    <Errands clientId={tryon.clientId} seen={tryon.log.length} />
  </div>
{/if}
{#if tryon.past.length}
  <details class="mt-4 border-t border-grain pt-2" open={!tryon.open}>
    <summary class="heading min-h-8 cursor-pointer py-1">Earlier fittings</summary>
    <ul class="mt-1 space-y-2 text-sm">
      {#each tryon.past as fitting (fitting.id)}
        <li>
          <strong class="font-semibold">{day(fitting.started_at)}</strong>,
          {fitting.where || PLACES[fitting.place].toLocaleLowerCase()}: {counted(fitting)}{fitting.unreadable
            ? `, and ${fitting.unreadable} that cannot be read any more`
            : ""}.
          {#if !studio.turned}
            <span class="block text-bark">
              {fitting.trials
                .map(
                  (trial) =>
                    `${trial.title} (${DECIDED[trial.decision]}${trial.why ? `: ${trial.why}` : ""})`,
                )
                .join("; ")}
            </span>
          {/if}
        </li>
      {/each}
    </ul>
  </details>
{/if}
