/** A measuring session at the desk: which measure the hand is at, its readings, doubts and the tape. */
import { api, ask, type Refusal, type Schemas } from "../api/client";
import { Outbox } from "../api/outbox.svelte";
import type { History } from "../client/history.svelte";
import { studio } from "../studio.svelte";
import { Tape, type TapeReading } from "./tape.svelte";
import { begunHere, pendingReading, sendMeasuring, type Unsent } from "./unsent";

export interface Doubt {
  measure: string;
  typed: string;
  message: string;
  suggestedCm: number | null;
  refused: boolean;
  reason: string;
  /** Somebody else's newer reading, when they were quicker. */
  theirs?: Schemas["ReadingOut"] | null;
  /** The reading in question, when it came from the tape. */
  reading: TapeReading | null;
  said: boolean;
}

interface Taking {
  id?: string;
  source?: "typed" | "tape";
  checked?: boolean;
  set_aside?: boolean;
  said?: boolean;
  meant_cm?: number | null;
}

export class Measuring {
  desk = $state.raw<Schemas["DeskOut"] | null>(null);
  worths = $state.raw<Schemas["WorthOut"][]>([]);
  active = $state("");
  typed = $state("");
  /** The figure being typed is the client's own word. */
  said = $state(false);
  doubt = $state<Doubt | null>(null);
  trouble = $state<string | null>(null);
  busy = $state(false);
  tape = $state<Tape | null>(null);

  #retry: ReturnType<typeof setTimeout> | undefined;

  /** How each measure is taken, the protocols, what consent is asked for. */
  known = $state.raw() as Schemas["Measuring"];

  constructor(
    readonly clientId: string,
    known: Schemas["Measuring"],
    readonly history: History,
    readonly onchange: () => void,
  ) {
    this.known = known;
    this.outbox = new Outbox<Unsent>(
      `measure.${clientId}`,
      studio.me?.email ?? "",
      (what) => sendMeasuring(clientId, what),
      () => {
        // What was taken while nobody answered has arrived: the desk as the server has it.
        if (!this.outbox.waiting.length) void this.load().then(() => this.onchange());
      },
    );
  }

  /** What was measured while the server did not answer. */
  readonly outbox: Outbox<Unsent>;

  get session(): Schemas["SessionOut"] | null {
    return this.desk?.session ?? null;
  }
  readonly rows = $derived(new Map((this.desk?.measures ?? []).map((row) => [row.name, row])));
  readonly cards = $derived(new Map(this.known.cards.map((card) => [card.name, card])));
  readonly protocol = $derived(this.known.protocols.find((one) => one.key === this.session?.protocol));
  readonly order = $derived(this.protocol?.measures ?? this.known.cards.map((card) => card.name));
  readonly done = $derived(this.order.filter((name) => this.isTaken(name)).length);
  readonly finished = $derived(!!this.session && this.done === this.order.length);
  /** For the rule: landmarks with how sure each is. */
  readonly landmarks = $derived(
    this.#labelled((kind) => kind === "height").map((row) => ({ ...row, ...row.known })),
  );
  /** For the figure: what goes round or across it. */
  readonly girths = $derived(this.#labelled((kind) => kind === "girth" || kind === "breadth"));

  #labelled(wanted: (kind: string) => boolean) {
    return (this.desk?.measures ?? []).flatMap((row) => {
      const card = this.cards.get(row.name);
      return card && wanted(card.kind) ? [{ ...row, label: card.label }] : [];
    });
  }

  get saving(): "kept" | "saving" | "failed" | "waiting" {
    if (this.trouble || this.outbox.refused.length) return "failed";
    if (this.outbox.waiting.length) return "waiting";
    return this.busy ? "saving" : "kept";
  }

  /** Taken in this session, with nothing more asked for. */
  isTaken(name: string): boolean {
    const row = this.rows.get(name);
    return !!row && row.readings.some((one) => !one.set_aside && !one.withdrawn) && !row.wants_another;
  }

  counting(name: string): Schemas["ReadingOut"][] {
    return (this.rows.get(name)?.readings ?? []).filter((one) => !one.set_aside && !one.withdrawn);
  }

  async load(): Promise<Refusal | null> {
    const told = await ask(api.GET("/api/clients/{client_id}/desk", this.#path()));
    if ("refusal" in told) return told.refusal;
    this.desk = told.data;
    this.#showWaiting();
    if (!this.order.includes(this.active)) this.active = this.#following(null) ?? this.order[0] ?? "";
    return null;
  }

  async askNext(): Promise<void> {
    const told = await ask(api.GET("/api/clients/{client_id}/next", this.#path()));
    if ("data" in told) this.worths = told.data;
  }

  listen(): void {
    if (!this.desk?.tape || this.tape || !this.session) return;
    this.tape = new Tape(this.desk.tape, () => void this.fromTape());
    this.tape.connect();
    this.tape.show(this.active);
  }

  stopListening(): void {
    clearTimeout(this.#retry);
    this.tape?.close();
    this.tape = null;
  }

  async begin(body: Schemas["SessionIn"]): Promise<Refusal | null> {
    const told = await ask(api.POST("/api/clients/{client_id}/sessions", { ...this.#path(), body }));
    if ("refusal" in told && told.refusal.status === 0 && this.desk) {
      this.desk = { ...this.desk, session: begunHere(body, studio.me?.name ?? "") };
      this.active = this.#following(null) ?? this.order[0] ?? "";
      await this.outbox.add({ kind: "begin", body });
      return null;
    }
    if ("refusal" in told) return told.refusal;
    this.active = "";
    await this.load();
    this.listen();
    void this.askNext();
    return null;
  }

  async end(how: "finished" | "stopped"): Promise<string | null> {
    if (!this.session) return null;
    const path = { client_id: this.clientId, session_id: this.session.id };
    const told = this.outbox.waiting.length
      ? { data: null }
      : await ask(
          api.POST("/api/clients/{client_id}/sessions/{session_id}/end", { params: { path }, body: { how } }),
        );
    const away = "refusal" in told && told.refusal.status === 0;
    if (away || this.outbox.waiting.length) {
      await this.outbox.add({ kind: "end", session: this.session.id, how });
      if (this.desk) this.desk = { ...this.desk, session: null };
    } else if ("refusal" in told) return told.refusal.message;
    this.stopListening();
    this.doubt = null;
    if (!this.outbox.waiting.length) await this.load();
    this.onchange();
    return null;
  }

  go(name: string): void {
    if (name === this.active) return;
    this.active = name;
    this.typed = "";
    this.said = false;
    this.trouble = null;
    if (this.doubt && !this.doubt.reading) this.doubt = null;
    this.tape?.show(name);
  }

  /** Enter: keep what was typed, or go on where nothing was. */
  async accept(): Promise<void> {
    if (!this.typed.trim()) return this.skip();
    await this.#take(this.active, this.typed, { said: this.said });
  }

  skip(): void {
    const next = this.#following(this.active);
    if (next) this.go(next);
    // Nothing is left to take: the tape shows no measure any more.
    else if (this.finished) this.tape?.show("");
  }

  /** Back to the measure before, to take it again. */
  again(): void {
    if (this.counting(this.active).length) return;
    const before = this.order.slice(0, this.order.indexOf(this.active));
    const last = before.findLast((name) => this.counting(name).length);
    if (last) this.go(last);
  }

  /** One key answers a doubt: use the value meant, keep it as it is, or set it aside and measure again. */
  async answer(how: "correct" | "keep" | "again"): Promise<void> {
    const doubt = this.doubt;
    if (!doubt || (how === "keep" && doubt.refused) || (how === "correct" && doubt.suggestedCm === null))
      return;
    const source = doubt.reading ? ("tape" as const) : ("typed" as const);
    const given: Taking = { source, said: doubt.said, ...(doubt.reading && { id: doubt.reading.id }) };
    if (how === "correct") given.meant_cm = doubt.suggestedCm;
    if (how === "keep") given.checked = true;
    if (how === "again") given.set_aside = true;
    this.doubt = null;
    await this.#take(doubt.measure, doubt.typed, given, doubt.reading);
  }

  /** Somebody was quicker: let theirs stand, or add mine beside it. */
  async settle(whose: "theirs" | "mine"): Promise<void> {
    const doubt = this.doubt;
    if (!doubt) return;
    this.doubt = null;
    await this.load();
    if (whose === "mine") await this.#take(doubt.measure, doubt.typed, { said: doubt.said }, doubt.reading);
    else {
      this.typed = "";
      if (doubt.reading) this.tape?.got(doubt.reading);
    }
  }

  /** Readings from the tape, one after the other; a doubt or a silent server holds up the rest. */
  async fromTape(): Promise<void> {
    const reading = this.tape?.waiting[0];
    if (!reading || this.busy || this.doubt || !this.session) return;
    const name = this.rows.has(reading.for) ? reading.for : this.active;
    if (name !== this.active) this.go(name);
    this.typed = `${reading.value}${reading.unit === studio.unit ? "" : reading.unit}`;
    await this.#take(name, `${reading.value}${reading.unit}`, { id: reading.id, source: "tape" }, reading);
  }

  /** A second pair of eyes has looked: this measure counts as it is. */
  async confirm(name: string): Promise<void> {
    if (await this.#confirm(name, true))
      this.history.add({
        name: `${this.cards.get(name)?.label ?? name} is right`,
        undo: async () => void (await this.#confirm(name, false)),
        redo: async () => void (await this.#confirm(name, true)),
      });
  }

  async #confirm(measure: string, right: boolean): Promise<boolean> {
    const params = { params: { path: { client_id: this.clientId, measure } } };
    const told = await ask(
      right
        ? api.POST("/api/clients/{client_id}/measures/{measure}/confirm", params)
        : api.DELETE("/api/clients/{client_id}/measures/{measure}/confirm", params),
    );
    if ("refusal" in told) this.trouble = told.refusal.message;
    else this.desk = told.data;
    return "data" in told;
  }

  async withdraw(reading: Schemas["ReadingOut"]): Promise<void> {
    const name = `${this.cards.get(reading.measure)?.label ?? reading.measure} of ${reading.typed}`;
    if (await this.#withdraw(reading.id, true))
      this.history.add({
        name,
        undo: async () => void (await this.#withdraw(reading.id, false)),
        redo: async () => void (await this.#withdraw(reading.id, true)),
      });
  }

  async #withdraw(id: string, away: boolean): Promise<boolean> {
    const unsent = this.outbox.waiting.find(({ what }) => what.kind === "reading" && what.body.id === id);
    if (unsent && this.desk) {
      // The server never knew it.
      this.outbox.drop(unsent.key);
      const measures = this.desk.measures.map((row) => ({
        ...row,
        readings: row.readings.filter((one) => one.id !== id),
      }));
      this.desk = { ...this.desk, measures };
      return false;
    }
    const params = { params: { path: { client_id: this.clientId, reading_id: id } } };
    const told = await ask(
      away
        ? api.POST("/api/clients/{client_id}/readings/{reading_id}/withdraw", params)
        : api.POST("/api/clients/{client_id}/readings/{reading_id}/restore", params),
    );
    if ("refusal" in told) {
      this.trouble = told.refusal.message;
      await this.load();
    } else this.desk = told.data;
    this.onchange();
    return "data" in told;
  }

  async #take(name: string, text: string, given: Taking, from: TapeReading | null = null): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    this.trouble = null;
    const newest = this.counting(name).at(-1);
    const id = given.id ?? crypto.randomUUID();
    const body: Schemas["ReadingIn"] = {
      measure: name,
      typed: text,
      unit: studio.unit,
      after: newest?.id ?? null,
      checked: given.checked ?? false,
      set_aside: given.set_aside ?? false,
      said: given.said ?? false,
      source: given.source ?? "typed",
      meant_cm: given.meant_cm ?? null,
      id,
    };
    // What waits goes first: readings keep the order they were taken in.
    if (this.outbox.waiting.length) {
      await this.#later(body, from);
      return;
    }
    const told = await ask(api.POST("/api/clients/{client_id}/readings", { ...this.#path(), body }));
    if ("refusal" in told && told.refusal.status === 0) {
      await this.#later(body, from);
      return;
    }
    if ("data" in told) this.#kept(told.data, name, id, given, from);
    else this.#refused(name, text, told.refusal, given, from);
    this.busy = false;
    if ("data" in told) void this.fromTape();
  }

  /** Nobody answers: the reading is kept on this device, and the hand goes on to the next. */
  async #later(body: Schemas["ReadingIn"], from: TapeReading | null): Promise<void> {
    if (from) this.tape?.got(from);
    this.typed = "";
    this.said = false;
    const label = this.cards.get(body.measure)?.label ?? body.measure;
    const sending = this.outbox.add({ kind: "reading", body, label });
    this.#showWaiting();
    this.busy = false;
    if (body.measure === this.active && !this.rows.get(body.measure)?.wants_another) this.skip();
    await sending;
  }

  /** The desk shows what waits as taken: it was read, and only the server does not know. */
  #showWaiting(): void {
    const desk = this.desk;
    if (!desk) return;
    const begun = this.outbox.waiting.find((item) => item.what.kind === "begin")?.what;
    const ended = this.outbox.waiting.some((item) => item.what.kind === "end");
    const session = ended
      ? null
      : (desk.session ?? (begun?.kind === "begin" ? begunHere(begun.body, studio.me?.name ?? "") : null));
    const bodies = this.outbox.waiting.flatMap(({ what }) => (what.kind === "reading" ? [what.body] : []));
    const measures = desk.measures.map((row) => {
      const here = bodies.filter(
        (body) => body.measure === row.name && !row.readings.some((one) => one.id === body.id),
      );
      if (!here.length) return row;
      const readings = [...row.readings, ...here.map((body) => pendingReading(body, studio.me?.name ?? ""))];
      return { ...row, readings, wants_another: !!session?.twice && readings.length < 2 };
    });
    this.desk = { ...desk, session, measures };
  }

  /** A reading was kept: the desk as it now is came with the answer. */
  #kept(desk: Schemas["DeskOut"], name: string, id: string, given: Taking, from: TapeReading | null): void {
    if (from) this.tape?.got(from);
    this.typed = "";
    this.said = false;
    this.desk = desk;
    this.onchange();
    void this.askNext();
    if (!given.set_aside) {
      this.history.add({
        name: `the ${this.cards.get(name)?.label ?? name}`,
        undo: async () => void (await this.#withdraw(id, true)),
        redo: async () => void (await this.#withdraw(id, false)),
      });
      if (name === this.active && !this.rows.get(name)?.wants_another) this.skip();
    }
  }

  #refused(name: string, text: string, refusal: Refusal, given: Taking, from: TapeReading | null): void {
    if (refusal.status >= 500) {
      this.trouble = from
        ? "The server does not answer. The tape remembers its readings; trying again."
        : refusal.message;
      if (from) this.#retry = setTimeout(() => void this.fromTape(), 1500);
      return;
    }
    this.doubt = {
      measure: name,
      typed: text,
      message: refusal.message,
      suggestedCm: refusal.suggested_cm ?? null,
      refused: refusal.refused ?? refusal.status !== 409,
      reason: refusal.reason ?? "",
      reading: from,
      said: given.said ?? false,
      ...(refusal.status === 409 && { theirs: (refusal.current as Schemas["ReadingOut"] | null) ?? null }),
    };
  }

  /** The next measure of the protocol that is not taken yet, after one, round to the beginning. */
  #following(name: string | null): string | null {
    const at = name ? this.order.indexOf(name) + 1 : 0;
    const round = [...this.order.slice(at), ...this.order.slice(0, at)];
    return round.find((one) => one !== name && !this.isTaken(one)) ?? null;
  }

  #path() {
    return { params: { path: { client_id: this.clientId } } };
  }
}
