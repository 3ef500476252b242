<script lang="ts">
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import { api, ask } from "$lib/api/client";
  import { studio } from "$lib/studio.svelte";

  let email = $state("");
  let password = $state("");
  let trouble = $state<string | null>(null);
  let busy = $state(false);

  async function signIn(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    const told = await ask(api.POST("/api/session", { body: { email, password } }));
    busy = false;
    if ("refusal" in told) {
      trouble = told.refusal.message;
      return;
    }
    studio.me = told.data;
    const then = page.url.searchParams.get("then") ?? "/people";
    // Only addresses of our own: never one that leads elsewhere.
    await goto(/^\/(?![/\\])/.test(then) ? then : "/people");
  }
</script>

<svelte:head><title>Sign in · Basilwood</title></svelte:head>
<main class="grid min-h-dvh place-items-center p-6">
  <div class="w-full max-w-sm">
    <h1 class="heading flex items-center gap-3 text-3xl">
      <img src="/leaf.svg" alt="" width="34" height="34" /> Basilwood
    </h1>
    <p class="mt-2 text-bark">Measure once, read the body, and see where every edge lands.</p>
    <form onsubmit={signIn} class="mt-8 space-y-5">
      <div>
        <label for="email" class="block text-sm">Email address</label>
        <input id="email" type="email" class="field" autocomplete="username" required bind:value={email} />
      </div>
      <div>
        <label for="password" class="block text-sm">Password</label>
        <input
          id="password"
          type="password"
          class="field"
          autocomplete="current-password"
          required
          bind:value={password}
          aria-invalid={trouble ? "true" : undefined}
          aria-describedby={trouble ? "trouble" : undefined}
        />
        {#if trouble}<p id="trouble" role="alert" class="mt-2 text-madder">{trouble}</p>{/if}
      </div>
      <button class="press" data-main disabled={busy}>{busy ? "Signing in…" : "Sign in"}</button>
    </form>
    <div class="mt-14 border-t-2 border-walnut pt-1 text-xs text-bark">floor</div>
  </div>
</main>
