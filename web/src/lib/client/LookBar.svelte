<script lang="ts">
  /** The look's name, and what stands in the way of keeping it. */
  import type { LookTable } from "./table.svelte";

  const { table }: { table: LookTable } = $props();
  const draft = $derived(table.draft);
  let input: HTMLInputElement;

  export function focusName() {
    input.focus();
    input.select();
  }
</script>

<section aria-label="Look" class="mb-2 border-b border-grain pb-2">
  <label class="flex items-center gap-2 text-sm text-bark">
    Look
    <input
      bind:this={input}
      class="field heading text-base text-walnut"
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
      class="mt-1 flex flex-wrap items-center gap-2 border-l-4 border-madder py-1 pl-3"
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
