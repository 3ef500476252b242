<script lang="ts">
  /** Asked before something that matters: prove anew that it is you. */
  import { onMount } from "svelte";
  import { accounts, type Answer } from "./accounts";
  import PasswordField from "./PasswordField.svelte";
  import { canPasskey, showPasskey } from "./passkeys";

  const { ondone, onleave }: { ondone: () => void; onleave: () => void } = $props();
  let password = $state("");
  let trouble = $state<string | null>(null);

  onMount(() => {
    const before = document.activeElement;
    document.querySelector<HTMLElement>("#prove")?.focus();
    return () => before instanceof HTMLElement && before.focus();
  });

  async function after(asking: Promise<Answer>) {
    const told = await asking;
    if (told.ok) ondone();
    else trouble = told.said;
  }
</script>

<form
  class="mt-3 max-w-sm space-y-3 border-l-[3px] border-leaf pl-4"
  onsubmit={(event) => {
    event.preventDefault();
    void after(accounts("POST", "/auth/reauthenticate", { password }));
  }}
>
  <p class="text-sm">Before this is changed: is it you?</p>
  <PasswordField id="prove" label="Your password" bind:value={password} {trouble} />
  <div class="flex flex-wrap gap-3">
    <button class="press" data-main>Go on</button>
    {#if canPasskey()}
      <button class="quiet" type="button" onclick={() => void after(showPasskey("reauthenticate"))}
        >With a passkey</button
      >
    {/if}
    <button class="quiet" type="button" onclick={onleave}>Leave it</button>
  </div>
</form>
