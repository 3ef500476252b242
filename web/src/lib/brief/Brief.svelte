<script lang="ts">
  /** The brief: filled in any order while talking; every change is kept as it is made. */
  import { onDestroy } from "svelte";
  import type { Schemas } from "../api/client";
  import { said } from "../units";
  import Colouring from "./Colouring.svelte";
  import type { ClientState } from "./client.svelte";
  import Trouble from "./Trouble.svelte";
  import Several from "../ui/Several.svelte";
  import Week from "./Week.svelte";

  interface Props {
    state: ClientState;
    words: Schemas["BriefWords"];
  }
  const { state: held, words }: Props = $props();
  const brief = $derived(held.client.brief);
  const aims = $derived(held.client.aims);
  onDestroy(() => void held.flush());

  const TALK = [
    ["changed", "What changed", "weight, age, work, climate"],
    ["no_longer_fits", "What no longer fits", "and since when"],
    ["clothes_should", "What clothes should do", "in their own words"],
    ["will_not_wear", "What they won’t wear", "and why"],
  ] as const;
  const LIMITS: Record<string, string> = {
    foot_ankle_knee_back_injury: "foot, ankle, knee or back injury",
    sun_sensitive_skin: "sun-sensitive skin",
    protective_clothing_required: "protective clothing at work",
  };
  const ZONES = [
    "face",
    "shoulders",
    "upper_arms",
    "bust",
    "middle",
    "waist",
    "hips",
    "seat",
    "thighs",
    "legs",
    "calves",
    "ankles",
    "feet",
  ];
  const can = (list: "show" | "soften", zone: string) => words.aims[list]?.includes(zone) ?? false;

  function zone(name: string): "show" | "soften" | "leave" {
    if (aims.show?.includes(name as never)) return "show";
    return aims.soften?.includes(name as never) ? "soften" : "leave";
  }
  function setZone(name: string, to: "show" | "soften" | "leave") {
    const less = (list: string[] = []) => list.filter((one) => one !== name);
    held.aims({
      show: [...less(aims.show), ...(to === "show" ? [name] : [])] as never,
      soften: [...less(aims.soften), ...(to === "soften" ? [name] : [])] as never,
    });
  }
  function toggle(list: "wants" | "wont" | "style", word: string) {
    const now = (aims[list] ?? []) as string[];
    held.aims({ [list]: now.includes(word) ? now.filter((one) => one !== word) : [...now, word] } as never);
  }
  function limit(word: string) {
    const now = (brief.limits ?? []) as string[];
    held.brief({
      limits: (now.includes(word) ? now.filter((one) => one !== word) : [...now, word]) as never,
    });
  }
</script>

<main
  class="grid min-h-0 grow content-start gap-x-10 gap-y-6 overflow-y-auto px-6 py-5 lg:grid-cols-2"
  data-panel
  tabindex="-1"
>
  <Trouble state={held} />
  <div class="space-y-6">
    <section class="space-y-3" aria-labelledby="talk">
      <h2 id="talk" class="heading text-xl">The talk</h2>
      {#each TALK as [key, name, hint] (key)}
        <label class="block">
          <span class="font-semibold">{name}</span> <span class="text-sm text-bark">{hint}</span>
          <textarea
            class="field block resize-y"
            rows="2"
            maxlength="600"
            data-brief={key}
            value={brief[key]}
            oninput={(event) => held.brief({ [key]: event.currentTarget.value })}></textarea>
        </label>
      {/each}
      <div class="flex flex-wrap gap-x-6 gap-y-2">
        <label class="flex items-center gap-2">
          <input
            type="checkbox"
            checked={brief.seated}
            onchange={(event) => held.brief({ seated: event.currentTarget.checked })}
          />
          Lives or works seated
        </label>
        <label class="flex items-center gap-2">
          <input
            type="checkbox"
            checked={brief.minor}
            onchange={(event) => held.brief({ minor: event.currentTarget.checked })}
          />
          Under age
        </label>
        <label class="flex items-center gap-2">
          Shoulders read as a
          <select
            class="field w-32"
            value={brief.build ?? ""}
            onchange={(event) => held.brief({ build: (event.currentTarget.value || null) as never })}
          >
            <option value="">not said</option>
            <option value="woman">woman’s</option>
            <option value="man">man’s</option>
            <option value="young">young person’s</option>
          </select>
        </label>
        {#if brief.minor}
          <label class="flex items-center gap-2">
            Guardian
            <input
              class="field w-48"
              value={brief.guardian}
              oninput={(event) => held.brief({ guardian: event.currentTarget.value })}
            />
          </label>
        {/if}
      </div>
      <fieldset>
        <legend class="font-semibold">Limits and sensitivities</legend>
        <div class="mt-1 flex flex-wrap gap-1.5">
          {#each words.limits as word (word)}
            <button
              class="press text-sm"
              type="button"
              aria-pressed={(brief.limits ?? []).includes(word as never)}
              onclick={() => limit(word)}>{LIMITS[word] ?? said(word)}</button
            >
          {/each}
        </div>
        <label class="mt-2 block text-sm text-bark">
          More about these
          <input
            class="field text-walnut"
            value={brief.limits_note}
            oninput={(event) => held.brief({ limits_note: event.currentTarget.value })}
          />
        </label>
        {#each held.client.cautions as caution (caution.because)}
          <p class="mt-2 border-l-2 border-madder pl-2 text-sm">{caution.text}</p>
        {/each}
      </fieldset>
      <fieldset class="flex flex-wrap items-end gap-3">
        <legend class="font-semibold">Budget</legend>
        <input
          class="field w-28 text-right"
          aria-label="Amount"
          inputmode="numeric"
          value={brief.budget?.amount ?? ""}
          oninput={(event) => {
            const figure = Number.parseInt(event.currentTarget.value.replaceAll(/\D/g, ""), 10);
            held.brief({
              budget: { ...brief.budget, amount: Number.isNaN(figure) ? null : figure } as never,
            });
          }}
        />
        <input
          class="field w-16"
          aria-label="Currency"
          maxlength="3"
          value={brief.budget?.currency ?? "EUR"}
          onchange={(event) =>
            held.brief({ budget: { ...brief.budget, currency: event.currentTarget.value } as never })}
        />
        <label class="flex items-center gap-2">
          a
          <select
            class="field w-auto"
            value={brief.budget?.per ?? "season"}
            onchange={(event) =>
              held.brief({ budget: { ...brief.budget, per: event.currentTarget.value } as never })}
          >
            <option>season</option><option>year</option><option>piece</option>
          </select>
        </label>
      </fieldset>
    </section>
    <Colouring state={held} {words} />
  </div>
  <div class="space-y-6">
    <section aria-labelledby="aims">
      <h2 id="aims" class="heading text-xl">Aims</h2>
      <div class="mt-1 flex flex-wrap gap-1.5">
        {#each words.aims.wants ?? [] as word (word)}
          <button
            class="press text-sm"
            aria-pressed={(aims.wants ?? []).includes(word as never)}
            onclick={() => toggle("wants", word)}>{said(word)}</button
          >
        {/each}
      </div>
      <table class="mt-3 w-full text-sm">
        <thead class="text-left text-xs text-bark"
          ><tr
            ><th class="font-normal">Zone</th><th colspan="3" class="font-normal"
              >show, soften or leave alone</th
            ></tr
          ></thead
        >
        <tbody>
          {#each ZONES.filter((name) => can("show", name) || can("soften", name)) as name (name)}
            <tr class="border-b border-grain">
              <th scope="row" class="py-0.5 text-left font-normal first-letter:uppercase">{said(name)}</th>
              {#each ["show", "soften", "leave"] as const as way (way)}
                <td class="w-24">
                  {#if way === "leave" || can(way, name)}
                    <label class="flex min-h-7 items-center gap-1.5">
                      <input
                        type="radio"
                        name="zone-{name}"
                        checked={zone(name) === way}
                        onchange={() => setZone(name, way)}
                      />{way}
                    </label>
                  {/if}
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="mt-3 font-semibold">Won’t wear</p>
      <div class="mt-1 flex flex-wrap gap-1.5">
        {#each words.aims.wont ?? [] as word (word)}
          <button
            class="press text-sm"
            aria-pressed={(aims.wont ?? []).includes(word as never)}
            onclick={() => toggle("wont", word)}>{said(word)}</button
          >
        {/each}
      </div>
      <p class="mt-3 font-semibold">Their own style</p>
      <div class="mt-1 flex flex-wrap items-center gap-1.5">
        {#each words.aims.style ?? [] as word (word)}
          <button
            class="press text-sm"
            aria-pressed={(aims.style ?? []).includes(word as never)}
            onclick={() => toggle("style", word)}>{said(word)}</button
          >
        {/each}
        <label class="ml-2 flex items-center gap-1.5 text-sm">
          will go
          <select
            class="field w-28"
            value={aims.reach?.[0] ?? ""}
            onchange={(event) =>
              held.aims({ reach: (event.currentTarget.value ? [event.currentTarget.value] : []) as never })}
          >
            <option value="">not said</option>
            {#each words.aims.reach ?? [] as word (word)}<option value={word}>{said(word)}</option>{/each}
          </select>
        </label>
      </div>
      <div class="mt-2 max-w-sm text-sm">
        <Several
          label="never wears"
          value={(aims.never ?? []) as string[]}
          choices={words.aims.never ?? []}
          usual="nothing said"
          onchange={(kinds) => held.aims({ never: kinds as never })}
        />
      </div>
    </section>
    <Week state={held} {words} />
  </div>
</main>
