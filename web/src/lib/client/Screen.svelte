<script lang="ts">
  /** Everything about one client: the steps of the trade over one state, one rule, one floor. */
  import { onDestroy, onMount, tick, untrack } from "svelte";
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import type { Schemas } from "$lib/api/client";
  import Brief from "$lib/brief/Brief.svelte";
  import { ClientState } from "$lib/brief/client.svelte";
  import { Dressing } from "$lib/client/dressing.svelte";
  import DressStep from "$lib/client/DressStep.svelte";
  import { History } from "$lib/client/history.svelte";
  import { press } from "$lib/client/keys";
  import Steps from "$lib/client/Steps.svelte";
  import { stepAt, stepOf, type Step } from "$lib/client/steps";
  import { LookTable } from "$lib/client/table.svelte";
  import { provideScale, RuleScale } from "$lib/figure/scale.svelte";
  import MeasureStep from "$lib/measure/MeasureStep.svelte";
  import { Measuring } from "$lib/measure/measuring.svelte";
  import Past from "$lib/past/Past.svelte";
  import { Rack } from "$lib/rack/rack.svelte";
  import RackStep from "$lib/rack/RackStep.svelte";
  import ReadStep from "$lib/read/ReadStep.svelte";
  import Records from "$lib/records/Records.svelte";
  import { Counts } from "$lib/outfits/counts.svelte";
  import { Edit } from "$lib/edit/edit.svelte";
  import EditStep from "$lib/edit/EditStep.svelte";
  import { Hand } from "$lib/hand/hand.svelte";
  import HandStep from "$lib/hand/HandStep.svelte";
  import { Outfits } from "$lib/outfits/outfits.svelte";
  import OutfitsStep from "$lib/outfits/OutfitsStep.svelte";
  import { Plans } from "$lib/plan/plans.svelte";
  import PlanStep from "$lib/plan/PlanStep.svelte";
  import { Shop } from "$lib/shop/shop.svelte";
  import ShopStep from "$lib/shop/ShopStep.svelte";
  import { TryOn } from "$lib/tryon/tryon.svelte";
  import TryOnStep from "$lib/tryon/TryOnStep.svelte";
  import { studio } from "$lib/studio.svelte";
  import Header from "$lib/ui/Header.svelte";
  import { notice } from "$lib/ui/notice.svelte";

  interface Props {
    client: Schemas["ClientOut"];
    words: Schemas["Vocabulary"];
    known: Schemas["Measuring"];
    briefWords: Schemas["BriefWords"];
  }
  const { client, words, known, briefWords }: Props = $props();
  provideScale(new RuleScale());
  const history = new History();
  // The screen is made anew for another client, so what it was given stays what it is.
  const given = untrack(() => ({ client, words, known }));
  const held = new ClientState(given.client, history);
  const table = new LookTable(given.client.id, given.words, history);
  const measuring = new Measuring(given.client.id, given.known, history, () => (stale = true));
  const shop = new Shop(given.client.id);
  const rack = new Rack(given.client.id, history);
  const tryon = new TryOn(given.client.id, studio.me?.email ?? "", history);
  const dressing = new Dressing(table, held, back);
  const counts = new Counts(given.client.id);
  const outfits = new Outfits(given.client.id, given.words, table.draft, history);
  const edit = new Edit(given.client.id, rack, history);
  const plans = new Plans(given.client.id, history);
  const hand = new Hand(given.client.id, history);
  /** The names of the rack's pieces, for what asks for them by their ids. */
  const titles = $derived(Object.fromEntries((rack.pieces ?? []).map((piece) => [piece.id, piece.title])));
  $effect.pre(() => void (measuring.known = known));

  let trouble = $state<string | null>(null);
  let ready = $state(false);
  /** The body changed since the look was judged. */
  let stale = $state(false);
  let header = $state<Header>();
  let dressed = $state<DressStep>();
  let searched = $state<OutfitsStep>();
  let edited = $state<EditStep>();
  let planned = $state<PlanStep>();
  let handed = $state<HandStep>();

  const first = $derived<Step>(measuring.session ? "measure" : given.client.measures ? "dress" : "brief");
  const step = $derived(stepOf(page.url.hash) ?? first);
  const saving = $derived.by(() => {
    if (step === "brief") return held.saving;
    if (step === "measure") return measuring.saving;
    if (step === "try") return tryon.saving;
    return ["rack", "edit", "plan", "hand"].includes(step) ? "kept" : table.draft.saving;
  });

  $effect(() => {
    // Pieces that are asked for are called by their names.
    if (step === "outfits" && !rack.pieces) untrack(() => void rack.load());
  });

  onMount(async () => {
    const [refusal] = await Promise.all([measuring.load(), table.load()]);
    trouble = refusal?.message ?? null;
    ready = true;
    measuring.listen();
  });
  onDestroy(() => {
    measuring.stopListening();
    [measuring, tryon, edit].forEach((one) => one.outbox.close());
  });

  // The look is judged on the body as it is now, with the aims as they are now.
  $effect(() => {
    if (!ready || (step !== "dress" && step !== "looks") || !stale) return;
    stale = false;
    table.again();
  });
  $effect(() => {
    void [held.client.aims, held.client.version];
    untrack(() => (stale = ready));
  });
  // The sentences are said in the studio's unit: ask again when it changes.
  let saidIn = studio.unit;
  $effect(() => {
    if (studio.unit === saidIn) return;
    saidIn = studio.unit;
    stale = true;
  });

  async function back(way: "undo" | "redo") {
    const name = await history[way]();
    notice.say(name ? `${way === "undo" ? "Took back" : "Again"}: ${name}.` : `Nothing to ${way}.`);
  }

  async function go(to: Step) {
    await goto(`#${to}`, { keepFocus: true, noScroll: true });
    await tick();
    const panel = document.querySelector<HTMLElement>("[data-panel]");
    if (to === "outfits" || to === "edit" || to === "plan" || to === "hand") {
      // Arrows walk the looks there, and would step through the words of a field.
      panel?.focus();
      return;
    }
    if (to !== "measure" || !measuring.session)
      panel?.querySelector<HTMLElement>("input, textarea, button")?.focus();
  }

  /** The looks that stand with these pieces on. */
  function find(pieces: string[]) {
    outfits.want({ must: pieces, must_not: [] });
    void go("outfits");
  }

  function keep() {
    void table.draft.keep();
    void held.flush();
  }

  function placed(code: string): (() => void) | undefined {
    const named = stepAt(code);
    if (named) return () => void go(named);
    const acts: Record<string, () => void> = {
      KeyT: () => (studio.turned = !studio.turned),
      KeyU: () => void header?.otherUnit(),
    };
    return acts[code];
  }

  function onkeydown(event: KeyboardEvent) {
    press(event, {
      keep,
      back: (way) => void back(way),
      placed,
      letters: {
        ...(step === "dress" ? dressing.letters : {}),
        ...(step === "outfits" ? searched?.letters : {}),
        ...(step === "edit" ? edited?.letters.now : {}),
        ...(step === "plan" ? planned?.letters.now : {}),
        n: () => dressed?.focusName(),
        "?": () => header?.showKeys(),
        ...(step === "hand" ? handed?.letters.now : {}),
      },
      escape: dressing.reasons,
    });
  }

  function onbeforeunload(event: BeforeUnloadEvent) {
    const unkept = ["waiting", "saving", "failed", "conflict"];
    if (unkept.includes(table.draft.saving) || unkept.includes(held.saving)) event.preventDefault();
  }
</script>

<svelte:window {onkeydown} {onbeforeunload} />

<div class="flex h-dvh min-h-[600px] flex-col" class:turned={studio.turned}>
  <Header bind:this={header}>
    <h1 class="heading min-w-0 truncate text-lg" title={client.name}>
      {client.name}
    </h1>
    <button
      class="quiet shrink-0 text-sm"
      aria-pressed={studio.turned}
      onclick={() => (studio.turned = !studio.turned)}
    >
      {studio.turned ? "Turn back" : "Turn to client"} <span class="key letter">T</span>
    </button>
  </Header>
  <Steps {step} {saving} {history} onback={back} />

  {#if !ready}
    <main class="p-8 text-bark"><p role="status">Setting up the rule…</p></main>
  {:else if trouble}
    <main class="p-8" role="alert">
      <p>{trouble}</p>
      <button class="press mt-3" onclick={() => location.reload()}>Try again</button>
    </main>
  {:else if step === "brief"}
    <Brief state={held} words={briefWords} />
  {:else if step === "measure"}
    <MeasureStep {measuring} client={held.client} />
  {:else if step === "read"}
    <ReadStep client={held.client} {measuring} {table} />
  {:else if step === "rack"}
    <RackStep {rack} {words} {counts} onfind={find} />
  {:else if step === "outfits"}
    <OutfitsStep
      {outfits}
      words={briefWords}
      name={client.name}
      {titles}
      colours={Object.fromEntries(words.colours.map(({ name, hex }) => [name, hex]))}
      week={held.client.brief.week ?? []}
      onopen={() => void go("dress")}
      bind:this={searched}
    />
  {:else if step === "edit"}
    <EditStep {edit} name={client.name} bind:this={edited} />
  {:else if step === "plan"}
    <PlanStep {plans} name={client.name} words={briefWords} bind:this={planned} />
  {:else if step === "hand"}
    <HandStep {hand} name={client.name} bind:this={handed} />
  {:else if step === "try"}
    <TryOnStep client={held.client} {tryon} {shop} />
  {:else if step === "shop"}
    <ShopStep client={held.client} {shop} />
  {:else if step === "history"}
    <Past client={held.client} {measuring} />
  {:else if step === "records"}
    <Records client={held.client} onchange={() => void measuring.load().then(() => (stale = true))} />
  {:else}
    <DressStep
      {dressing}
      words={briefWords}
      open={step === "dress"}
      onopen={() => void go("dress")}
      onfinish={find}
      bind:this={dressed}
    />
  {/if}
</div>
