<script lang="ts">
  import Screen from "$lib/client/Screen.svelte";
  import type { PageProps } from "./$types";

  const { data }: PageProps = $props();
</script>

<svelte:head><title>{data.client.name} · Basilwood</title></svelte:head>
{#key data.client.id}
  <Screen client={data.client} words={data.words} known={data.known} briefWords={data.briefWords} />
{/key}
