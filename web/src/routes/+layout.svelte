<script lang="ts">
  import "../app.css";
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import { QueryClient, QueryClientProvider } from "@tanstack/svelte-query";
  import { studio } from "$lib/studio.svelte";
  import { notice } from "$lib/ui/notice.svelte";

  const { children } = $props();
  const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, staleTime: 5_000 } } });
  let ready = $state(false);

  $effect(() => {
    void studio.load().then(() => (ready = true));
  });
  $effect(() => {
    if (!ready || studio.me || page.url.pathname.startsWith("/sign-in")) return;
    void goto(`/sign-in?then=${encodeURIComponent(page.url.pathname)}`, { replaceState: true });
  });
</script>

<QueryClientProvider client={queries}>
  {#if !ready}
    <p class="p-6 text-bark" role="status">Opening…</p>
  {:else if studio.me || page.url.pathname.startsWith("/sign-in")}
    {@render children()}
  {/if}
</QueryClientProvider>
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
