/** Which words are asked of a piece at the look table, and what saying one means for the figures it had. */
import type { Piece, Schemas, Slot } from "../api/client";
import { UNDER } from "./kinds";

type Vocabulary = Schemas["Vocabulary"];

export interface Row {
  key: keyof Piece;
  label: string;
  choices: string[];
  /** What goes without saying, where the engine's own word for it is not the best. */
  usual?: string;
}

const ON_TOP = ["under_bust", "waist", "high_hip", "hip", "seat", "upper_thigh", "mid_thigh"];
const ON_LEG = ["below_knee", "mid_calf", "lower_calf", "ankle", "ankle_bone", "foot", "floor", "puddle"];
const ON_KNEE = ["above_knee", "knee"];
/** Cloth that is said at the table; the rack has every word. */
export const CLOTH = [
  ...["thin", "substantial", "chunky", "clinging", "draping"],
  ...["structured", "rigid", "stretch", "ribbed"],
];

/** The words asked of a kind at a place, in the order they are said. */
export function asked(words: Vocabulary, place: Slot, kind: string): Row[] {
  const row = words.of_kind[kind];
  const of = (key: string) => words.one_of[key] ?? [];
  const one = (key: keyof Piece, label: string = key, choices = of(key), usual?: string): Row => ({
    ...{ key, label, choices },
    ...(usual && { usual }),
  });
  const ends = (choices: string[]) => one("hem", "ends at", choices);
  const colour = one(
    "colour",
    "colour",
    words.colours.map((c) => c.name),
  );
  const second = one(
    "second_colour",
    "with",
    words.colours.map((c) => c.name),
    "no other",
  );
  const pattern = one("pattern", "pattern", of("pattern"), "plain");
  const belted = one("belted", "belted", of("belted"), "no");
  const untucked = of("tuck").filter((word) => word !== "none");
  switch (place) {
    case "top":
      return [
        ...[one("fit"), one("tuck", "tuck", untucked, "untucked"), ends(ON_TOP), one("neck"), one("sleeve")],
        ...[one("cut", "cut", words.top_cuts), one("sleeve_shape", "sleeves"), colour, second, pattern],
      ];
    case "layer":
    case UNDER:
      return [
        ...[one("fit"), ends([...ON_TOP, ...ON_KNEE, ...ON_LEG]), one("sleeve")],
        ...[one("cut", "cut", words.top_cuts), belted, colour, second, pattern],
      ];
    case "one_piece":
      return [
        ...[one("cut", "cut", row?.has_legs ? words.leg_cuts : words.skirt_cuts), one("fit")],
        ...[
          ends(["mid_thigh", ...ON_KNEE, ...ON_LEG]),
          one("neck"),
          one("sleeve"),
          belted,
          colour,
          second,
          pattern,
        ],
      ];
    case "bottom":
      return row?.has_legs
        ? [
            ...[one("cut", "cut", words.leg_cuts), one("rise"), ends(ON_LEG), one("fit")],
            ...[one("worn", "boots", ["inside", "outside"], "over"), one("band"), one("pockets")],
            ...[pattern, colour, second],
          ]
        : [
            ...[one("cut", "cut", words.skirt_cuts), ends(["mid_thigh", ...ON_KNEE, ...ON_LEG])],
            ...[one("fit"), one("rise"), one("band"), pattern, colour, second],
          ];
    case "shoes":
      return [
        ...[one("heel"), one("toe"), one("bulk", "weight"), one("heel_shape", "shape")],
        ...(row?.is_boot ? [one("shaft")] : [one("vamp")]),
        ...[colour, pattern],
      ];
    default:
      return [
        ...(place === "belt" ? [one("belted", "width")] : []),
        ...(place === "necklace" ? [one("drop")] : []),
        ...(row?.slot === "swim" ? [one("neck"), one("rise")] : []),
        ...(place === "bra" ? [one("lift")] : []),
        ...(place === "bag" ? [one("size")] : []),
        ...[colour, second, pattern],
      ];
  }
}

/** What may be so or not, at a place: cuffed legs, an open layer, a strap, a rolled sleeve. */
export function flagOf(words: Vocabulary, place: Slot, kind: string): keyof Piece | null {
  if (place === "bottom") return words.of_kind[kind]?.has_legs ? "cuffed" : null;
  const flags: Record<string, keyof Piece> = {
    layer: "open",
    [UNDER]: "open",
    shoes: "ankle_strap",
    top: "rolled",
  };
  return flags[place] ?? null;
}

/** A word said after a measurement was taken is meant: it takes the measurement's place. */
export function meant(words: Vocabulary, piece: Piece, key: string, word: unknown): Record<string, unknown> {
  const length = words.of_kind[piece.is]?.length;
  return {
    [key]: word,
    ...(key === "hem" && length && { [length]: null, hem_cm: null }),
    ...(key === "rise" && { front_rise_cm: null }),
    ...(key === "heel" && { heel_cm: null }),
  };
}
