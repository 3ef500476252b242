<script lang="ts">
  /** Beside the figure: how the measure at hand is taken, what the tape says, what to take next. */
  import { studio } from "../studio.svelte";
  import { figure, length } from "../units";
  import type { Measuring } from "./measuring.svelte";

  const { measuring }: { measuring: Measuring } = $props();
  const card = $derived(measuring.cards.get(measuring.active));
  const row = $derived(measuring.rows.get(measuring.active));
  const tape = $derived(measuring.tape);
  const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", year: "numeric" });
  const ORIGINS: Record<string, string> = {
    measured: "Measured once",
    repeated: "Measured, readings agree",
    carried: "Carried over",
    aged: "Older than six months: measure again",
    said: "The client’s own word",
    estimated: "Estimated from what is measured",
  };
  const STATES = {
    none: "",
    reaching: "Looking for the tape…",
    connected: "Tape connected",
    lost: "Tape out of reach; it keeps what it reads",
  };
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<!-- It scrolls and may hold no control: the keyboard reaches it all the same. -->
<section aria-label="How it is taken" class="h-full space-y-4 overflow-y-auto px-4 py-3" tabindex="0">
  {#if card}
    <section aria-labelledby="card-title">
      <h2 id="card-title" class="heading text-xl first-letter:uppercase">{card.label}</h2>
      <dl class="mt-1 space-y-1.5">
        <div>
          <dt class="term">The tape</dt>
          <dd>{card.tape}</dd>
        </div>
        <div>
          <dt class="term">The client</dt>
          <dd>{card.client}</dd>
        </div>
        <div>
          <dt class="term">Goes wrong</dt>
          <dd>{card.slip}</dd>
        </div>
        {#if card.sided && measuring.session}<div>
            <dt class="term">Side</dt>
            <dd>The {measuring.session.side} one.</dd>
          </div>{/if}
      </dl>
    </section>
  {/if}
  {#if row && !studio.turned}
    <section aria-label="What is known" class="border-t border-grain pt-2">
      <p>
        <span class={row.known.settled ? "font-semibold text-chalk" : ""}
          >{length(row.known.cm, studio.unit)}</span
        >, four of five times {figure(row.known.low, studio.unit)} to {length(row.known.high, studio.unit)}.
      </p>
      <p class="text-sm text-bark">
        {ORIGINS[row.known.origin]}{row.taken_on ? `, ${day.format(new Date(row.taken_on))}` : ""}.
        {#if row.last}Last session {length(row.last.cm, studio.unit)}.{/if}
      </p>
    </section>
  {/if}
  {#if measuring.session}
    <section
      aria-label="Tape"
      class="border-t border-grain pt-2"
      data-testid="tape"
      data-state={tape?.state ?? "none"}
    >
      {#if tape}
        <p class="flex items-baseline gap-2">
          <span class="stitch {tape.state}" aria-hidden="true"></span>
          <span class="grow">{STATES[tape.state]}</span>
          <span class="text-sm text-bark">{tape.unit}</span>
          {#if tape.battery !== null}
            <span class="text-sm {tape.battery <= 15 ? 'font-semibold text-madder' : 'text-bark'}">
              {tape.battery <= 15 ? "running low, " : ""}{tape.battery} %
            </span>
          {/if}
        </p>
        <p class="mt-1 text-3xl" aria-hidden="true">{tape.live ?? "·"}</p>
        <button class="press text-sm" onclick={() => tape.read()} disabled={tape.state !== "connected"}>
          Read the tape <span class="key">Space</span>
        </button>
        {#if tape.waiting.length > 1}
          <p class="mt-1 text-sm">{tape.waiting.length - 1} more readings wait for an answer.</p>
        {/if}
      {:else}
        <p class="text-sm text-bark">No tape here; type what the tape says.</p>
      {/if}
    </section>
    <p class="border-t border-grain pt-2 text-sm text-bark">
      <span class="key">Enter</span> keeps · <span class="key">R</span> last again ·
      <span class="key">S</span>
      skips ·
      <span class="key">W</span> own word · <span class="key">↑↓</span> moves
    </p>
  {/if}
  {#if measuring.worths.length && !studio.turned}
    <section aria-labelledby="next-title" class="border-t border-grain pt-2">
      <h2 id="next-title" class="heading">Would settle most</h2>
      <ol class="mt-1 space-y-1">
        {#each measuring.worths.slice(0, 4) as worth (worth.measure)}
          <li>
            <button class="w-full text-left hover:bg-sheet" onclick={() => measuring.go(worth.measure)}>
              <span class="font-semibold first-letter:uppercase inline-block">{worth.label}</span>
              <span class="block text-sm text-bark">{worth.text}</span>
            </button>
          </li>
        {/each}
      </ol>
    </section>
  {/if}
</section>

<style>
  .term {
    font-size: var(--text-xs);
    color: var(--color-bark);
  }
  .stitch {
    width: 1.6rem;
    border-bottom: 2.5px dashed var(--color-rule);
    align-self: center;
  }
  .stitch.connected {
    border-bottom: 2.5px solid var(--color-chalk);
  }
  .stitch.lost {
    border-bottom-color: var(--color-madder);
  }
</style>
