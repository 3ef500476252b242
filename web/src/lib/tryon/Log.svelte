<script lang="ts">
  /** What was tried on at this fitting: what was decided, what differed, and what that may correct. */
  import Pictures from "../rack/Pictures.svelte";
  import { studio } from "../studio.svelte";
  import { length } from "../units";
  import { DECIDED } from "./form.svelte";
  import type { Logged, TryOn } from "./tryon.svelte";

  const { tryon }: { tryon: TryOn } = $props();
  const newest = $derived(tryon.log.toReversed());

  function differed(one: Logged): string {
    const seen = (one.trial?.to_see ?? []).filter((see) => see.seen !== null);
    return seen
      .map(
        (see) =>
          `${see.label} ${length(see.seen ?? 0, studio.unit)} ${see.frame}, expected ${length(see.expected, studio.unit)}`,
      )
      .join("; ");
  }
</script>

{#if tryon.unreadable}
  <p class="mt-2 border-l-2 border-madder pl-2 text-sm" role="status">
    {tryon.unreadable === 1 ? "One entry" : `${tryon.unreadable} entries`} of this log cannot be read any more.
  </p>
{/if}
{#if newest.length}
  <h3 class="heading mt-4">Logged: {newest.length}</h3>
  <ol class="text-sm" aria-label="Log of this fitting">
    {#each newest as one (one.id)}
      <li
        class="border-b py-1.5 {one.trial ? 'border-solid border-chalk' : 'border-dashed border-rule'}"
        data-logged={one.title}
        data-sent={one.trial ? "true" : "false"}
      >
        <p class="flex items-baseline gap-2">
          <strong class="min-w-0 grow font-semibold first-letter:uppercase">{one.title}</strong>
          <span>{DECIDED[one.decision]}</span>
        </p>
        {#if one.why && !studio.turned}<p class="text-bark">{one.why}</p>{/if}
        {#if one.refused}
          <p role="alert" class="text-madder">Not taken: {one.refused}</p>
          <button class="quiet" onclick={() => one.key && tryon.outbox.drop(one.key)}>Drop this entry</button>
        {:else if !one.trial}
          <p class="text-bark">On this device, not sent yet.</p>
        {:else if !studio.turned}
          {@const trial = one.trial}
          {#if differed(one)}<p>{differed(one)}.</p>{/if}
          {#each trial.corrections as correction (correction.whose + correction.key)}
            <p class="mt-0.5 border-l-2 border-dashed border-rule pl-2">
              {correction.text}
              {#if correction.possible}
                <button
                  class="quiet"
                  data-correct={correction.key}
                  onclick={() =>
                    void tryon.correct(trial, correction.whose, correction.key, correction.label)}
                  >Correct the {correction.whose}</button
                >
              {/if}
            </p>
          {/each}
          {#each trial.corrected as done (done.whose + done.key)}
            <p class="mt-0.5 border-l-2 border-solid border-chalk pl-2">
              The {done.label} is {length(done.becomes, studio.unit)} now.
            </p>
          {/each}
          <div class="flex items-center gap-2">
            <Pictures path="/api/trials/{trial.id}/pictures" of={trial.title} small />
            <button class="quiet ml-auto" onclick={() => void tryon.remove(trial)}>Take out</button>
          </div>
        {/if}
      </li>
    {/each}
  </ol>
{/if}
