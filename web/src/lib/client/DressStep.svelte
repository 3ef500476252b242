<script lang="ts">
  /** The look on the figure, dressed or looked over beside others: what it comes to, and what mends it. */
  import type { Schemas, Slot } from "../api/client";
  import Stage from "../figure/Stage.svelte";
  import { studio } from "../studio.svelte";
  import Because from "./Because.svelte";
  import Dress from "./Dress.svelte";
  import type { Dressing } from "./dressing.svelte";
  import LookBar from "./LookBar.svelte";
  import Looks from "./Looks.svelte";
  import Rail from "./Rail.svelte";
  import Reasons from "./Reasons.svelte";
  import SideBySide from "./SideBySide.svelte";
  import Verdict from "./Verdict.svelte";
  import Views from "./Views.svelte";
  import Ways from "./Ways.svelte";
  import Workbench from "./Workbench.svelte";

  interface Props {
    dressing: Dressing;
    words: Schemas["BriefWords"];
    /** The look is being dressed; else its place among the client's looks is shown. */
    open: boolean;
    onopen: () => void;
    onfinish: (pieces: string[]) => void;
  }
  const { dressing, words, open, onopen, onfinish }: Props = $props();
  const { table, held } = $derived(dressing);
  const name = $derived(held.client.name);
  const compared = $derived(open ? null : table.compare.told);
  let bar = $state<LookBar>();

  /** Put the hand on the look's name. */
  export const focusName = () => bar?.focusName();

  function choose(slot: Slot) {
    dressing.chosen = slot;
    onopen();
  }
</script>

{#if !table.assessment}
  <main class="p-8" role="alert">
    <p>{table.trouble ?? "Setting up the rule…"}</p>
    {#if table.trouble}
      <button class="press mt-3" onclick={() => void table.load()}>Try again</button>
    {/if}
  </main>
{:else}
  {@const assessment = table.assessment}
  <Workbench turned={studio.turned} pictured={open}>
    {#snippet panel()}
      <LookBar {table} {words} about={open} bind:this={bar} />
      {#if open}
        <Dress {table} chosen={dressing.chosen} onchoose={(slot) => (dressing.chosen = slot)} />
      {:else}
        <Looks {table} {onopen} />
      {/if}
    {/snippet}
    {#snippet stage()}
      {#if compared}<SideBySide compare={table.compare} {name} />
      {:else}<Stage
          {assessment}
          {name}
          chosen={dressing.chosen}
          onchoose={choose}
          table={open ? table : undefined}
          turned={dressing.turned}
          detail={open ? dressing.detail : null}
        />{/if}
    {/snippet}
    {#snippet side()}
      {#if compared}<Because told={compared} held={table.compare.held} />
      {:else if open && dressing.aside === "ways" && !studio.turned}
        <Ways {table} onmend={dressing.take} onclose={dressing.reasons} />
      {:else if open && dressing.aside === "views" && !studio.turned}
        <Views {table} {held} onclose={dressing.reasons} />
      {:else}
        <Reasons
          {assessment}
          onmend={dressing.mend}
          onlike={open ? (finding) => table.draft.like(finding.rule, finding.title) : undefined}
          onleave={open ? dressing.leaveOut : undefined}
          forename={name.split(" ")[0]}
          moving={table.hand !== null}
        />
      {/if}
    {/snippet}
    {#snippet rail()}{#if open && !studio.turned}<Rail {table} {onfinish} />{/if}{/snippet}
    {#snippet under()}
      {#if compared}<p class="text-sm">
          One floor line, one scale. What differs from the first look is outlined.
        </p>
      {:else}
        <Verdict
          {assessment}
          trouble={table.trouble}
          pieces={table.draft.list.length}
          pending={table.pending}
          unsettled={table.unsettled}
        />
        {#if open && !studio.turned}
          <span
            class="flex flex-wrap gap-1 text-sm min-[43.75em]:ml-auto min-[43.75em]:shrink-0 min-[43.75em]:pl-4"
          >
            <button
              class="quiet"
              aria-pressed={dressing.detail !== null}
              title="Neck, waist and foot in turn"
              onclick={() => dressing.closer()}
              >{dressing.detail ? `Closer: ${dressing.detail}` : "Closer"}
              <span class="key letter">E</span></button
            >
            <button
              class="quiet"
              aria-pressed={dressing.turned === "side"}
              onclick={() => dressing.turn("side")}>Side <span class="key letter">S</span></button
            >
            <button
              class="quiet"
              aria-pressed={dressing.turned === "back"}
              onclick={() => dressing.turn("back")}>Back <span class="key letter">B</span></button
            >
            <button
              class="quiet"
              aria-pressed={dressing.aside === "ways"}
              onclick={() => dressing.beside("ways")}>Ways to mend <span class="key letter">W</span></button
            >
            <button
              class="quiet"
              aria-pressed={dressing.aside === "views"}
              onclick={() => dressing.beside("views")}>Other views <span class="key letter">V</span></button
            >
          </span>
        {/if}
      {/if}
    {/snippet}
  </Workbench>
{/if}
