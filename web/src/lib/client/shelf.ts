/** A client's looks as they stand in a list: found by words, each variant under the look it was made from. */
import type { Look } from "../api/client";
import { said } from "../units";
import { VARIANTS } from "./facts";

export interface Row {
  look: Look;
  /** How far it is set in: a variant under its origin. */
  depth: number;
}

/** A look's pieces in one line: “navy slim jeans, white tee”. */
export const sentence = (look: Look): string =>
  look.pieces
    .map((piece) =>
      [piece.colour, piece.cut, piece.is]
        .filter(Boolean)
        .map((word) => said(word!))
        .join(" "),
    )
    .join(", ");

const words = (look: Look): string =>
  [
    look.name,
    sentence(look),
    ...look.facts.tags,
    look.facts.note,
    look.facts.setting.occasion && said(look.facts.setting.occasion),
    look.facts.standing || "open",
    look.facts.variant && VARIANTS[look.facts.variant],
  ]
    .filter(Boolean)
    .join(" ")
    .toLocaleLowerCase();

/** The looks that hold every word sought. */
export function found(looks: Look[], sought: string): Look[] {
  const each = sought.toLocaleLowerCase().split(/\s+/).filter(Boolean);
  return looks.filter((look) => each.every((word) => words(look).includes(word)));
}

/** Looks with their variants under them; one whose origin is not here stands by itself. */
export function inRows(looks: Look[]): Row[] {
  const ids = new Set(looks.map((look) => look.id));
  const under = (look: Look, depth: number): Row[] => [
    { look, depth },
    ...looks.filter((one) => one.variant_of === look.id).flatMap((one) => under(one, depth + 1)),
  ];
  return looks
    .filter((look) => !look.variant_of || !ids.has(look.variant_of))
    .flatMap((look) => under(look, 0));
}
