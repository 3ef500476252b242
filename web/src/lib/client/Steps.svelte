<script lang="ts">
  /** The steps, always in sight, and how what was done stands: kept, undone, done again. */
  import type { Saving } from "./draft.svelte";
  import type { History } from "./history.svelte";
  import { STEPS, type Step } from "./steps";

  interface Props {
    step: Step;
    saving: Saving;
    history: History;
    onback: (way: "undo" | "redo") => void;
  }
  const { step, saving, history, onback }: Props = $props();
  const SAID: Record<Saving, string> = {
    blank: "Nothing to keep yet",
    kept: "Kept",
    saving: "Keeping…",
    waiting: "Keeping…",
    failed: "Not kept",
    conflict: "Two versions",
  };
</script>

<div class="flex min-h-11 shrink-0 flex-wrap items-stretch border-b border-rule pr-4 pl-1">
  <nav aria-label="Steps" class="flex flex-wrap">
    {#each STEPS as [key, name], i (key)}
      <a
        href="#{key}"
        class="step flex items-center gap-1.5 px-2 min-[1180px]:px-2.5"
        class:here={step === key}
        aria-current={step === key ? "step" : undefined}
        data-sveltekit-noscroll
        data-sveltekit-keepfocus
      >
        {name} <span class="key letter hidden min-[1180px]:inline" aria-hidden="true">{(i + 1) % 10}</span>
      </a>
    {/each}
  </nav>
  <div class="ml-auto flex items-center gap-3 text-sm">
    <span
      role="status"
      data-testid="saving"
      data-saving={saving}
      class={saving === "failed" ? "text-madder" : ""}
    >
      {SAID[saving]}
    </span>
    <button class="quiet" disabled={!history.past.length} onclick={() => onback("undo")}>
      Undo <span class="key hidden min-[1180px]:inline">Ctrl Z</span>
    </button>
    <button class="quiet" disabled={!history.future.length} onclick={() => onback("redo")}>Redo</button>
  </div>
</div>

<style>
  .step {
    min-height: 2.75rem;
    border-bottom: 3px solid transparent;
    border-top: 3px solid transparent;
  }
  .step:hover {
    border-bottom-color: var(--color-rule);
  }
  .step.here {
    border-bottom-color: var(--color-leaf);
    font-weight: 600;
  }
</style>
