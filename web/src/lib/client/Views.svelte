<script lang="ts">
  /** Where stylists differ about this look: what each other view would change, before it is taken. */
  import { onMount } from "svelte";
  import type { ClientState } from "../brief/client.svelte";
  import { studio } from "../studio.svelte";
  import Mark from "../ui/Mark.svelte";
  import { said } from "../units";
  import type { LookTable } from "./table.svelte";

  interface Props {
    table: LookTable;
    held: ClientState;
    onclose: () => void;
  }
  const { table, held, onclose }: Props = $props();
  const views = $derived(table.views);
  const SAID = { works: "works", watch: "nearly works", against: "does not work yet" };
  const own = $derived(held.client.own_ways.schools);
  const left = $derived(held.client.own_ways.muted);
  const house = $derived(studio.me?.studio.schools ?? {});
  const forename = $derived(held.client.name.split(" ")[0]);
  let trouble = $state<string | null>(null);
  onMount(() => table.views.watch());

  async function takeForHouse(school: string, position: string) {
    const before = { ...house };
    const put = async (to: Record<string, string>) => {
      trouble = (await studio.change({ schools: to }))?.message ?? null;
      table.again();
    };
    const after = { ...before, [school]: position };
    await put(after);
    if (!trouble)
      table.history.add({
        name: `the house’s view on ${said(school)}`,
        undo: () => put(before),
        redo: () => put(after),
      });
  }

  async function askAgain(key: string) {
    held.ownWays({ muted: left.filter((one) => one !== key) });
    await held.flush();
  }

  async function takeForClient(school: string, position: string | null) {
    const schools = { ...own };
    if (position === null) delete schools[school];
    else schools[school] = position;
    held.ownWays({ schools });
    await held.flush();
  }
</script>

<section aria-labelledby="views" class="flex h-full flex-col px-4 pt-2" aria-busy={views.stale}>
  <div class="flex items-baseline justify-between border-b border-grain pb-1">
    <h2 id="views" class="heading text-lg">Where stylists differ here</h2>
    <button class="quiet shrink-0 text-sm whitespace-nowrap" onclick={onclose}
      >Reasons <span class="key">Esc</span></button
    >
  </div>
  <div class="relative min-h-0 grow overflow-y-auto pb-2" class:opacity-60={views.stale && views.told}>
    {#if trouble}<p role="alert" class="py-1 text-sm text-madder">{trouble}</p>{/if}
    {#if views.trouble}
      <p role="alert" class="py-2 text-sm">
        {views.trouble} <button class="quiet" onclick={() => void views.ask()}>Try again</button>
      </p>
    {:else if !views.told}
      <p role="status" class="py-2 text-bark">Asking the other schools…</p>
    {:else}
      {#each views.told as view (view.school + view.position)}
        <div class="border-b border-grain py-2" data-view={view.school}>
          <p class="flex items-baseline justify-between gap-2">
            <strong class="font-semibold">{view.asks}</strong>
            <span class="shrink-0 text-xs text-bark"
              >{own[view.school] ? `${forename}’s own view` : "the house’s view"}</span
            >
          </p>
          <p class="text-sm leading-snug">Here: {view.taken}</p>
          <p class="text-sm leading-snug">There: <strong class="font-semibold">{view.answer}</strong></p>
          <p class="flex items-baseline gap-1.5 text-sm" data-testid="turns">
            <span class="translate-y-0.5"><Mark of={view.then} size={12} /></span>
            {view.now === view.then
              ? `Still ${SAID[view.then]}`
              : `${SAID[view.now]} here, ${SAID[view.then]} there`}
          </p>
          {#each view.says as line, at (at)}<p class="text-sm leading-snug text-bark">{line}</p>{/each}
          <p class="-ml-1 text-sm">
            <button class="quiet text-leaf" onclick={() => void takeForClient(view.school, view.position)}
              >Take it for {forename}</button
            >
            {#if studio.may("house")}<button
                class="quiet"
                onclick={() => void takeForHouse(view.school, view.position)}>for the house</button
              >{/if}
          </p>
        </div>
      {:else}
        <p class="py-2">
          {table.draft.list.length ? "All schools say the same of this look." : "Nothing on yet."}
        </p>
      {/each}
    {/if}
    {#if Object.keys(own).length || left.length}
      <h3 class="heading mt-3">{forename}’s own views</h3>
      {#each Object.entries(own) as [school, position] (school)}
        <p class="flex items-baseline justify-between gap-2 text-sm" data-own-view={school}>
          <span>{said(school)}: {said(position)}</span>
          <button class="quiet" onclick={() => void takeForClient(school, null)}>As the house does</button>
        </p>
      {/each}
      {#each left as key (key)}
        <p class="flex items-baseline justify-between gap-2 text-sm" data-left-out={key}>
          <span>left out: {said(key.replace(".", ", "))}</span>
          <button class="quiet" onclick={() => void askAgain(key)}>Ask it again</button>
        </p>
      {/each}
    {/if}
  </div>
</section>
