<script lang="ts">
  /** What changed between two sessions, what that makes doubtful, and each measure over time. */
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { day, figure, length } from "../units";
  import Trend from "./Trend.svelte";

  interface Props {
    compared: Schemas["ComparisonOut"] | null;
    sessions: Schemas["PastSession"][];
  }
  const { compared, sessions }: Props = $props();
  const changed = $derived(compared?.changes.filter((change) => change.beyond_noise) ?? []);
  const steady = $derived(compared?.changes.filter((change) => !change.beyond_noise) ?? []);
  const last = $derived(sessions[0]);
  const first = $derived(sessions.at(-1));
  const counts = $derived.by(() => {
    const found = new Map<string, number>();
    for (const session of sessions)
      for (const one of session.figures) found.set(one.measure, (found.get(one.measure) ?? 0) + 1);
    return found;
  });
  const plotted = $derived([...changed, ...steady].filter((change) => (counts.get(change.measure) ?? 0) > 1));
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<!-- It scrolls and holds no control: the keyboard reaches it all the same. -->
<section class="h-full space-y-4 overflow-y-auto px-4 py-3" aria-label="Changes" tabindex="0">
  {#if studio.turned}
    <p>
      {changed.length
        ? "Some lines have moved since last time; the plan moves with them."
        : "The lines are where they were."}
    </p>
  {:else if compared}
    <div>
      <h2 class="heading text-lg">
        {changed.length ? "Changed beyond noise" : "Nothing changed beyond noise"}
      </h2>
      <ul data-testid="changed">
        {#each changed as change (change.measure)}
          <li class="flex items-baseline gap-2 border-b border-chalk py-0.5">
            <span class="grow first-letter:uppercase">{change.label}</span>
            <span class="text-sm text-bark"
              >{figure(change.before, studio.unit)} → {figure(change.after, studio.unit)}</span
            >
            <span class="w-20 text-right font-semibold text-chalk"
              >{change.cm > 0 ? "+" : ""}{length(change.cm, studio.unit)}</span
            >
          </li>
        {/each}
      </ul>
      {#if steady.length}
        <p class="mt-1 text-sm text-bark">
          Within what tape and hand explain: {steady.map((change) => change.label).join(", ")}.
        </p>
      {/if}
    </div>
    {#if compared.doubtful.length}
      <div>
        <h2 class="heading">Not taken again, and doubtful now</h2>
        <ul class="text-sm">
          {#each compared.doubtful as one (one.measure)}
            <li class="border-b border-dashed border-rule py-0.5">
              <span class="inline-block first-letter:uppercase">{one.label}</span>, since the {one.because} moved:
              was {length(one.held_cm, studio.unit)}, likely about {length(one.expected_cm, studio.unit)}.
            </li>
          {/each}
        </ul>
      </div>
    {/if}
    {#if plotted.length}
      <div>
        <h2 class="heading">Over time</h2>
        {#if first && last}<p class="text-xs text-bark">{day(first.on)} to {day(last.on)}</p>{/if}
        <div class="mt-1 space-y-3">
          {#each plotted as change (change.measure)}<Trend
              measure={change.measure}
              label={change.label}
              {sessions}
            />{/each}
        </div>
      </div>
    {/if}
  {:else}
    <p class="text-sm text-bark">With two sessions of the same measures, what changed stands here.</p>
  {/if}
</section>
