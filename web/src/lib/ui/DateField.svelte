<script lang="ts">
  /** A day, shown and typed as the studio writes it. What cannot be read is said, and stays as it was typed. */
  import { readDay, written } from "./dates";

  interface Props {
    value: string | null | undefined;
    onchange: (iso: string | null) => void;
    label?: string;
    class?: string;
  }
  const { value, onchange, label, class: more = "" }: Props = $props();
  const id = $props.id();
  let typed = $derived(written(value));
  let wrong = $state(false);

  function keep() {
    const iso = readDay(typed);
    wrong = typed.trim() !== "" && iso === null;
    if (wrong || iso === (value ?? null)) return;
    onchange(iso);
    typed = written(iso);
  }
</script>

<span class="inline-flex flex-col">
  <input
    class="field {more}"
    aria-label={label}
    aria-invalid={wrong ? "true" : undefined}
    aria-describedby={wrong ? `${id}-wrong` : undefined}
    placeholder="day month year"
    maxlength="24"
    autocomplete="off"
    size="12"
    bind:value={typed}
    onchange={keep}
  />
  {#if wrong}<span id="{id}-wrong" role="alert" class="text-xs text-madder"
      >Type the day first: 24 Nov 2026, 24.11., in 5 days.</span
    >{/if}
</span>
