<script lang="ts">
  /** What stands in the way of keeping the brief: no answer, or somebody else’s version. */
  import type { ClientState } from "./client.svelte";

  const { state: held }: { state: ClientState } = $props();
</script>

{#if held.saving === "failed"}
  <p role="alert" class="border-l-4 border-madder pl-3 lg:col-span-2">
    {held.trouble}
    <button class="press ml-2" onclick={() => void held.flush()}>Try again</button>
  </p>
{:else if held.saving === "conflict"}
  <div
    role="alert"
    class="flex flex-wrap items-center gap-3 border-l-4 border-madder pl-3 lg:col-span-2"
    data-testid="conflict"
  >
    <p>
      {held.trouble} Yours / theirs:
      <span class="text-sm">{held.differences().join("; ") || "the same words"}</span>
    </p>
    <button class="press" data-main onclick={() => void held.settle("mine")}>Keep mine</button>
    <button class="press" onclick={() => void held.settle("theirs")}>Take theirs</button>
  </div>
{/if}
