<script lang="ts">
  /** A letter to the client: sent where a mail server is set, else taken away as a file. */
  import { untrack } from "svelte";
  import { day } from "../units";
  import type { Hand } from "./hand.svelte";

  const { hand, name, house }: { hand: Hand; name: string; house: string } = $props();
  $effect(() => untrack(() => void hand.loadLetters()));
  let to = $state("");
  let subject = $state("Your outfits");
  let text = $state("");
  let withBook = $state(false);
  let wrong = $state<string | null>(null);
  let busy = $state(false);
  $effect(() => {
    // The last address is proposed; what is typed stays.
    const last = hand.letters?.letters[0]?.to;
    untrack(() => (to ||= last ?? ""));
  });
  $effect(() => {
    const address = hand.made?.address;
    untrack(() => {
      if (text) return;
      const page = address ? `\n\nYour page: ${address}` : "";
      text = `Dear ${name.split(" ")[0]},\n\nhere are your outfits.${page}\n\n${house}`;
    });
  });

  async function write(send: boolean) {
    busy = true;
    wrong = await hand.send({ to, subject, text, with_book: withBook, send });
    busy = false;
  }
</script>

<div class="two">
  <form
    class="max-w-xl space-y-3"
    onsubmit={(event) => {
      event.preventDefault();
      void write(Boolean(hand.letters?.can_send));
    }}
  >
    <h2 class="heading text-2xl">Letter</h2>
    <label class="block text-xs text-bark"
      >to<input
        class="field text-base text-walnut"
        type="email"
        required
        maxlength="254"
        bind:value={to}
      /></label
    >
    <label class="block text-xs text-bark"
      >about<input class="field text-base text-walnut" required maxlength="120" bind:value={subject} /></label
    >
    <label class="block text-xs text-bark"
      >text<textarea class="field text-base text-walnut" rows="9" maxlength="4000" bind:value={text}
      ></textarea></label
    >
    <label class="flex min-h-8 items-center gap-1.5 text-sm"
      ><input type="checkbox" bind:checked={withBook} />with the book that was made last</label
    >
    {#if wrong}<p role="alert" class="text-madder">{wrong}</p>{/if}
    <div class="flex flex-wrap gap-3">
      {#if hand.letters?.can_send}<button class="press" data-main disabled={busy}
          >{busy ? "Sending…" : "Send"}</button
        >{/if}
      <button class="press" type="button" disabled={busy || !to} onclick={() => void write(false)}
        >Lay it ready as a file</button
      >
    </div>
  </form>
  <section aria-label="Letters to {name}">
    <h3 class="heading border-b-2 border-walnut pb-1 text-lg">Letters</h3>
    {#if hand.letters && !hand.letters.letters.length}<p class="py-2 text-sm text-bark">None yet.</p>{/if}
    <ul class="text-sm">
      {#each hand.letters?.letters ?? [] as letter (letter.id)}
        <li
          class="flex flex-wrap items-baseline justify-between gap-2 border-b border-dashed border-rule py-1"
        >
          <span
            >{letter.subject}<span class="text-bark">, to {letter.to}, {day(letter.at)} by {letter.by}</span
            ></span
          >
          <a class="quiet" href="/api/letters/{letter.id}/letter.eml" download>take it away</a>
        </li>
      {/each}
    </ul>
  </section>
</div>
