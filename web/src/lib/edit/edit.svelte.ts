/** An edit on the screen: what is proposed and decided of each piece, what is missing, what goes and what is bought. */
import { api, ask, type Refusal, type Schemas } from "../api/client";
import { Outbox } from "../api/outbox.svelte";
import { sendPicture } from "../api/pictures";
import type { History } from "../client/history.svelte";
import type { Rack } from "../rack/rack.svelte";
import { Drawings } from "../outfits/drawings.svelte";
import { studio } from "../studio.svelte";
import { notice } from "../ui/notice.svelte";
import type { Decision, Goes, View } from "./words";
import { Work } from "./work.svelte";

export type Proposal = Schemas["ProposalOut"];
export type EditLook = Schemas["EditLookOut"];
export type Decided = Schemas["SortedOut"];
export type ToBuy = Schemas["ToBuyOut"];
/** Where a piece goes, and why. */
export interface Whither {
  word?: string;
  goes?: Goes;
  place?: string;
  on?: string | null;
}

/** A decision as it is handed in. */
export interface Unsent {
  piece: string;
  body: Schemas["DecideIn"];
}

/** How often it is looked whether somebody else has decided, ms. */
const LOOKS = 8000;

export class Edit {
  view = $state<View>("sort");
  decided = $state.raw<Record<string, Decided>>({});
  kit = $state.raw<Schemas["KitPieceOut"][]>([]);
  buying = $state.raw<Schemas["BuyingOut"] | null>(null);
  /** What was worn since when, and what hangs unworn for long. */
  worn = $state.raw<Schemas["UsesOut"] | null>(null);
  /** The piece that is being sorted, and the one that was decided last. */
  at = $state<string | null>(null);
  last = $state<string | null>(null);
  trouble = $state<string | null>(null);
  wanted = $state.raw<Schemas["CapsuleIn"]>({ pieces: 14, bought: 0, must: [], never: [] });
  readonly drawings: Drawings;
  /** What was decided while the server did not answer. */
  readonly outbox: Outbox<Unsent>;
  readonly sorting: Work<Schemas["SortingOut"]>;
  readonly gaps: Work<Schemas["GapsOut"]>;
  readonly capsule: Work<Schemas["CapsuleOut"]>;
  readonly changed: Work<Schemas["ChangedOut"]>;

  constructor(
    readonly clientId: string,
    readonly rack: Rack,
    private history: History,
  ) {
    this.drawings = new Drawings(clientId);
    this.outbox = new Outbox<Unsent>(
      `sort.${clientId}`,
      studio.me?.email ?? "",
      (what) => {
        const version = this.#versions[what.piece] ?? what.body.version;
        return this.#send({ ...what, body: { ...what.body, version: version || null } });
      },
      (what, told) => this.#arrived(what.piece, told as Decided),
    );
    const params = this.#client;
    this.sorting = new Work(() => ask(api.POST("/api/clients/{client_id}/edit/sorting", { params })));
    this.gaps = new Work(() => ask(api.POST("/api/clients/{client_id}/edit/gaps", { params })));
    this.changed = new Work(() => ask(api.POST("/api/clients/{client_id}/edit/changed", { params })));
    this.capsule = new Work(() =>
      ask(api.POST("/api/clients/{client_id}/edit/capsule", { params, body: this.wanted })),
    );
  }

  get #client() {
    return { path: { client_id: this.clientId } };
  }

  /** The pieces in the order to go through them: bottoms first. */
  readonly order = $derived.by(() => (this.sorting.told?.pieces ?? []).map((one) => one.piece_id));
  readonly proposals = $derived.by(() =>
    Object.fromEntries((this.sorting.told?.pieces ?? []).map((one) => [one.piece_id, one])),
  );
  readonly left = $derived(this.order.filter((id) => !(id in this.decided)));
  readonly here = $derived(
    this.at && this.order.includes(this.at) ? this.at : (this.left[0] ?? this.order[0] ?? null),
  );
  readonly pieces = $derived.by(() =>
    Object.fromEntries((this.rack.pieces ?? []).map((piece) => [piece.id, piece])),
  );

  /** Somebody looks at this step; the way to look away. */
  open(): () => void {
    void this.load();
    // Two may sort at once: each sees what the other decides.
    const looks = setInterval(() => void this.loadDecided(), LOOKS);
    return () => {
      clearInterval(looks);
      [this.sorting, this.gaps, this.capsule, this.changed].forEach((work) => work.leave());
    };
  }

  async load(): Promise<void> {
    await this.rack.load();
    const listed = [this.loadDecided(), this.loadBuying(), this.loadKit(), this.loadWorn()];
    await Promise.all([this.sorting.ask(), ...listed]);
  }

  async loadWorn(): Promise<void> {
    const told = await ask(api.GET("/api/clients/{client_id}/worn", { params: this.#client }));
    if ("data" in told) this.worn = told.data;
  }

  async loadDecided(): Promise<void> {
    const told = await ask(api.GET("/api/clients/{client_id}/edit/sorted", { params: this.#client }));
    const away = "refusal" in told && told.refusal.status === 0;
    // With a piece on the screen a lost connection is no reason to stop.
    if (!away || !this.order.length) this.trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told && !this.outbox.waiting.length)
      this.decided = Object.fromEntries(told.data.decisions.map((one) => [one.piece_id, one]));
  }

  step(by: number): void {
    const at = this.here ? this.order.indexOf(this.here) : 0;
    this.at = this.order[Math.min(Math.max(at + by, 0), this.order.length - 1)] ?? null;
  }

  /** The next piece that nobody has decided of. */
  next(): void {
    const at = this.here ? this.order.indexOf(this.here) : -1;
    const after = [...this.order.slice(at + 1), ...this.order.slice(0, at + 1)];
    this.at = after.find((id) => !(id in this.decided)) ?? null;
  }

  /** Decide of a piece, and go on to the next. */
  async decide(id: string, decision: Decision, more: Whither = {}): Promise<boolean> {
    const before = this.decided[id];
    const goesOn = !more.goes && !more.word && this.here === id;
    // The next piece stands there at once; this one comes back if it could not be kept.
    if (goesOn) this.next();
    if (!(await this.#put(id, decision, more))) {
      if (goesOn) this.at = id;
      return false;
    }
    this.last = id;
    this.history.add({
      name: `deciding of the ${this.pieces[id]?.title ?? "piece"}`,
      undo: async () => {
        if (before) await this.#put(id, before.decision, before as Whither);
        else await this.#undecide(id);
        this.at = id;
      },
      redo: async () => void (await this.#put(id, decision, more)),
    });
    return true;
  }

  /** Change where a decided piece goes, or the word about it: one after the other, each from what stands then. */
  revise(id: string, what: Whither): Promise<unknown> {
    this.#revised = this.#revised.then(async () => {
      const held = this.decided[id];
      if (!held) return;
      const { word, goes, place, on } = held;
      await this.decide(id, held.decision, { word, goes, place, on, ...what });
    });
    return this.#revised;
  }
  #revised: Promise<unknown> = Promise.resolve();

  /** One write after the other: each is made from the version that the one before came to. */
  #put(id: string, decision: Decision, more: Whither): Promise<boolean> {
    const done = this.#written.then(() => this.#write(id, decision, more));
    this.#written = done;
    return done;
  }
  #written: Promise<unknown> = Promise.resolve();

  async #write(id: string, decision: Decision, more: Whither): Promise<boolean> {
    const held = this.decided[id];
    const body = {
      id: held?.id ?? crypto.randomUUID(),
      version: held?.version ?? null,
      decision,
      proposed: this.proposals[id]?.decision ?? "",
      word: more.word ?? "",
      goes: more.goes ?? "",
      place: more.place ?? "",
      on: more.on ?? null,
    };
    const told = this.outbox.waiting.length ? null : await this.#send({ piece: id, body });
    if (told === null || ("refusal" in told && told.refusal.status === 0)) {
      // Nobody answers: it is decided here, and goes out when somebody does, in the order it was done.
      this.decided = { ...this.decided, [id]: this.#undelivered(id, body) };
      void this.outbox.add({ piece: id, body });
      return true;
    }
    if ("data" in told) {
      this.decided = { ...this.decided, [id]: told.data };
      return true;
    }
    const current = told.refusal.current as Decided | undefined;
    if (current) this.decided = { ...this.decided, [id]: current };
    notice.say(
      current
        ? `${told.refusal.message} It shows theirs now; decide again to put yours on top.`
        : told.refusal.message,
    );
    return false;
  }

  #send({ piece, body }: Unsent): Promise<{ data: Decided } | { refusal: Refusal }> {
    const params = { path: { piece_id: piece } };
    return ask(api.PUT("/api/rack/{piece_id}/sorted", { params, body }));
  }

  /** A decision as the screen shows it before the server knows it. */
  #undelivered(id: string, body: Schemas["DecideIn"]): Decided {
    const { decision, proposed = "", word = "", goes = "", place = "", on = null } = body;
    const title = this.decided[id]?.title ?? this.pieces[id]?.title ?? "";
    const held = this.decided[id] ?? ({ piece_id: id, gone_at: null, by: "" } as unknown as Decided);
    return {
      ...held,
      id: body.id,
      title,
      decision,
      proposed,
      word,
      goes,
      place,
      on,
      version: body.version ?? 0,
    };
  }

  /** The decisions that have arrived, one after the other: the next of the same piece is made from what this came to. */
  #arrived(piece: string, told: Decided): void {
    this.#versions[piece] = told.version;
    this.decided = { ...this.decided, [piece]: told };
  }
  #versions: Record<string, number> = {};

  async #undecide(id: string): Promise<void> {
    const told = await ask(api.DELETE("/api/rack/{piece_id}/sorted", { params: { path: { piece_id: id } } }));
    if ("data" in told)
      this.decided = Object.fromEntries(Object.entries(this.decided).filter(([one]) => one !== id));
  }

  /** Say that a piece on a list is gone; undo hangs it again. */
  async gone(id: string): Promise<void> {
    const params = { path: { piece_id: id } };
    const told = await ask(api.POST("/api/rack/{piece_id}/gone", { params }));
    if ("refusal" in told) {
      notice.say(told.refusal.message);
      return;
    }
    this.decided = { ...this.decided, [id]: told.data };
    this.history.add({
      name: `letting the ${told.data.title} go`,
      undo: async () => {
        const back = await ask(api.DELETE("/api/rack/{piece_id}/gone", { params }));
        if ("data" in back) this.decided = { ...this.decided, [id]: back.data };
      },
      redo: () => this.gone(id),
    });
  }

  async loadBuying(): Promise<void> {
    const told = await ask(api.GET("/api/clients/{client_id}/buying", { params: this.#client }));
    if ("data" in told) this.buying = told.data;
  }

  #things(change: (things: ToBuy[]) => ToBuy[]): void {
    if (this.buying) this.buying = { ...this.buying, things: change(this.buying.things) };
  }

  async buy(
    piece: Schemas["PieceWords"],
    more: { why?: string; looks?: number; price?: number | null },
  ): Promise<void> {
    const body = {
      id: crypto.randomUUID(),
      piece,
      why: more.why ?? "",
      looks: more.looks ?? 0,
      price: more.price ?? null,
      when: "now" as const,
    };
    const told = await ask(api.POST("/api/clients/{client_id}/buying", { params: this.#client, body }));
    if ("refusal" in told) {
      notice.say(told.refusal.message);
      return;
    }
    const put = () => this.#things((things) => [...things.filter((one) => one.id !== body.id), told.data]);
    put();
    const params = { path: { buy_id: body.id } };
    this.history.add({
      name: `putting the ${told.data.title} on the list`,
      undo: async () => {
        await ask(api.DELETE("/api/buying/{buy_id}", { params }));
        this.#things((things) => things.filter((one) => one.id !== body.id));
      },
      redo: async () => {
        await ask(api.POST("/api/buying/{buy_id}/restore", { params }));
        put();
      },
    });
    notice.say(`${told.data.title} stands on the buying list.`);
  }

  /** Whether a thing stands on the list already. */
  listed(piece: Schemas["PieceWords"]): boolean {
    const told = JSON.stringify(Object.entries(piece).toSorted());
    return (this.buying?.things ?? []).some(
      (one) => JSON.stringify(Object.entries(one.words).toSorted()) === told,
    );
  }

  async changeBuy(thing: ToBuy, change: Omit<Schemas["ToBuyChange"], "version">, undo = true): Promise<void> {
    const params = { path: { buy_id: thing.id } };
    const told = await ask(
      api.PATCH("/api/buying/{buy_id}", { params, body: { version: thing.version, ...change } }),
    );
    const now = "data" in told ? told.data : (told.refusal.current as ToBuy | undefined);
    if ("refusal" in told) notice.say(told.refusal.message);
    if (now) this.#things((things) => things.map((one) => (one.id === now.id ? now : one)));
    if ("data" in told && undo) {
      const was = Object.fromEntries(Object.keys(change).map((key) => [key, thing[key as keyof ToBuy]]));
      const newest = () => this.buying?.things.find((one) => one.id === thing.id) ?? thing;
      this.history.add({
        name: `a change of the ${thing.title}`,
        undo: () => this.changeBuy(newest(), was, false),
        redo: () => this.changeBuy(newest(), change, false),
      });
    }
  }

  async strike(thing: ToBuy): Promise<void> {
    const params = { path: { buy_id: thing.id } };
    await ask(api.DELETE("/api/buying/{buy_id}", { params }));
    this.#things((things) => things.filter((one) => one.id !== thing.id));
    this.history.add({
      name: `striking the ${thing.title}`,
      undo: async () => {
        await ask(api.POST("/api/buying/{buy_id}/restore", { params }));
        await this.loadBuying();
      },
      redo: () => this.strike(thing),
    });
  }

  async loadKit(): Promise<void> {
    const told = await ask(api.GET("/api/kit"));
    if ("data" in told) this.kit = told.data.pieces;
  }

  /** Put a piece into the kit; what is wrong with the line, or nothing. */
  async carry(line: string): Promise<string | null> {
    const id = crypto.randomUUID();
    const told = await ask(api.POST("/api/kit", { body: { id, line } }));
    if ("refusal" in told) return told.refusal.message;
    await this.loadKit();
    this.history.add({
      name: `carrying the ${told.data.title}`,
      undo: () => this.leaveHome(id, false),
      redo: () => this.#carryAgain(id),
    });
    return null;
  }

  async leaveHome(id: string, undo = true): Promise<void> {
    await ask(api.DELETE("/api/kit/{kit_id}", { params: { path: { kit_id: id } } }));
    if (undo)
      this.history.add({
        name: "leaving a piece of the kit at home",
        undo: () => this.#carryAgain(id),
        redo: () => this.leaveHome(id, false),
      });
    await this.loadKit();
  }

  async #carryAgain(id: string): Promise<void> {
    await ask(api.POST("/api/kit/{kit_id}/restore", { params: { path: { kit_id: id } } }));
    await this.loadKit();
  }

  /** Hang many pieces, a line each; what became of each line. */
  async hang(lines: string[]): Promise<Schemas["LineOut"][] | string> {
    const body = { lines: lines.map((line) => ({ id: crypto.randomUUID(), line })) };
    const told = await ask(api.POST("/api/clients/{client_id}/rack/lines", { params: this.#client, body }));
    if ("refusal" in told) return told.refusal.message;
    const ids = told.data.lines.filter((one) => !one.refused).map((one) => one.id);
    const each = (way: "DELETE" | "restore") =>
      Promise.all(
        ids.map((id) => {
          const params = { path: { piece_id: id } };
          return way === "DELETE"
            ? ask(api.DELETE("/api/rack/{piece_id}", { params }))
            : ask(api.POST("/api/rack/{piece_id}/restore", { params }));
        }),
      );
    if (ids.length)
      this.history.add({
        name: `hanging ${ids.length} pieces`,
        undo: async () => void (await each("DELETE").then(() => this.load())),
        redo: async () => void (await each("restore").then(() => this.load())),
      });
    void this.load();
    return told.data.lines;
  }

  /** Hang pieces with their pictures; of each, what went wrong, or nothing. A piece that names no colour takes its picture's. */
  async hangPictured(rows: { file: File; line: string }[]): Promise<string[]> {
    const told = await this.hang(rows.map((row) => row.line));
    if (typeof told === "string") return rows.map(() => told);
    await this.rack.load();
    const said: string[] = [];
    for (const [at, one] of told.entries()) {
      const row = rows[at];
      if (one.refused || !row) {
        said.push(one.refused);
        continue;
      }
      const sent = await sendPicture(`/api/rack/${one.id}/pictures`, row.file);
      if ("refusal" in sent) {
        notice.say(`The ${one.title} hangs without its picture: ${sent.refusal.message}`);
      } else {
        await this.#coloured(one.id, (sent.data as Schemas["PictureOut"]).palette);
      }
      said.push("");
    }
    await this.rack.load();
    return said;
  }

  /** The largest shades of its picture as ground, second and third colour of a piece that says none. */
  async #coloured(id: string, palette: Schemas["Shade"][]): Promise<void> {
    const piece = this.pieces[id];
    if (!piece || piece.piece.colour || !palette.length) return;
    const [ground, second, third] = palette.map((shade) => shade.colour);
    const colours = { colour: ground, second_colour: second, third_colour: third };
    const kept = Object.fromEntries(Object.entries(colours).filter(([, colour]) => colour));
    const body = { version: piece.version, piece: { ...piece.piece, ...kept } };
    await ask(api.PATCH("/api/rack/{piece_id}", { params: { path: { piece_id: id } }, body }));
  }
}
