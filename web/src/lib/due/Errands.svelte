<script lang="ts">
  /** What is due, the soonest first; what was done stays below, and can be taken back. */
  import DateField from "../ui/DateField.svelte";
  import { untrack } from "svelte";
  import { notice } from "../ui/notice.svelte";
  import { day } from "../units";
  import { DueList, stands, type Errand } from "./due.svelte";

  interface Props {
    clientId?: string | null;
    /** Anything that makes the list worth asking for anew. */
    seen?: unknown;
    wide?: boolean;
  }
  const { clientId = null, seen, wide = false }: Props = $props();
  const list = new DueList(untrack(() => clientId));
  $effect(() => {
    void seen;
    untrack(() => void list.load());
  });
  const KINDS = { alter: "Alter", return: "Return", size: "Other size" } as const;

  async function done(errand: Errand) {
    if (!(await list.tick(errand, true))) return;
    const applied = list.errands?.find((one) => one.id === errand.id)?.applied;
    const text = applied ? "Done; the piece’s figure is changed with it." : "Done.";
    notice.say(text, { name: "Undo", run: () => void list.tick(errand, false) });
  }

  async function remove(errand: Errand) {
    if (await list.remove(errand))
      notice.say("Off the list.", { name: "Undo", run: () => void list.restore(errand) });
  }
</script>

<h2 class="heading {wide ? 'sr-only' : ''}">Due</h2>
{#if list.trouble}<p role="alert" class="text-sm text-madder">{list.trouble}</p>{/if}
{#if list.errands && !list.due.length}
  <p class="text-sm text-bark">
    Nothing is due. Alterations and returns that are decided at a fitting, or put down on the rack, stand here
    with their date.
  </p>
{/if}
<ul class={wide ? "" : "text-sm"} aria-label="Due">
  {#each list.due as errand (errand.id)}
    {@const when = stands(errand.due_on)}
    <li
      class="border-b border-dashed border-rule py-1.5 {wide
        ? 'grid gap-x-6 min-[43.75em]:grid-cols-[1fr_auto]'
        : ''}"
    >
      <div>
        {#if wide}<a
            class="font-semibold underline decoration-rule underline-offset-4"
            href="/people/{errand.client_id}#try">{errand.client}</a
          >:{/if}
        <span class="text-bark">{KINDS[errand.kind]}</span>
        the <strong class="font-semibold">{errand.title}</strong>. {errand.text}
      </div>
      <div class="flex flex-wrap items-center gap-x-3">
        <label class="flex items-center gap-1.5 {when.includes('late') ? 'text-madder' : ''}">
          <span>{when}</span>
          <DateField
            class="w-auto"
            label="Due on, {errand.title}"
            value={errand.due_on}
            onchange={(iso) => void list.move(errand, iso ?? "")}
          />
        </label>
        <button class="press min-h-7 px-2 py-0" onclick={() => void done(errand)}>Done</button>
        <button class="quiet" onclick={() => void remove(errand)}>Off the list</button>
      </div>
    </li>
  {/each}
</ul>
{#if list.done.length}
  <details class="mt-2 text-sm">
    <summary class="min-h-8 cursor-pointer py-1 text-bark">Done: {list.done.length}</summary>
    <ul>
      {#each list.done as errand (errand.id)}
        <li class="flex items-baseline gap-2 border-b border-chalk py-1">
          <span class="grow"
            >{wide ? `${errand.client}: ` : ""}{errand.title}. {errand.text}
            <span class="text-bark">{errand.done_at ? day(errand.done_at) : ""}</span></span
          >
          <button class="quiet" onclick={() => void list.tick(errand, false)}>Not yet</button>
        </li>
      {/each}
    </ul>
  </details>
{/if}
