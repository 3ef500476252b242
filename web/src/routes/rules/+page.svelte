<script lang="ts">
  /** The house rules: every rule of the engine, followed or muted, and the looks it speaks of. */
  import { onMount } from "svelte";
  import { HouseRules, type RuleRow } from "$lib/rules/rules.svelte";
  import Header from "$lib/ui/Header.svelte";
  import Mark from "$lib/ui/Mark.svelte";
  import { notice } from "$lib/ui/notice.svelte";

  const house = new HouseRules();
  const SAID = { works: "works", watch: "nearly works", against: "does not work" };
  onMount(() => void house.load());

  async function turn(rule: RuleRow) {
    const was = rule.muted;
    if (await house.turn(rule)) return;
    const now = house.rules?.find((one) => one.key === rule.key);
    const back = () => now && void house.turn(now);
    notice.say(was ? "The rule is followed again." : "The rule is muted.", { name: "Undo", run: back });
  }
</script>

<svelte:head><title>House rules · Basilwood</title></svelte:head>
<div class="flex min-h-dvh flex-col">
  <Header />
  <main class="mx-auto w-full max-w-4xl grow px-5 py-7">
    <div class="flex flex-wrap items-end gap-x-8 gap-y-2 border-b-2 border-walnut pb-2">
      <h1 class="heading text-3xl">House rules</h1>
      <label class="w-56 text-sm text-bark"
        >Find<input type="search" class="field text-walnut" bind:value={house.sought} /></label
      >
      <p class="ml-auto text-sm text-bark">
        {house.rules?.length ?? 0} rules, {house.muted.length} muted. The schools are under Dress, at the schools’
        own words.
      </p>
    </div>
    {#if house.trouble}
      <p role="alert" class="mt-2 text-madder">
        {house.trouble} <button class="quiet" onclick={() => void house.load()}>Try again</button>
      </p>
    {/if}
    {#if !house.rules}<p role="status" class="py-4 text-bark">Holding the rules against the looks…</p>
    {:else if !house.shown.length}<p class="py-4">No rule says that.</p>{/if}
    {#each house.subjects as subject (subject)}
      <section aria-labelledby="s-{subject}" class="mt-5">
        <h2 id="s-{subject}" class="heading text-lg first-letter:uppercase">{subject}</h2>
        <ul>
          {#each house.shown.filter((rule) => rule.subject === subject) as rule (rule.key)}
            <li class="border-b border-grain py-1.5" data-house-rule={rule.key} data-muted={rule.muted}>
              <div class="flex items-baseline gap-3">
                <p class="min-w-0 grow {rule.muted ? 'text-bark line-through' : ''}">{rule.says}</p>
                <button
                  class="quiet shrink-0 text-sm"
                  aria-expanded={house.open === rule.key}
                  onclick={() => void house.show(rule)}
                  >speaks of {rule.touches} {rule.touches === 1 ? "look" : "looks"}</button
                >
                <button
                  class="press min-h-7 shrink-0 px-2 py-0 text-sm"
                  aria-pressed={rule.muted}
                  aria-label="{rule.muted ? 'Follow' : 'Mute'}: {rule.says}"
                  onclick={() => void turn(rule)}>{rule.muted ? "Muted" : "Mute"}</button
                >
              </div>
              {#if house.open === rule.key}
                <div class="mt-1 border-l-2 border-dashed border-rule pl-3 text-sm" data-testid="effect">
                  {#if house.effect}
                    <p>
                      {#if house.effect.looks.length}
                        {rule.muted ? "Followed again" : "Muted"}, {house.effect.looks.length} of
                        {house.effect.judged} looks would be judged otherwise:
                        {house.effect.looks
                          .map(
                            (one) =>
                              `${one.client}, ${one.name || "unnamed"}: ${SAID[one.now]}, then ${SAID[one.then]}`,
                          )
                          .join("; ")}.
                      {:else}
                        No verdict of {house.effect.judged} looks hangs on it.
                      {/if}
                    </p>
                  {/if}
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
