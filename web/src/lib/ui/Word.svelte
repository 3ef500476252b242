<script lang="ts">
  /** One word chosen from a list. Left and right step through it; Enter or Down opens it. */
  import { Select } from "bits-ui";
  import { said } from "../units";

  interface Props {
    label: string;
    value: string | null | undefined;
    choices: string[];
    /** What goes without saying when nothing is chosen. */
    usual?: string;
    swatches?: Record<string, string>;
    removable?: boolean;
    onchange: (word: string | null) => void;
  }
  const { label, value, choices, usual = "as usual", swatches, removable = true, onchange }: Props = $props();
  const NONE = "–";
  const items = $derived([
    ...(removable ? [{ value: NONE, label: usual }] : []),
    ...choices.map((word) => ({ value: word, label: said(word) })),
  ]);

  function step(event: KeyboardEvent) {
    const by = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (!by || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    const at = value ? choices.indexOf(value) : by > 0 ? -1 : choices.length;
    const next = choices[at + by];
    if (next) onchange(next);
  }
</script>

<div class="min-w-0">
  <Select.Root
    type="single"
    value={value ?? NONE}
    {items}
    onValueChange={(word) => onchange(word === NONE ? null : word)}
  >
    <Select.Trigger
      class="field flex min-w-0 items-center gap-1.5 text-left"
      data-said={value ? "true" : "false"}
      aria-label="{label} {value ? said(value) : usual}"
      data-word={label}
      onkeydown={step}
    >
      <!-- A swatch says that it is a colour. -->
      <span class="shrink-0 text-xs text-bark {value && swatches ? 'sr-only' : ''}">{label}</span>
      {#if value && swatches?.[value]}
        <svg width="12" height="12" aria-hidden="true" class="shrink-0">
          <rect width="12" height="12" fill={swatches[value]} stroke="#35261b" stroke-width="0.8" />
        </svg>
      {/if}
      <span class="truncate {value ? 'font-medium' : 'text-bark'}">{value ? said(value) : usual}</span>
    </Select.Trigger>
    <Select.Portal to="main">
      <Select.Content
        class="z-40 max-h-72 min-w-36 overflow-y-auto border-[1.5px] border-walnut bg-sheet py-1"
        sideOffset={3}
      >
        {#each items as item (item.value)}
          <Select.Item
            value={item.value}
            label={item.label}
            class="flex min-h-8 cursor-pointer items-center gap-2 px-3 data-[highlighted]:bg-leaf-pale data-[selected]:font-semibold"
          >
            {#if swatches?.[item.value]}
              <svg width="14" height="14" aria-hidden="true">
                <rect
                  width="14"
                  height="14"
                  fill={swatches[item.value]}
                  stroke="#35261b"
                  stroke-width="0.8"
                />
              </svg>
            {/if}
            {item.label}
          </Select.Item>
        {/each}
      </Select.Content>
    </Select.Portal>
  </Select.Root>
</div>
