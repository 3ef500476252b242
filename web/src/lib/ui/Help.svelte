<script lang="ts">
  import { Dialog } from "bits-ui";

  let { open = $bindable(false) }: { open?: boolean } = $props();
  const KEYS = [
    ["1 2 3 4", "Measure, Read, Dress, Looks"],
    ["Enter", "in a measure: keep it and go to the next"],
    ["Esc", "in a measure: back to what was kept"],
    ["← →", "on a word: step through its choices"],
    ["M", "apply the first mend"],
    ["N", "name the look"],
    ["T", "turn the screen to the client: numbers hidden"],
    ["U", "cm or inches"],
    ["Ctrl Z", "undo; with Shift, redo"],
    ["Ctrl S", "keep the look now"],
    ["?", "this sheet"],
  ];
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-walnut/40" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 w-[min(30rem,94vw)] -translate-x-1/2 -translate-y-1/2 border-2 border-walnut bg-paper p-5"
    >
      <Dialog.Title class="heading mb-3 text-xl">Keys</Dialog.Title>
      <dl class="grid grid-cols-[7rem_1fr] gap-y-1.5">
        {#each KEYS as [key, what] (key)}
          <dt><kbd class="key font-sans">{key}</kbd></dt>
          <dd>{what}</dd>
        {/each}
      </dl>
      <p class="mt-3 text-sm text-bark">
        Dashed lines are estimated, described or proposed; solid lines are measured or decided. Letters work
        when no field is being typed in.
      </p>
      <Dialog.Close class="press mt-4">Close</Dialog.Close>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
