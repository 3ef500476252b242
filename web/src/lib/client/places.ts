/** Where pieces of a look go: one piece at a place, and what gives way to it. */
import type { Piece, Schemas, Slot } from "../api/client";

/** From the body outwards, as the craft reads a look. */
export const ORDER: Slot[] = [
  ...["swimsuit", "bikini_bottom", "bikini_top", "tankini", "tights", "socks"],
  ...["bottom", "one_piece", "top", "layer", "shoes"],
  ...["belt", "necklace", "earrings", "scarf", "bag", "hat"],
];
/** Places that are always in sight, top to bottom as they are worn. */
export const ALWAYS: Slot[] = ["top", "bottom", "shoes"];
const BY_KIND = ["extra", "swim"];

/** The place of a kind, or nothing where it is not known. */
export function placeOf(words: Schemas["Vocabulary"], kind: string): Slot | undefined {
  const slot = Object.keys(words.kinds).find((one) => words.kinds[one]?.includes(kind));
  return slot && BY_KIND.includes(slot) ? kind : slot;
}

/** The kinds that can be at a place. */
export function kindsAt(words: Schemas["Vocabulary"], place: Slot): string[] {
  return words.kinds[place] ?? [place];
}

/** The places that a piece empties: a dress takes those of top and bottom, and they a dress's. */
export function givesWay(place: Slot, piece: Piece): Slot[] {
  if (piece.is === "dress" || piece.is === "jumpsuit") return ["top", "bottom"];
  if (piece.is === "dungarees") return ["bottom"];
  return place === "top" || place === "bottom" ? ["one_piece"] : [];
}

const TITLES: Record<Slot, string> = { one_piece: "Dress", layer: "Layer" };

/** A place's name: “Top”, “Belt”. */
export function titleOf(place: Slot): string {
  const said = TITLES[place] ?? place.replaceAll("_", " ");
  return said.charAt(0).toUpperCase() + said.slice(1);
}
