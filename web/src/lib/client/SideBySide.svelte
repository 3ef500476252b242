<script lang="ts">
  /** Looks on one floor line, side by side; what differs from the first is outlined, and why the best is best. */
  import Figure from "../figure/Figure.svelte";
  import Mark from "../ui/Mark.svelte";
  import { studio } from "../studio.svelte";
  import type { Compare } from "./compare.svelte";
  import { titleOf } from "./kinds";
  import { useScale } from "../figure/scale.svelte";

  const { compare, name }: { compare: Compare; name: string } = $props();
  const SAID = { works: "Works", watch: "Nearly", against: "Does not work yet" };
  const scale = useScale();
  /** Kept free above the heads for names, cm. */
  const LABELS = 22;
  const told = $derived(compare.told);
  $effect(() => {
    if (told) scale.tall = Math.max(...told.looks.map((look) => look.height)) + LABELS;
  });
  const each = $derived(scale.width / Math.max(1, told?.looks.length ?? 1));
</script>

<div class="relative h-full min-h-0" bind:clientHeight={scale.height} bind:clientWidth={scale.width}>
  {#if told}
    <svg
      width={scale.width}
      height={scale.height}
      role="img"
      aria-label="{name}: {told.looks.length} looks side by side at true scale"
    >
      {#each told.looks as look, i (compare.held[i]?.id ?? i)}
        <Figure
          shapes={look.shapes}
          middle={each * (i + 0.5)}
          chosen={null}
          marked={look.differs}
          id={String(i)}
          onchoose={() => {}}
        />
      {/each}
    </svg>
    <ul class="pointer-events-none absolute inset-x-0 top-1 flex">
      {#each told.looks as look, i (compare.held[i]?.id ?? i)}
        <li
          class="min-w-0 px-2 text-center"
          style:width="{each}px"
          data-held={compare.held[i]?.name}
          data-verdict={look.verdict}
        >
          <p class="heading truncate">{compare.held[i]?.name || "Unnamed look"}</p>
          {#if !studio.turned}
            <p class="flex items-baseline justify-center gap-1 text-sm">
              <span class="translate-y-0.5"><Mark of={look.verdict} size={13} /></span>
              {SAID[look.verdict]}{i === told.best ? ", the best of these" : ""}
            </p>
          {/if}
          {#if look.differs.length}
            <p class="truncate text-xs text-bark">{look.differs.map(titleOf).join(", ")} differ</p>
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
</div>
