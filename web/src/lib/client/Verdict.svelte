<script lang="ts">
  import type { Assessment, Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import Mark from "../ui/Mark.svelte";

  interface Props {
    assessment: Assessment;
    trouble: string | null;
    pieces: number;
    /** What stands here is of the look before: the engine is at the one that is on. */
    pending?: boolean;
    unsettled?: Schemas["UnsettledMeasure"][];
  }
  const { assessment, trouble, pieces, pending = false, unsettled = [] }: Props = $props();
  const WORDS = { works: "Works", watch: "Nearly", against: "Does not work yet" };
</script>

<div aria-live="polite" aria-busy={pending}>
  {#if trouble}
    <p role="alert" class="text-madder">{trouble}</p>
  {:else if pieces === 0}
    <p>Nothing on yet. Choose a top, a bottom or shoes, and the reasons stand level with their edges.</p>
  {:else if assessment.verdict && !studio.turned}
    <p class="flex items-baseline gap-2" data-testid="verdict" data-verdict={assessment.verdict}>
      <span class="translate-y-0.5"><Mark of={assessment.verdict} size={17} /></span>
      <strong class="shrink-0 {pending ? 'basted patient' : ''}">{WORDS[assessment.verdict]}</strong>
      <span class="min-w-0 text-sm text-bark">{assessment.leading.join(" · ")}</span>
      {#if unsettled[0]}
        <span class="min-w-0 border-l-2 border-dashed border-rule pl-2 text-sm" data-testid="unsettled"
          >{unsettled[0].text}</span
        >
      {/if}
    </p>
  {:else}
    <p class="text-sm">What this look does for you.</p>
  {/if}
</div>
