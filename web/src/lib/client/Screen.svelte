<script lang="ts">
  /** Everything about one client: the steps of the trade over one state, one rule, one floor. */
  import { onDestroy, onMount, tick, untrack } from "svelte";
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import type { Finding, Schemas, Slot } from "$lib/api/client";
  import Brief from "$lib/brief/Brief.svelte";
  import { ClientState } from "$lib/brief/client.svelte";
  import Dress from "$lib/client/Dress.svelte";
  import { History } from "$lib/client/history.svelte";
  import LookBar from "$lib/client/LookBar.svelte";
  import Looks from "$lib/client/Looks.svelte";
  import Because from "$lib/client/Because.svelte";
  import Rail from "$lib/client/Rail.svelte";
  import SideBySide from "$lib/client/SideBySide.svelte";
  import Reasons from "$lib/client/Reasons.svelte";
  import Steps from "$lib/client/Steps.svelte";
  import { stepAt, stepOf, type Step } from "$lib/client/steps";
  import { LookTable } from "$lib/client/table.svelte";
  import Verdict from "$lib/client/Verdict.svelte";
  import Views from "$lib/client/Views.svelte";
  import Ways from "$lib/client/Ways.svelte";
  import { changesOf, inWords, type Way } from "$lib/client/ways.svelte";
  import Workbench from "$lib/client/Workbench.svelte";
  import { provideScale, RuleScale } from "$lib/figure/scale.svelte";
  import Stage from "$lib/figure/Stage.svelte";
  import MeasureStep from "$lib/measure/MeasureStep.svelte";
  import { Measuring } from "$lib/measure/measuring.svelte";
  import Past from "$lib/past/Past.svelte";
  import { Rack } from "$lib/rack/rack.svelte";
  import RackStep from "$lib/rack/RackStep.svelte";
  import ReadStep from "$lib/read/ReadStep.svelte";
  import Records from "$lib/records/Records.svelte";
  import { Shop } from "$lib/shop/shop.svelte";
  import ShopStep from "$lib/shop/ShopStep.svelte";
  import { TryOn } from "$lib/tryon/tryon.svelte";
  import TryOnStep from "$lib/tryon/TryOnStep.svelte";
  import { studio } from "$lib/studio.svelte";
  import Header from "$lib/ui/Header.svelte";
  import Help from "$lib/ui/Help.svelte";
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
  $effect.pre(() => void (measuring.known = known));

  let trouble = $state<string | null>(null);
  let ready = $state(false);
  /** The body changed since the look was judged. */
  let stale = $state(false);
  let chosen = $state<Slot | null>(null);
  /** What is said beside the figure: the reasons, ways to mend, or what other schools would say. */
  let aside = $state<"reasons" | "ways" | "views">("reasons");
  /** The side outline is shown too. */
  let profiled = $state(false);
  let help = $state(false);
  let header = $state<Header>();
  let bar = $state<LookBar>();

  const first = $derived<Step>(measuring.session ? "measure" : given.client.measures ? "dress" : "brief");
  const step = $derived(stepOf(page.url.hash) ?? first);
  const compared = $derived(step === "looks" ? table.compare.told : null);
  const saving = $derived(
    step === "brief"
      ? held.saving
      : step === "measure"
        ? measuring.saving
        : step === "try"
          ? tryon.saving
          : step === "rack"
            ? "kept"
            : table.draft.saving,
  );

  onMount(async () => {
    const [refusal] = await Promise.all([measuring.load(), table.load()]);
    trouble = refusal?.message ?? null;
    ready = true;
    measuring.listen();
  });
  onDestroy(() => measuring.stopListening());

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

  function mend(finding: Finding) {
    if (!finding.mend) return;
    table.draft.change(finding.mend.slot as Slot, finding.mend.change, `the mend “${finding.title}”`);
    chosen = finding.mend.slot as Slot;
    notice.say(finding.mend.text, { name: "Undo", run: () => void back("undo") });
  }

  function take(way: Way) {
    table.draft.changeAll(changesOf(way), `the mend “${inWords(way)}”`);
    notice.say(inWords(way), { name: "Undo", run: () => void back("undo") });
  }

  /** A rule that is not asked of this client: their own way, over the house's. */
  function leaveOut(finding: Finding) {
    held.ownWays({ muted: [...held.client.own_ways.muted, finding.key] });
    void held.flush();
    notice.say(`“${finding.title}” is not said of ${client.name} any more; Other views takes it up again.`, {
      name: "Undo",
      run: () => void back("undo"),
    });
  }

  /** Show something else beside the figure, or the reasons again. */
  const beside = (what: "ways" | "views") => (aside = aside === what ? "reasons" : what);

  /** One key takes the first mend in sight. */
  function mendFirst() {
    const way = table.ways.stale ? undefined : table.ways.told?.[0];
    if (aside === "ways") return way && take(way);
    const finding = table.assessment?.findings.find((one) => one.mend);
    if (finding) mend(finding);
  }

  async function back(way: "undo" | "redo") {
    const name = await history[way]();
    notice.say(name ? `${way === "undo" ? "Took back" : "Again"}: ${name}.` : `Nothing to ${way}.`);
  }

  async function choose(slot: Slot) {
    chosen = slot;
    await go("dress");
  }

  async function go(to: Step) {
    await goto(`#${to}`, { keepFocus: true, noScroll: true });
    await tick();
    const panel = document.querySelector("[data-panel]");
    if (to !== "measure" || !measuring.session)
      panel?.querySelector<HTMLElement>("input, textarea, button")?.focus();
  }

  function keep() {
    void table.draft.keep();
    void held.flush();
  }

  /** Keys that work anywhere with Alt, and alone where nothing is being typed. */
  function does(code: string): (() => void) | undefined {
    const named = stepAt(code);
    if (named) return () => void go(named);
    const keys: Record<string, () => void> = {
      KeyT: () => (studio.turned = !studio.turned),
      KeyU: () => void header?.otherUnit(),
    };
    return keys[code];
  }

  function onkeydown(event: KeyboardEvent) {
    const control = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    const on = event.target as HTMLElement;
    const typing = on.matches("input:not([type=checkbox], [type=radio]), textarea, select");
    const empty = on.matches("input[data-measure]") && !(on as HTMLInputElement).value;
    if (control && key === "s") {
      event.preventDefault();
      keep();
    } else if (control && (key === "z" || key === "y") && (!typing || empty)) {
      event.preventDefault();
      void back(event.shiftKey || key === "y" ? "redo" : "undo");
    }
    if (control || help || on.closest("[role=listbox]")) return;
    if (typing && !event.altKey) return;
    const dressing: Record<string, () => void> = {
      m: mendFirst,
      w: () => beside("ways"),
      v: () => beside("views"),
      s: () => (profiled = !profiled),
      escape: () => (aside = "reasons"),
    };
    const alone: Record<string, () => void> = {
      ...(step === "dress" ? dressing : {}),
      n: () => bar?.focusName(),
      "?": () => (help = true),
    };
    const act = does(event.code) ?? (event.altKey ? undefined : alone[key]);
    if (!act) return;
    event.preventDefault();
    act();
  }
</script>

<svelte:window
  {onkeydown}
  onbeforeunload={(event) => {
    const unkept = ["waiting", "saving", "failed", "conflict"];
    if (unkept.includes(table.draft.saving) || unkept.includes(held.saving)) event.preventDefault();
  }}
/>

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
      {studio.turned ? "Turn back" : "Turn to client"} <span class="key">T</span>
    </button>
    <button class="quiet shrink-0 text-sm" onclick={() => (help = true)}
      >Keys <span class="key">?</span></button
    >
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
    <RackStep {rack} {words} />
  {:else if step === "try"}
    <TryOnStep client={held.client} {tryon} {shop} />
  {:else if step === "shop"}
    <ShopStep client={held.client} {shop} />
  {:else if step === "history"}
    <Past client={held.client} {measuring} />
  {:else if step === "records"}
    <Records client={held.client} onchange={() => void measuring.load().then(() => (stale = true))} />
  {:else if !table.assessment}
    <main class="p-8" role="alert">
      <p>{table.trouble ?? "Setting up the rule…"}</p>
      {#if table.trouble}
        <button class="press mt-3" onclick={() => void table.load()}>Try again</button>
      {/if}
    </main>
  {:else}
    {@const assessment = table.assessment}
    <Workbench>
      {#snippet panel()}
        <LookBar {table} words={briefWords} about={step === "dress"} bind:this={bar} />
        {#if step === "dress"}
          <Dress {table} {chosen} onchoose={(slot) => (chosen = slot)} />
        {:else}
          <Looks {table} onopen={() => void go("dress")} />
        {/if}
      {/snippet}
      {#snippet stage()}
        {#if compared}<SideBySide compare={table.compare} name={client.name} />
        {:else}<Stage
            {assessment}
            name={client.name}
            {chosen}
            onchoose={choose}
            table={step === "dress" ? table : undefined}
            side={profiled}
          />{/if}
      {/snippet}
      {#snippet side()}
        {#if compared}<Because told={compared} held={table.compare.held} />
        {:else if step === "dress" && aside === "ways" && !studio.turned}
          <Ways {table} onmend={take} onclose={() => (aside = "reasons")} />
        {:else if step === "dress" && aside === "views" && !studio.turned}
          <Views {table} {held} onclose={() => (aside = "reasons")} />
        {:else}
          <Reasons
            {assessment}
            onmend={mend}
            onlike={step === "dress" ? (finding) => table.draft.like(finding.rule, finding.title) : undefined}
            onleave={step === "dress" ? leaveOut : undefined}
            forename={client.name.split(" ")[0]}
            moving={table.hand !== null}
          />
        {/if}
      {/snippet}
      {#snippet rail()}{#if step === "dress"}<Rail {table} />{/if}{/snippet}
      {#snippet under()}
        {#if compared}<p class="text-sm">
            One floor line, one scale. What differs from the first look is outlined.
          </p>
        {:else}
          <Verdict
            {assessment}
            trouble={table.trouble}
            pieces={table.draft.list.length}
            doubts={table.doubts}
          />
          {#if step === "dress" && !studio.turned}
            <span class="ml-auto flex shrink-0 gap-1 pl-4 text-sm">
              <button class="quiet" aria-pressed={profiled} onclick={() => (profiled = !profiled)}
                >Side <span class="key">S</span></button
              >
              <button class="quiet" aria-pressed={aside === "ways"} onclick={() => beside("ways")}
                >Ways to mend <span class="key">W</span></button
              >
              <button class="quiet" aria-pressed={aside === "views"} onclick={() => beside("views")}
                >Other views <span class="key">V</span></button
              >
            </span>
          {/if}
        {/if}
      {/snippet}
    </Workbench>
  {/if}
</div>
<Help bind:open={help} />
