<script lang="ts">
  import type { Look } from "../api/client";
  import { studio } from "../studio.svelte";
  import { settingSaid, VARIANTS } from "./facts";
  import { found, inRows, sentence } from "./shelf";
  import type { LookTable } from "./table.svelte";

  interface Props {
    table: LookTable;
    onopen: () => void;
  }
  const { table, onopen }: Props = $props();
  let trouble = $state<string | null>(null);
  const compare = $derived(table.compare);

  let sought = $state("");
  const rows = $derived(inRows(found(table.draft.looks, sought)));
  const about = (look: Look) =>
    [
      look.facts.standing === "chosen" && "chosen",
      look.facts.variant && VARIANTS[look.facts.variant],
      settingSaid(look.facts.setting, studio.unit),
      look.facts.tags.join(", "),
    ]
      .filter(Boolean)
      .join(" · ");
</script>

<div class="flex items-baseline justify-between">
  <p class="text-sm text-bark">Kept as you go; the last changed first.</p>
  <button class="press" onclick={() => void table.draft.blank().then(onopen)}>New look</button>
</div>
{#if compare.held.length}
  <p class="mt-1 text-sm">
    {compare.held.length === 1
      ? "Hold up another to see both side by side."
      : `${compare.held.length} side by side.`}
    <button class="quiet" onclick={() => void compare.clear()}>Put them down</button>
  </p>
{/if}
{#if compare.trouble}<p role="alert" class="text-sm text-madder">{compare.trouble}</p>{/if}
{#if trouble}<p role="alert" class="text-sm text-madder">{trouble}</p>{/if}
{#if table.draft.looks.length > 3}
  <input
    type="search"
    class="field mt-1"
    aria-label="Find a look"
    placeholder="find: a word, a tag, chosen, rejected"
    bind:value={sought}
  />
{/if}
<ul class="mt-1">
  {#each rows as { look, depth } (look.id)}
    <li
      class="flex items-start gap-2 border-t border-grain py-1.5"
      style:padding-left="{Math.min(depth, 3) * 14}px"
      data-look={look.name}
      data-depth={depth}
    >
      <button
        class="min-w-0 grow text-left"
        aria-current={table.draft.id === look.id ? "true" : undefined}
        onclick={() => void table.draft.open(look).then(onopen)}
      >
        <span
          class="block font-semibold break-words {table.draft.id === look.id ? 'text-leaf' : ''}"
          class:line-through={look.facts.standing === "rejected"}
        >
          {look.name || "Unnamed look"}
        </span>
        {#if about(look)}<span class="block text-sm">{about(look)}</span>{/if}
        <span class="block text-sm text-bark">{sentence(look) || "nothing on yet"}</span>
        {#if look.unreadable}
          <span class="block text-sm text-madder"
            >{look.unreadable === 1 ? "one piece" : `${look.unreadable} pieces`} of it cannot be read any more</span
          >
        {/if}
        {#if look.facts.standing === "rejected"}
          <span class="block text-sm text-bark"
            >rejected{look.facts.why_not ? `: ${look.facts.why_not}` : ""}</span
          >
        {/if}
        {#if look.facts.client_said}<span class="block text-sm italic">“{look.facts.client_said}”</span>{/if}
      </button>
      <span class="flex shrink-0 flex-col items-end">
        <button
          class="press min-h-7 px-1.5 py-0 text-sm"
          aria-pressed={compare.has(look)}
          aria-label="Hold up {look.name || 'unnamed look'} beside others"
          data-hold={look.name}
          onclick={() => void compare.toggle(look)}>Hold up</button
        >
        {#if studio.may("hand_out")}<a
            class="quiet text-sm"
            href="/api/looks/{look.id}/picture.svg"
            download="look.svg"
            aria-label="Picture of {look.name || 'unnamed look'}, a file"
            data-sveltekit-reload>Picture</a
          >{/if}
        <button
          class="quiet text-sm"
          aria-label="Remove {look.name || 'unnamed look'}"
          onclick={async () => (trouble = await table.draft.remove(look))}
        >
          Remove
        </button>
      </span>
    </li>
  {:else}
    <li class="border-t border-grain py-3">
      {#if sought}
        No look says that.
      {:else}
        No look yet. Choose a top, a bottom or shoes under <em>Dress</em>; it is kept from the first word on.
      {/if}
    </li>
  {/each}
</ul>
