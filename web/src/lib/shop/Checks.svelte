<script lang="ts">
  /** What a piece does on this body, level with where it does it, and what would mend it by how much. */
  import type { Schemas } from "../api/client";
  import { apart, useScale } from "../figure/scale.svelte";
  import { studio } from "../studio.svelte";
  import FitCheck from "./FitCheck.svelte";

  const { placed }: { placed: Schemas["PlacedOut"] } = $props();
  const scale = useScale();
  // With a client beside you only what is good is said.
  const shown = $derived(placed.checks.filter((check) => !studio.turned || check.stance === "fits"));
  let heights = $state<Record<string, number>>({});
  const wanted = $derived(shown.map((check) => scale.y(check.height)));
  const tops = $derived(
    apart(
      wanted,
      shown.map((check) => heights[check.key] ?? 48),
      scale.height,
      6,
    ),
  );
  const full = $derived(
    Math.max(scale.height, ...shown.map((check, i) => (tops[i] ?? 0) + (heights[check.key] ?? 48))),
  );
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<!-- It scrolls and holds no control: the keyboard reaches it all the same. -->
<section aria-label="Fit" class="relative h-full overflow-x-hidden overflow-y-auto" tabindex="0">
  <svg class="absolute top-0 left-0" width="26" height={full} aria-hidden="true">
    {#each shown as check, i (check.key)}
      <path class="lead" d="M0 {wanted[i]}H5L18 {(tops[i] ?? 0) + 13}H23" />
    {/each}
  </svg>
  <ul style:height="{full}px" class="relative">
    {#each shown as check, i (check.key)}
      <li
        class="absolute right-0 left-[26px] pr-3"
        style:top="{tops[i] ?? 0}px"
        bind:clientHeight={heights[check.key]}
        data-check={check.key}
        data-stance={check.stance}
      >
        <FitCheck {check} />
      </li>
    {/each}
  </ul>
  {#if !placed.checks.length}
    <p class="p-4">Nothing of this says how it would fit yet. With a length, a rise or a girth it does.</p>
  {/if}
</section>

<style>
  .lead {
    fill: none;
    stroke: var(--color-rule);
  }
</style>
