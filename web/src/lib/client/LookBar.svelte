<script lang="ts">
  import type { Desk } from "./desk.svelte";
  import type { Saving } from "./draft.svelte";

  interface Props {
    desk: Desk;
    onback: (way: "undo" | "redo") => void;
  }
  const { desk, onback }: Props = $props();
  const draft = $derived(desk.draft);
  const SAID: Record<Saving, string> = {
    blank: "Nothing to keep yet",
    kept: "Kept",
    saving: "Keeping…",
    waiting: "Keeping…",
    failed: "Not kept",
    conflict: "Two versions",
  };
  let input: HTMLInputElement;

  export function focusName() {
    input.focus();
    input.select();
  }
</script>

<section
  aria-label="Look"
  class="flex min-h-11 shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule px-4 py-1"
>
  <label class="flex items-center gap-2 text-sm text-bark">
    Look
    <input
      bind:this={input}
      class="field heading w-64 text-base text-walnut"
      placeholder="Unnamed look"
      autocomplete="off"
      data-said={draft.id ? "true" : "false"}
      aria-invalid={draft.nameTrouble ? "true" : undefined}
      aria-describedby={draft.nameTrouble ? "look-name-trouble" : undefined}
      value={draft.name}
      oninput={(event) => draft.rename(event.currentTarget.value)}
      onkeydown={(event) => {
        if (event.key === "Enter") void draft.keep();
      }}
    />
  </label>
  <span class="text-sm" role="status" data-testid="saving" data-saving={draft.saving}
    >{SAID[draft.saving]}</span
  >
  <button class="quiet text-sm" disabled={!desk.history.past.length} onclick={() => onback("undo")}>
    Undo <span class="key">Ctrl Z</span>
  </button>
  <button class="quiet text-sm" disabled={!desk.history.future.length} onclick={() => onback("redo")}
    >Redo</button
  >
  {#if draft.nameTrouble}
    <p id="look-name-trouble" role="alert" class="text-madder">
      {draft.nameTrouble} Shorten it; it stays here.
    </p>
  {/if}
  {#if draft.saving === "failed"}
    {#if draft.trouble}<p role="alert" class="text-madder">{draft.trouble}</p>{/if}
    <button class="press" onclick={() => void draft.keep()}>Try again</button>
  {/if}
  {#if draft.saving === "conflict"}
    <div
      role="alert"
      class="flex w-full flex-wrap items-center gap-3 border-l-4 border-madder py-1 pl-3"
      data-testid="conflict"
    >
      <p>
        {draft.trouble} Yours / theirs:
        <span class="text-sm">{draft.differences().join("; ") || "the same words"}</span>
      </p>
      <button class="press" data-main onclick={() => void draft.keepMine()}>Keep mine</button>
      <button class="press" onclick={() => draft.takeTheirs()}>Take theirs</button>
    </div>
  {/if}
</section>
