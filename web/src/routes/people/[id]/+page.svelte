<script lang="ts">
  import Screen from "$lib/client/Screen.svelte";
  import ReachPage from "$lib/studio/ReachPage.svelte";
  import type { PageProps } from "./$types";

  const { data }: PageProps = $props();
</script>

<svelte:head><title>{data.work ? data.work.client.name : "A client"} · Basilwood</title></svelte:head>
{#if data.work}
  {#key data.work.client.id}
    <Screen
      client={data.work.client}
      words={data.work.words}
      known={data.work.known}
      briefWords={data.work.briefWords}
    />
  {/key}
{:else}
  {#key data.id}<ReachPage client={data.id} />{/key}
{/if}
