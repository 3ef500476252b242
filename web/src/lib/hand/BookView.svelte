<script lang="ts">
  /** The book and the cards as PDF, and the tailor's sheet. */
  import Working from "../edit/Working.svelte";
  import type { Hand } from "./hand.svelte";
  import PartsField from "./PartsField.svelte";

  const { hand }: { hand: Hand } = $props();
  const LAYOUTS = [
    ["week", "A book, by the days of the week"],
    ["four", "Cards, four to a sheet to cut"],
  ] as const;
  const book = $derived(hand.book.told?.book_id);
</script>

<div class="max-w-2xl">
  <h2 class="heading text-2xl">Book and paper</h2>
  <fieldset class="mt-3 text-sm">
    <legend class="text-xs text-bark">laid out as</legend>
    {#each LAYOUTS as [key, label] (key)}
      <label class="mr-5 inline-flex min-h-8 items-center gap-1.5"
        ><input type="radio" name="layout" value={key} bind:group={hand.layout} />{label}</label
      >
    {/each}
  </fieldset>
  <PartsField {hand} />
  <div class="mt-3 flex flex-wrap items-center gap-3">
    <button class="press" data-main disabled={!hand.chosen.length} onclick={() => void hand.book.ask()}
      >Make the PDF</button
    >
    {#if book}<a class="press" href="/api/books/{book}.pdf" download data-testid="book"
        >Take it away, {hand.book.told?.pages} {hand.book.told?.pages === 1 ? "page" : "pages"}</a
      >{/if}
  </div>
  {#if !hand.chosen.length}<p class="mt-1 text-sm text-bark">
      Make a card first; the book is made of cards.
    </p>{/if}
  {#if hand.book.job || hand.book.trouble}<Working
      work={hand.book}
      what="Making the book"
      testid="book-work"
    />{/if}
  <h3 class="heading mt-8 border-b-2 border-walnut pb-1 text-lg">For the tailor</h3>
  <p class="py-2 text-sm text-bark">
    Each piece that is to be altered, with the mark where and by how much. No measure of the client stands on
    it.
  </p>
  <a class="press" href="/api/clients/{hand.clientId}/tailor.pdf" download>The tailor’s sheet</a>
</div>
