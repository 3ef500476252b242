<script lang="ts">
  import { Dialog } from "bits-ui";
  import { letters } from "./letters.svelte";

  let { open = $bindable(false) }: { open?: boolean } = $props();
  const KEYS = [
    ["1 … 9, 0, O, I, J, Q", "the steps, Brief to Records; Outfits, Edit, Plan, Hand over"],
    ["Alt 1 … 0", "the same while a field is being typed in; Alt T and Alt U too"],
    ["T", "turn the screen to the client: numbers hidden"],
    ["U", "cm or inches"],
    ["Ctrl Z", "undo; with Shift, redo"],
    ["Ctrl S", "keep now"],
    ["?", "this sheet"],
  ];
  const MEASURING = [
    ["Enter", "keep the figure and go on"],
    ["Space", "read the tape"],
    ["R", "the one before again"],
    ["S", "skip"],
    ["W", "the client’s own word"],
    ["↑ ↓", "to the measure before or after"],
    ["C K R", "at a doubt: correct, keep as it is, measure again"],
    ["Esc", "clear; leave the field"],
  ];
  const TRYING = [
    ["Enter", "put on the piece that was found; in a field, log"],
    ["Y", "everything as it was said"],
    ["K L S B G", "keep, alter, other size, return, let go"],
    ["Ctrl Enter", "log it and go on"],
  ];
  const DRESSING = [
    ["← →", "on a word: step through its choices"],
    ["M", "apply the first mend in sight"],
    ["W", "ways to mend; again, the reasons"],
    ["S", "the side outline too"],
    ["B", "the back too"],
    ["V", "what other schools would say"],
    ["↑ ↓", "on a hem: nudge it; with Shift, further"],
    ["N", "name the look"],
  ];
  const FINDING = [
    ["← →", "walk the looks; Home and End too"],
    ["K", "keep the look, or take it away again"],
    ["D", "open it on the table"],
    ["X", "not together again, with a word"],
    ["H", "hold it up beside another"],
    ["M", "more unlike this"],
    ["B", "show the best of all"],
  ];
  const SORTING = [
    ["Enter", "as it is proposed"],
    ["W P A C D F K", "wear, partner, alter, care, one of two, no fit, out"],
    ["← →", "to the piece before or after"],
    ["Ctrl Enter", "bringing in: hang every line"],
  ];
  const PLANNING = [
    ["← →", "to the day before or after"],
    ["K", "keep what this day wears, or free it again"],
    ["X", "another look for this day"],
    ["W", "it was worn"],
    ["N P", "handing over: the next card, the one before"],
  ];
  const DIARY = [
    ["D W M", "day, week, month"],
    ["[ ]", "earlier, later; T is today"],
    ["N", "a new visit"],
    ["↑ ↓ ← →", "on a visit: a quarter of an hour, a day"],
    ["Shift ↑ ↓", "on a visit: shorter, longer"],
    ["Enter, Delete", "on a visit: open it, take it out"],
  ];
  const SHEETS = [
    ["Everywhere", KEYS],
    ["Measuring", MEASURING],
    ["Trying on", TRYING],
    ["Dressing", DRESSING],
    ["Outfits", FINDING],
    ["Edit", SORTING],
    ["Plan and hand over", PLANNING],
    ["Diary", DIARY],
  ] as const;
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-walnut/40" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 max-h-[94vh] w-[min(46rem,94vw)] overflow-y-auto -translate-x-1/2 -translate-y-1/2 border-2 border-walnut bg-paper p-5"
    >
      <Dialog.Title class="heading mb-3 text-xl">Keys</Dialog.Title>
      <div class="grid gap-x-8 gap-y-4 sm:grid-cols-2">
        {#each SHEETS as [name, keys] (name)}
          <section>
            <h3 class="heading mb-1">{name}</h3>
            <dl class="grid grid-cols-[5.5rem_1fr] gap-y-1">
              {#each keys as [key, what] (key)}
                <dt><kbd class="key font-sans">{key}</kbd></dt>
                <dd>{what}</dd>
              {/each}
            </dl>
          </section>
        {/each}
      </div>
      <p class="mt-3 text-sm text-bark">
        Dashed lines are estimated, described or proposed; solid lines are measured or decided. Letters work
        when no field is being typed in.
      </p>
      <label class="mt-2 flex min-h-8 items-center gap-2 text-sm">
        <input
          type="checkbox"
          checked={letters.on}
          onchange={(event) => letters.switch(event.currentTarget.checked)}
        />
        Keys that are one letter, digit or sign work on this device. With Alt, digits, T and U always do.
      </label>
      <Dialog.Close class="press mt-4">Close</Dialog.Close>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
