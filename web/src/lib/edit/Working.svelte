<script lang="ts" generics="T extends { job: Job }">
  /** How far long work is, why it could not be done; stopped and asked for again. */
  import type { Job, Work } from "./work.svelte";

  interface Props {
    work: Work<T>;
    what: string;
    testid?: string;
    /** Whether it is asked for anew, and no answer has come yet. */
    asked?: boolean;
  }
  const { work, what, testid = "work", asked = false }: Props = $props();
  const share = $derived(work.busy ? Math.round(100 * (work.job?.done ?? 0)) : 0);
</script>

<div
  class="flex flex-wrap items-center gap-x-3 text-sm {work.done && !asked ? '' : 'min-h-8'}"
  role="status"
  data-testid={testid}
  data-state={work.trouble ? "trouble" : asked ? "asking" : (work.job?.state ?? "asking")}
>
  {#if work.trouble}
    <span role="alert" class="text-madder">{work.trouble}</span>
    <button class="quiet" onclick={() => void work.ask()}>Try again</button>
  {:else if !work.job}
    <span class="text-bark">Asking…</span>
  {:else if work.busy || asked}
    <span>{what}</span>
    <progress class="h-2 w-40" max="100" value={share} aria-label="How much is done">{share} %</progress>
    <span class="tabular-nums">{share} %</span>
    <button class="press min-h-7 px-2 py-0" onclick={() => void work.stop()}>Stop</button>
  {:else if work.job.state === "cancelled"}
    <span>Stopped.</span>
    <button class="press min-h-7 px-2 py-0" onclick={() => void work.ask()}>Go on after all</button>
  {:else if work.job.state === "failed"}
    <span role="alert" class={work.job.refused ? "" : "text-madder"}
      >{work.job.refused || "This did not come through; nothing is lost."}</span
    >
    {#if !work.job.refused}<button class="press min-h-7 px-2 py-0" onclick={() => void work.ask()}
        >Try again</button
      >{/if}
  {/if}
</div>
