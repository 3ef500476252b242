<script lang="ts">
  /** A product description pasted in, the shoe it is tried with, and what was read of it. */
  import BuyOrLeave from "../edit/BuyOrLeave.svelte";
  import { notice } from "../ui/notice.svelte";
  import { studio } from "../studio.svelte";
  import { said, worded } from "../units";
  import { heelsFor } from "./heels";
  import type { Shop } from "./shop.svelte";

  const { shop, clientId }: { shop: Shop; clientId: string } = $props();
  const warnings = $derived([...(shop.placed?.reviews ?? []), ...(shop.placed?.advice ?? [])]);
  const heels = $derived(heelsFor(shop.numbers?.heels ?? true));
  const EXAMPLE = "High-rise straight jeans, 2 % elastane. Front rise 27 cm, inseam 30in, leg opening 19 cm";

  async function hang() {
    const title = await shop.hang();
    if (title) notice.say(`The ${title} hangs on the rack.`);
  }

  function submit(event: SubmitEvent) {
    event.preventDefault();
    void shop.place();
  }
</script>

<form onsubmit={submit}>
  <label class="block">
    <span class="heading text-lg">What the shop says</span>
    <textarea
      class="field mt-1 block resize-y text-sm"
      rows="5"
      maxlength="4000"
      placeholder={EXAMPLE}
      bind:value={shop.text}
      aria-invalid={shop.unread ? "true" : undefined}
      aria-describedby={shop.unread ? "unread" : undefined}
      onkeydown={(event) => {
        if (event.key === "Enter" && !event.shiftKey) {
          event.preventDefault();
          void shop.place();
        }
      }}></textarea>
  </label>
  {#if shop.unread}<p id="unread" role="alert" class="mt-1 text-sm text-madder">{shop.unread}</p>{/if}
  <label class="mt-2 flex items-center gap-2 text-sm">
    Worn with
    <select class="field w-auto" bind:value={shop.heel} onchange={() => void shop.wear()}>
      {#each heels as [name, cm] (cm)}<option value={cm}>{name}</option>{/each}
    </select>
  </label>
  <div class="mt-2 flex flex-wrap gap-2">
    <button class="press" data-main disabled={shop.busy || !shop.text.trim()}
      >Place it <span class="key">Enter</span></button
    >
    {#if shop.placed || shop.text}
      <button class="press" type="button" onclick={() => shop.clear()}>Take it off</button>
    {/if}
    {#if shop.placed}
      <button class="press" type="button" onclick={() => void hang()}>Hang it on the rack</button>
    {/if}
  </div>
</form>
{#if shop.placed && !studio.turned}
  <section class="mt-4" aria-labelledby="read-title">
    <h2 id="read-title" class="heading">Read as {shop.placed.name}</h2>
    <ul class="text-sm">
      {#each shop.placed.read as figure (figure.key)}
        <li class="flex items-baseline gap-2 border-b border-chalk py-0.5">
          <span class="grow first-letter:uppercase">{figure.label}</span>
          <span class="font-semibold text-chalk">
            {worded(figure.key, figure.cm, studio.unit)}
          </span>
          {#if figure.doubled}<span class="text-bark">flat, doubled</span>{/if}
        </li>
      {/each}
    </ul>
    {#if shop.placed.unread.length}
      <p class="mt-1 text-sm text-bark">Not used for this kind: {shop.placed.unread.map(said).join(", ")}.</p>
    {/if}
    {#if warnings.length}
      <ul class="mt-1 text-sm" data-testid="buying" aria-label="Before it is bought">
        {#each warnings as line (line)}<li class="mt-1.5 border-l-2 border-madder pl-2">
            {line}
          </li>{/each}
      </ul>
    {/if}
    <BuyOrLeave {clientId} piece={shop.placed.piece} />
  </section>
{/if}
<p class="mt-5 border-t border-grain pt-3 text-sm">
  <a class="quiet" href="/people/{clientId}/numbers">The numbers for the phone</a>
  {#if studio.may("hand_out")}<a
      class="quiet"
      href="/api/clients/{clientId}/shopping/sheet.pdf"
      target="_blank">One sheet, PDF</a
    >{/if}
</p>
