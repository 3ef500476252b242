/** What the craft knows of each kind of piece (`/api/words`): where it goes, what gives way to it, how long it is. */
import type { Piece, Schemas, Slot } from "../api/client";

type Vocabulary = Schemas["Vocabulary"];

/** Places that are always in sight, top to bottom as they are worn. */
export const ALWAYS: Slot[] = ["top", "bottom", "shoes"];

/** The place of a kind, or nothing where it is not known. */
export const placeOf = (words: Vocabulary, kind: string): Slot | undefined => words.of_kind[kind]?.place;

/** The place of a piece: a top that is worn over another is a layer, one round the shoulders lies where a scarf would. */
export function placeOfPiece(words: Vocabulary, piece: Piece): Slot | undefined {
  const slot = words.of_kind[piece.is]?.slot;
  if (piece.worn === "over" && slot === "top") return "layer";
  if (piece.worn === "shoulders" && (slot === "top" || slot === "layer")) return "scarf";
  return placeOf(words, piece.is);
}

/** Whether a figure of it was measured: else it is described only, and basted. */
export const isMeasured = (piece: Piece): boolean =>
  Object.keys(piece).some((key) => /_(cm|pct|gsm)$/.test(key));

/** Of two layers the inner one stands at a place of its own. */
export const UNDER: Slot = "under_layer";

/** The place of each piece of a look, from the body outwards. */
export function placesOf(words: Vocabulary, pieces: Piece[]): (Slot | undefined)[] {
  const places = pieces.map((piece) => placeOfPiece(words, piece));
  const outer = places.lastIndexOf("layer");
  return places.map((place, i) => (place === "layer" && i !== outer ? UNDER : place));
}

/** The kinds that can be at a place. */
export const kindsAt = (words: Vocabulary, place: Slot): string[] =>
  words.kinds[place === UNDER ? "layer" : place] ?? [place];

/** Whether a kind that is on gives way to another that is put on: at the same place, or where one covers the other. */
export function givesWay(words: Vocabulary, worn: string, to: string): boolean {
  const [one, other] = [words.of_kind[worn], words.of_kind[to]];
  if (!one || !other) return false;
  return one.place === other.place || other.covers.includes(one.slot) || one.covers.includes(other.slot);
}

/** Whether something that is on covers a place, so that nothing is asked for there. */
export const isCovered = (words: Vocabulary, place: Slot, worn: Iterable<Piece>): boolean =>
  [...worn].some((piece) => words.of_kind[piece.is]?.covers.includes(place));

const TITLES: Record<Slot, string> = { one_piece: "Dress", layer: "Layer", [UNDER]: "Under it" };

/** A place's name: “Top”, “Belt”. */
export function titleOf(place: Slot): string {
  const said = TITLES[place] ?? place.replaceAll("_", " ");
  return said.charAt(0).toUpperCase() + said.slice(1);
}
