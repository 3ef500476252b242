<script lang="ts">
  /** The studio's size charts: what makers say their labels stand for. */
  import { onMount } from "svelte";
  import { api, ask, type Schemas } from "$lib/api/client";
  import Chart from "$lib/charts/Chart.svelte";
  import TableSheet from "$lib/records/TableSheet.svelte";
  import { studio } from "$lib/studio.svelte";
  import Header from "$lib/ui/Header.svelte";
  import { notice } from "$lib/ui/notice.svelte";

  const EXAMPLE =
    "maker,product,piece,cut,of,size,waist (cm),hip (cm),inseam (in)\nAlderlane,Orchard,jeans,straight,garment,40,82,101,30\nAlderlane,Orchard,jeans,straight,garment,42,86,105,30";
  let charts = $state.raw<Schemas["ChartOut"][] | null>(null);
  let trouble = $state<string | null>(null);
  let sought = $state("");
  let text = $state("");
  const shown = $derived(
    (charts ?? []).filter((chart) =>
      `${chart.maker} ${chart.product} ${chart.title}`
        .toLocaleLowerCase()
        .includes(sought.toLocaleLowerCase()),
    ),
  );
  onMount(() => void load());

  async function load() {
    const told = await ask(api.GET("/api/charts"));
    trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) charts = told.data.charts;
  }

  async function fromShops() {
    const told = await ask(api.GET("/api/charts/shop"));
    trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) text = told.data.text;
  }

  async function remove(chart: Schemas["ChartOut"]) {
    const params = { path: { chart_id: chart.id ?? "" } };
    const told = await ask(api.DELETE("/api/charts/{chart_id}", { params }));
    if ("refusal" in told) trouble = told.refusal.message;
    await load();
    const back = async () => {
      await ask(api.POST("/api/charts/{chart_id}/restore", { params }));
      await load();
    };
    notice.say(`The chart of ${chart.maker} is taken away.`, { name: "Undo", run: () => void back() });
  }
</script>

<svelte:head><title>Size charts · Basilwood</title></svelte:head>
<div class="flex min-h-dvh flex-col">
  <Header />
  <main
    class="mx-auto grid w-full max-w-6xl grow content-start gap-x-10 gap-y-6 px-5 py-7 lg:grid-cols-[1fr_24rem]"
  >
    <section aria-labelledby="charts">
      <div class="flex flex-wrap items-end gap-x-6 gap-y-2 border-b-2 border-walnut pb-2">
        <h1 id="charts" class="heading text-3xl">Size charts</h1>
        <label class="w-48 text-sm text-bark"
          >Find<input type="search" class="field text-walnut" bind:value={sought} /></label
        >
        <a class="press ml-auto text-sm" href="/api/charts/table?unit={studio.unit}" download
          >All as a table</a
        >
      </div>
      {#if trouble}<p role="alert" class="mt-2 text-madder">{trouble}</p>{/if}
      {#if !charts}<p role="status" class="py-4 text-bark">Unfolding the charts…</p>
      {:else if !charts.length}
        <p class="py-4">No chart is kept yet. Paste a maker’s table, or take over what the shops publish.</p>
      {:else if !shown.length}<p class="py-4">No chart of {charts.length} is like that.</p>{/if}
      <ul>
        {#each shown as chart (chart.id)}
          <li class="border-b border-grain py-2" data-chart="{chart.maker} {chart.product}">
            <Chart {chart}>
              <button class="quiet text-sm" onclick={() => void remove(chart)}>Take away</button>
            </Chart>
          </li>
        {/each}
      </ul>
    </section>
    <section aria-labelledby="charts-in">
      <h2 id="charts-in" class="heading text-xl">Charts from a table</h2>
      <p class="mt-1 text-sm text-bark">
        One row a size: maker, product, piece, size, then words and figures with their unit. “of” says whose
        figures they are: the garment’s, or the body’s that the size is cut for.
      </p>
      <button class="press mt-2 text-sm" onclick={() => void fromShops()}>Bring the shops’ charts</button>
      <TableSheet
        example={EXAMPLE}
        thing="chart"
        bind:text
        onchange={() => void load()}
        preview={(given) => ask(api.POST("/api/charts/table/preview", { body: { text: given } }))}
        keep={(given) => ask(api.POST("/api/charts/table", { body: { text: given } }))}
      >
        {#snippet rows(table: Schemas["ChartTableOut"])}
          <ul class="text-sm">
            {#each table.rows as chart (chart.maker + chart.product)}
              <li class="border-b border-dashed border-rule py-0.5">
                {chart.maker}
                {chart.product}: {chart.title}, {chart.sizes.length}
                {chart.sizes.length === 1 ? "size" : "sizes"}{chart.replaces
                  ? "; takes the place of the one kept"
                  : ""}
              </li>
            {/each}
          </ul>
        {/snippet}
      </TableSheet>
    </section>
  </main>
</div>
