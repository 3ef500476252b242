/** The look on the figure as it is composed: pieces in their places, what is known of it, each change a step of undo. */
import type { Piece, Schemas, Slot } from "../api/client";
import { NOTHING_SAID, type Asked, type Facts } from "./facts";
import type { History } from "./history.svelte";
import { givesWay, isMeasured, placesOf, UNDER } from "./kinds";

export type Pieces = Partial<Record<Slot, Piece>>;

/** Which piece of the rack is worn at a place. */
export type FromRack = Partial<Record<Slot, string>>;

export interface Snapshot {
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

const LAYERS: Slot[] = ["layer", UNDER];

/** A layer that is left alone is the outer one, with the piece of the rack that it is. */
function settle(pieces: Pieces, fromRack: FromRack): void {
  if (pieces.layer || !pieces[UNDER]) return;
  pieces.layer = pieces[UNDER];
  if (fromRack[UNDER]) fromRack.layer = fromRack[UNDER];
  delete pieces[UNDER];
  delete fromRack[UNDER];
}

export abstract class Composition {
  name = $state("");
  pieces = $state.raw<Pieces>({});
  /** Where it is worn, how it stands, what was said of it and liked. */
  facts = $state.raw<Facts>(NOTHING_SAID);
  fromRack = $state.raw<FromRack>({});

  /** The last step of undo, while typing in the same field goes on. */
  #typing: { field: string | null; after: Snapshot } | null = null;

  constructor(
    readonly words: Schemas["Vocabulary"],
    protected readonly history: History,
  ) {}

  /** What the steps of undo belong to: the look that is on the figure. */
  protected abstract get composed(): string | null;
  /** Something of the look is otherwise now. */
  protected abstract changed(): void;

  /** Places whose pieces are described and not measured. */
  get described(): Slot[] {
    return this.words.places.filter((place) => this.pieces[place] && !isMeasured(this.pieces[place]));
  }

  get list(): Piece[] {
    return this.#inOrder(this.pieces);
  }

  #inOrder(pieces: Pieces): Piece[] {
    return this.words.places.flatMap((place) => pieces[place] ?? []);
  }

  /** What the engine is asked: the pieces, where they are worn, what is liked all the same. */
  get asked(): Asked {
    return this.askedOf(this.pieces);
  }

  askedOf(pieces: Pieces): Asked {
    return {
      pieces: this.#inOrder(pieces),
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
    settle(pieces, fromRack);
    this.#step({ pieces, fromRack }, name);
  }

  /** Put several pieces on at once, each in its place. */
  wear(pieces: Piece[], name: string, rackId: string | null = null): void {
    const places = placesOf(this.words, pieces);
    const placed = pieces.flatMap((piece, i) => {
      const slot = places[i];
      return slot ? [{ slot, words: { ...piece }, whole: true, rackId }] : [];
    });
    this.changeAll(placed, name);
  }

  /** Put a whole look on, as it was found: its pieces as they are worn, and which of the rack they are. */
  dressIn(found: { piece: Piece; rackId: string }[], name: string): void {
    const worn = found.map(({ piece }) => piece);
    const pieces = this.placed(worn);
    const fromRack: FromRack = {};
    for (const [i, slot] of placesOf(this.words, worn).entries()) if (slot) fromRack[slot] = found[i]?.rackId;
    this.#step({ pieces, fromRack }, name);
  }

  /** Put a layer on over the one that is on. */
  wearOver(piece: Piece, name: string, rackId: string | null = null): void {
    this.changeAll([this.#moved("layer", UNDER), { slot: "layer", words: piece, whole: true, rackId }], name);
  }

  /** Turn two layers round: the inner one is worn over the outer. */
  turnLayers(): void {
    this.changeAll([this.#moved("layer", UNDER), this.#moved(UNDER, "layer")], "turning the layers round");
  }

  /** What is at one place, put on at another. */
  #moved(from: Slot, slot: Slot): Change {
    return { slot, words: { ...this.pieces[from] }, whole: true, rackId: this.fromRack[from] ?? null };
  }

  /** What gives way to a piece is taken off with it. */
  #makeRoom(pieces: Pieces, slot: Slot): void {
    const piece = pieces[slot];
    for (const [place, worn] of Object.entries(pieces))
      if (piece && worn && place !== slot && !LAYERS.includes(place) && !LAYERS.includes(slot))
        if (givesWay(this.words, worn.is, piece.is)) delete pieces[place];
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

  protected snapshot(): Snapshot {
    return { pieces: this.pieces, name: this.name, facts: this.facts, fromRack: this.fromRack };
  }

  /** One change; letters typed in the same field without a pause are one change. */
  #step(change: Partial<Snapshot>, name: string, typing: string | null = null): void {
    const before = this.snapshot();
    this.become({ ...before, ...change });
    if (typing && this.#typing?.field === typing) this.#typing.after = this.snapshot();
    else this.remember(name, before, typing);
  }

  protected remember(name: string, before: Snapshot, field: string | null = null): void {
    const step = (this.#typing = { field, after: this.snapshot() });
    const of = this.composed;
    const go = (to: Snapshot) => {
      this.#typing = null;
      // A step of a look that is no longer on the figure has nothing to go back to.
      if (this.composed === of || of === null) this.become(to);
    };
    this.history.add({ name, undo: () => go(before), redo: () => go(step.after) });
  }

  protected become(to: Snapshot): void {
    this.show(to);
    this.changed();
  }

  protected show(to: Snapshot): void {
    this.pieces = to.pieces;
    this.name = to.name;
    this.facts = to.facts;
    this.fromRack = to.fromRack;
  }

  /** What is typed next is a step of its own. */
  protected pause(): void {
    this.#typing = null;
  }

  protected placed(pieces: Piece[]): Pieces {
    const found: Pieces = {};
    for (const [i, slot] of placesOf(this.words, pieces).entries()) {
      const piece = pieces[i];
      if (slot && piece) found[slot] = plain(piece);
    }
    return found;
  }
}
