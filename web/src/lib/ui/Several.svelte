<script lang="ts">
  /** Several words chosen from a list: each is put in or taken out by itself. Enter or Down opens it. */
  import { Select } from "bits-ui";
  import { said } from "../units";

  interface Props {
    label: string;
    value: string[];
    choices: string[];
    /** What goes without saying when nothing is chosen. */
    usual?: string;
    onchange: (words: string[]) => void;
  }
  const { label, value, choices, usual = "as usual", onchange }: Props = $props();
  const text = $derived(value.length ? value.map(said).join(", ") : usual);
  // What was said elsewhere and is not offered here stays said.
  const offered = $derived([...choices, ...value.filter((word) => !choices.includes(word))]);
</script>

<div class="min-w-0">
  <Select.Root type="multiple" {value} onValueChange={onchange}>
    <Select.Trigger
      class="field flex min-w-0 items-center gap-1.5 text-left"
      data-said={value.length ? "true" : "false"}
      aria-label="{label} {text}"
      title={value.length ? text : undefined}
      data-word={label}
    >
      <span class="shrink-0 text-xs text-bark">{label}</span>
      <span class="truncate {value.length ? 'font-medium' : 'text-bark'}">{text}</span>
    </Select.Trigger>
    <Select.Portal to="main">
      <Select.Content
        class="z-40 max-h-72 min-w-36 overflow-y-auto border-[1.5px] border-walnut bg-sheet py-1"
        sideOffset={3}
      >
        {#each offered as word (word)}
          <Select.Item
            value={word}
            label={said(word)}
            class="flex min-h-8 cursor-pointer items-center gap-2 px-3 data-[highlighted]:bg-leaf-pale data-[selected]:font-semibold"
          >
            {#snippet children({ selected })}
              <span class="w-3 shrink-0 text-leaf" aria-hidden="true">{selected ? "✓" : ""}</span>{said(word)}
            {/snippet}
          </Select.Item>
        {/each}
      </Select.Content>
    </Select.Portal>
  </Select.Root>
</div>
