<script lang="ts">
  /** One client, found by a part of their name among all whom one may see. Down opens the list, Enter takes, Escape leaves as it was. */
  import { Combobox } from "bits-ui";
  import { PeopleList } from "./list.svelte";

  interface Props {
    /** What the field is of, as it is read out. */
    label: string;
    value: string | null;
    /** The name of whom it holds. */
    name: string;
    /** What goes without saying when nobody is chosen. */
    none: string;
    /** How large it is written. */
    class?: string;
    onchange: (client: { id: string; name: string } | null) => void;
  }
  const { label, value, name, none, class: size = "text-base", onchange }: Props = $props();
  const list = new PeopleList({ total: 0, rows: [] });
  let open = $state(false);
  /** What is typed while it is sought; the field shows the name otherwise. */
  let typed = $state<string | null>(null);

  function opened(now: boolean) {
    if (now) list.find("");
    else typed = null;
  }
  function take(id: string) {
    const found = list.rows.find((row) => row.id === id);
    if (found && id !== value) onchange({ id, name: found.name });
    typed = null;
  }
</script>

<span class="relative flex items-stretch">
  <Combobox.Root
    type="single"
    value={value ?? ""}
    allowDeselect={false}
    inputValue={typed ?? name}
    bind:open
    onOpenChange={opened}
    onValueChange={take}
  >
    <Combobox.Input
      class="field min-w-0 grow text-walnut {size}"
      aria-label={label}
      placeholder={none}
      autocomplete="off"
      maxlength={120}
      onclick={() => (open = true)}
      oninput={(event) => {
        typed = event.currentTarget.value;
        open = true;
        list.find(typed);
      }}
      onblur={() => (typed = null)}
    />
    <Combobox.Portal to="main">
      <Combobox.Content
        class="z-40 max-h-72 w-(--bits-combobox-anchor-width) min-w-52 overflow-y-auto border-[1.5px] border-walnut bg-sheet py-1"
        sideOffset={3}
      >
        {#each list.rows as row (row.id)}
          <Combobox.Item
            value={row.id}
            label={row.name}
            class="min-h-8 cursor-pointer px-3 py-1 text-sm data-[highlighted]:bg-leaf-pale data-[selected]:font-semibold"
            >{row.name}</Combobox.Item
          >
        {:else}
          <p class="px-3 py-1 text-sm text-bark" role="status">
            {list.trouble ??
              (list.busy || list.found !== list.sought.trim() ? "Looking…" : "Nobody is called so.")}
          </p>
        {/each}
        {#if list.rows.length < list.total}
          <p class="border-t border-grain px-3 py-1 text-xs text-bark">
            {list.total - list.rows.length} more: write some of the name
          </p>
        {/if}
      </Combobox.Content>
    </Combobox.Portal>
  </Combobox.Root>
  {#if value}
    <button
      class="quiet min-h-8 min-w-8"
      type="button"
      aria-label="{label}: {none}"
      onclick={() => onchange(null)}>×</button
    >
  {/if}
</span>
