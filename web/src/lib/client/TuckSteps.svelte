<script lang="ts">
  /** How the tuck that is on is made: a few steps, drawn as this top on this body. */
  import { Dialog } from "bits-ui";
  import { api, ask, type Schemas } from "../api/client";
  import Figure from "../figure/Figure.svelte";
  import { provideScale, RuleScale } from "../figure/scale.svelte";
  import type { LookTable } from "./table.svelte";

  const { table, tuck }: { table: LookTable; tuck: string } = $props();
  let open = $state(false);
  let steps = $state.raw<Schemas["TuckStepOut"][] | null>(null);
  let trouble = $state<string | null>(null);
  const WIDE = 190;
  const TALL = 210;
  /** A body with ease and a little room on both sides, cm. */
  const BROAD = 74;
  const scale = provideScale(new RuleScale());
  const first = $derived(steps?.[0]);
  $effect(() => {
    if (!first) return;
    // As wide as a body with ease is; what is above and below the part that matters is cut off by the frame.
    const perCm = Math.min(TALL / (first.top - first.bottom), WIDE / BROAD);
    scale.height = first.bottom * perCm + TALL;
    scale.tall = (scale.height - 14) / perCm;
  });

  async function show() {
    open = true;
    steps = null;
    const params = { path: { client_id: table.clientId } };
    const told = await ask(api.POST("/api/clients/{client_id}/tuck", { params, body: table.draft.asked }));
    trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) steps = told.data.steps;
  }
</script>

<button class="quiet -ml-1 text-left text-sm" data-testid="how-to-tuck" onclick={() => void show()}
  >How to tuck it</button
>
<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-walnut/40" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 max-h-[94vh] w-[min(54rem,96vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border-2 border-walnut bg-paper p-5"
    >
      <Dialog.Title class="heading mb-3 text-xl first-letter:uppercase"
        >{tuck} tuck, step by step</Dialog.Title
      >
      {#if trouble}
        <p role="alert">{trouble} <button class="quiet" onclick={() => void show()}>Try again</button></p>
      {:else if !steps}
        <p role="status" class="text-bark">Drawing it…</p>
      {:else if !steps.length}
        <p>This top ends above the band: there is nothing to tuck.</p>
      {:else}
        <ol class="flex flex-wrap gap-4">
          {#each steps as step, i (step.text)}
            <li class="grow" style:width="{WIDE}px" data-tuck-step>
              <svg width={WIDE} height={TALL} class="border border-grain bg-sheet" aria-hidden="true">
                <Figure
                  shapes={step.shapes}
                  middle={WIDE / 2}
                  chosen={null}
                  onchoose={() => {}}
                  id="tuck{i}"
                />
                {#if !step.behind || i < steps.length - 1}
                  <circle
                    class="hand"
                    cx={WIDE / 2 + (step.hand[0] ?? 0) * scale.perCm}
                    cy={scale.y(step.hand[1] ?? 0)}
                    r="11"
                  />
                {/if}
              </svg>
              <p class="mt-1 leading-snug">
                <strong class="font-semibold">{i + 1}.</strong>
                {step.text}
                {#if step.behind}<span class="text-bark">Seen from behind.</span>{/if}
              </p>
            </li>
          {/each}
        </ol>
      {/if}
      <Dialog.Close class="press mt-4">Close</Dialog.Close>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>

<style>
  .hand {
    fill: none;
    stroke: var(--color-leaf);
    stroke-width: 2.5;
  }
</style>
