<script lang="ts">
  /** The look's name, and what stands in the way of keeping it. */
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { inScale, said, temperature } from "../units";
  import AboutLook from "./AboutLook.svelte";
  import { reads, settingSaid } from "./facts";
  import type { LookTable } from "./table.svelte";

  interface Props {
    table: LookTable;
    words: Schemas["BriefWords"];
    /** What is known of the look can be said here. */
    about: boolean;
  }
  const { table, words, about }: Props = $props();
  const draft = $derived(table.draft);
  let input: HTMLInputElement;
  let open = $state(false);

  const told = $derived(table.assessment);
  const summary = $derived(
    [settingSaid(draft.facts.setting, studio.unit), draft.facts.standing, draft.facts.tags.join(", ")]
      .filter(Boolean)
      .join(" · "),
  );
  const titleOf = (rule: string) =>
    told?.findings.find((finding) => finding.rule === rule)?.title ??
    `${said(rule.replace(".", ", "))} (nothing of it now)`;

  export function focusName() {
    input.focus();
    input.select();
  }
</script>

<section aria-label="Look" class="mb-2 border-b border-grain pb-2">
  <label class="flex items-center gap-2 text-sm text-bark">
    Look
    <input
      bind:this={input}
      class="field heading text-base text-walnut"
      placeholder="Unnamed look"
      autocomplete="off"
      data-said={draft.id ? "true" : "false"}
      aria-invalid={draft.nameTrouble ? "true" : undefined}
      aria-describedby={draft.nameTrouble ? "look-name-trouble" : undefined}
      value={draft.name}
      oninput={(event) => draft.rename(event.currentTarget.value)}
      onkeydown={(event) => {
        if (event.key === "Enter") void draft.keep();
      }}
    />
  </label>
  {#if about}
    <button
      class="flex min-h-7 w-full items-center gap-2 text-left text-sm"
      aria-expanded={open}
      data-testid="about-look"
      onclick={() => (open = !open)}
    >
      <span class="w-3 shrink-0 text-bark" aria-hidden="true">{open ? "▾" : "▸"}</span>
      <span class={summary ? "" : "text-bark"}>{summary || "Where it is worn, notes, variants"}</span>
    </button>
    {#if told && told.formality !== null && told.formality !== undefined && told.at_ease}
      <p
        class="pl-5 text-xs text-bark"
        data-testid="register"
        title="At ease in {temperature(told.at_ease.walking, studio.unit)} walking, {temperature(
          told.at_ease.at_rest,
          studio.unit,
        )} at rest, out of wind and sun"
      >
        Reads {reads(told.formality)}; right for {inScale(told.at_ease.walking, studio.unit)} to
        {temperature(told.at_ease.at_rest, studio.unit)}
      </p>
    {/if}
    {#if open}
      <AboutLook {draft} occasions={words.occasions} codes={words.dress_codes} {titleOf} />
    {/if}
  {/if}
  {#if draft.nameTrouble}
    <p id="look-name-trouble" role="alert" class="text-madder">
      {draft.nameTrouble} Shorten it; it stays here.
    </p>
  {/if}
  {#if draft.saving === "failed"}
    {#if draft.trouble}<p role="alert" class="text-madder">{draft.trouble}</p>{/if}
    <button class="press" onclick={() => void draft.keep()}>Try again</button>
  {/if}
  {#if draft.saving === "conflict"}
    <div
      role="alert"
      class="mt-1 flex flex-wrap items-center gap-2 border-l-4 border-madder py-1 pl-3"
      data-testid="conflict"
    >
      <p>
        {draft.trouble} Yours / theirs:
        <span class="text-sm">{draft.differences().join("; ") || "the same words"}</span>
      </p>
      <button class="press" data-main onclick={() => void draft.keepMine()}>Keep mine</button>
      <button class="press" onclick={() => draft.takeTheirs()}>Take theirs</button>
    </div>
  {/if}
</section>
