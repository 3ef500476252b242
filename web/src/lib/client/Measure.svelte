<script lang="ts">
  import type { Desk } from "./desk.svelte";
  import MeasureField from "./MeasureField.svelte";

  const { desk }: { desk: Desk } = $props();
  /** The five that settle most of what follows, in the order the tape takes them. */
  const FIVE = ["stature", "bust", "waist", "hip", "crotch_height"];
  const GROUPS = [
    ["height", "Heights from the floor"],
    ["girth", "Girths"],
    ["breadth", "Breadths"],
    ["length", "Along the body"],
  ] as const;

  const byName = $derived(new Map(desk.measures.map((measure) => [measure.name, measure])));
  const five = $derived(FIVE.flatMap((name) => byName.get(name) ?? []));
  const estimates = $derived(
    new Map(
      [...(desk.assessment?.landmarks ?? []), ...(desk.assessment?.girths ?? [])].map(
        (q) => [q.name, q] as const,
      ),
    ),
  );
  const groups = $derived(
    GROUPS.map(([kind, name]) => {
      const all = desk.measures.filter((measure) => measure.kind === kind && !FIVE.includes(measure.name));
      return {
        name,
        measures: kind === "height" ? all.toReversed() : all,
        taken: all.filter((measure) => desk.readings[measure.name]).length,
      };
    }),
  );
</script>

<div>
  <p class="mb-2 text-sm text-bark">
    Type either unit: 82.5, 32 1/2in, 5ft 4. Enter keeps it and goes on. Dashed figures are estimates.
  </p>
  <fieldset>
    <legend class="heading mb-1">The five that settle most</legend>
    {#each five as measure (measure.name)}
      <MeasureField {desk} {measure} estimate={estimates.get(measure.name)} />
    {/each}
  </fieldset>
  {#each groups as group (group.name)}
    <details class="mt-3 border-t border-grain pt-2" open={group.taken > 0}>
      <summary class="heading flex min-h-8 cursor-pointer items-baseline justify-between">
        {group.name}
        <span class="text-xs text-bark">{group.taken} of {group.measures.length}</span>
      </summary>
      {#each group.measures as measure (measure.name)}
        <MeasureField {desk} {measure} estimate={estimates.get(measure.name)} />
      {/each}
    </details>
  {/each}
</div>
