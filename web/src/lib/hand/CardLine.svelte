<script lang="ts">
  /** A sentence of a card: read, written anew in place, struck, or taken as it is made. */
  import { studio } from "../studio.svelte";
  import type { Card, Hand, Line } from "./hand.svelte";

  const { hand, card, line, hint = "" }: { hand: Hand; card: Card; line: Line; hint?: string } = $props();
  let typed = $derived(line.text);

  function keep() {
    const text = typed.trim();
    if (text !== line.text) void hand.write(card, line, text);
  }
</script>

{#if studio.turned}
  {#if line.text}<p class="py-0.5">{line.text}</p>{/if}
{:else}
  <div class="flex items-start gap-1">
    <textarea
      class="field min-h-0 grow resize-none py-0.5"
      class:struck={line.edited && !line.text}
      rows={Math.max(1, Math.ceil((typed || hint).length / 62))}
      maxlength="300"
      aria-label={hint || `Sentence: ${line.text || "struck"}`}
      placeholder={line.edited ? "struck" : hint}
      data-said={line.edited ? "true" : "false"}
      data-line={line.key}
      bind:value={typed}
      onchange={keep}
      onkeydown={(event) => {
        if (event.key === "Enter") {
          event.preventDefault();
          event.currentTarget.blur();
        }
      }}></textarea>
    {#if line.edited && line.key !== "own"}
      <button class="quiet shrink-0 text-xs" onclick={() => void hand.write(card, line, null)}>as made</button
      >
    {:else if line.key !== "own"}
      <button
        class="quiet shrink-0 text-xs"
        aria-label="Strike: {line.text}"
        onclick={() => void hand.write(card, line, "")}>strike</button
      >
    {/if}
  </div>
{/if}

<style>
  .struck::placeholder {
    font-style: italic;
  }
  textarea {
    field-sizing: content;
  }
</style>
