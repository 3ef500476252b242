<script lang="ts">
  /** The layout of every step that stands on the floor line: a panel, the figure on its rule, what is
   * said beside it, and a line under the floor. */
  import type { Snippet } from "svelte";

  interface Props {
    panel: Snippet;
    stage: Snippet;
    side: Snippet;
    under: Snippet;
    /** What hangs below the floor line, where a step has such a thing. */
    rail?: Snippet;
    /** Turned to the client: the picture has the room, and nothing is to be filled in. */
    turned?: boolean;
    /** On a phone the picture comes first, and then what can be done to it. */
    pictured?: boolean;
  }
  const { panel, stage, side, under, rail, turned = false, pictured = false }: Props = $props();
</script>

<main class="bench min-h-0 grow" class:turned class:pictured>
  <div class="panel relative min-h-0 overflow-y-auto px-4 py-3" data-panel tabindex="-1">
    {@render panel()}
  </div>
  <div class="stage min-h-0 min-w-0">{@render stage()}</div>
  <div class="side min-h-0 min-w-0">{@render side()}</div>
  <div class="under flex min-h-11 items-center border-t-2 border-walnut px-4 py-1.5">{@render under()}</div>
  {#if rail}<div class="rail min-w-0 border-t border-grain">{@render rail()}</div>{/if}
</main>

<style>
  /* The floor line runs under figure and side alike; what it comes to is said below it. */
  .bench {
    display: grid;
    grid-template:
      "panel stage side" minmax(0, 1fr)
      "panel under under" auto
      "panel rail rail" auto / 19.5rem minmax(22rem, 1fr) 22rem;
  }
  .panel {
    grid-area: panel;
    border-right: 1px solid var(--color-rule);
  }
  /* Their size is the grid's: what changes in them moves nothing else. */
  .panel,
  .stage,
  .side {
    contain: strict;
  }
  .stage {
    grid-area: stage;
  }
  .side {
    grid-area: side;
  }
  .under {
    grid-area: under;
  }
  .rail {
    grid-area: rail;
  }
  .turned {
    grid-template:
      "stage side" minmax(0, 1fr)
      "under under" auto / minmax(22rem, 1fr) 24rem;
  }
  .turned .panel,
  .turned .rail {
    display: none;
  }
  @media (max-width: 68.75em) {
    .bench:not(.turned) {
      grid-template-columns: 17.5rem minmax(20rem, 1fr) 17rem;
    }
  }
  @media (max-width: 60em) {
    .bench:not(.turned) {
      grid-template:
        "stage side" minmax(0, 1.45fr)
        "under under" auto
        "rail rail" auto
        "panel panel" minmax(0, 1fr) / minmax(0, 1fr) 20rem;
    }
    .panel {
      border-right: 0;
      border-top: 1px solid var(--color-rule);
    }
  }
  @media print {
    .bench,
    .bench:not(.turned) {
      display: block;
    }
    .rail {
      display: none;
    }
    .stage {
      height: 150mm;
    }
    .side {
      contain: none;
    }
  }
  /* On a phone one thing stands below the other, and the page scrolls. */
  @media (max-width: 43.75em) {
    .bench,
    .bench:not(.turned) {
      display: flex;
      flex-direction: column;
      overflow-y: auto;
    }
    .bench > div {
      flex-shrink: 0;
    }
    .pictured .panel {
      order: 1;
    }
    .stage {
      height: 58dvh;
    }
    .side {
      height: 46dvh;
      border-top: 1px solid var(--color-rule);
    }
    .panel {
      contain: none;
      overflow: visible;
    }
    .under {
      flex-wrap: wrap;
    }
  }
</style>
