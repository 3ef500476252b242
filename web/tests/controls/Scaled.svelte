<script lang="ts">
  /** A control standing on the vertical rule, for tests. */
  import type { Component } from "svelte";
  import { provideScale, RuleScale } from "../../src/lib/figure/scale.svelte";

  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  const { control, given }: { control: Component<any>; given: Record<string, unknown> } = $props();
  provideScale(new RuleScale());
  const Control = $derived(control);
</script>

<Control {...given} />
