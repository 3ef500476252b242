<script lang="ts">
  /** The piece that is on: what is expected, what is seen, what becomes of it. */
  import BuyOrLeave from "../edit/BuyOrLeave.svelte";
  import DateField from "../ui/DateField.svelte";
  import { studio } from "../studio.svelte";
  import Mark from "../ui/Mark.svelte";
  import { figure, said } from "../units";
  import { LIVES, MOVES } from "./form.svelte";
  import type { TryOn } from "./tryon.svelte";

  const { tryon, onlog }: { tryon: TryOn; onlog: () => void } = $props();
  const MARKS = { fits: "for", watch: "watch", against: "against", caution: "caution" } as const;
  const SAID = { fits: "fits", watch: "look twice", against: "does not fit", caution: "caution" };
  const COMFORT = [
    ["comfortable", "comfortable"],
    ["bearable", "bearable"],
    ["not", "not comfortable"],
  ] as const;
  const form = $derived(tryon.form);
  const offers = $derived(tryon.on ? form.offers(tryon.on) : []);
  const WANTS = { alter: "Back by", size: "Try it by", return: "Return by" } as const;

  function told(key: string, verdict: "as_said" | "not_so") {
    if (form.seen.checks[key] === verdict) delete form.seen.checks[key];
    else form.seen.checks[key] = verdict;
  }

  function moved(move: (typeof MOVES)[number], how: "well" | "not_well") {
    if (form.seen.moves[move] === how) delete form.seen.moves[move];
    else form.seen.moves[move] = how;
  }

  function suits(life: (typeof LIVES)[number][0], yes: boolean) {
    if (form.seen.life[life] === yes) delete form.seen.life[life];
    else form.seen.life[life] = yes;
  }
</script>

<section
  aria-label="The piece that is on"
  class="relative h-full overflow-x-hidden overflow-y-auto px-4 py-3"
>
  {#if !tryon.on}
    <p class="text-bark">
      {tryon.open
        ? "Nothing is on. Find the next piece on the left and press Enter."
        : "No fitting is going on."}
    </p>
    {#if tryon.makers.length && !studio.turned}
      <h3 class="heading mt-4">What fittings say of makers</h3>
      <ul class="text-sm">
        {#each tryon.makers as made (made.maker)}
          <li class="border-b border-grain py-1">
            <strong class="font-semibold">{made.maker}</strong>{#if made.checked}: {made.confirmed} of
              {made.checked} checks came out as computed{/if}.
            {#each made.learned as one (one.key)}
              <span class="block {one.sure ? '' : 'text-bark'}">{one.text}</span>
            {/each}
          </li>
        {/each}
      </ul>
    {/if}
  {:else}
    {@const piece = tryon.on}
    <div class="flex items-baseline gap-2">
      <h2 class="heading min-w-0 grow text-xl first-letter:uppercase" data-testid="on">{piece.title}</h2>
      <button class="quiet text-sm" onclick={() => tryon.take(null)}>Take off</button>
    </div>
    {#if studio.turned}
      <ul class="mt-2">
        {#each piece.placed.checks.filter((check) => check.stance === "fits") as check (check.key)}
          <li class="flex items-baseline gap-1.5"><Mark of="for" />{check.title}</li>
        {/each}
      </ul>
    {:else}
      {#if piece.maker || piece.label_size}
        <p class="text-sm text-bark">
          {[piece.maker, piece.label_size ? `size ${piece.label_size}` : ""].filter(Boolean).join(", ")}
        </p>
      {:else if !piece.piece_id}
        <div class="grid grid-cols-2 gap-x-3 text-sm text-bark">
          <label>Maker<input class="field text-walnut" maxlength="120" bind:value={form.maker} /></label>
          <label
            >Size on the label<input
              class="field text-walnut"
              maxlength="20"
              bind:value={form.label}
            /></label
          >
        </div>
      {/if}
      {#if !piece.piece_id}<BuyOrLeave clientId={tryon.clientId} piece={piece.placed.piece} />{/if}
      {#if form.decision}
        <div class="mt-1 border-l-2 border-leaf pl-3">
          {#if form.decision === "alter"}
            {#each offers as offer (offer.text)}
              <label class="flex min-h-7 items-center gap-2 text-sm">
                <input type="checkbox" class="size-6 shrink-0" bind:checked={form.chosen[offer.text]} />
                <span>{offer.text} <span class="text-bark">{offer.reaches}</span></span>
              </label>
            {/each}
          {/if}
          <label class="block text-sm text-bark">
            {form.decision === "keep" || form.decision === "let_go" ? "Why" : "What is to be done, and why"}
            <input
              id="why"
              class="field text-walnut"
              maxlength="400"
              bind:value={form.why}
              onkeydown={(event) => event.key === "Enter" && onlog()}
            />
          </label>
          {#if form.decision in WANTS}
            <label class="flex items-baseline gap-2 text-sm text-bark">
              {WANTS[form.decision as keyof typeof WANTS]}
              <DateField
                class="w-auto text-walnut"
                value={form.dueOn}
                onchange={(iso) => (form.dueOn = iso ?? "")}
              />
            </label>
          {/if}
        </div>
      {/if}
      {#if tryon.wrong}<p role="alert" class="mt-1 text-sm text-madder">{tryon.wrong}</p>{/if}
      {#each (tryon.told?.learned ?? []).filter((one) => one.sure) as one (one.key)}
        <p class="mt-1 border-l-2 border-dashed border-rule pl-2 text-sm">{one.text}</p>
      {/each}
      <div class="mt-2 flex items-baseline">
        <h3 class="heading grow">Expected</h3>
        {#if piece.placed.checks.length}
          <button class="quiet text-sm" onclick={() => form.allAsSaid(piece)}
            >All as said <span class="key letter">Y</span></button
          >
        {/if}
      </div>
      <ul>
        {#each piece.placed.checks as check (check.key)}
          <li class="border-b border-grain py-1" data-check={check.key} data-stance={check.stance}>
            <div class="flex items-center gap-1.5">
              <Mark of={MARKS[check.stance]} />
              <span class="sr-only">{SAID[check.stance]}:</span>
              <span class="min-w-0 grow font-semibold">{check.title}</span>
              {#each [["as_said", "so"], ["not_so", "not so"]] as const as [verdict, name] (verdict)}
                <button
                  class="press min-h-7 px-1.5 py-0 text-sm"
                  aria-pressed={form.seen.checks[check.key] === verdict}
                  aria-label="{check.title}: {name}"
                  onclick={() => told(check.key, verdict)}>{name}</button
                >
              {/each}
            </div>
            <p class="pl-[21px] text-sm leading-snug">{check.text}</p>
          </li>
        {:else}
          <li class="text-sm text-bark">
            {piece.kind
              ? "Nothing known of it says how it fits. What you see counts the more."
              : "Without a connection nothing can be computed of a new piece; it is logged all the same."}
          </li>
        {/each}
      </ul>
      {#if piece.to_see.length}
        <h3 class="heading mt-3">Seen, where it differs</h3>
        <div class="grid grid-cols-1">
          {#each piece.to_see as see (see.key)}
            <label class="flex items-baseline gap-2 text-sm">
              <span class="min-w-0 grow text-bark first-letter:uppercase">{see.label}, {see.frame}</span>
              <input
                class="field w-20 text-right"
                inputmode="decimal"
                autocomplete="off"
                maxlength="20"
                data-see={see.key}
                placeholder={figure(see.expected, studio.unit)}
                bind:value={form.typed[see.key]}
                onchange={(event) => void tryon.check(event.currentTarget.value, studio.unit)}
                onkeydown={(event) => event.key === "Enter" && onlog()}
              />
            </label>
          {/each}
        </div>
      {/if}
      <h3 class="heading mt-3">In movement, and in their life</h3>
      <div class="grid grid-cols-[auto_1fr_auto_1fr] items-center gap-x-2 gap-y-1 text-sm">
        {#each MOVES as move (move)}
          <span class="text-bark first-letter:uppercase">{move === "back" ? "back view" : move}</span>
          <span class="flex gap-1">
            {#each [["well", "well"], ["not_well", "not"]] as const as [how, name] (how)}
              <button
                class="press min-h-7 px-1.5 py-0 text-sm"
                aria-pressed={form.seen.moves[move] === how}
                aria-label="{move}: {name}"
                onclick={() => moved(move, how)}>{name}</button
              >
            {/each}
          </span>
        {/each}
        {#each LIVES as [life, name] (life)}
          <span class="text-bark">{said(name)}</span>
          <span class="flex gap-1">
            {#each [[true, "yes"], [false, "no"]] as const as [yes, word] (word)}
              <button
                class="press min-h-7 px-1.5 py-0 text-sm"
                aria-pressed={form.seen.life[life] === yes}
                aria-label="suits {name}: {word}"
                onclick={() => suits(life, yes)}>{word}</button
              >
            {/each}
            {#if life === "style" && tryon.on.style}
              <span class="self-center pl-1 text-bark">{tryon.on.style}</span>
            {/if}
          </span>
        {/each}
        <span class="text-bark">Feels</span>
        <select class="field" aria-label="How it feels" bind:value={form.seen.comfort}>
          <option value=""></option>
          {#each COMFORT as [key, name] (key)}<option value={key}>{name}</option>{/each}
        </select>
      </div>
    {/if}
  {/if}
</section>
