/** The look on the figure: composed here, kept on the server as you go, never overwritten. */
import { api, ask, type Look, type Piece, type Slot } from "../api/client";
import { factsApart, NOTHING_SAID, VARIANTS, type Asked, type Facts, type Variant } from "./facts";
import type { History } from "./history.svelte";
import { givesWay, ORDER } from "./places";

/** How long after the last change a look is kept, ms. */
const PAUSE = 500;
/** How long until a look is offered again to a server that did not answer, ms. */
const AGAIN = 4000;

export type Saving = "blank" | "kept" | "saving" | "waiting" | "failed" | "conflict";
export type Pieces = Partial<Record<Slot, Piece>>;

/** Which piece of the rack is worn at a place. */
export type FromRack = Partial<Record<Slot, string>>;

interface Snapshot {
  pieces: Pieces;
  name: string;
  facts: Facts;
  fromRack: FromRack;
}

/** The words of a piece that can be compared and sent: nothing empty. */
export function plain(piece: Piece): Piece {
  const said = Object.entries(piece).filter(
    ([, v]) => v !== null && v !== undefined && v !== false && v !== "",
  );
  return Object.fromEntries(said) as Piece;
}

/** A change at a place: words to say, or all of its words anew; null takes the piece off. */
export interface Change {
  slot: Slot;
  words: Record<string, unknown> | null;
  whole?: boolean;
  /** The piece of the rack that it is. */
  rackId?: string | null;
}

export class Draft {
  id = $state<string | null>(null);
  version = $state(0);
  name = $state("");
  pieces = $state.raw<Pieces>({});
  /** Where it is worn, how it stands, what was said of it and liked. */
  facts = $state.raw<Facts>(NOTHING_SAID);
  fromRack = $state.raw<FromRack>({});
  variantOf = $state<string | null>(null);
  saving = $state<Saving>("blank");
  trouble = $state<string | null>(null);
  nameTrouble = $state<string | null>(null);
  /** The look as somebody else left it, while the screen offers both. */
  theirs = $state<Look | null>(null);
  looks = $state.raw<Look[]>([]);

  #timer: ReturnType<typeof setTimeout> | undefined;
  #busy: Promise<void> | null = null;
  #changes = 0;
  /** The last step of undo, while typing in the same field goes on. */
  #typing: { field: string | null; after: Snapshot } | null = null;

  constructor(
    private clientId: string,
    private slotOf: (kind: string) => Slot | undefined,
    private history: History,
    private onchange: () => void,
  ) {}

  get list(): Piece[] {
    return ORDER.flatMap((place) => this.pieces[place] ?? []);
  }

  /** What the engine is asked: the pieces, where they are worn, what is liked all the same. */
  get asked(): Asked {
    return this.askedOf(this.pieces);
  }

  askedOf(pieces: Pieces): Asked {
    return {
      pieces: ORDER.flatMap((place) => pieces[place] ?? []),
      setting: this.facts.setting,
      liked: this.facts.liked.map((one) => one.rule),
      moving: false,
    };
  }

  /** Change one piece; null words are taken off, a null piece is taken away. */
  change(slot: Slot, words: Record<string, unknown> | null, name: string): void {
    this.changeAll([{ slot, words }], name);
  }

  /** Several changes as one step: some words of a piece, the whole of it, or a piece from the rack. */
  changeAll(changes: Change[], name: string): void {
    const pieces = { ...this.pieces };
    const fromRack = { ...this.fromRack };
    for (const { slot, words, whole, rackId } of changes) {
      const was = pieces[slot];
      // Of another kind it is another piece.
      if (whole || words === null || (words.is && words.is !== was?.is)) delete fromRack[slot];
      if (rackId) fromRack[slot] = rackId;
      if (words === null) delete pieces[slot];
      else {
        pieces[slot] = plain({ ...(whole ? {} : was), ...words } as Piece);
        this.#makeRoom(pieces, slot);
      }
    }
    this.#step({ pieces, fromRack }, name);
  }

  /** Put several pieces on at once, each in its place. */
  wear(pieces: Piece[], name: string, rackId: string | null = null): void {
    const placed = pieces.flatMap((piece) => {
      const slot = this.slotOf(piece.is);
      return slot ? [{ slot, words: { ...piece }, whole: true, rackId }] : [];
    });
    this.changeAll(placed, name);
  }

  /** What gives way to a piece is taken off with it. */
  #makeRoom(pieces: Pieces, slot: Slot): void {
    const piece = pieces[slot];
    if (piece) for (const place of givesWay(slot, piece)) delete pieces[place];
  }

  rename(name: string): void {
    if (name !== this.name) this.#step({ name }, "the look's name", "name");
  }

  /** Say more of the look: where it is worn, a note, how it stands. */
  say(facts: Partial<Facts>, name: string, typing: string | null = null): void {
    this.#step({ facts: { ...this.facts, ...facts } }, name, typing);
  }

  /** Like a finding all the same, or no longer. */
  like(rule: string, title: string): void {
    const held = this.facts.liked.some((one) => one.rule === rule);
    const today = new Date().toISOString().slice(0, 10);
    const liked = held
      ? this.facts.liked.filter((one) => one.rule !== rule)
      : [...this.facts.liked, { rule, who: "client" as const, on: today, why: "" }];
    this.say({ liked }, `${held ? "no longer liking" : "liking"} “${title}” all the same`);
  }

  /** Go on with a copy of the look as a variant of it; the look itself stays as it is. Says why not, where that fails. */
  async vary(variant: Exclude<Variant, "">): Promise<string | null> {
    await this.keep();
    if (this.id === null || this.saving !== "kept")
      return "The look it starts from is not kept yet, so there is no variant of it. Nothing is lost.";
    this.variantOf = this.id;
    this.id = null;
    this.version = 0;
    this.facts = { ...this.facts, variant, standing: "", why_not: "" };
    this.#become({ ...this.#snapshot(), name: `${this.name || "Unnamed look"}, ${VARIANTS[variant]}` });
    await this.keep();
    return null;
  }

  #snapshot(): Snapshot {
    return { pieces: this.pieces, name: this.name, facts: this.facts, fromRack: this.fromRack };
  }

  /** One change; letters typed in the same field without a pause are one change. */
  #step(change: Partial<Snapshot>, name: string, typing: string | null = null): void {
    const before = this.#snapshot();
    this.#become({ ...before, ...change });
    if (typing && this.#typing?.field === typing) this.#typing.after = this.#snapshot();
    else this.#remember(name, before, typing);
  }

  #remember(name: string, before: Snapshot, field: string | null = null): void {
    const step = (this.#typing = { field, after: this.#snapshot() });
    const id = this.id;
    const go = (to: Snapshot) => {
      this.#typing = null;
      // A step of a look that is no longer on the figure has nothing to go back to.
      if (this.id === id || id === null) this.#become(to);
    };
    this.history.add({ name, undo: () => go(before), redo: () => go(step.after) });
  }

  #become(to: Snapshot): void {
    this.pieces = to.pieces;
    this.name = to.name;
    this.facts = to.facts;
    this.fromRack = to.fromRack;
    this.#changes += 1;
    this.onchange();
    if (this.saving === "conflict") return;
    this.saving = "waiting";
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.keep(), PAUSE);
  }

  /** Keep the look now. One write at a time: the next starts from the version of the last. */
  async keep(): Promise<void> {
    clearTimeout(this.#timer);
    while (this.#busy) await this.#busy;
    if (this.saving !== "waiting" && this.saving !== "failed") return;
    if (this.id === null && this.list.length === 0 && !this.name) {
      this.saving = "blank";
      return;
    }
    this.#busy = this.#write();
    await this.#busy;
    this.#busy = null;
  }

  async #write(): Promise<void> {
    this.saving = "saving";
    this.#typing = null;
    const changes = this.#changes;
    const body = {
      name: this.name,
      pieces: this.list,
      facts: this.facts,
      from_rack: this.fromRack as Record<string, string>,
      variant_of: this.variantOf,
    };
    const told =
      this.id === null
        ? await ask(
            api.POST("/api/clients/{client_id}/looks", {
              params: { path: { client_id: this.clientId } },
              body,
            }),
          )
        : await ask(
            api.PUT("/api/looks/{look_id}", {
              params: { path: { look_id: this.id } },
              body: { ...body, version: this.version },
            }),
          );
    this.nameTrouble = null;
    this.trouble = null;
    if ("data" in told) {
      this.id = told.data.id;
      this.version = told.data.version;
      this.looks = [told.data, ...this.looks.filter((look) => look.id !== told.data.id)];
      // Changed again while this was on its way: `keep` runs once more for that.
      this.saving = this.#changes === changes ? "kept" : "waiting";
    } else if (told.refusal.status === 409) {
      this.theirs = told.refusal.current as Look;
      this.trouble = told.refusal.message;
      this.saving = "conflict";
    } else {
      this.saving = "failed";
      if (told.refusal.field === "name") this.nameTrouble = told.refusal.message;
      else this.trouble = told.refusal.message;
      // The server did not answer: nothing is wrong with the look, so try again by itself.
      if (told.refusal.status === 0) this.#timer = setTimeout(() => void this.keep(), AGAIN);
    }
  }

  /** Of two versions, mine: written over theirs, knowingly. */
  async keepMine(): Promise<void> {
    if (!this.theirs) return;
    this.version = this.theirs.version;
    this.theirs = null;
    this.saving = "waiting";
    await this.keep();
  }

  /** Of two versions, theirs. Undo brings mine back. */
  takeTheirs(): void {
    if (!this.theirs) return;
    const before = this.#snapshot();
    const theirs = this.theirs;
    this.#show(theirs);
    this.#remember("taking theirs", before);
  }

  /** What differs between mine and theirs, in words. */
  differences(): string[] {
    const found: string[] = [];
    const theirs = this.#bySlot(this.theirs?.pieces ?? []);
    if (this.theirs && this.theirs.name !== this.name)
      found.push(`name: “${this.name}” / “${this.theirs.name}”`);
    if (this.theirs) found.push(...factsApart(this.facts, this.theirs.facts));
    for (const slot of ORDER) {
      const mine = (this.pieces[slot] ?? {}) as Record<string, unknown>;
      const other = (theirs[slot] ?? {}) as Record<string, unknown>;
      for (const key of new Set([...Object.keys(mine), ...Object.keys(other)])) {
        if (JSON.stringify(mine[key]) !== JSON.stringify(other[key]))
          found.push(`${slot}, ${key.replaceAll("_", " ")}: ${mine[key] ?? "–"} / ${other[key] ?? "–"}`);
      }
    }
    return found;
  }

  /** Put a kept look on the figure. */
  async open(look: Look): Promise<void> {
    await this.keep();
    this.#show(look);
  }

  /** Start a look with nothing on. */
  async blank(): Promise<void> {
    await this.keep();
    this.id = null;
    this.version = 0;
    this.name = "";
    this.pieces = {};
    this.facts = NOTHING_SAID;
    this.fromRack = {};
    this.variantOf = null;
    this.saving = "blank";
    this.theirs = this.trouble = this.nameTrouble = null;
    this.onchange();
  }

  async remove(look: Look): Promise<string | null> {
    const told = await ask(api.DELETE("/api/looks/{look_id}", { params: { path: { look_id: look.id } } }));
    if ("refusal" in told) return told.refusal.message;
    this.looks = this.looks.filter((other) => other.id !== look.id);
    if (this.id === look.id) {
      this.saving = "blank";
      await this.blank();
    }
    this.history.add({
      name: `removing “${look.name || "unnamed look"}”`,
      undo: async () => {
        const back = await ask(
          api.POST("/api/looks/{look_id}/restore", { params: { path: { look_id: look.id } } }),
        );
        if ("data" in back) this.looks = [back.data, ...this.looks];
      },
      redo: async () => {
        await ask(api.DELETE("/api/looks/{look_id}", { params: { path: { look_id: look.id } } }));
        this.looks = this.looks.filter((other) => other.id !== look.id);
      },
    });
    return null;
  }

  #show(look: Look): void {
    this.id = look.id;
    this.version = look.version;
    this.name = look.name;
    this.pieces = this.#bySlot(look.pieces);
    this.facts = { ...NOTHING_SAID, ...look.facts };
    this.fromRack = { ...look.from_rack };
    this.variantOf = look.variant_of ?? null;
    this.theirs = this.trouble = this.nameTrouble = null;
    this.saving = "kept";
    this.onchange();
  }

  #bySlot(pieces: Piece[]): Pieces {
    const found: Pieces = {};
    for (const piece of pieces) {
      const slot = this.slotOf(piece.is);
      if (slot) found[slot] = plain(piece);
    }
    return found;
  }
}
