<script lang="ts">
  import "../app.css";
  import { onMount } from "svelte";
  import { goto } from "$app/navigation";
  import { navigating, page } from "$app/state";
  import { accounts } from "$lib/account/accounts";
  import Door from "$lib/account/Door.svelte";
  import { OUTSIDE } from "$lib/api/client";
  import { connection } from "$lib/api/connection.svelte";
  import { waiting } from "$lib/api/patience.svelte";
  import { studio } from "$lib/studio.svelte";
  import { letters } from "$lib/ui/letters.svelte";
  import { notice } from "$lib/ui/notice.svelte";

  const { children } = $props();
  let ready = $state(false);
  /** Somebody is signed in who works nowhere, or the server does not answer. */
  let trouble = $state<string | null>(null);

  async function leave() {
    await accounts("DELETE", "/auth/session");
    location.assign("/sign-in");
  }

  onMount(() => {
    document.querySelector("#opening")?.remove();
    void studio.load().then((refusal) => {
      trouble = refusal?.message ?? null;
      ready = true;
    });
  });
  $effect(() => {
    document.documentElement.dataset.letters = letters.on ? "on" : "off";
  });
  // Where the studio asks for a second factor, nothing of a client opens before there is one.
  $effect(() => {
    if (
      studio.me?.needs_second_factor &&
      page.url.pathname !== "/account" &&
      !OUTSIDE.test(page.url.pathname)
    )
      void goto("/account", { replaceState: true });
  });
  $effect(() => {
    if (!ready || studio.me || trouble || OUTSIDE.test(page.url.pathname)) return;
    void goto(`/sign-in?then=${encodeURIComponent(page.url.pathname)}`, { replaceState: true });
  });
</script>

{#if !ready}
  <p class="p-6 text-bark" role="status">Opening…</p>
{:else if trouble && !OUTSIDE.test(page.url.pathname)}
  <Door heading="Not let in" line={trouble}>
    <button class="press" onclick={() => void leave()}>Sign out</button>
  </Door>
{:else if studio.me || OUTSIDE.test(page.url.pathname)}
  {@render children()}
{/if}
{#if navigating.to}<p class="fixed top-0 right-0 bg-paper px-3 py-1 text-sm" role="status">Opening…</p>{/if}
<div aria-live="polite" class="fixed bottom-16 left-1/2 z-50 w-max max-w-full -translate-x-1/2">
  {#if connection.heard}
    <p class="bg-walnut px-4 py-2 text-paper" data-testid="without">
      Without a connection: this is of {connection.heard.toLocaleTimeString("en-GB", {
        hour: "2-digit",
        minute: "2-digit",
      })}. What you measure, log and decide is kept here and sent later.
    </p>
  {/if}
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
