/** A fitting as the screen holds it: what is expected of every piece, what is on, what was logged here and there. */
import { api, ask, type Schemas, type Unit } from "../api/client";
import { Outbox } from "../api/outbox.svelte";
import type { History } from "../client/history.svelte";
import { Form, type Expected } from "./form.svelte";
import { sendFitting, type Unsent } from "./unsent";

export type Trial = Schemas["TrialOut"];
export type Fitting = Schemas["FittingOut"];
/** One line of the log: of the server, or not sent yet. */
export interface Logged {
  id: string;
  title: string;
  decision: string;
  why: string;
  trial: Trial | null;
  refused?: string;
  key?: string;
}

const SOUGHT = 60;

export class TryOn {
  fittings = $state.raw<Fitting[] | null>(null);
  makers = $state.raw<Schemas["MadeOut"][]>([]);
  pieces = $state.raw<Expected[]>([]);
  heels = $state(true);
  heel = $state(2);
  /** The piece that is on. */
  on = $state.raw<Expected | null>(null);
  /** The line it was said in, where it hangs on no rack. */
  line = "";
  sought = $state("");
  trouble = $state<string | null>(null);
  wrong = $state<string | null>(null);
  readonly form = new Form();
  readonly outbox: Outbox<Unsent>;
  /** A fitting that was begun here and that the server does not know yet. */
  #begun = $state.raw<{ id: string; body: Schemas["FittingIn"] } | null>(null);
  #ended = $state.raw<string[]>([]);

  constructor(
    readonly clientId: string,
    member: string,
    readonly history: History,
  ) {
    this.outbox = new Outbox<Unsent>(
      clientId,
      member,
      (what) => sendFitting(clientId, what),
      (what, told) => this.#arrived(what, told),
    );
    const begun = this.outbox.items.map((item) => item.what).findLast((what) => what.kind === "begin");
    if (begun?.kind === "begin") this.#begun = { id: begun.fitting, body: begun.body };
  }

  /** The fitting that is going on. */
  readonly open = $derived.by((): { id: string; place: string; where: string; since: string } | null => {
    const held = (this.fittings ?? []).find((one) => one.open && !this.#ended.includes(one.id));
    if (held) return { id: held.id, place: held.place, where: held.where, since: held.started_at };
    const begun = this.#begun;
    if (!begun || this.#ended.includes(begun.id)) return null;
    const { place, where, started_at } = begun.body;
    return { id: begun.id, place, where: where ?? "", since: started_at };
  });
  /** How much of the log that is going on cannot be read any more. */
  readonly unreadable = $derived(
    (this.fittings ?? []).find((one) => one.id === this.open?.id)?.unreadable ?? 0,
  );
  /** The log of a fitting: what has arrived, then what has not. */
  readonly log = $derived.by((): Logged[] => {
    const id = this.open?.id;
    if (!id) return [];
    const there = (this.fittings ?? []).find((one) => one.id === id)?.trials ?? [];
    const known = new Set(there.map((trial) => trial.id));
    const here = this.outbox.items.flatMap(({ key, what, refused }): Logged[] =>
      what.kind === "trial" && what.fitting === id && !known.has(what.trial)
        ? [
            {
              id: what.trial,
              title: what.title,
              decision: what.body.decision ?? "",
              why: what.body.why ?? "",
              trial: null,
              refused,
              key,
            },
          ]
        : [],
    );
    return [
      ...there.map((trial) => ({
        id: trial.id,
        title: trial.title,
        decision: trial.decision,
        why: trial.why,
        trial,
      })),
      ...here,
    ];
  });
  /** Pieces of the rack that were tried on at this fitting. */
  readonly tried = $derived.by(
    () =>
      new Set([
        ...this.log.map((one) => one.trial?.piece_id),
        ...this.outbox.items.map(({ what }) => (what.kind === "trial" ? what.body.piece_id : null)),
      ]),
  );
  readonly shown = $derived(
    this.pieces
      .filter((piece) => {
        const text = `${piece.title} ${piece.kind} ${piece.maker}`.replaceAll("_", " ").toLocaleLowerCase();
        return this.sought
          .toLocaleLowerCase()
          .split(/\s+/)
          .every((word) => text.includes(word));
      })
      .slice(0, SOUGHT),
  );
  readonly past = $derived((this.fittings ?? []).filter((one) => one.id !== this.open?.id));
  /** How the log stands, as the steps show it. */
  readonly saving = $derived.by(() => {
    if (this.outbox.refused.length) return "failed" as const;
    if (this.outbox.waiting.length) return "waiting" as const;
    return this.log.length ? ("kept" as const) : ("blank" as const);
  });
  /** What fittings say of the maker of the piece that is on. */
  readonly told = $derived.by(() => {
    const maker = this.on?.maker || this.form.maker.trim();
    return maker ? (this.makers.find((one) => one.maker === maker) ?? null) : null;
  });

  /** Fetch it all, once: a fitting then goes on without a connection. */
  async load(): Promise<void> {
    const params = { path: { client_id: this.clientId } };
    const [held, expected] = await Promise.all([
      ask(api.GET("/api/clients/{client_id}/fittings", { params })),
      ask(
        api.GET("/api/clients/{client_id}/expected", {
          params: { ...params, query: { heel_cm: this.heel } },
        }),
      ),
    ]);
    const refused = [held, expected].find((told) => "refusal" in told);
    // With something on the screen a lost connection is no reason to take it away.
    if (refused && "refusal" in refused && !this.fittings) this.trouble = refused.refusal.message;
    if ("data" in held) {
      this.trouble = null;
      ({ fittings: this.fittings, makers: this.makers } = held.data);
    }
    if ("data" in expected) {
      ({ pieces: this.pieces, heels: this.heels } = expected.data);
      if (this.on?.piece_id) this.on = this.pieces.find((one) => one.piece_id === this.on?.piece_id) ?? null;
      else if (this.on) await this.say(this.line);
    }
    await this.outbox.flush();
  }

  async begin(place: "wardrobe" | "shop", where: string): Promise<void> {
    const id = crypto.randomUUID();
    const body = { place, where: where.trim(), started_at: new Date().toISOString() };
    this.#begun = { id, body };
    await this.outbox.add({ kind: "begin", fitting: id, body });
  }

  async end(): Promise<void> {
    const id = this.open?.id;
    if (!id) return;
    this.#ended = [...this.#ended, id];
    this.take(null);
    await this.outbox.add({ kind: "end", fitting: id });
  }

  /** Put a piece of the rack on, or take it off. */
  take(piece: Expected | null): void {
    this.on = piece;
    this.line = "";
    this.wrong = null;
    this.form.clear();
  }

  /** Put on what was said in a line: expected as far as the server can be asked. */
  async say(line: string): Promise<void> {
    const params = { path: { client_id: this.clientId } };
    const body = { line, heel_cm: this.heel };
    const told = await ask(api.POST("/api/clients/{client_id}/expect", { params, body }));
    this.wrong = null;
    if ("data" in told) this.on = told.data;
    else if (told.refusal.status === 0) this.on = unexpected(line);
    else {
      this.wrong = told.refusal.message;
      return;
    }
    this.line = line;
    this.sought = "";
  }

  /** Whether what was typed is a length; without a connection that is found out when it arrives. */
  async check(text: string, unit: Unit): Promise<boolean> {
    const plain = text.trim().replace(/^[-−–+]/, "");
    if (!plain) return true;
    const told = await ask(api.POST("/api/length", { body: { text: plain, unit } }));
    this.wrong = "refusal" in told && told.refusal.status !== 0 ? told.refusal.message : null;
    return this.wrong === null;
  }

  /** Log the piece that is on, and make room for the next. */
  async keep(unit: Unit): Promise<boolean> {
    const piece = this.on;
    const fitting = this.open?.id;
    if (!piece || !fitting) return false;
    const { form } = this;
    if (!form.decision) {
      this.wrong = "Say what becomes of it: keep, alter, other size, return or let go.";
      return false;
    }
    const trial = crypto.randomUUID();
    const body: Schemas["TrialIn"] = {
      tried_at: new Date().toISOString(),
      seen: $state.snapshot(form.seen),
      typed: $state.snapshot(form.typed),
      unit,
      decision: form.decision,
      why: form.why.trim(),
      heel_cm: this.heel,
      piece_id: piece.piece_id,
      line: piece.piece_id ? "" : this.line,
      maker: piece.maker || form.maker.trim(),
      label_size: piece.label_size || form.label.trim(),
      errands: form.errands(piece),
    };
    const title = piece.title;
    this.take(null);
    this.sought = "";
    await this.outbox.add({ kind: "trial", fitting, trial, title, body });
    return true;
  }

  /** Take a piece out of the log; undo brings it back with what was due of it. */
  async remove(trial: Trial): Promise<void> {
    const params = { path: { trial_id: trial.id } };
    const away = async () => {
      const told = await ask(api.DELETE("/api/trials/{trial_id}", { params }));
      if ("data" in told) this.#without(trial.id);
      else this.wrong = told.refusal.message;
      return "data" in told;
    };
    const back = async () => {
      const told = await ask(api.POST("/api/trials/{trial_id}/restore", { params }));
      if ("data" in told) await this.load();
    };
    if (!(await away())) return;
    this.history.add({
      name: `taking the ${trial.title} out of the log`,
      undo: back,
      redo: async () => void (await away()),
    });
  }

  /** Correct the piece or the body by what was seen; undo takes the correction back. */
  async correct(trial: Trial, whose: "piece" | "body", key: string, label: string): Promise<void> {
    const params = { path: { trial_id: trial.id } };
    const body = { whose, key };
    const take = async () => {
      const told = await ask(api.POST("/api/trials/{trial_id}/correct", { params, body }));
      if ("data" in told) this.#put(told.data);
      else this.wrong = told.refusal.message;
      return "data" in told;
    };
    const back = async () => {
      const told = await ask(api.POST("/api/trials/{trial_id}/uncorrect", { params, body }));
      if ("data" in told) this.#put(told.data);
      await this.load();
    };
    const again = async () => {
      if (await take()) await this.load();
    };
    if (!(await take())) return;
    // What is seen to be done can be undone at once, before the rest is read anew.
    this.history.add({ name: `correcting the ${label}`, undo: back, redo: again });
    await this.load();
  }

  #arrived(what: Unsent, told: unknown): void {
    if (what.kind === "trial") this.#put(told as Trial, what.fitting);
    else {
      const fitting = told as Fitting;
      const others = (this.fittings ?? []).filter((one) => one.id !== fitting.id);
      this.fittings = [fitting, ...others].toSorted((a, b) => b.started_at.localeCompare(a.started_at));
    }
  }

  #put(trial: Trial, fitting?: string): void {
    this.fittings = (this.fittings ?? []).map((one) => {
      const here = one.trials.some((other) => other.id === trial.id);
      if (here) return { ...one, trials: one.trials.map((other) => (other.id === trial.id ? trial : other)) };
      return one.id === fitting ? { ...one, trials: [...one.trials, trial] } : one;
    });
  }

  #without(id: string): void {
    this.fittings = (this.fittings ?? []).map((one) => ({
      ...one,
      trials: one.trials.filter((trial) => trial.id !== id),
    }));
  }
}

/** A piece said without a connection: nothing is expected of it yet. */
function unexpected(line: string): Expected {
  const placed = {
    name: line,
    piece: {},
    read: [],
    unread: [],
    lift: 0,
    stance: "fits" as const,
    edges: [],
    eases: [],
    checks: [],
    reviews: [],
    advice: [],
  };
  return {
    piece_id: null,
    title: line,
    kind: "",
    maker: "",
    label_size: "",
    placed,
    to_see: [],
    in_style: null,
    style: "",
  };
}
