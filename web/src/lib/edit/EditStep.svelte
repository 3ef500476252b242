<script lang="ts">
  /** The edit of the wardrobe, part by part: brought in, sorted, read, what it lacks, what to buy. */
  import { untrack } from "svelte";
  import { studio } from "../studio.svelte";
  import BringIn from "./BringIn.svelte";
  import CapsuleView from "./CapsuleView.svelte";
  import ChangedView from "./ChangedView.svelte";
  import ColoursView from "./ColoursView.svelte";
  import type { Edit } from "./edit.svelte";
  import ListsView from "./ListsView.svelte";
  import MissingView from "./MissingView.svelte";
  import OrphansView from "./OrphansView.svelte";
  import SortView from "./SortView.svelte";
  import { VIEWS, type View } from "./words";

  const { edit, name }: { edit: Edit; name: string } = $props();
  let sort = $state<SortView>();
  $effect(() => untrack(() => edit.open()));
  // Figures are said in the studio's unit: ask again when it changes.
  let saidIn = studio.unit;
  $effect(() => {
    if (studio.unit === saidIn) return;
    saidIn = studio.unit;
    untrack(() => void edit.sorting.ask());
  });

  /** What single letters do in this step. */
  export const letters = {
    get now(): Record<string, () => void> {
      return edit.view === "sort" ? (sort?.letters ?? {}) : {};
    },
  };
  /** What a client is shown: what is there and what can be made of it. */
  const SHOWN: readonly View[] = ["sort", "colours", "missing", "capsule"];
  const views = $derived(VIEWS.filter(([key]) => !studio.turned || SHOWN.includes(key)));
  $effect(() => {
    if (studio.turned && !SHOWN.includes(edit.view)) edit.view = "sort";
  });
  const done = $derived(edit.order.length - edit.left.length);
  const leaving = $derived(Object.values(edit.decided).filter((one) => one.goes && !one.gone_at).length);
  const counts = $derived<Partial<Record<View, string>>>({
    sort: edit.order.length ? `${done} of ${edit.order.length}` : "",
    orphans: edit.sorting.done ? String(edit.sorting.told?.orphans.length ?? 0) : "",
    lists: [
      leaving ? `${leaving} leave` : "",
      edit.buying?.things.length ? `${edit.buying.things.length} to buy` : "",
    ]
      .filter(Boolean)
      .join(", "),
  });
</script>

<main class="parted min-h-0 grow">
  <nav class="panel min-h-0 overflow-y-auto py-3" aria-label="Parts of the edit" data-panel tabindex="-1">
    <ul>
      {#each views as [key, label] (key)}
        <li>
          <button
            class="part w-full px-4 py-1.5 text-left"
            class:here={edit.view === key}
            aria-current={edit.view === key ? "page" : undefined}
            data-view={key}
            onclick={() => (edit.view = key)}
          >
            {label}
            {#if counts[key] && !studio.turned}<span class="block text-xs text-bark tabular-nums"
                >{counts[key]}</span
              >{/if}
          </button>
        </li>
      {/each}
    </ul>
  </nav>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <!-- It scrolls: the keyboard reaches it. -->
  <section
    aria-label={VIEWS.find(([key]) => key === edit.view)?.[1]}
    class="relative min-h-0 min-w-0 overflow-y-auto px-6 py-3"
    tabindex="0"
  >
    {#if edit.outbox.waiting.length}
      <p
        class="border-l-[3px] border-dashed border-rule pl-3 text-sm"
        role="status"
        data-waiting={edit.outbox.waiting.length}
      >
        {edit.outbox.waiting.length === 1
          ? "One decision waits"
          : `${edit.outbox.waiting.length} decisions wait`} on this device for the connection.
      </p>
    {/if}
    {#each edit.outbox.refused as item (item.key)}
      <p class="border-l-[3px] border-madder pl-3 text-sm" role="alert">
        What you decided of the {edit.pieces[item.what.piece]?.title ?? "piece"} was not taken: {item.refused}
        <button class="quiet" onclick={() => edit.outbox.drop(item.key)}>Let it go</button>
      </p>
    {/each}
    {#if edit.trouble}<p role="alert" class="text-madder">
        {edit.trouble} <button class="quiet" onclick={() => void edit.load()}>Try again</button>
      </p>{/if}
    {#if edit.view === "in"}<BringIn {edit} />
    {:else if edit.view === "sort"}<SortView {edit} {name} bind:this={sort} />
    {:else if edit.view === "colours"}<ColoursView {edit} />
    {:else if edit.view === "orphans"}<OrphansView {edit} />
    {:else if edit.view === "missing"}<MissingView {edit} {name} />
    {:else if edit.view === "capsule"}<CapsuleView {edit} {name} />
    {:else if edit.view === "changed"}<ChangedView {edit} />
    {:else}<ListsView {edit} />{/if}
  </section>
</main>
