<script lang="ts">
  /** The appointment in hand: what it says, what it needs, what came of it and what follows. */
  import { api, ask, type Schemas } from "../api/client";
  import { day as written } from "../units";
  import type { Appointment, Diary, Saying } from "./diary.svelte";
  import { minutesOf, wall } from "./times";
  import VisitForm from "./VisitForm.svelte";

  const { diary, held }: { diary: Diary; held: Appointment } = $props();
  let wrong = $state<string | null>(null);
  let prepare = $state.raw<Schemas["PrepareOut"] | null>(null);
  let came = $derived(held.came_of);
  const saying = $derived({ ...held, title: held.own_title });

  $effect(() => {
    const params = { path: { appointment_id: held.id } };
    void held.version;
    void ask(api.GET("/api/appointments/{appointment_id}/prepare", { params })).then((told) => {
      if ("data" in told) prepare = told.data;
    });
  });

  async function change(change: Partial<Saying>) {
    wrong = null;
    if (change.local && Object.keys(change).length === 1) await diary.move(held, { local: change.local });
    else wrong = await diary.change(held, change);
  }
</script>

<div class="flex items-baseline justify-between gap-2">
  <h2 class="heading text-lg">{held.title}</h2>
  <button class="quiet shrink-0" onclick={() => (diary.at = null)}>close</button>
</div>
{#if held.client_id}<a class="quiet text-sm" href="/people/{held.client_id}">open {held.client}</a>{/if}
<VisitForm {diary} held={saying} onchange={(one) => void change(one)} />
{#if wrong}<p role="alert" class="text-sm text-madder">{wrong}</p>{/if}
{#if prepare?.preparing.length}
  <h3 class="heading mt-4 border-b border-walnut text-base">Before</h3>
  {#each prepare.preparing as one (one.what)}
    <p class="mt-1 text-xs text-bark">{one.what}</p>
    <ul class="text-sm leading-tight">
      {#each one.of as what, at (at)}<li>{what}</li>{/each}
    </ul>
  {/each}
{/if}
<h3 class="heading mt-4 border-b border-walnut text-base">After</h3>
<label class="block text-xs text-bark"
  >what came of it<textarea class="field text-base text-walnut" rows="2" maxlength="400" bind:value={came}
  ></textarea></label
>
<button
  class="press mt-1"
  aria-pressed={Boolean(held.done_at)}
  onclick={() => void diary.cameOf(held, came, !held.done_at)}
  >{held.done_at ? `Done, ${written(held.done_at)}` : "It is done"}</button
>
{#if prepare?.following.length}
  <p class="mt-2 text-xs text-bark">what usually follows</p>
  <ul class="text-sm">
    {#each prepare.following as one (one.kind)}
      <li class="flex items-baseline justify-between gap-2">
        <span
          >{one.name}<span class="text-bark"
            >, {one.there ? "in the diary already" : `about ${written(one.on)}`}</span
          ></span
        >
        {#if !one.there}<button
            class="quiet"
            onclick={() =>
              diary.begin(wall(one.on, minutesOf(held.local)), one.kind, {
                client_id: held.client_id,
                place: held.place,
                members: held.members,
              })}>put down</button
          >{/if}
      </li>
    {/each}
  </ul>
{/if}
<div class="mt-4 flex flex-wrap gap-2 border-t border-rule pt-2 text-sm">
  {#if held.rule}<button class="quiet" onclick={() => void diary.leaveOut(held)}>leave this day out</button
    >{/if}
  <button class="quiet" onclick={() => void diary.remove(held)}
    >{held.rule ? "take all of it out" : "take it out"}</button
  >
</div>
