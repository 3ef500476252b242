<script lang="ts">
  /** The house rules: every rule of the engine, followed or muted, its borders, and the looks it speaks of. */
  import { onMount } from "svelte";
  import Effect from "$lib/rules/Effect.svelte";
  import MoveBorder from "$lib/rules/MoveBorder.svelte";
  import { drawn, HouseRules, type RuleRow, type Ways } from "$lib/rules/rules.svelte";
  import SchoolDefaults from "$lib/rules/SchoolDefaults.svelte";
  import { studio } from "$lib/studio.svelte";
  import Header from "$lib/ui/Header.svelte";
  import Mark from "$lib/ui/Mark.svelte";
  import { notice } from "$lib/ui/notice.svelte";
  import { said } from "$lib/units";

  const house = new HouseRules();
  onMount(() => void house.load());

  async function take(ways: Partial<Ways>, what: string) {
    const done = await house.take(ways);
    if ("refusal" in done) return;
    notice.say(what, { name: "Undo", run: () => void house.take(done.before) });
  }

  async function turn(rule: RuleRow) {
    const done = await house.turn(rule);
    if ("refusal" in done) return;
    const what = rule.muted ? "The rule is followed again." : "The rule is muted.";
    notice.say(what, { name: "Undo", run: () => void house.take(done.before) });
  }

  const asks = (school: string) => house.schools.find((one) => one.id === school)?.asks ?? said(school);
  /** The view this house takes where a rule asks for one. */
  const view = (school: string) =>
    studio.me?.studio.schools[school] ?? house.schools.find((one) => one.id === school)?.positions[0] ?? "";
</script>

<svelte:head><title>House rules · Basilwood</title></svelte:head>
<div class="flex min-h-dvh flex-col">
  <Header />
  <main class="mx-auto w-full max-w-5xl grow px-5 py-7">
    <div class="flex flex-wrap items-end gap-x-8 gap-y-2 border-b-2 border-walnut pb-2">
      <h1 class="heading text-3xl">House rules</h1>
      <a class="quiet self-center text-sm" href="/specimens">How pieces are drawn</a>
      <label class="w-56 text-sm text-bark"
        >Find<input type="search" class="field text-walnut" bind:value={house.sought} /></label
      >
      <p class="ml-auto text-sm text-bark">
        {house.rules?.length ?? 0} rules, {house.muted.length} muted, {house.moved.length}
        {house.moved.length === 1 ? "border" : "borders"} moved.
      </p>
    </div>
    {#if house.trouble}
      <p role="alert" class="mt-2 text-madder">
        {house.trouble} <button class="quiet" onclick={() => void house.load()}>Try again</button>
      </p>
    {/if}
    {#if !house.rules}<p role="status" class="py-4 text-bark">Holding the rules against the looks…</p>
    {:else if !house.shown.length}<p class="py-4">No rule says that.</p>{/if}
    {#if house.rules && !house.sought && studio.may("house")}<SchoolDefaults {house} ontake={take} />{/if}
    {#each house.subjects as subject (subject)}
      <section aria-labelledby="s-{subject}" class="mt-5">
        <h2 id="s-{subject}" class="heading text-lg first-letter:uppercase">{subject}</h2>
        <ul>
          {#each house.shown.filter((rule) => rule.subject === subject) as rule (rule.id)}
            <li class="border-b border-grain py-1.5" data-house-rule={rule.id} data-muted={rule.muted}>
              <div class="flex items-baseline gap-3">
                <p class="min-w-0 grow {rule.muted ? 'text-bark line-through' : ''}">{rule.says}</p>
                <button
                  class="quiet shrink-0 text-sm"
                  aria-expanded={house.open === rule.id}
                  onclick={() => void house.show(rule)}
                  >speaks of {rule.touches} {rule.touches === 1 ? "look" : "looks"}</button
                >
                {#if studio.may("house")}<button
                    class="press min-h-7 shrink-0 px-2 py-0 text-sm"
                    aria-pressed={rule.muted}
                    aria-label="{rule.muted ? 'Follow' : 'Mute'}: {rule.says}"
                    onclick={() => void turn(rule)}>{rule.muted ? "Muted" : "Mute"}</button
                  >{:else if rule.muted}<span class="shrink-0 text-sm text-bark">muted</span>{/if}
              </div>
              <p class="text-xs text-bark">
                {[
                  rule.source,
                  ...rule.schools.map((school) => `asks “${asks(school)}”, here: ${said(view(school))}`),
                ].join(" · ")}
                {#each house.bordersOf(rule) as border (border.key)}{" "}<span
                    class={border.drawn === border.usual ? "" : "font-semibold text-chalk"}
                  >
                    · border {drawn(border, border.drawn, studio.unit)}
                  </span>
                {/each}
              </p>
              {#if house.open === rule.id}
                <div class="mt-1 border-l-2 border-dashed border-rule pl-3 text-sm">
                  {#if house.proposed?.of === rule.id}
                    <Effect effect={house.effect} change={rule.muted ? "Followed again" : "Muted"} />
                  {/if}
                  {#if studio.may("house")}
                    {#each house.bordersOf(rule) as border (border.key)}
                      <MoveBorder {house} {border} ontake={take} />
                    {/each}
                  {/if}
                  {#if house.looks.length}<h3 class="mt-2 font-semibold">It speaks of</h3>{/if}
                  <ul>
                    {#each house.looks as look (look.look_id)}
                      <li class="flex items-baseline gap-1.5">
                        <span class="translate-y-0.5"><Mark of={look.stance} size={12} /></span>
                        <span>
                          <a
                            class="underline decoration-rule underline-offset-4"
                            href="/people/{look.client_id}#looks"
                            >{look.client}, {look.name || "unnamed look"}</a
                          >: {look.text} <span class="text-bark">{look.figure}</span>
                        </span>
                      </li>
                    {/each}
                  </ul>
                </div>
              {/if}
            </li>
          {/each}
        </ul>
      </section>
    {/each}
  </main>
</div>
