<script lang="ts">
  /** Where practitioners differ: the view this studio takes, and the other one to try. */
  import { onMount } from "svelte";
  import { api, ask, type Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import Word from "../ui/Word.svelte";
  import { said } from "../units";
  import type { LookTable } from "./table.svelte";

  const { table }: { table: LookTable } = $props();
  let schools = $state<Schemas["School"][]>([]);
  let trouble = $state<string | null>(null);

  onMount(async () => {
    const told = await ask(api.GET("/api/schools"));
    if ("data" in told) schools = told.data;
    else trouble = told.refusal.message;
  });

  const taken = $derived(studio.me?.studio.schools ?? {});

  async function take(school: string, position: string | null) {
    const before = { ...taken };
    const after = { ...taken };
    if (position) after[school] = position;
    else delete after[school];
    const put = async (to: Record<string, string>) => {
      trouble = (await studio.change({ schools: to }))?.message ?? null;
      await table.assess();
    };
    await put(after);
    if (!trouble)
      table.history.add({
        name: `the view on ${said(school)}`,
        undo: () => put(before),
        redo: () => put(after),
      });
  }
</script>

{#if studio.may("house")}
  <section aria-labelledby="schools" class="border-t border-grain pt-3">
    <h2 id="schools" class="heading">Where stylists differ</h2>
    <p class="mb-1 text-sm text-bark">
      The view this studio takes. Change one and the reasons follow at once.
    </p>
    {#if trouble}<p role="alert" class="text-madder">{trouble}</p>{/if}
    {#each schools as school (school.id)}
      <Word
        label={said(school.id)}
        value={taken[school.id] ?? school.positions[0]}
        choices={school.positions}
        removable={false}
        onchange={(position) => void take(school.id, position)}
      />
    {/each}
  </section>
{/if}
