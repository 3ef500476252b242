<script lang="ts">
  /** The measuring desk: the list, the figure with the tape on it, how the measure is taken. */
  import { onMount } from "svelte";
  import type { Schemas } from "../api/client";
  import Workbench from "../client/Workbench.svelte";
  import BodyStage from "../figure/BodyStage.svelte";
  import Girths from "../figure/Girths.svelte";
  import TapeLine from "../figure/TapeLine.svelte";
  import { studio } from "../studio.svelte";
  import { day } from "../units";
  import Awaiting from "./Awaiting.svelte";
  import HowTo from "./HowTo.svelte";
  import Measure from "./Measure.svelte";
  import Waiting from "./Waiting.svelte";
  import type { Measuring } from "./measuring.svelte";

  interface Props {
    measuring: Measuring;
    client: Schemas["ClientOut"];
  }
  const { measuring, client }: Props = $props();
  const desk = $derived(measuring.desk);
  const row = $derived(measuring.rows.get(measuring.active));
  const session = $derived(measuring.session);
  const next = $derived(measuring.worths[0]);
  onMount(() => void measuring.askNext());
</script>

<Workbench>
  {#snippet panel()}
    {#if studio.turned}<p>
        The screen is turned to the client; figures are hidden. Measuring goes on when it is turned back.
      </p>
    {:else}
      <Waiting {measuring} />
      <Awaiting {measuring} />
      <Measure {measuring} {client} />
    {/if}
  {/snippet}
  {#snippet stage()}
    {#if desk}
      <BodyStage name={client.name} outline={desk.outline} stature={desk.stature} marks={measuring.landmarks}>
        {#snippet over(middle)}
          {#if row}<TapeLine tape={row.tape} {middle} />{/if}
          {#if !studio.turned}<Girths
              rows={measuring.girths}
              active={measuring.active}
              {middle}
              onchoose={(name) => measuring.go(name)}
            />{/if}
        {/snippet}
      </BodyStage>
    {/if}
  {/snippet}
  {#snippet side()}<HowTo {measuring} />{/snippet}
  {#snippet under()}
    <p class="min-w-0 grow text-sm" aria-live="polite">
      {#if measuring.finished}
        Everything on this list is taken. Finish the session, or measure on.
      {:else if next && !studio.turned}
        <strong>Measure the {next.label} next.</strong>
        {next.text}
      {:else if session}
        Measuring.
      {:else}
        No shape, rise or hem hangs on another measure at the moment.
      {/if}
    </p>
    {#if session}
      <p class="ml-4 shrink-0 text-sm text-bark">
        {session.twice ? "each twice" : "each once"} · {session.side} side{session.present
          ? ` · with ${session.present}`
          : ""}
      </p>
    {:else if desk?.due_on}
      <p class="ml-4 shrink-0 text-sm text-bark">Measure again by {day(desk.due_on)}.</p>
    {/if}
  {/snippet}
</Workbench>
