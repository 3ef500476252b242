<script lang="ts">
  /** A password as it is typed, with what is wrong with it below. */
  interface Props {
    id: string;
    label: string;
    value: string;
    trouble?: string | null;
    fresh?: boolean;
  }
  let { id, label, value = $bindable(), trouble = null, fresh = false }: Props = $props();
</script>

<div>
  <label for={id} class="block text-sm">{label}</label>
  <input
    {id}
    type="password"
    class="field"
    autocomplete={fresh ? "new-password" : "current-password"}
    required
    bind:value
    aria-invalid={trouble ? "true" : undefined}
    aria-describedby={trouble ? `${id}-trouble` : fresh ? `${id}-how` : undefined}
  />
  {#if fresh}<p id="{id}-how" class="mt-1 text-sm text-bark">
      Twelve letters or more; four plain words do well.
    </p>{/if}
  {#if trouble}<p id="{id}-trouble" role="alert" class="mt-2 text-madder">{trouble}</p>{/if}
</div>
