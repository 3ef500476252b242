<script lang="ts">
  /** How long clients are kept without being seen, and what was erased. */
  import Erasures from "../records/Erasures.svelte";
  import { studio } from "../studio.svelte";

  let trouble = $state<string | null>(null);
  const YEARS = [1, 2, 3, 5, 7, 10];

  async function keep(years: number) {
    const refusal = await studio.change({ keep_years: years });
    trouble = refusal?.message ?? null;
  }
</script>

<section class="mt-5" aria-labelledby="long">
  <h2 id="long" class="heading text-xl">How long a client is kept</h2>
  <label class="mt-2 flex flex-wrap items-center gap-2">
    After
    <select
      class="field w-auto"
      aria-label="Years without a visit"
      value={String(studio.me?.studio.keep_years)}
      onchange={(event) => void keep(Number(event.currentTarget.value))}
    >
      {#each YEARS as years (years)}<option value={String(years)}
          >{years === 1 ? "1 year" : `${years} years`}</option
        >{/each}
    </select>
    without a visit, Due asks whether to keep them or to erase them.
  </label>
  <p class="mt-1 text-sm text-bark">Nobody is erased by themselves: you decide, under their Records.</p>
  {#if trouble}<p class="text-madder" role="alert">{trouble}</p>{/if}
</section>
<section class="mt-8" aria-labelledby="proofs">
  <h2 id="proofs" class="heading mb-2 text-xl">Proofs of erasure</h2>
  <Erasures />
</section>
