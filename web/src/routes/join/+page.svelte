<script lang="ts">
  /** An invitation is accepted: with an account one has, or with one that is made here. */
  import { onMount } from "svelte";
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import { accounts } from "$lib/account/accounts";
  import CodeField from "$lib/account/CodeField.svelte";
  import { keyIn } from "$lib/account/keys";
  import Door from "$lib/account/Door.svelte";
  import PasswordField from "$lib/account/PasswordField.svelte";
  import { api, ask, type Schemas } from "$lib/api/client";
  import { ROLES } from "$lib/studio/roles";
  import { studio } from "$lib/studio.svelte";

  let asked = $state<Schemas["JoinOut"] | null>(null);
  let gone = $state<string | null>(null);
  let name = $state("");
  let password = $state("");
  let code = $state("");
  let second = $state(false);
  let trouble = $state<string | null>(null);
  let busy = $state(false);
  /** Whoever is signed in already comes in with that account. */
  const signed = $derived(!!studio.me);

  onMount(async () => {
    const told = await ask(api.POST("/api/join/look", { body: { key: keyIn(page.url) } }));
    if ("data" in told) asked = told.data;
    else
      gone =
        told.refusal.status === 422 ? "This address is not whole. Copy all of it." : told.refusal.message;
    if (studio.me) name = studio.me.name;
  });

  async function signIn(): Promise<boolean> {
    if (signed || !asked) return signed;
    const given = { email: asked.email, password };
    const told = second
      ? await accounts("POST", "/auth/2fa/authenticate", { code: code.trim() })
      : await accounts("POST", asked.known ? "/auth/login" : "/auth/signup", given);
    if (told.pending === "mfa_authenticate") second = true;
    // Signed in already, with an account that works nowhere yet: that is the one.
    const inside = told.ok || told.status === 409;
    trouble = inside || second ? null : told.said;
    return inside;
  }

  async function join(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    if (await signIn()) {
      const told = await ask(api.POST("/api/join", { body: { name } }));
      if ("data" in told) {
        studio.enter(told.data);
        await goto(studio.may("work") ? "/people" : "/diary");
      } else trouble = told.refusal.message;
    }
    busy = false;
  }
</script>

<Door
  heading={asked ? asked.studio : "An invitation"}
  line={asked
    ? `asks you to work with them, as ${ROLES[asked.role].name.toLowerCase()}.`
    : "Somebody asks you into their studio."}
>
  {#if gone}
    <p role="alert" class="text-madder">{gone}</p>
    <p class="mt-4"><a class="quiet" href="/sign-in">Sign in</a></p>
  {:else if !asked}
    <p role="status">Opening…</p>
  {:else}
    <p class="mb-5 text-sm">{ROLES[asked.role].may}</p>
    <form onsubmit={join} class="space-y-5">
      {#if signed}
        <p class="text-sm text-bark">
          You come in with the account you are signed in with, {studio.me?.email}.
        </p>
      {:else if second}
        <CodeField id="code" bind:value={code} {trouble} />
      {:else}
        <p class="text-sm">
          {asked.known ? "You have an account with" : "Your account will be"} <strong>{asked.email}</strong>.
        </p>
        <PasswordField
          id="password"
          label={asked.known ? "Its password" : "A password for it"}
          bind:value={password}
          {trouble}
          fresh={!asked.known}
        />
      {/if}
      <div>
        <label for="name" class="block text-sm">Your name, as this studio calls you</label>
        <input id="name" class="field" required maxlength="120" autocomplete="name" bind:value={name} />
      </div>
      {#if signed && trouble}<p role="alert" class="text-madder">{trouble}</p>{/if}
      <button class="press" data-main disabled={busy}>Come in</button>
    </form>
  {/if}
</Door>
