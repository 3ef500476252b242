<script lang="ts">
  /** The six figures of an authenticator app, or a recovery code. */
  interface Props {
    id: string;
    label?: string;
    value: string;
    trouble?: string | null;
  }
  let {
    id,
    label = "Code of your app, or a recovery code",
    value = $bindable(),
    trouble = null,
  }: Props = $props();
  let input = $state<HTMLInputElement>();
  $effect(() => input?.focus());
</script>

<div>
  <label for={id} class="block text-sm">{label}</label>
  <input
    {id}
    bind:this={input}
    class="field max-w-40 text-lg tracking-widest"
    inputmode="numeric"
    autocomplete="one-time-code"
    required
    bind:value
    aria-invalid={trouble ? "true" : undefined}
    aria-describedby={trouble ? `${id}-trouble` : undefined}
  />
  {#if trouble}<p id="{id}-trouble" role="alert" class="mt-2 text-madder">{trouble}</p>{/if}
</div>
