<script lang="ts">
  /** The client's page: links made, opened, taken back; and what she says through them. */
  import DateField from "../ui/DateField.svelte";
  import { after, todayIso } from "../plan/plans.svelte";
  import { day } from "../units";
  import { SAYS, type Hand } from "./hand.svelte";
  import PartsField from "./PartsField.svelte";

  const { hand, name }: { hand: Hand; name: string } = $props();
  let ends = $state<string | null>(after(todayIso(), 90));
  let word = $state("");
  let plan = $state("");
  let wrong = $state<string | null>(null);
  let copied = $state(false);
  const forename = $derived(name.split(" ")[0]);
  const STATE = { open: "open", ended: "has ended", taken_back: "taken back" } as const;

  async function make() {
    if (!ends) return;
    copied = false;
    wrong = await hand.link(ends, word, plan || null);
    if (!wrong) word = "";
  }
  async function copy() {
    if (!hand.made) return;
    await navigator.clipboard.writeText(hand.made.address);
    copied = true;
  }
  const open = $derived(hand.said.filter((one) => !one.seen_at));
</script>

<div class="two">
  <section aria-label="A new page">
    <h2 class="heading text-2xl">{forename}’s page</h2>
    <p class="mb-2 max-w-lg text-sm text-bark">
      A page that {forename} opens on a phone, without an account. It shows what is chosen here, as it is now; take
      it back at any time.
    </p>
    <PartsField {hand} />
    {#if hand.plans.length}
      <label class="mt-2 block text-xs text-bark"
        >a plan of days<select class="field text-base text-walnut" bind:value={plan}
          ><option value="">none</option>{#each hand.plans as one (one.id)}<option value={one.id}
              >{one.name}</option
            >{/each}</select
        ></label
      >
    {/if}
    <div class="mt-2 flex flex-wrap items-end gap-4">
      <label class="flex flex-col text-xs text-bark"
        >until<DateField
          value={ends}
          class="text-base text-walnut"
          label="The page ends on"
          onchange={(iso) => (ends = iso)}
        /></label
      >
      <label class="text-xs text-bark"
        >a word agreed on<input
          class="field text-base text-walnut"
          maxlength="80"
          autocomplete="off"
          placeholder="none is asked for"
          bind:value={word}
        /></label
      >
      <button class="press" data-main disabled={!ends} onclick={() => void make()}>Make the link</button>
    </div>
    {#if wrong}<p role="alert" class="mt-1 text-madder">{wrong}</p>{/if}
    {#if hand.made}
      <div class="mt-4 border-2 border-leaf p-3" data-testid="made">
        <p class="text-sm">This address is told once: send it, or have a phone read the code.</p>
        <p class="flex flex-wrap items-center gap-2 py-2">
          <a
            class="break-all underline"
            href={hand.made.address}
            target="_blank"
            rel="noreferrer"
            data-testid="address">{hand.made.address}</a
          >
          <button class="quiet" onclick={() => void copy()}>{copied ? "copied" : "copy"}</button>
          <button class="quiet" onclick={() => (hand.made = null)}>done</button>
        </p>
        <img class="w-40" src={hand.made.code} alt="The address as a code for a phone" />
      </div>
    {/if}
    <h3 class="heading mt-6 border-b-2 border-walnut pb-1 text-lg">Links</h3>
    {#if !hand.links.length}<p class="py-2 text-sm text-bark">None yet.</p>{/if}
    <ul class="text-sm">
      {#each hand.links as link (link.id)}
        <li class="border-b border-dashed border-rule py-2" data-link={link.id}>
          <div class="flex flex-wrap items-baseline justify-between gap-2">
            <span
              >{STATE[link.state]}{#if link.state === "open"}, until {day(
                  link.ends_on,
                )}{/if}{#if link.asks_word}, asks for the word{/if}</span
            >
            {#if link.state === "open"}<button class="quiet" onclick={() => void hand.takeBack(link)}
                >take back</button
              >{/if}
          </div>
          <p class="text-bark">
            {[link.cards.length === 1 ? "1 card" : `${link.cards.length} cards`, ...link.shows].join(", ")};
            made {day(link.made_at)} by {link.by}
          </p>
          <p class="text-bark">
            {link.opened
              ? `opened ${link.opened === 1 ? "once" : `${link.opened} times`}, last ${day(link.openings[0]?.at ?? link.made_at)}`
              : "not opened yet"}{#if link.missed}, turned away {link.missed === 1
                ? "once"
                : `${link.missed} times`}{/if}
          </p>
        </li>
      {/each}
    </ul>
  </section>
  <section aria-label="What {forename} says">
    <h3 class="heading border-b-2 border-walnut pb-1 text-lg">
      What {forename} says{#if open.length}, {open.length} new{/if}
    </h3>
    {#if !hand.said.length}<p class="py-2 text-sm text-bark">
        Nothing yet. What {forename} taps or asks there stands here, and in the diary until somebody has seen to
        it.
      </p>{/if}
    <ul>
      {#each hand.said as one (one.id)}
        <li
          class="flex items-baseline justify-between gap-2 border-b border-dashed border-rule py-1"
          class:text-bark={one.seen_at}
        >
          <span
            ><span class={one.seen_at ? "" : "font-semibold"}>{SAYS[one.says]}</span>{#if one.title}: {one.title}{/if}{#if one.text}:
              “{one.text}”{/if} <span class="text-xs text-bark">{day(one.at)}</span></span
          >
          <button
            class="quiet shrink-0 text-sm"
            aria-label="{one.seen_at ? 'Not seen to after all' : 'Seen to'}: {SAYS[one.says]} {one.title ||
              one.text}"
            onclick={() => void hand.see(one, !one.seen_at)}>{one.seen_at ? "not yet" : "seen to"}</button
          >
        </li>
      {/each}
    </ul>
  </section>
</div>
