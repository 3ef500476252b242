<script lang="ts">
  /** The studio's record of who saw what, searched by person, kind and days. */
  import { onMount } from "svelte";
  import { api, ask, type Schemas } from "../api/client";
  import ClientPicker from "../people/ClientPicker.svelte";
  import DateField from "../ui/DateField.svelte";
  import Seen from "./Seen.svelte";

  const KINDS = [
    ["look", "looked at"],
    ["change", "changed"],
    ["export", "taken out"],
    ["print", "printed"],
    ["share", "shared"],
    ["erase", "erased"],
  ] as const;
  let members = $state.raw<Schemas["MemberRowOut"][]>([]);
  let by = $state("");
  let of = $state.raw<{ id: string; name: string } | null>(null);
  let kind = $state("");
  let first = $state<string | null>(null);
  let last = $state<string | null>(null);
  onMount(async () => {
    const told = await ask(api.GET("/api/members"));
    if ("data" in told) members = told.data;
  });
  const sought = $derived({
    ...(by && { by: Number(by) }),
    ...(of && { client_id: of.id }),
    ...(kind && { kind }),
    ...(first && { first }),
    ...(last && { last }),
  });
</script>

<form
  class="mt-4 flex flex-wrap items-end gap-x-5 gap-y-2 text-sm"
  onsubmit={(event) => event.preventDefault()}
>
  <label class="space-x-1.5"
    >Who <select class="field w-auto" bind:value={by} data-by>
      <option value="">anybody</option>
      {#each members as one (one.id)}<option value={String(one.id)}>{one.name}</option>{/each}
    </select></label
  >
  <span class="flex items-baseline gap-1.5"
    >Of whom <ClientPicker
      label="Of whom"
      class="text-sm"
      value={of?.id ?? null}
      name={of?.name ?? ""}
      none="anybody"
      onchange={(client) => (of = client)}
    /></span
  >
  <label class="space-x-1.5"
    >What was done <select class="field w-auto" bind:value={kind} data-kind>
      <option value="">anything</option>
      {#each KINDS as [key, name] (key)}<option value={key}>{name}</option>{/each}
    </select></label
  >
  <span class="flex items-baseline gap-1.5"
    >From <DateField label="From" value={first} onchange={(iso) => (first = iso)} /></span
  >
  <span class="flex items-baseline gap-1.5"
    >until <DateField label="Until" value={last} onchange={(iso) => (last = iso)} /></span
  >
</form>
<div class="mt-2 max-w-4xl"><Seen {sought} /></div>
