<script lang="ts">
  /** What is known of a look beside its pieces: where it is worn, notes, how it stands, what it is a variant of. */
  import { studio } from "../studio.svelte";
  import { notice } from "../ui/notice.svelte";
  import Word from "../ui/Word.svelte";
  import { celsiusOf, degrees, inScale } from "../units";
  import type { Draft } from "./draft.svelte";
  import { VARIANTS, type Facts, type Setting } from "./facts";

  interface Props {
    draft: Draft;
    occasions: string[];
    codes: string[];
    /** What a rule that was overruled says. */
    titleOf: (rule: string) => string;
  }
  const { draft, occasions, codes, titleOf }: Props = $props();
  const facts = $derived(draft.facts);
  const origin = $derived(draft.looks.find((look) => look.id === draft.variantOf));
  const MOST = 600;
  const STANDINGS = [
    ["", "open"],
    ["chosen", "chosen"],
    ["rejected", "rejected"],
  ] as const;
  const VARY = [
    ["up", "Dress it up"],
    ["down", "Dress it down"],
    ["other", "Another way"],
  ] as const;
  let air = $state<string | null>(null);
  let airTrouble = $state<string | null>(null);

  const worn = (change: Partial<Setting>) =>
    draft.say({ setting: { ...facts.setting, ...change } }, "where it is worn");

  function acceptAir() {
    if (air === null) return;
    const text = air.trim().replace(",", ".").replace("−", "-");
    const celsius = text === "" ? null : celsiusOf(Number(text), studio.unit);
    if (celsius !== null && !(celsius >= -40 && celsius <= 50)) {
      const [low, high] = [inScale(-40, studio.unit), inScale(50, studio.unit)];
      airTrouble = `Air is between ${low} and ${high} ${degrees(studio.unit)}.`.replaceAll("-", "−");
      return;
    }
    airTrouble = air = null;
    worn({ celsius });
  }

  function tag(text: string) {
    const tags = text
      .split(",")
      .map((one) => one.trim().slice(0, 120))
      .filter(Boolean)
      .slice(0, 12);
    draft.say({ tags: [...new Set(tags)] }, "the tags");
  }

  async function vary(variant: (typeof VARY)[number][0]) {
    const trouble = await draft.vary(variant);
    if (trouble) notice.say(trouble);
  }

  const LINES = [
    ["note", "note", "the note"],
    ["client_said", "they said", "what the client said"],
  ] as const;
  const WHY_NOT = ["why_not", "why not", "why it was rejected"] as const;
  const write = (key: "note" | "client_said" | "why_not", text: string, name: string) =>
    draft.say({ [key]: text } as Partial<Facts>, name, key);
  const exception = (rule: string, change: Partial<Facts["liked"][number]>) =>
    draft.say(
      { liked: facts.liked.map((one) => (one.rule === rule ? { ...one, ...change } : one)) },
      "an exception",
      `liked ${rule} ${Object.keys(change).join()}`,
    );
</script>

{#snippet line([key, word, name]: (typeof LINES)[number] | typeof WHY_NOT)}
  <label class="line">
    <span>{word}</span>
    <textarea
      class="field resize-none"
      rows="1"
      maxlength={MOST}
      data-said={facts[key] ? "true" : "false"}
      value={facts[key]}
      oninput={(event) => write(key, event.currentTarget.value, name)}></textarea>
  </label>
{/snippet}

<div class="grid grid-cols-2 gap-x-3 pb-1" data-testid="about">
  <Word
    label="for"
    value={facts.setting.occasion}
    choices={occasions}
    usual="any occasion"
    onchange={(word) => worn({ occasion: word as Setting["occasion"] })}
  />
  <Word
    label="code"
    value={facts.setting.code}
    choices={codes}
    usual="as the occasion asks"
    onchange={(word) => worn({ code: word as Setting["code"] })}
  />
  <label class="flex items-baseline gap-1.5">
    <span class="shrink-0 text-xs text-bark">air, {degrees(studio.unit)}</span>
    <input
      class="field min-w-0"
      inputmode="numeric"
      autocomplete="off"
      data-said={facts.setting.celsius === null || facts.setting.celsius === undefined ? "false" : "true"}
      aria-invalid={airTrouble ? "true" : undefined}
      aria-describedby={airTrouble ? "air-trouble" : undefined}
      value={air ??
        (facts.setting.celsius === null || facts.setting.celsius === undefined
          ? ""
          : inScale(facts.setting.celsius, studio.unit))}
      oninput={(event) => (air = event.currentTarget.value)}
      onblur={acceptAir}
      onkeydown={(event) => event.key === "Enter" && acceptAir()}
    />
  </label>
  <label class="flex min-h-8 items-center gap-2">
    <input
      type="checkbox"
      class="size-4"
      checked={facts.setting.rain}
      onchange={(event) => worn({ rain: event.currentTarget.checked })}
    />
    rain
  </label>
  {#if airTrouble}<p id="air-trouble" role="alert" class="col-span-2 text-sm text-madder">
      {airTrouble}
    </p>{/if}
  <label class="line">
    <span>tags</span>
    <input
      class="field"
      placeholder="with commas between"
      autocomplete="off"
      data-said={facts.tags.length ? "true" : "false"}
      value={facts.tags.join(", ")}
      onchange={(event) => tag(event.currentTarget.value)}
    />
  </label>
  {#each LINES as one (one[0])}{@render line(one)}{/each}
  <div class="col-span-2 mt-1 flex items-center gap-1" role="group" aria-label="How the look stands">
    {#each STANDINGS as [standing, word] (standing)}
      <button
        class="press min-h-7 px-2 py-0 text-sm"
        aria-pressed={facts.standing === standing}
        data-standing={standing || "open"}
        onclick={() => draft.say({ standing }, "how the look stands")}>{word}</button
      >
    {/each}
  </div>
  {#if facts.standing === "rejected"}
    {@render line(WHY_NOT)}
  {/if}
  {#each facts.liked as one (one.rule)}
    <div class="col-span-2 mt-1 flex flex-wrap items-baseline gap-x-2 text-sm" data-liked={one.rule}>
      <span class="min-w-0 grow">Liked all the same: <em>{titleOf(one.rule)}</em></span>
      <select
        class="field w-auto"
        aria-label="Who likes it"
        value={one.who}
        onchange={(event) => exception(one.rule, { who: event.currentTarget.value as "client" | "stylist" })}
      >
        <option value="client">the client</option>
        <option value="stylist">the stylist</option>
      </select>
      <button class="quiet" onclick={() => draft.like(one.rule, titleOf(one.rule))}>No longer</button>
      <textarea
        class="field resize-none"
        rows="1"
        aria-label="Why it is liked"
        placeholder="why"
        maxlength={MOST}
        value={one.why}
        oninput={(event) => exception(one.rule, { why: event.currentTarget.value })}></textarea>
    </div>
  {/each}
  <div class="col-span-2 mt-1.5 border-t border-grain pt-1 text-sm">
    {#if draft.variantOf}
      <p>
        {facts.variant ? VARIANTS[facts.variant] : "a variant"} of
        <em>{origin?.name || "a look that was removed"}</em>
      </p>
    {/if}
    <div class="flex flex-wrap gap-x-1">
      {#each VARY as [variant, word] (variant)}
        <button class="quiet" disabled={!draft.list.length} data-vary={variant} onclick={() => vary(variant)}
          >{word}</button
        >
      {/each}
    </div>
  </div>
</div>

<style>
  .line {
    grid-column: span 2;
    display: flex;
    align-items: baseline;
    gap: 0.4rem;
  }
  .line span {
    flex: none;
    width: 3.6rem;
    font-size: var(--text-xs);
    color: var(--color-bark);
  }
  /* A note grows with what is written in it. */
  textarea {
    field-sizing: content;
    max-height: 9rem;
  }
</style>
