<script lang="ts">
  /** The chosen look: its pieces, each to be asked for, left out or varied; kept, rejected, held up, opened on the table. */
  import { tick } from "svelte";
  import type { Found, Outfits } from "./outfits.svelte";
  import { turned } from "./wish";

  interface Props {
    outfits: Outfits;
    look: Found;
    onopen: () => void;
    onunlike: () => void;
  }
  const { outfits, look, onopen, onunlike }: Props = $props();
  const wish = $derived(outfits.wish);
  let rejecting = $state(false);
  let word = $state("");
  let apart = $state<string[]>([]);
  let input = $state<HTMLInputElement>();

  /** What the client does not want together: to begin with the first two pieces, the base. */
  export async function reject() {
    apart = look.pieces.slice(0, 2).map((piece) => piece.piece_id);
    word = "";
    rejecting = true;
    await tick();
    input?.focus();
  }
  $effect(() => {
    void look.key;
    rejecting = false;
  });

  async function done() {
    if (apart.length < 2) return;
    rejecting = false;
    await outfits.reject(apart, word.trim());
  }
  /** All the rest stays, this one place is tried in every way. */
  const vary = (piece: string) =>
    outfits.want({
      must: look.pieces.map((one) => one.piece_id).filter((one) => one !== piece),
      must_not: [],
      dial: 0.6,
    });
</script>

<div
  class="chosen shrink-0 overflow-y-auto border-t border-rule px-4 py-2"
  data-testid="chosen"
  data-look={look.key}
>
  <ul class="flex flex-wrap gap-x-5 gap-y-0.5 text-sm">
    {#each look.pieces as piece (piece.piece_id)}
      {@const must = wish.must.includes(piece.piece_id)}
      <li class="flex items-baseline gap-1.5">
        <span class="first-letter:uppercase">{piece.title}</span>
        {#if piece.how}<span class="text-bark">{piece.how}</span>{/if}
        <button
          class="quiet min-h-7 text-xs"
          aria-pressed={must}
          aria-label="{must ? 'kept on' : 'keep on'}: {piece.title}"
          onclick={() => outfits.want(turned(wish, piece.piece_id, "must"))}
          >{must ? "kept on" : "keep on"}</button
        >
        <button
          class="quiet min-h-7 text-xs"
          aria-label="leave out: {piece.title}"
          onclick={() => outfits.want(turned(wish, piece.piece_id, "must_not"))}>leave out</button
        >
        <button
          class="quiet min-h-7 text-xs"
          aria-label="vary: {piece.title}, try every other in its place"
          onclick={() => vary(piece.piece_id)}>vary</button
        >
      </li>
    {/each}
  </ul>
  {#if rejecting}
    <form
      class="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm"
      aria-label="Not together again"
      onsubmit={(event) => {
        event.preventDefault();
        void done();
      }}
    >
      <span>Not together again:</span>
      {#each look.pieces as piece (piece.piece_id)}
        <label class="flex min-h-7 items-center gap-1">
          <input type="checkbox" class="size-4" value={piece.piece_id} bind:group={apart} />{piece.title}
        </label>
      {/each}
      <input
        bind:this={input}
        class="field max-w-44"
        placeholder="why, in a word"
        maxlength="120"
        aria-label="Why, in a word"
        bind:value={word}
        onkeydown={(event) => event.key === "Escape" && (rejecting = false)}
      />
      <button class="press min-h-8" disabled={apart.length < 2}>Reject</button>
      <button type="button" class="quiet" onclick={() => (rejecting = false)}>Leave it</button>
    </form>
  {:else}
    <div class="mt-1 flex flex-wrap gap-2 text-sm">
      <button
        class="press min-h-8"
        aria-pressed={!!outfits.kept[look.key]}
        onclick={() => void outfits.keep(look)}
      >
        {outfits.kept[look.key] ? "Kept" : "Keep"} <span class="key letter">K</span>
      </button>
      <button class="press min-h-8" onclick={() => void outfits.onTable(look).then(onopen)}>
        Open on the table <span class="key letter">D</span>
      </button>
      <button class="press min-h-8" onclick={() => void reject()}
        >Not together <span class="key letter">X</span></button
      >
      <button class="press min-h-8" onclick={() => void outfits.hold(look)}>
        Hold up <span class="key letter">H</span>
      </button>
      <button class="press min-h-8" onclick={onunlike}
        >More unlike this <span class="key letter">M</span></button
      >
    </div>
  {/if}
</div>

<style>
  /* Always as high: the figures above stand still whatever is said here. */
  .chosen {
    height: 7.9rem;
  }
</style>
