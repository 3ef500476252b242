<script lang="ts">
  /** Before the tape: what is measured, on which side, and the client's consent. */
  import { invalidate } from "$app/navigation";
  import type { Schemas } from "../api/client";
  import { studio } from "../studio.svelte";
  import { notice } from "../ui/notice.svelte";
  import type { Measuring } from "./measuring.svelte";

  interface Props {
    measuring: Measuring;
    brief: Schemas["BriefForm"];
    cautions: Schemas["CautionOut"][];
  }
  const { measuring, brief, cautions }: Props = $props();
  const known = $derived(measuring.known);
  // svelte-ignore state_referenced_locally
  let protocol = $state(brief.seated ? "seated" : measuring.desk?.sessions ? "quick" : "full");
  let side = $state<"left" | "right">("right");
  let twice = $state(true);
  let agreed = $state<string[]>([]);
  let present = $state("");
  // svelte-ignore state_referenced_locally
  let guardian = $state(brief.guardian ?? "");
  let trouble = $state<{ message: string; field?: string | null } | null>(null);
  let own = $state<string[]>([...(studio.me?.studio.own_list ?? [])]);

  async function begin(event: SubmitEvent) {
    event.preventDefault();
    trouble = await measuring.begin({
      protocol,
      side,
      twice,
      consent: { agreed: agreed as ("measure" | "record" | "hold")[], present, guardian },
    });
  }

  async function keepOwn() {
    const refusal = await studio.change({ own_list: own });
    if (refusal) return notice.say(refusal.message);
    await invalidate("studio:measuring");
    notice.say("The studio’s own list is kept.");
    protocol = own.length ? "own" : "full";
  }
</script>

<form onsubmit={begin} class="space-y-4">
  <fieldset>
    <legend class="heading mb-1">What to measure</legend>
    {#each known.protocols as one (one.key)}
      <label class="flex min-h-8 items-baseline gap-2 py-0.5">
        <input type="radio" name="protocol" value={one.key} bind:group={protocol} />
        <span class="grow">
          {one.name}
          {#if protocol === one.key}<span class="block text-sm text-bark">{one.purpose}</span>{/if}
        </span>
        <span class="shrink-0 text-sm whitespace-nowrap text-bark">{one.measures.length} measures</span>
      </label>
    {/each}
  </fieldset>
  <div class="flex flex-wrap gap-x-5 gap-y-2">
    <label class="flex items-center gap-2"
      ><input type="checkbox" bind:checked={twice} /> Each taken twice</label
    >
    <label class="flex items-center gap-2">
      Limbs on the
      <select class="field w-auto" bind:value={side}><option>right</option><option>left</option></select>
    </label>
  </div>
  <fieldset>
    <legend class="heading mb-1">The client agrees to</legend>
    {#each known.consent as statement (statement.key)}
      <label class="flex items-baseline gap-2 py-1 text-sm">
        <input type="checkbox" value={statement.key} bind:group={agreed} />{statement.text}
      </label>
    {/each}
    <p class="mt-1 text-sm text-bark">The client may stop at any time, without a reason.</p>
  </fieldset>
  <div class="grid grid-cols-2 gap-3">
    <label class="text-sm text-bark"
      >Also present<input class="field text-walnut" bind:value={present} /></label
    >
    <label class="text-sm text-bark">
      Guardian{brief.minor ? ", needed under age" : ""}
      <input
        class="field text-walnut"
        bind:value={guardian}
        aria-invalid={trouble?.field === "guardian" ? "true" : undefined}
      />
    </label>
  </div>
  {#each cautions as caution (caution.because)}
    <p class="border-l-2 border-madder pl-2 text-sm">{caution.text}</p>
  {/each}
  {#if trouble}<p role="alert" class="text-madder">{trouble.message}</p>{/if}
  <button class="press" data-main>Begin measuring</button>
  <details class="border-t border-grain pt-2 text-sm">
    <summary class="min-h-8 cursor-pointer py-1">The studio’s own list</summary>
    <div class="columns-2 gap-3">
      {#each known.cards as card (card.name)}
        <label class="flex min-h-7 items-center gap-1.5 first-letter:uppercase">
          <input type="checkbox" value={card.name} bind:group={own} />{card.label}
        </label>
      {/each}
    </div>
    <button type="button" class="press mt-2" onclick={() => void keepOwn()}>Keep this list</button>
  </details>
</form>
