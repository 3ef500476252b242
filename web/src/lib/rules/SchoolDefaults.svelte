<script lang="ts">
  /** Where practitioners differ: the position this house takes, and what the other would change. */
  import { said } from "../units";
  import Effect from "./Effect.svelte";
  import type { HouseRules, Ways } from "./rules.svelte";

  interface Props {
    house: HouseRules;
    ontake: (ways: Partial<Ways>, what: string) => void;
  }
  const { house, ontake }: Props = $props();
  const taken = (school: string, usual: string | undefined) => house.ways.schools[school] ?? usual;
  const of = (school: string, position: string) => `${school}: ${position}`;
</script>

<section aria-labelledby="s-schools" class="mt-5">
  <h2 id="s-schools" class="heading text-lg">Where stylists differ</h2>
  <p class="text-sm text-bark">
    The view this house takes; a client may have their own. Press another to see what it would change.
  </p>
  <ul>
    {#each house.schools as school (school.id)}
      <li class="border-b border-grain py-1.5" data-school={school.id}>
        <div class="flex flex-wrap items-baseline gap-x-3">
          <p class="min-w-0 grow">
            {school.asks}
            <span class="text-sm text-bark"
              >{school.answers[taken(school.id, school.positions[0]) ?? ""]}</span
            >
          </p>
          {#each school.positions as position (position)}
            {@const here = taken(school.id, school.positions[0]) === position}
            <button
              class="press min-h-7 px-2 py-0 text-sm"
              aria-pressed={here}
              disabled={here}
              aria-expanded={here ? undefined : house.proposed?.of === of(school.id, position)}
              onclick={() =>
                void house.propose(of(school.id, position), {
                  schools: { ...house.ways.schools, [school.id]: position },
                })}>{said(position)}</button
            >
          {/each}
        </div>
        {#each school.positions as position (position)}
          {#if house.proposed?.of === of(school.id, position)}
            {@const ways = house.proposed.ways}
            <div class="mt-1 border-l-2 border-dashed border-rule pl-3 text-sm">
              <p class="font-semibold">{school.answers[position]}</p>
              <Effect effect={house.effect} change="With “{said(position)}”" />
              <button
                class="press mt-1 min-h-7 px-2 py-0 text-sm"
                onclick={() => ontake(ways, `The house’s view now: ${said(position)}.`)}
                >Take this view</button
              >
            </div>
          {/if}
        {/each}
      </li>
    {/each}
  </ul>
</section>
