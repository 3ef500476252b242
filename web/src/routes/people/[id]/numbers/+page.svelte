<script lang="ts">
  /** The shopping numbers for a phone in a shop and for one sheet of paper. */
  import { poor, grouped, range } from "$lib/shop/range";
  import { studio } from "$lib/studio.svelte";
  import type { PageProps } from "./$types";

  const { data }: PageProps = $props();
  const today = new Intl.DateTimeFormat("en-GB", { dateStyle: "long" }).format(new Date());
  const groups = $derived(grouped(data.numbers.numbers));
</script>

<svelte:head><title>Shopping numbers · {data.numbers.client} · Basilwood</title></svelte:head>
<main class="sheet mx-auto max-w-5xl px-4 py-4">
  <p class="screen mb-3 flex gap-3 text-sm">
    <a class="quiet" href="/people/{data.id}#shop">Back to {data.numbers.client}</a>
    {#if studio.may("hand_out")}<a
        class="press ml-auto"
        href="/api/clients/{data.id}/shopping/sheet.pdf"
        target="_blank">One sheet, PDF</a
      >{/if}
    <button class="press" onclick={() => print()}>Print</button>
  </p>
  <h1 class="heading text-2xl">Shopping numbers for {data.numbers.client}</h1>
  <p class="text-sm text-bark">
    {studio.me?.studio.name}, {today}. Solid: from the tape. Dashed: estimated. Lengths lie flat; girths go
    all round.
  </p>
  <div class="groups mt-3">
    {#each groups as [group, numbers] (group)}
      <section aria-label={group}>
        <h2 class="heading border-b-2 border-walnut text-lg">{group}</h2>
        <table class="w-full text-sm">
          <thead class="sr-only"><tr><th>What</th><th>Look for</th></tr></thead>
          <tbody>
            {#each numbers as number (number.name + number.worn)}
              <tr
                class="border-b align-baseline {number.settled
                  ? 'border-solid border-chalk'
                  : 'border-dashed border-rule'}"
              >
                <th scope="row" class="py-0.5 pr-2 text-left font-normal">
                  {number.name.charAt(0).toUpperCase()}{number.name.slice(1)}{#if number.worn}<span
                      class="text-bark">, {number.worn}</span
                    >{/if}{#if number.serves}<span class="block text-xs text-leaf">{number.serves}</span>{/if}
                </th>
                <td class="py-0.5 text-right whitespace-nowrap">
                  <span class={number.settled ? "font-semibold" : ""}
                    >{range(number.low, number.high, studio.unit)}</span
                  >
                  {#if poor(number, studio.unit)}<span class="block text-xs">{poor(number, studio.unit)}</span
                    >{/if}
                </td>
              </tr>
            {/each}
          </tbody>
        </table>
      </section>
    {/each}
  </div>
</main>

<style>
  .groups {
    columns: 20rem;
    column-gap: 2rem;
  }
  section {
    break-inside: avoid;
    margin-bottom: 1rem;
  }
  @media print {
    @page {
      margin: 12mm;
    }
    :global(html) {
      background: none;
      font-size: 10.5px;
    }
    .screen {
      display: none;
    }
    .sheet {
      max-width: none;
      padding: 0;
    }
    .groups {
      columns: 2;
    }
    section {
      margin-bottom: 0.6rem;
    }
  }
</style>
