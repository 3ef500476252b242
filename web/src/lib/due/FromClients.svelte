<script lang="ts">
  /** What clients said through their pages and nobody has seen to. */
  import { onMount } from "svelte";
  import { api, ask, type Schemas } from "../api/client";
  import { SAYS } from "../hand/hand.svelte";
  import { notice } from "../ui/notice.svelte";
  import { day } from "../units";

  let said = $state.raw<Schemas["SaidOut"][] | null>(null);
  async function load() {
    const told = await ask(api.GET("/api/said"));
    if ("data" in told) said = told.data.said;
  }
  onMount(() => void load());

  async function see(one: Schemas["SaidOut"]) {
    const params = { path: { said_id: one.id } };
    const told = await ask(api.POST("/api/said/{said_id}/seen", { params }));
    if ("refusal" in told) return notice.say(told.refusal.message);
    await load();
    const undo = async () => {
      await ask(api.DELETE("/api/said/{said_id}/seen", { params }));
      await load();
    };
    notice.say(`Seen to: ${one.client} ${SAYS[one.says]}.`, { name: "Undo", run: () => void undo() });
  }
</script>

{#if said?.length}
  <section aria-label="From clients" class="mb-8">
    <h2 class="heading mb-2 text-xl">From clients</h2>
    <ul>
      {#each said as one (one.id)}
        <li class="flex items-baseline justify-between gap-3 border-b border-dashed border-rule py-1.5">
          <span
            ><a class="font-semibold hover:text-leaf" href="/people/{one.client_id}#hand">{one.client}</a>
            {SAYS[one.says]}{#if one.title}: {one.title}{/if}{#if one.text}: “{one.text}”{/if}
            <span class="text-xs text-bark">{day(one.at)}</span></span
          >
          <button
            class="quiet shrink-0 text-sm"
            aria-label="Seen to: {one.client} {SAYS[one.says]} {one.title || one.text}"
            onclick={() => void see(one)}>seen to</button
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
