<script lang="ts">
  /** The panel of the measuring desk: consent first, then the list. */
  import type { Schemas } from "../api/client";
  import { notice } from "../ui/notice.svelte";
  import Begin from "./Begin.svelte";
  import MeasureList from "./MeasureList.svelte";
  import type { Measuring } from "./measuring.svelte";

  interface Props {
    measuring: Measuring;
    client: Schemas["ClientOut"];
  }
  const { measuring, client }: Props = $props();

  async function end(how: "finished" | "stopped") {
    const trouble = await measuring.end(how);
    notice.say(
      trouble ??
        (how === "finished"
          ? "The session is finished and kept."
          : "Stopped, as wished. What was taken is kept."),
    );
  }
</script>

{#if measuring.session}
  <div
    class="sticky -top-3 z-10 -mt-3 mb-2 flex flex-wrap items-baseline gap-x-3 border-b border-grain bg-paper pt-3 pb-2"
  >
    <p class="grow" data-testid="progress">
      {measuring.protocol?.name ?? "All"}: {measuring.done} of {measuring.order.length}
    </p>
    <button class="quiet text-sm" onclick={() => void end("stopped")}>Client stops</button>
    <button class="press text-sm" onclick={() => void end("finished")}>Finish</button>
  </div>
  <MeasureList {measuring} />
{:else}
  <Begin {measuring} brief={client.brief} cautions={client.cautions} />
  {#if measuring.desk?.sessions}
    <div class="mt-4 border-t border-grain pt-2"><MeasureList {measuring} /></div>
  {/if}
{/if}
