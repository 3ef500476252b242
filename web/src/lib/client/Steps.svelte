<script lang="ts">
  /** The steps, always in sight, and how what was done stands: kept, undone, done again. */
  import type { Saving } from "./draft.svelte";
  import type { History } from "./history.svelte";
  import { GROUPS, keyOf, keysOf, nameOf, type Step } from "./steps";

  interface Props {
    step: Step;
    saving: Saving;
    history: History;
    onback: (way: "undo" | "redo") => void;
  }
  const { step, saving, history, onback }: Props = $props();
  /** Where one was last in each part of the work: its name leads back there. */
  const last = $state<Record<string, Step>>({});
  $effect(() => {
    const group = GROUPS.find((one) => one.steps.includes(step));
    if (group) last[group.name] = step;
  });
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
    {#each GROUPS as group (group.name)}
      {#if group.steps.includes(step)}
        <span class="open flex" role="group" aria-label={group.name}>
          {#each group.steps as key (key)}
            <a
              href="#{key}"
              class="step flex items-center gap-1.5 px-2.5 min-[43.75em]:px-3"
              class:here={step === key}
              aria-current={step === key ? "step" : undefined}
              data-sveltekit-noscroll
              data-sveltekit-keepfocus
            >
              {nameOf(key)}
              <span class="key letter hidden min-[56.25em]:inline" aria-hidden="true">{keyOf(key)}</span>
            </a>
          {/each}
        </span>
      {:else}
        <a
          href="#{last[group.name] ?? group.steps[0]}"
          class="step flex items-center gap-1.5 px-2.5 text-bark min-[43.75em]:px-3"
          title={group.steps.map(nameOf).join(", ")}
          data-sveltekit-noscroll
          data-sveltekit-keepfocus
        >
          {group.name}
          <span class="key letter hidden min-[56.25em]:inline" aria-hidden="true">{keysOf(group)}</span>
        </a>
      {/if}
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
  .open {
    background: var(--color-sheet);
    box-shadow:
      inset 1px 0 var(--color-grain),
      inset -1px 0 var(--color-grain);
  }
  .step:hover {
    border-bottom-color: var(--color-rule);
  }
  .step.here {
    border-bottom-color: var(--color-leaf);
    font-weight: 600;
  }
</style>
