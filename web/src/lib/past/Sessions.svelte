<script lang="ts">
  /** Every session, newest first; two of them are chosen to be compared. */
  import type { Schemas } from "../api/client";
  import { day, said } from "../units";

  interface Props {
    sessions: Schemas["PastSession"][];
    protocols: Schemas["ProtocolOut"][];
    then: number | null;
    now: number | null;
  }
  let { sessions, protocols, then = $bindable(), now = $bindable() }: Props = $props();
  const NAMES: Record<string, string> = { table: "From a table" };
  const name = (key: string) => protocols.find((one) => one.key === key)?.name ?? NAMES[key] ?? said(key);
  const agreed: Record<string, string> = {
    measure: "measuring",
    record: "keeping",
    hold: "holding the tape",
  };

  function consent(session: Schemas["PastSession"]) {
    if (!session.agreed.length) return "no consent recorded here";
    const to = session.agreed.map((key) => agreed[key] ?? said(key)).join(", ");
    const who = [
      session.present && `with ${session.present}`,
      session.guardian && `guardian ${session.guardian}`,
    ];
    return [`agreed to ${to}`, ...who.filter(Boolean)].join("; ");
  }
</script>

<table class="w-full">
  <caption class="heading mb-1 text-left text-lg">Sessions</caption>
  <thead class="text-left text-xs text-bark">
    <tr
      ><th class="font-normal">Taken</th><th class="w-11 font-normal">then</th><th class="w-11 font-normal"
        >now</th
      ></tr
    >
  </thead>
  <tbody>
    {#each sessions as session (session.id)}
      {@const bare = session.figures.length === 0}
      <tr class="border-t border-grain align-top">
        <th scope="row" class="py-1.5 text-left font-normal">
          <span class="font-semibold">{day(session.on)}</span>
          <span class="block text-sm">
            {name(session.protocol)}, {session.figures.length}
            {session.figures.length === 1 ? "measure" : "measures"}{session.ended === "stopped"
              ? ", stopped at the client’s wish"
              : ""}
          </span>
          <span class="block text-xs text-bark">{session.by}; {consent(session)}</span>
        </th>
        <td class="py-1.5">
          <label class="hit"
            ><input
              type="radio"
              name="then"
              value={session.id}
              bind:group={then}
              disabled={bare || session.id === now}
            /><span class="sr-only">{day(session.on)} as then</span></label
          >
        </td>
        <td class="py-1.5">
          <label class="hit"
            ><input
              type="radio"
              name="now"
              value={session.id}
              bind:group={now}
              disabled={bare || session.id === then}
            /><span class="sr-only">{day(session.on)} as now</span></label
          >
        </td>
      </tr>
    {/each}
  </tbody>
</table>
{#if sessions.length === 1}
  <p class="mt-2 text-sm text-bark">One session so far. The next one will stand beside it.</p>
{/if}

<style>
  .hit {
    display: flex;
    min-height: 2rem;
    align-items: center;
  }
</style>
