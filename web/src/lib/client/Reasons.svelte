<script lang="ts">
  import type { Assessment, Finding } from "../api/client";
  import { apart, useScale } from "../figure/scale.svelte";
  import { studio } from "../studio.svelte";
  import Mark from "../ui/Mark.svelte";

  interface Props {
    assessment: Assessment;
    onmend: (finding: Finding) => void;
    /** Somebody likes it so all the same, or no longer; where the look can be changed here. */
    onlike?: (finding: Finding) => void;
    /** The rule is no longer asked of this client; and who that is. */
    onleave?: (finding: Finding) => void;
    forename?: string;
    /** A hem is in the hand: what would mend it is not known until it rests. */
    moving?: boolean;
  }
  const { assessment, onmend, onlike, onleave, forename = "this client", moving = false }: Props = $props();
  const scale = useScale();

  // With a client beside you only what is good is said.
  const shown = $derived(
    assessment.findings
      .filter((finding) => !studio.turned || finding.stance === "for")
      .toSorted((a, b) => b.height - a.height),
  );
  const first = $derived(assessment.findings.find((finding) => finding.mend));
  /** Each reason's height by what it says: it keeps it when others come before it. */
  let heights = $state<Record<string, number>>({});
  const idOf = (finding: Finding) => finding.rule + finding.code;
  let opened = $state<Record<string, boolean>>({});
  const isOpen = (finding: Finding) =>
    opened[finding.rule + finding.code] ??
    (finding.stance === "caution" || assessment.leading.includes(finding.title));

  /** What is liked leaves the leading reasons; it stays open, so that it can be taken back where it was said. */
  function like(finding: Finding) {
    opened[idOf(finding)] = true;
    onlike?.(finding);
  }

  /** In words alone: with a client beside you no figure is said. */
  const plain = (text: string) => (studio.turned && /\d/.test(text) ? "" : text);
  /** The reason in hand; its line alone is drawn strong. */
  let pointed = $state<string | null>(null);

  const GUTTER = 26;
  const wanted = $derived(shown.map((finding) => scale.y(finding.height)));
  const tops = $derived(
    apart(
      wanted,
      shown.map((finding) => heights[idOf(finding)] ?? 44),
      scale.height,
      6,
    ),
  );
  const full = $derived(
    Math.max(scale.height, ...shown.map((finding, i) => (tops[i] ?? 0) + (heights[idOf(finding)] ?? 44))),
  );
</script>

<section aria-label="Reasons" class="relative h-full overflow-x-hidden overflow-y-auto" tabindex="-1">
  <svg class="absolute top-0 left-0" width={GUTTER} height={full} aria-hidden="true">
    {#each shown as finding, i (finding.rule + finding.code)}
      <path
        class="lead"
        class:here={pointed === idOf(finding)}
        class:led={assessment.leading.includes(finding.title) && scale.shows(finding.height)}
        d="M0 {wanted[i]}H5L{GUTTER - 8} {(tops[i] ?? 0) + 13}H{GUTTER - 3}"
      />
    {/each}
  </svg>
  <ul style:height="{full}px" class="relative">
    {#each shown as finding, i (finding.rule + finding.code)}
      <li
        class="absolute right-0 left-[26px] pr-3"
        style:top="{tops[i] ?? 0}px"
        bind:clientHeight={heights[idOf(finding)]}
        data-rule={finding.rule}
        data-stance={finding.stance}
        onpointerenter={() => (pointed = idOf(finding))}
        onpointerleave={() => (pointed = null)}
        onfocusin={() => (pointed = idOf(finding))}
        onfocusout={() => (pointed = null)}
      >
        <button
          class="flex min-h-[26px] w-full items-baseline gap-1.5 text-left font-semibold"
          aria-expanded={isOpen(finding)}
          onclick={() => (opened[finding.rule + finding.code] = !isOpen(finding))}
        >
          <span class="translate-y-0.5"><Mark of={finding.stance} /></span>
          <span class="sr-only">{finding.stance}:</span>
          <span class={finding.outranked ? "text-bark line-through decoration-1" : ""}>{finding.title}</span>
        </button>
        {#if isOpen(finding)}
          {#if plain(finding.text)}<p class="pl-[21px] text-sm leading-snug">{plain(finding.text)}</p>{/if}
          {#if !studio.turned}
            <p class="pl-[21px] text-xs text-bark">
              {[finding.figure, finding.school].filter(Boolean).join(" · ")}
            </p>
          {/if}
          {#if finding.mend && !studio.turned}
            <button
              class="mend quiet ml-[21px] text-left text-sm text-leaf"
              class:invisible={moving}
              onclick={() => onmend(finding)}
            >
              Mend: {finding.mend.text}
              {#if finding === first}<span class="key letter">M</span>{/if}
            </button>
          {/if}
          {#if onlike && !studio.turned && (finding.stance === "against" || finding.liked)}
            <p class="pl-[21px] text-sm">
              {#if finding.liked}
                {finding.outranked
                  ? "Liked all the same: it does not count."
                  : "Liked all the same; this house is strict."}
              {/if}
              <button class="mend quiet text-left" onclick={() => like(finding)}>
                {finding.liked ? "No longer" : "Liked all the same"}
              </button>
              {#if onleave && !finding.liked}
                <button class="mend quiet text-left" onclick={() => onleave(finding)}
                  >Never for {forename}</button
                >
              {/if}
            </p>
          {/if}
        {/if}
      </li>
    {/each}
  </ul>
</section>

<style>
  .lead {
    fill: none;
    stroke: var(--color-rule);
    stroke-width: 1;
    opacity: 0;
  }
  /* Only what leads is tied to its place, and what is pointed at: more lines than that are a tangle. */
  .lead.led {
    opacity: 1;
  }
  .lead.here {
    stroke: var(--color-leaf);
    stroke-width: 1.6;
    opacity: 1;
  }
  /* Below the picture and on paper the reasons are a list of their own. */
  @media (max-width: 43.75em), print {
    .lead {
      display: none;
    }
  }
  .mend {
    min-height: 26px;
    padding: 0;
  }
  @media (pointer: coarse) {
    .mend {
      min-height: 44px;
    }
  }
</style>
