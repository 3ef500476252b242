<script lang="ts">
  /** Second factors of one's own account: an authenticator app, passkeys, and the recovery codes for when both are lost. */
  import { onMount } from "svelte";
  import { api, ask } from "../api/client";
  import { studio } from "../studio.svelte";
  import { notice } from "../ui/notice.svelte";
  import { day } from "../units";
  import { accounts } from "./accounts";
  import CodeField from "./CodeField.svelte";
  import { canPasskey, makePasskey } from "./passkeys";
  import Prove from "./Prove.svelte";
  import { Proving } from "./proving.svelte";

  interface Factor {
    type: "totp" | "webauthn" | "recovery_codes";
    id?: number;
    name?: string;
    created_at: number;
    last_used_at: number | null;
    unused_code_count?: number;
  }
  const proving = new Proving();
  let factors = $state.raw<Factor[] | null>(null);
  let setting = $state.raw<{ secret: string; picture: string } | null>(null);
  let code = $state("");
  let codes = $state.raw<string[] | null>(null);
  let passkeyName = $state("");
  let trouble = $state<string | null>(null);

  const app = $derived(factors?.find((one) => one.type === "totp"));
  const passkeys = $derived(factors?.filter((one) => one.type === "webauthn") ?? []);
  const recovery = $derived(factors?.find((one) => one.type === "recovery_codes"));
  const when = (at: number) => day(new Date(at * 1000).toISOString());

  async function load() {
    const told = await accounts<Factor[]>("GET", "/account/authenticators");
    if (told.ok) factors = told.data ?? [];
    else trouble = told.said;
    await studio.load();
  }
  onMount(() => void load());

  async function beginApp() {
    const told = await proving.ask(() => accounts("GET", "/account/authenticators/totp"));
    const { secret, totp_url } = told?.meta ?? {};
    if (!secret || !totp_url) return;
    const drawn = await ask(api.POST("/api/account/qr", { body: { text: totp_url } }));
    setting = { secret, picture: "data" in drawn ? drawn.data.picture : "" };
  }

  async function keepApp(event: SubmitEvent) {
    event.preventDefault();
    const told = await proving.ask(() =>
      accounts("POST", "/account/authenticators/totp", { code: code.trim() }),
    );
    if (!told) return;
    trouble = told.ok ? null : told.said;
    if (!told.ok) return;
    setting = null;
    code = "";
    await showCodes();
    await load();
  }

  async function showCodes(anew = false) {
    const told = await proving.ask(() =>
      accounts<{ unused_codes: string[] }>(anew ? "POST" : "GET", "/account/authenticators/recovery-codes"),
    );
    if (told?.ok) codes = told.data?.unused_codes ?? [];
    else if (told) trouble = told.said;
    if (anew) await load();
  }

  async function addPasskey(event: SubmitEvent) {
    event.preventDefault();
    const told = await proving.ask(() => makePasskey(passkeyName || "Passkey"));
    if (!told) return;
    trouble = told.ok ? null : told.said;
    if (!told.ok) return;
    passkeyName = "";
    notice.say("The passkey is kept.");
    await load();
  }

  async function remove(factor: Factor) {
    const told = await proving.ask(() =>
      factor.type === "totp"
        ? accounts("DELETE", "/account/authenticators/totp")
        : accounts("DELETE", "/account/authenticators/webauthn", { authenticators: [factor.id] }),
    );
    trouble = told && !told.ok ? told.said : null;
    if (told?.ok) codes = null;
    await load();
  }
</script>

{#if studio.me?.needs_second_factor}
  <p class="mt-2 border-l-[3px] border-madder pl-3" role="alert">
    {studio.me.studio.name} asks for a second factor. Set one up here; until then its clients stay closed.
  </p>
{/if}
{#if trouble}<p class="mt-2 text-madder" role="alert">{trouble}</p>{/if}
{#if !factors}
  <p class="text-sm text-bark" role="status">Looking them up…</p>
{:else}
  <ul class="mt-2 border-t border-rule">
    <li class="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5">
      <span class="w-40 font-medium">Authenticator app</span>
      {#if app}
        <span class="grow text-sm text-bark">since {when(app.created_at)}</span>
        <button class="quiet" onclick={() => void remove(app)}>Take away</button>
      {:else}
        <span class="grow text-sm text-bark"
          >six figures, new every half minute, from an app on your phone</span
        >
        <button class="press" data-app onclick={() => void beginApp()} disabled={!!setting}>Set up</button>
      {/if}
    </li>
    {#each passkeys as factor (factor.id)}
      <li class="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5">
        <span class="w-40 font-medium">Passkey</span>
        <span class="grow text-sm text-bark">{factor.name}, since {when(factor.created_at)}</span>
        <button class="quiet" onclick={() => void remove(factor)}>Take away</button>
      </li>
    {/each}
    <li class="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5">
      <span class="w-40 font-medium">Add a passkey</span>
      {#if canPasskey()}
        <form class="flex grow items-center gap-3" onsubmit={addPasskey}>
          <input
            class="field max-w-60"
            aria-label="What to call the passkey"
            placeholder="Studio tablet"
            maxlength="60"
            bind:value={passkeyName}
          />
          <button class="press ml-auto">Make it</button>
        </form>
      {:else}
        <span class="grow text-sm text-bark">This browser has none at this address.</span>
      {/if}
    </li>
    {#if recovery}
      <li class="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5">
        <span class="w-40 font-medium">Recovery codes</span>
        <span class="grow text-sm text-bark">{recovery.unused_code_count} left, each good once</span>
        <button class="quiet" onclick={() => void showCodes()}>Show</button>
        <button class="quiet" onclick={() => void showCodes(true)}>Make new ones</button>
      </li>
    {/if}
  </ul>
{/if}
{#if setting}
  <form class="mt-4 grid grid-cols-[8rem_minmax(0,1fr)] gap-6" onsubmit={keepApp}>
    {#if setting.picture}
      <img class="w-32 bg-white p-1" src={setting.picture} alt="Code to scan with the app" />
    {/if}
    <div class="space-y-3">
      <p class="text-sm">
        Scan this with the app, or type it there: <span class="font-medium break-all" data-secret
          >{setting.secret}</span
        >
      </p>
      <CodeField id="app-code" label="The code it shows now" bind:value={code} />
      <div class="flex gap-3">
        <button class="press" data-main>Keep it</button>
        <button class="quiet" type="button" onclick={() => (setting = null)}>Leave it</button>
      </div>
    </div>
  </form>
{/if}
{#if codes}
  <div class="mt-4 border-l-[3px] border-leaf pl-4" data-codes>
    <p class="text-sm">
      Write these down and keep them away from the phone: each lets you in once without it.
    </p>
    <ul class="mt-2 grid max-w-md grid-cols-2 gap-x-8 font-medium">
      {#each codes as one (one)}<li>{one}</li>{/each}
    </ul>
    <button class="quiet mt-2" onclick={() => (codes = null)}>They are written down</button>
  </div>
{/if}
{#if proving.waits}<Prove ondone={proving.waits} onleave={proving.leave} />{/if}
