/** The diary on the screen: some days of it, moved by hand and by key, each change with its way back. */
import { api, ask, type Schemas } from "../api/client";
import { History } from "../client/history.svelte";
import { todayIso } from "../plan/plans.svelte";
import { notice } from "../ui/notice.svelte";
import { minutesOf, monday, monthDays, plus, wall, zoneHere } from "./times";

export type Appointment = Schemas["AppointmentOut"];
export type Due = Schemas["DueOut"];
export type Kind = Appointment["kind"];
export type View = "day" | "week" | "month";
/** What an appointment says. */
export type Saying = Omit<Schemas["NewAppointment"], "id">;
/** By days and minutes, longer by minutes, or to a time on the wall. */
interface Move {
  local?: string;
  days?: number;
  minutes?: number;
  longer?: number;
}

export class Diary {
  view = $state<View>("week");
  on = $state(todayIso());
  told = $state.raw<Schemas["DiaryOut"] | null>(null);
  /** Names of clients that were chosen here. */
  readonly named = new Map<string, string>();
  trouble = $state<string | null>(null);
  /** Whose appointments are shown: all, where nobody is left out. */
  hidden = $state.raw<readonly number[]>([]);
  /** The key of the appointment in hand; a new one that is not kept yet. */
  at = $state<string | null>(null);
  fresh = $state.raw<Schemas["NewAppointment"] | null>(null);
  readonly zone = zoneHere();
  readonly history = new History();

  readonly days = $derived.by(() => {
    if (this.view === "day") return [this.on];
    if (this.view === "month") return monthDays(this.on);
    const first = monday(this.on);
    return Array.from({ length: 7 }, (_, number) => plus(first, number));
  });
  readonly shown = $derived(
    (this.told?.appointments ?? []).filter(
      (one) => !one.members.length || one.members.some((member) => !this.hidden.includes(member)),
    ),
  );
  readonly held = $derived(this.told?.appointments.find((one) => one.key === this.at) ?? null);
  readonly clashing = $derived(new Set((this.told?.clashes ?? []).flatMap((one) => [one.one, one.other])));
  readonly kinds = $derived(new Map((this.told?.kinds ?? []).map((kind) => [kind.kind, kind])));

  /** The appointments and what is due on a day. */
  of(day: string): Appointment[] {
    return this.shown.filter((one) => one.local.slice(0, 10) === day);
  }
  /** The public holiday on a day, where the studio works. */
  holiday(day: string): string | undefined {
    return this.told?.holidays.find((one) => one.on === day)?.name;
  }
  dueOn(day: string): Due[] {
    return (this.told?.due ?? []).filter((one) => one.on === day);
  }

  async load(): Promise<void> {
    const query = { first: this.days[0] ?? this.on, last: this.days.at(-1) ?? this.on, zone: this.zone };
    const asked = ++this.#asked;
    const told = await ask(api.GET("/api/diary", { params: { query } }));
    // Paged on meanwhile: an answer that comes late is of other days.
    if (asked !== this.#asked) return;
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) this.told = told.data;
  }

  #asked = 0;

  /** The name of a client, as far as it was heard here. */
  nameOf(id: string | null | undefined): string {
    if (!id) return "";
    return this.named.get(id) ?? this.told?.appointments.find((one) => one.client_id === id)?.client ?? "";
  }

  go(by: number): Promise<void> {
    if (this.view === "month") {
      const middle = plus(`${this.on.slice(0, 7)}-15`, 30 * by);
      this.on = `${middle.slice(0, 7)}-01`;
    } else this.on = plus(this.on, by * (this.view === "week" ? 7 : 1));
    return this.load();
  }

  /** A new appointment at a time on the wall, with the usual length of its kind; the panel asks for the rest. */
  begin(local: string, kind: Kind = "first_talk", more: Partial<Schemas["NewAppointment"]> = {}): void {
    const usual = this.kinds.get(kind);
    this.at = null;
    this.fresh = {
      id: crypto.randomUUID(),
      kind,
      local,
      minutes: usual?.minutes ?? 60,
      travel: usual?.travel ?? 0,
      buffer: usual?.buffer ?? 0,
      zone: this.zone,
      members: this.told ? [this.told.me] : [],
      client_id: null,
      title: "",
      place: "",
      along: "",
      note: "",
      rule: "",
      ...more,
    };
  }

  /** Put a new one down; what is wrong with it, or nothing. */
  async put(given: Schemas["NewAppointment"]): Promise<string | null> {
    const told = await ask(api.POST("/api/appointments", { body: given }));
    if ("refusal" in told) return told.refusal.message;
    this.fresh = null;
    await this.load();
    this.at = told.data.key;
    this.history.add({
      name: `putting down ${told.data.title}`,
      undo: () => this.#away(given.id),
      redo: () => this.#back(given.id),
    });
    return null;
  }

  async #away(id: string): Promise<void> {
    await ask(api.DELETE("/api/appointments/{appointment_id}", { params: { path: { appointment_id: id } } }));
    await this.load();
  }

  async #back(id: string): Promise<void> {
    const params = { path: { appointment_id: id } };
    await ask(api.POST("/api/appointments/{appointment_id}/restore", { params }));
    await this.load();
  }

  async remove(one: Appointment): Promise<void> {
    await this.#away(one.id);
    this.at = null;
    this.history.add({
      name: `taking ${one.title} out`,
      undo: () => this.#back(one.id),
      redo: () => this.#away(one.id),
    });
    notice.say(`${one.title} is out of the diary.`, { name: "Undo", run: () => void this.undo("undo") });
  }

  /** Change what an appointment says, all of its days; what is wrong, or nothing. */
  async change(one: Appointment, change: Partial<Saying>, undo = true): Promise<string | null> {
    const was = this.#saying(one);
    const body = { ...was, ...change, version: one.version };
    const params = { path: { appointment_id: one.id } };
    const told = await ask(api.PUT("/api/appointments/{appointment_id}", { params, body }));
    await this.load();
    if ("refusal" in told) {
      const theirs = told.refusal.current !== undefined;
      return theirs ? `${told.refusal.message} It shows theirs now.` : told.refusal.message;
    }
    if (undo)
      this.history.add({
        name: `a change of ${one.title}`,
        undo: async () => void (await this.change(this.newest(one), was, false)),
        redo: async () => void (await this.change(this.newest(one), change, false)),
      });
    return null;
  }

  newest(one: Appointment): Appointment {
    return this.told?.appointments.find((two) => two.id === one.id) ?? one;
  }

  #saying(one: Appointment): Saying {
    const { kind, client_id, minutes, zone, members, place, travel, buffer, along, note, rule } = one;
    const title = one.own_title;
    // A repeat is changed as a whole: from its first day on.
    return {
      kind,
      client_id,
      title,
      local: one.begins,
      minutes,
      zone,
      members,
      place,
      travel,
      buffer,
      along,
      note,
      rule,
    };
  }

  /** Move one by hand: it stands there at once, and comes back where it could not be. */
  move(one: Appointment, how: Move, undo = true): Promise<void> {
    this.#stand(one, how);
    this.#waiting += 1;
    // One after the other: each is made from the version that the one before came to.
    const done = this.#moved.then(() => {
      this.#waiting -= 1;
      return this.#move(one, how, undo);
    });
    this.#moved = done.catch(() => undefined);
    return done;
  }
  #moved: Promise<unknown> = Promise.resolve();
  /** Moves that stand on the screen and are not with the server yet. */
  #waiting = 0;

  async #move(one: Appointment, how: Move, undo: boolean): Promise<void> {
    const params = { path: { appointment_id: one.id } };
    const occurrence = one.rule ? one.starts_at : null;
    const body = { days: 0, minutes: 0, longer: 0, ...how, version: this.newest(one).version, occurrence };
    const told = await ask(api.PATCH("/api/appointments/{appointment_id}/move", { params, body }));
    if ("refusal" in told) {
      notice.say(told.refusal.message);
      return this.load();
    }
    const apart = told.data.id !== one.id;
    // Read anew, it would jump back to where it was before the moves that wait.
    if (this.#waiting && !apart) this.#put(one.key, (held) => ({ ...held, version: told.data.version }));
    else await this.load();
    // What is open beside stays open: a moved day has another key.
    if (this.at === one.key) this.at = told.data.key;
    if (undo && !apart)
      this.history.add({
        name: `moving ${one.title}`,
        undo: () => this.move(this.newest(one), { local: one.local, longer: -(how.longer ?? 0) }, false),
        redo: () => this.move(this.newest(one), how, false),
      });
    else if (undo)
      this.history.add({
        name: `moving one day of ${one.title}`,
        undo: async () => {
          await this.#away(told.data.id);
          await this.#oneDay(one, "DELETE");
        },
        redo: () => this.move(this.newest(one), how, false),
      });
  }

  /** Where it will stand, before the server has said so; the rest of it, its version too, as it was last heard of. */
  #stand(one: Appointment, how: Move): void {
    this.#put(one.key, (held) => {
      const minutes = minutesOf(held.local) + (how.minutes ?? 0);
      const local = how.local ?? wall(plus(held.local.slice(0, 10), how.days ?? 0), minutes);
      return { ...held, local, minutes: held.minutes + (how.longer ?? 0) };
    });
  }

  #put(key: string, changed: (held: Appointment) => Appointment): void {
    if (!this.told) return;
    const appointments = this.told.appointments.map((two) => (two.key === key ? changed(two) : two));
    this.told = { ...this.told, appointments };
  }

  /** Leave one day of a repeat out. */
  async leaveOut(one: Appointment): Promise<void> {
    await this.#oneDay(one, "POST");
    this.history.add({
      name: `leaving one day of ${one.title} out`,
      undo: () => this.#oneDay(one, "DELETE"),
      redo: () => this.#oneDay(one, "POST"),
    });
  }

  async #oneDay(one: Appointment, way: "POST" | "DELETE"): Promise<void> {
    const params = { path: { appointment_id: one.id } };
    // Between this day and now the version may have moved on.
    const held = this.newest(one);
    const ask_ = (version: number) => {
      const body = { version, occurrence: one.starts_at };
      return way === "POST"
        ? ask(api.POST("/api/appointments/{appointment_id}/leave-out", { params, body }))
        : ask(api.DELETE("/api/appointments/{appointment_id}/leave-out", { params, body }));
    };
    const told = await ask_(held.version);
    const current = "refusal" in told ? (told.refusal.current as Appointment | undefined) : undefined;
    if (current) await ask_(current.version);
    else if ("refusal" in told) notice.say(told.refusal.message);
    await this.load();
  }

  async cameOf(one: Appointment, text: string, done: boolean): Promise<void> {
    const params = { path: { appointment_id: one.id } };
    const body = { version: one.version, text, done };
    const told = await ask(api.POST("/api/appointments/{appointment_id}/came-of", { params, body }));
    if ("refusal" in told) notice.say(told.refusal.message);
    await this.load();
  }

  async undo(way: "undo" | "redo"): Promise<void> {
    // What is still on its way is the last thing done: it is taken back first.
    await this.#moved;
    const name = await this.history[way]();
    notice.say(name ? `${way === "undo" ? "Took back" : "Again"}: ${name}.` : `Nothing to ${way}.`);
  }
}
