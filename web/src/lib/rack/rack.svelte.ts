/** A client's rack on the screen: pieces as flats, filtered as you look, changed in place, each way back kept. */
import { notice } from "../ui/notice.svelte";
import { api, ask, type Refusal, type Schemas } from "../api/client";
import type { History } from "../client/history.svelte";
import { Flats } from "./flats.svelte";

export type RackPiece = Schemas["RackPieceOut"];
export type Change = { name?: string; piece?: Record<string, unknown>; facts?: Schemas["Facts"] };

export class Rack {
  pieces = $state.raw<RackPiece[] | null>(null);
  detail = $state.raw<Schemas["RackDetail"] | null>(null);
  trouble = $state<string | null>(null);
  /** What is wrong with the line being typed, or with a change of the chosen piece. */
  wrong = $state<string | null>(null);
  line = $state("");
  /** The shoe the rack is looked at with, cm of heel. */
  heel = $state(2);
  /** Pieces whose words cannot be read any more. */
  unreadable = $state.raw<Schemas["Unreadable"][]>([]);
  /** Whether this client is offered heels. */
  heels = $state(true);
  sought = $state("");
  kind = $state("");
  how = $state("");
  readonly flats: Flats;

  constructor(
    readonly clientId: string,
    readonly history: History,
  ) {
    this.flats = new Flats(clientId);
  }

  readonly kinds = $derived([...new Set((this.pieces ?? []).map((piece) => piece.kind))].toSorted());
  readonly shown = $derived(
    (this.pieces ?? []).filter((piece) => {
      const text = [
        piece.title,
        piece.kind,
        piece.facts.maker,
        piece.facts.state,
        JSON.stringify(piece.piece),
      ]
        .join(" ")
        .replaceAll("_", " ")
        .toLocaleLowerCase();
      const found = this.sought
        .toLocaleLowerCase()
        .split(/\s+/)
        .every((word) => text.includes(word));
      return found && (!this.kind || piece.kind === this.kind) && (!this.how || piece.stance === this.how);
    }),
  );

  /** The heel that every answer is for: a piece's mark is that of the shoe chosen on the screen. */
  get #in() {
    return { heel_cm: this.heel };
  }

  #of(id: string) {
    return { path: { piece_id: id }, query: this.#in };
  }

  async load(): Promise<void> {
    const params = { path: { client_id: this.clientId }, query: this.#in };
    const told = await ask(api.GET("/api/clients/{client_id}/rack", { params }));
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) {
      ({ pieces: this.pieces, heels: this.heels, unreadable: this.unreadable } = told.data);
      void this.flats.begin(told.data.pieces, told.data.page);
    }
    if (this.detail) await this.choose(this.detail.piece.id);
  }

  /** Hang the line being typed. */
  async hang(): Promise<void> {
    const line = this.line.trim();
    if (!line) return;
    const body = { id: crypto.randomUUID(), line };
    const params = { path: { client_id: this.clientId }, query: this.#in };
    const told = await ask(api.POST("/api/clients/{client_id}/rack", { params, body }));
    this.wrong = "refusal" in told ? told.refusal.message : null;
    if (!("data" in told)) return;
    this.line = "";
    this.#put(told.data);
    this.#remember(`hanging the ${told.data.title}`, told.data.id, "remove");
    const { note } = told.data.facts;
    if (note) notice.say(`The ${told.data.title} hangs. What was not understood is its note: ${note}.`);
  }

  async choose(id: string | null): Promise<void> {
    this.wrong = null;
    if (id === null) {
      this.detail = null;
      return;
    }
    const told = await ask(api.GET("/api/rack/{piece_id}", { params: this.#of(id) }));
    if ("data" in told) this.detail = told.data;
    else this.wrong = told.refusal.message;
  }

  /** Change the chosen piece; what was there before comes back with undo. */
  async change(what: Change, name: string): Promise<boolean> {
    const before = this.detail?.piece;
    if (!before) return false;
    const was: Change = {};
    if (what.name !== undefined) was.name = before.name;
    if (what.piece) was.piece = before.piece;
    if (what.facts) was.facts = before.facts;
    const refusal = await this.#write(before.id, what);
    if (refusal) return false;
    this.history.add({
      name,
      undo: async () => void (await this.#write(before.id, was)),
      redo: async () => void (await this.#write(before.id, what)),
    });
    return true;
  }

  async #write(id: string, what: Change): Promise<Refusal | null> {
    const held = this.pieces?.find((piece) => piece.id === id);
    const body = { version: held?.version ?? 0, ...what };
    const told = await ask(api.PATCH("/api/rack/{piece_id}", { params: this.#of(id), body }));
    if ("data" in told) {
      this.#put(told.data);
      if (this.detail?.piece.id === id) await this.choose(id);
      this.wrong = null;
      return null;
    }
    const current = told.refusal.current as RackPiece | undefined;
    this.wrong = current
      ? `${told.refusal.message} It shows theirs now; change it again to put yours on top.`
      : told.refusal.message;
    if (current) {
      this.#put(current);
      const said = this.wrong;
      await this.choose(id);
      this.wrong = said;
    }
    return told.refusal;
  }

  async copy(id: string): Promise<void> {
    const told = await ask(api.POST("/api/rack/{piece_id}/copy", { params: this.#of(id) }));
    if (!("data" in told)) {
      this.wrong = told.refusal.message;
      return;
    }
    this.#put(told.data);
    this.#remember(`another ${told.data.title}`, told.data.id, "remove");
    await this.choose(told.data.id);
  }

  /** Take off what cannot be read: what could bring it back would have to read it. */
  async discard(id: string): Promise<void> {
    if (await this.#away(id)) notice.say("It is off the rack.");
  }

  async remove(id: string): Promise<boolean> {
    const title = this.pieces?.find((piece) => piece.id === id)?.title ?? "piece";
    if (!(await this.#away(id))) return false;
    this.#remember(`taking the ${title} off the rack`, id, "restore");
    return true;
  }

  #remember(name: string, id: string, undo: "remove" | "restore"): void {
    const away = async () => void (await this.#away(id));
    const back = async () => void (await this.#back(id));
    this.history.add(undo === "remove" ? { name, undo: away, redo: back } : { name, undo: back, redo: away });
  }

  async #away(id: string): Promise<boolean> {
    const told = await ask(api.DELETE("/api/rack/{piece_id}", { params: { path: { piece_id: id } } }));
    if ("refusal" in told) {
      this.wrong = told.refusal.message;
      return false;
    }
    this.pieces = (this.pieces ?? []).filter((piece) => piece.id !== id);
    this.unreadable = this.unreadable.filter((piece) => piece.id !== id);
    if (this.detail?.piece.id === id) this.detail = null;
    return true;
  }

  async #back(id: string): Promise<void> {
    const told = await ask(api.POST("/api/rack/{piece_id}/restore", { params: this.#of(id) }));
    if ("data" in told) this.#put(told.data);
  }

  #put(piece: RackPiece): void {
    const held = this.pieces ?? [];
    this.pieces = held.some((one) => one.id === piece.id)
      ? held.map((one) => (one.id === piece.id ? piece : one))
      : [...held, piece];
  }
}
