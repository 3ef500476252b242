<script lang="ts">
  /** The address one signs in with, and a new one: it counts once a letter to it was answered. */
  import { onMount } from "svelte";
  import { notice } from "../ui/notice.svelte";
  import { accounts } from "./accounts";
  import Prove from "./Prove.svelte";
  import { Proving } from "./proving.svelte";

  interface Held {
    email: string;
    verified: boolean;
    primary: boolean;
  }
  const proving = new Proving();
  let rows = $state.raw<Held[]>([]);
  let fresh = $state("");
  let trouble = $state<string | null>(null);

  async function load() {
    const told = await accounts<Held[]>("GET", "/account/email");
    if (told.ok) rows = told.data ?? [];
  }
  onMount(() => void load());

  async function act(method: "POST" | "PATCH" | "DELETE", body: unknown, said: string) {
    const told = await proving.ask(() => accounts(method, "/account/email", body));
    if (!told) return;
    trouble = told.ok ? null : told.said;
    if (told.ok) {
      fresh = "";
      if (said) notice.say(said);
    }
    await load();
  }
</script>

<ul class="mt-2 border-t border-rule">
  {#each rows as row (row.email)}
    <li class="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5">
      <span class="grow">{row.email}</span>
      {#if row.primary}<span class="px-1.5 text-sm text-bark">you sign in with this one</span>
      {:else if row.verified}
        <button class="quiet" onclick={() => void act("PATCH", { email: row.email, primary: true }, "")}
          >Sign in with this one</button
        >
        <button class="quiet" onclick={() => void act("DELETE", { email: row.email }, "")}>Take away</button>
      {:else}
        <span class="text-sm text-bark">a letter to it waits to be answered</span>
        <button class="quiet" onclick={() => void act("DELETE", { email: row.email }, "")}>Take away</button>
      {/if}
    </li>
  {/each}
</ul>
<form
  class="mt-3 flex max-w-md items-end gap-3"
  onsubmit={(event) => {
    event.preventDefault();
    void act("POST", { email: fresh }, "A letter is on its way to confirm it.");
  }}
>
  <label class="grow text-sm"
    >Another address<input type="email" class="field" required bind:value={fresh} /></label
  >
  <button class="press">Add</button>
</form>
{#if trouble}<p class="mt-2 text-madder" role="alert">{trouble}</p>{/if}
{#if proving.waits}<Prove ondone={proving.waits} onleave={proving.leave} />{/if}
