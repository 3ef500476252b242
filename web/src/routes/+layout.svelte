<script lang="ts">
  import "../app.css";
  import { onMount } from "svelte";
  import { goto } from "$app/navigation";
  import { navigating, page } from "$app/state";
  import { waiting } from "$lib/api/patience.svelte";
  import { studio } from "$lib/studio.svelte";
  import { letters } from "$lib/ui/letters.svelte";
  import { notice } from "$lib/ui/notice.svelte";

  const { children } = $props();
  let ready = $state(false);

  onMount(() => {
    document.querySelector("#opening")?.remove();
    void studio.load().then(() => (ready = true));
  });
  $effect(() => {
    document.documentElement.dataset.letters = letters.on ? "on" : "off";
  });
  $effect(() => {
    if (!ready || studio.me || page.url.pathname.startsWith("/sign-in")) return;
    void goto(`/sign-in?then=${encodeURIComponent(page.url.pathname)}`, { replaceState: true });
  });
</script>

{#if !ready}
  <p class="p-6 text-bark" role="status">Opening…</p>
{:else if studio.me || page.url.pathname.startsWith("/sign-in")}
  {@render children()}
{/if}
{#if navigating.to}<p class="fixed top-0 right-0 bg-paper px-3 py-1 text-sm" role="status">Opening…</p>{/if}
<div aria-live="polite" class="fixed bottom-16 left-1/2 z-50 w-max max-w-full -translate-x-1/2">
  {#if waiting.count}
    <p class="bg-walnut px-4 py-2 text-paper" data-testid="waiting">
      The server is being brought back. What you typed is safe; this goes on by itself.
    </p>
  {/if}
</div>
<div aria-live="polite" class="fixed bottom-3 left-1/2 z-50 -translate-x-1/2">
  {#if notice.text}
    <p class="flex items-center gap-3 bg-walnut px-4 py-2 text-paper">
      {notice.text}
      {#if notice.act}
        {@const act = notice.act}
        <button
          class="underline underline-offset-4"
          onclick={() => {
            act.run();
            notice.clear();
          }}>{act.name}</button
        >
      {/if}
    </p>
  {/if}
</div>
