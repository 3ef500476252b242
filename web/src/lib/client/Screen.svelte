<script lang="ts">
  import { onMount, tick } from "svelte";
  import type { Finding, Schemas, Slot } from "$lib/api/client";
  import { Desk } from "$lib/client/desk.svelte";
  import Dress from "$lib/client/Dress.svelte";
  import LookBar from "$lib/client/LookBar.svelte";
  import Looks from "$lib/client/Looks.svelte";
  import Measure from "$lib/client/Measure.svelte";
  import Read from "$lib/client/Read.svelte";
  import Reasons from "$lib/client/Reasons.svelte";
  import Schools from "$lib/client/Schools.svelte";
  import Verdict from "$lib/client/Verdict.svelte";
  import { provideScale, RuleScale } from "$lib/figure/scale.svelte";
  import Stage from "$lib/figure/Stage.svelte";
  import { studio } from "$lib/studio.svelte";
  import Header from "$lib/ui/Header.svelte";
  import Help from "$lib/ui/Help.svelte";
  import { notice } from "$lib/ui/notice.svelte";

  const STEPS = ["Measure", "Read", "Dress", "Looks"] as const;
  type Step = (typeof STEPS)[number];

  interface Props {
    client: Schemas["ClientRow"];
    words: Schemas["Vocabulary"];
    measures: Schemas["MeasureWord"][];
  }
  const { client, words, measures }: Props = $props();
  provideScale(new RuleScale());
  // The screen is made anew for another client, so what it was given stays what it is.
  // svelte-ignore state_referenced_locally
  const desk = new Desk(client.id, words, measures);
  let trouble = $state<string | null>(null);
  // svelte-ignore state_referenced_locally
  let step = $state<Step>(client.measures ? "Dress" : "Measure");
  let chosen = $state<Slot | null>(null);
  let help = $state(false);
  let header = $state<Header>();
  let bar = $state<LookBar>();
  let panel = $state<HTMLElement>();

  onMount(async () => {
    trouble = await desk.load();
  });
  // The sentences are said in the studio's unit: ask again when it changes.
  let saidIn = studio.unit;
  $effect(() => {
    if (studio.unit === saidIn) return;
    saidIn = studio.unit;
    void desk.assess();
  });

  function mend(finding: Finding) {
    if (!finding.mend) return;
    desk.draft.change(finding.mend.slot as Slot, finding.mend.change, `the mend “${finding.title}”`);
    chosen = finding.mend.slot as Slot;
    notice.say(finding.mend.text, { name: "Undo", run: () => void back("undo") });
  }

  async function back(way: "undo" | "redo") {
    const name = await desk.history[way]();
    notice.say(name ? `${way === "undo" ? "Took back" : "Again"}: ${name}.` : `Nothing to ${way}.`);
  }

  async function choose(slot: Slot) {
    chosen = slot;
    step = "Dress";
  }

  async function go(to: Step) {
    step = to;
    await tick();
    panel?.querySelector<HTMLElement>("input, button")?.focus();
  }

  function onkeydown(event: KeyboardEvent) {
    const control = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    const typing = (event.target as HTMLElement).matches("input:not([type=checkbox]), textarea");
    if (control && key === "s") {
      event.preventDefault();
      void desk.draft.keep();
    } else if (control && (key === "z" || key === "y") && !typing) {
      event.preventDefault();
      void back(event.shiftKey || key === "y" ? "redo" : "undo");
    }
    if (control || event.altKey || typing || help || (event.target as HTMLElement).closest("[role=listbox]"))
      return;
    const first = desk.assessment?.findings.find((finding) => finding.mend);
    const does: Record<string, () => void> = {
      "1": () => void go("Measure"),
      "2": () => void go("Read"),
      "3": () => void go("Dress"),
      "4": () => void go("Looks"),
      m: () => first && mend(first),
      n: () => bar?.focusName(),
      t: () => (studio.turned = !studio.turned),
      u: () => void header?.otherUnit(),
      "?": () => (help = true),
    };
    if (does[key]) {
      event.preventDefault();
      does[key]();
    }
  }
</script>

<svelte:window
  {onkeydown}
  onbeforeunload={(event) => {
    if (["waiting", "saving", "failed", "conflict"].includes(desk.draft.saving)) event.preventDefault();
  }}
/>

<div class="flex h-dvh min-h-[600px] flex-col">
  <Header bind:this={header}>
    <h1 class="heading min-w-0 truncate text-lg" title={client.name}>
      {client.name}
    </h1>
    <button
      class="quiet shrink-0 text-sm"
      aria-pressed={studio.turned}
      onclick={() => (studio.turned = !studio.turned)}
    >
      {studio.turned ? "Turn back" : "Turn to client"} <span class="key">T</span>
    </button>
    <button class="quiet shrink-0 text-sm" onclick={() => (help = true)}
      >Keys <span class="key">?</span></button
    >
  </Header>

  {#if trouble || (desk.trouble && !desk.assessment)}
    <main class="p-8" role="alert">
      <p>{trouble ?? desk.trouble}</p>
      <button class="press mt-3" onclick={() => location.reload()}>Try again</button>
    </main>
  {:else if !desk.assessment}
    <main class="p-8 text-bark"><p role="status">Setting up the rule…</p></main>
  {:else}
    {@const assessment = desk.assessment}
    <LookBar {desk} bind:this={bar} onback={back} />
    <main class="table min-h-0 grow" class:turned={studio.turned}>
      <div class="panel flex min-h-0 flex-col">
        <nav aria-label="Steps" class="flex shrink-0 border-b border-rule">
          {#each STEPS as name, i (name)}
            <button
              class="step min-h-10 grow px-1"
              class:here={step === name}
              aria-current={step === name ? "step" : undefined}
              onclick={() => (step = name)}
            >
              {name} <span class="key" aria-hidden="true">{i + 1}</span>
            </button>
          {/each}
        </nav>
        <div class="relative min-h-0 grow overflow-y-auto px-4 py-3" bind:this={panel} tabindex="-1">
          {#if step === "Measure"}
            {#if studio.turned}<p>The screen is turned to the client; figures are hidden.</p>
            {:else}<Measure {desk} />{/if}
          {:else if step === "Read"}
            <Read {assessment} />
            {#if !studio.turned}<div class="mt-4"><Schools {desk} /></div>{/if}
          {:else if step === "Dress"}
            <Dress {desk} {chosen} onchoose={(slot) => (chosen = slot)} />
          {:else}
            <Looks {desk} onopen={() => (step = "Dress")} />
          {/if}
        </div>
      </div>
      <div class="stage min-h-0 min-w-0">
        <Stage {assessment} name={client.name} {chosen} onchoose={choose} />
      </div>
      <div class="reasons min-h-0 min-w-0"><Reasons {assessment} onmend={mend} /></div>
      <div class="under"><Verdict {assessment} trouble={desk.trouble} pieces={desk.draft.list.length} /></div>
    </main>
  {/if}
</div>
<Help bind:open={help} />

<style>
  /* The floor line runs under figure and reasons alike; what the look comes to is said below it. */
  .table {
    display: grid;
    grid-template:
      "panel stage reasons" minmax(0, 1fr)
      "panel under under" auto / 19.5rem minmax(22rem, 1fr) 22rem;
  }
  .panel {
    grid-area: panel;
    border-right: 1px solid var(--color-rule);
  }
  .stage {
    grid-area: stage;
  }
  .reasons {
    grid-area: reasons;
  }
  .under {
    grid-area: under;
  }
  .step {
    border-bottom: 3px solid transparent;
  }
  .step.here {
    border-bottom-color: var(--color-leaf);
    font-weight: 600;
  }
  @media (max-width: 1100px) {
    .table {
      grid-template-columns: 17.5rem minmax(20rem, 1fr) 17rem;
    }
  }
  @media (max-width: 960px) {
    .table {
      grid-template:
        "stage reasons" minmax(0, 1.45fr)
        "under under" auto
        "panel panel" minmax(0, 1fr) / minmax(0, 1fr) 20rem;
    }
    .panel {
      border-right: 0;
      border-top: 1px solid var(--color-rule);
    }
  }
</style>
