<script lang="ts">
  /** An email address is confirmed: the letter led here. */
  import { onMount } from "svelte";
  import { page } from "$app/state";
  import { accounts } from "$lib/account/accounts";
  import { keyIn } from "$lib/account/keys";
  import Door from "$lib/account/Door.svelte";

  let said = $state<string | null>(null);
  let trouble = $state<string | null>(null);
  onMount(async () => {
    const key = keyIn(page.url);
    const told = await accounts("POST", "/auth/email/verify", { key });
    if (told.ok || told.status === 401) said = "Your address is confirmed.";
    else trouble = told.said;
  });
</script>

<Door heading="Confirm your address" line="It is where letters about your account go.">
  {#if trouble}<p role="alert" class="text-madder">{trouble}</p>
  {:else}<p role="status">{said ?? "Confirming…"}</p>{/if}
  {#if trouble || said}<p class="mt-4"><a class="press" data-main href="/people">Go on</a></p>{/if}
</Door>
