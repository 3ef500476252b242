<script lang="ts">
  /** A password that was forgotten: ask for a letter, or, with what the letter brought, choose a new one. */
  import { page } from "$app/state";
  import { accounts } from "$lib/account/accounts";
  import { keyIn } from "$lib/account/keys";
  import Door from "$lib/account/Door.svelte";
  import PasswordField from "$lib/account/PasswordField.svelte";

  const key = $derived(keyIn(page.url));
  let email = $state("");
  let password = $state("");
  let trouble = $state<string | null>(null);
  let done = $state(false);
  let busy = $state(false);

  // The letter may be opened in the window that asked for it: then it begins anew.
  $effect(() => {
    void key;
    done = false;
  });

  async function send(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    const told = key
      ? await accounts("POST", "/auth/password/reset", { key, password })
      : await accounts("POST", "/auth/password/request", { email });
    busy = false;
    // A new password is set, and signing in with it is still to do: the server says 401 then.
    done = told.ok || (!!key && told.status === 401);
    trouble = done ? null : told.said;
  }
</script>

<Door
  heading={key ? "A new password" : "Forgotten password"}
  line={key
    ? "It holds for this account everywhere; who is signed in elsewhere is signed out."
    : "A letter brings you an address to choose a new one at."}
>
  {#if done && key}
    <p role="status">The new password holds.</p>
    <p class="mt-4"><a class="press" data-main href="/sign-in">Sign in</a></p>
  {:else if done}
    <p role="status">If there is an account with this address, a letter is on its way to {email}.</p>
    <p class="mt-4"><a class="quiet" href="/sign-in">Back to sign in</a></p>
  {:else}
    <form onsubmit={send} class="space-y-5">
      {#if key}
        <PasswordField id="password" label="New password" bind:value={password} {trouble} fresh />
      {:else}
        <div>
          <label for="email" class="block text-sm">Email address</label>
          <input id="email" type="email" class="field" autocomplete="username" required bind:value={email} />
          {#if trouble}<p role="alert" class="mt-2 text-madder">{trouble}</p>{/if}
        </div>
      {/if}
      <div class="flex items-center gap-4">
        <button class="press" data-main disabled={busy}>{key ? "Keep it" : "Send the letter"}</button>
        <a class="quiet" href={key ? "/forgotten" : "/sign-in"}
          >{key ? "Ask for a new letter" : "Back to sign in"}</a
        >
      </div>
    </form>
  {/if}
</Door>
