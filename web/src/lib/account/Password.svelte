<script lang="ts">
  /** A new password for one's own account. */
  import { notice } from "../ui/notice.svelte";
  import { accounts } from "./accounts";
  import PasswordField from "./PasswordField.svelte";

  let current = $state("");
  let fresh = $state("");
  let trouble = $state<string | null>(null);
  /** Whether it is the new one that was wrong. */
  let ofNew = $state(false);

  async function change(event: SubmitEvent) {
    event.preventDefault();
    const told = await accounts("POST", "/account/password/change", {
      current_password: current,
      new_password: fresh,
    });
    ofNew = !told.said.includes("not your password");
    trouble = told.ok ? null : told.said;
    if (!told.ok) return;
    current = fresh = "";
    notice.say("The new password holds.");
  }
</script>

<form onsubmit={change} class="mt-3 max-w-sm space-y-4">
  <PasswordField id="current" label="Password now" bind:value={current} trouble={ofNew ? null : trouble} />
  <PasswordField id="fresh" label="New password" bind:value={fresh} trouble={ofNew ? trouble : null} fresh />
  <button class="press">Change it</button>
</form>
