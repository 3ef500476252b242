<script lang="ts">
  /** What an appointment says. Kept field by field where it stands in the diary, at once where it is new. */
  import ClientPicker from "../people/ClientPicker.svelte";
  import DateField from "../ui/DateField.svelte";
  import type { Diary, Kind, Saying } from "./diary.svelte";
  import { clock, minutesOf, readClock, wall } from "./times";

  interface Props {
    diary: Diary;
    held: Saying;
    /** A field was changed. */
    onchange: (change: Partial<Saying>) => void;
  }
  const { diary, held, onchange }: Props = $props();
  let wrongTime = $state(false);
  const day = $derived(held.local.slice(0, 10));
  const REPEATS = [
    ["", "once"],
    ["FREQ=WEEKLY", "every week"],
    ["FREQ=WEEKLY;INTERVAL=2", "every two weeks"],
    ["FREQ=MONTHLY", "every month"],
    ["FREQ=YEARLY", "every year"],
  ] as const;
  const own = $derived(!REPEATS.some(([rule]) => rule === (held.rule ?? "")));

  function kinded(kind: Kind) {
    const usual = diary.kinds.get(kind);
    onchange({
      kind,
      ...(usual ? { minutes: usual.minutes, travel: usual.travel, buffer: usual.buffer } : {}),
    });
  }
  function timed(text: string) {
    const minutes = readClock(text);
    wrongTime = minutes === null;
    if (minutes !== null) onchange({ local: wall(day, minutes) });
  }
  const whole = (text: string, least: number, most: number) =>
    Math.min(most, Math.max(least, Math.round(Number(text)) || 0));
</script>

<div class="space-y-2 text-xs text-bark">
  <label class="block"
    >kind<select
      class="field text-base text-walnut"
      value={held.kind}
      onchange={(event) => kinded(event.currentTarget.value as Kind)}
    >
      {#each diary.told?.kinds ?? [] as kind (kind.kind)}<option value={kind.kind}>{kind.name}</option>{/each}
    </select></label
  >
  <div>
    client<ClientPicker
      label="Client of the visit"
      value={held.client_id ?? null}
      name={diary.nameOf(held.client_id)}
      none="nobody in particular"
      onchange={(client) => {
        if (client) diary.named.set(client.id, client.name);
        onchange({ client_id: client?.id ?? null });
      }}
    />
  </div>
  <label class="block"
    >called<input
      class="field text-base text-walnut"
      maxlength="120"
      placeholder="by its kind and client"
      value={held.title ?? ""}
      onchange={(event) => onchange({ title: event.currentTarget.value })}
    /></label
  >
  <div class="flex gap-3">
    <label class="grow"
      >day<DateField
        value={day}
        label="Day of the visit"
        class="text-base text-walnut"
        onchange={(iso) => iso && onchange({ local: wall(iso, minutesOf(held.local)) })}
      /></label
    >
    <label class="w-16"
      >at<input
        class="field text-base text-walnut"
        aria-invalid={wrongTime ? "true" : undefined}
        value={clock(minutesOf(held.local))}
        onchange={(event) => timed(event.currentTarget.value)}
      /></label
    >
    <label class="w-16"
      >minutes<input
        class="field text-base text-walnut"
        type="number"
        min="5"
        value={held.minutes}
        onchange={(event) => onchange({ minutes: whole(event.currentTarget.value, 5, 44640) })}
      /></label
    >
  </div>
  {#if wrongTime}<p role="alert" class="text-madder">Type a time: 9, 9:30, 1415.</p>{/if}
  <label class="block"
    >place<input
      class="field text-base text-walnut"
      maxlength="120"
      value={held.place ?? ""}
      onchange={(event) => onchange({ place: event.currentTarget.value })}
    /></label
  >
  <div class="flex gap-3">
    <label class="grow"
      >on the way, min<input
        class="field text-base text-walnut"
        type="number"
        min="0"
        max="600"
        value={held.travel ?? 0}
        onchange={(event) => onchange({ travel: whole(event.currentTarget.value, 0, 600) })}
      /></label
    >
    <label class="grow"
      >buffer after, min<input
        class="field text-base text-walnut"
        type="number"
        min="0"
        max="600"
        value={held.buffer ?? 0}
        onchange={(event) => onchange({ buffer: whole(event.currentTarget.value, 0, 600) })}
      /></label
    >
  </div>
  <fieldset>
    <legend>who</legend>
    {#each diary.told?.members ?? [] as member (member.id)}
      <label class="mr-3 inline-flex min-h-7 items-center gap-1 text-sm text-walnut"
        ><input
          type="checkbox"
          checked={held.members.includes(member.id)}
          onchange={(event) => {
            const members = event.currentTarget.checked
              ? [...held.members, member.id]
              : held.members.filter((one) => one !== member.id);
            if (members.length) onchange({ members });
            else event.currentTarget.checked = true;
          }}
        />{member.name}</label
      >
    {/each}
  </fieldset>
  <label class="block"
    >who comes along<input
      class="field text-base text-walnut"
      maxlength="120"
      placeholder="guardian, chaperone"
      value={held.along ?? ""}
      onchange={(event) => onchange({ along: event.currentTarget.value })}
    /></label
  >
  <label class="block"
    >repeats<select
      class="field text-base text-walnut"
      value={held.rule ?? ""}
      onchange={(event) => onchange({ rule: event.currentTarget.value })}
    >
      {#each REPEATS as [rule, label] (rule)}<option value={rule}>{label}</option>{/each}
      {#if own}<option value={held.rule}>by a rule of its own</option>{/if}
    </select></label
  >
  <label class="block"
    >note<textarea
      class="field text-base text-walnut"
      rows="2"
      maxlength="400"
      value={held.note ?? ""}
      onchange={(event) => onchange({ note: event.currentTarget.value })}></textarea></label
  >
</div>
