<script lang="ts">
  /** The sheet that one stands before without being let in: its name, a line below it, and a form on the floor. */
  import type { Snippet } from "svelte";

  const { heading, line, children }: { heading: string; line: string; children: Snippet } = $props();
</script>

<svelte:head><title>{heading} · Basilwood</title></svelte:head>
<main class="grid min-h-dvh place-items-center p-6">
  <div class="w-full max-w-sm">
    <p class="flex items-center gap-2 text-bark">
      <img src="/leaf.svg" alt="" width="22" height="22" /> Basilwood
    </p>
    <h1 class="heading mt-3 text-3xl">{heading}</h1>
    <p class="mt-2 text-bark">{line}</p>
    <div class="mt-8">{@render children()}</div>
    <div class="mt-14 border-t-2 border-walnut pt-1 text-xs text-bark">floor</div>
  </div>
</main>
