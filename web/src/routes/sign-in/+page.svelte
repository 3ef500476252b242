<script lang="ts">
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import { accounts, type Answer } from "$lib/account/accounts";
  import CodeField from "$lib/account/CodeField.svelte";
  import Door from "$lib/account/Door.svelte";
  import PasswordField from "$lib/account/PasswordField.svelte";
  import { canPasskey, showPasskey } from "$lib/account/passkeys";
  import { studio } from "$lib/studio.svelte";

  let email = $state("");
  let password = $state("");
  let code = $state("");
  /** The password was right, and a second factor is asked for. */
  let second = $state(false);
  let trouble = $state<string | null>(null);
  let busy = $state(false);

  async function after(asking: Promise<Answer>) {
    busy = true;
    const told = await asking;
    if (told.ok || told.status === 409) {
      trouble = (await studio.load())?.message ?? null;
      if (!trouble) await goto(then());
    } else if (told.pending === "mfa_authenticate") {
      second = true;
      trouble = null;
    } else {
      trouble =
        told.pending === "verify_email"
          ? "Confirm your email address first: a letter is on its way."
          : told.said;
    }
    busy = false;
  }

  function then(): string {
    const wanted = page.url.searchParams.get("then") ?? "/people";
    // Only addresses of our own: never one that leads elsewhere.
    return /^\/(?![/\\])/.test(wanted) ? wanted : "/people";
  }

  function signIn(event: SubmitEvent) {
    event.preventDefault();
    void after(
      second
        ? accounts("POST", "/auth/2fa/authenticate", { code: code.trim() })
        : accounts("POST", "/auth/login", { email, password }),
    );
  }
</script>

<Door
  heading={second ? "One more thing" : "Sign in"}
  line={second
    ? "This account is kept by a second factor."
    : "Measure once, read the body, and see where every edge lands."}
>
  <form onsubmit={signIn} class="space-y-5">
    {#if second}
      <CodeField id="code" bind:value={code} {trouble} />
    {:else}
      <div>
        <label for="email" class="block text-sm">Email address</label>
        <input id="email" type="email" class="field" autocomplete="username" required bind:value={email} />
      </div>
      <PasswordField id="password" label="Password" bind:value={password} {trouble} />
    {/if}
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <button class="press" data-main disabled={busy}>{busy ? "Signing in…" : "Sign in"}</button>
      {#if canPasskey()}
        <button
          class="quiet"
          type="button"
          disabled={busy}
          onclick={() => void after(showPasskey(second ? "authenticate" : "login"))}>With a passkey</button
        >
      {/if}
      {#if !second}<a class="quiet" href="/forgotten">Forgotten your password?</a>{/if}
    </div>
  </form>
</Door>
