<script lang="ts">
  /** How a thing stands, told by shape: a leaf, a half leaf, a crossed thread, a post. */
  interface Props {
    of: "for" | "against" | "caution" | "works" | "watch";
    size?: number;
  }
  const { of, size = 15 }: Props = $props();
</script>

<svg width={size} height={size} viewBox="0 0 16 16" aria-hidden="true" class={of}>
  {#if of === "for" || of === "works"}
    <path class="fill" d="M2.5 14C1.5 7 5.5 2 14 2c.5 7-3.500 11.500-9.500 10.500z" />
  {:else if of === "watch"}
    <path class="fill" d="M2.500 14C1.500 7 5.500 2 14 2z" />
    <path class="line" d="M14 2c.5 7-3.500 11.500-9.500 10.500L2.500 14" />
  {:else if of === "against"}
    <path class="line" d="M3 3l10 10M13 3L3 13" />
  {:else}
    <path class="line" d="M4 14V2.500h8.500L10 5.500l2.500 3H4" />
  {/if}
</svg>

<style>
  svg {
    flex: none;
    color: var(--color-walnut);
  }
  .for,
  .works,
  .watch {
    color: var(--color-leaf);
  }
  .caution {
    color: var(--color-madder);
  }
  .fill {
    fill: currentColor;
  }
  .line {
    fill: none;
    stroke: currentColor;
    stroke-width: 2;
    stroke-linecap: round;
  }
</style>
