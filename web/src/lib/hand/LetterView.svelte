<script lang="ts">
  /** A letter to the client: sent where a mail server is set, else taken away as a file. */
  import { untrack } from "svelte";
  import type { Schemas } from "../api/client";
  import { clockOf } from "../diary/times";
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

  // While a letter is on its way, what became of it is asked for: soon, or where the mail server is away, now and then.
  $effect(() => {
    const waiting = hand.letters?.letters.filter((letter) => letter.state === "waiting") ?? [];
    if (!waiting.length) return;
    const soon = waiting.some((letter) => !letter.again_at);
    const asking = setTimeout(() => void hand.loadLetters(), soon ? 2000 : 30_000);
    return () => clearTimeout(asking);
  });

  /** How far a letter is, in words. */
  function way(letter: Schemas["LetterOut"]): string {
    const said = letter.answer || "the mail server did not answer";
    if (letter.again_at)
      return `Not taken yet (${said}); it is tried again on ${day(letter.again_at)} at ${clockOf(letter.again_at)}.`;
    const words: Record<string, string> = {
      waiting: "On its way.",
      sent: "Sent.",
      refused: `Not sent: ${said}.`,
      stopped: "Stopped before it went.",
    };
    return words[letter.state] ?? "Laid ready as a file.";
  }

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
        <li class="border-b border-dashed border-rule py-1">
          <p>
            {letter.subject}<span class="text-bark">, to {letter.to}, {day(letter.at)} by {letter.by}</span>
          </p>
          <p class="flex flex-wrap items-baseline gap-x-3">
            <span
              class={["grow", letter.state === "refused" ? "text-madder" : "text-bark"]}
              data-state={letter.state}>{way(letter)}</span
            >
            {#if letter.state === "waiting"}
              <button class="quiet" onclick={() => void hand.post(letter.id, false)}>stop it</button>
            {/if}
            {#if letter.again_at || letter.state === "refused" || letter.state === "stopped"}
              <button class="quiet" onclick={() => void hand.post(letter.id, true)}>send it now</button>
            {/if}
            <a class="quiet" href="/api/letters/{letter.id}/letter.eml" download>take it away</a>
          </p>
        </li>
      {/each}
    </ul>
  </section>
</div>
