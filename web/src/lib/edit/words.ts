/** Words and keys of the edit. */
import type { Schemas } from "../api/client";

export type Decision = Schemas["DecideIn"]["decision"];
export type Goes = Exclude<Schemas["DecideIn"]["goes"], undefined>;
export type View = "sort" | "colours" | "orphans" | "missing" | "capsule" | "changed" | "lists" | "in";

/** The parts of an edit in the order of the visit. */
export const VIEWS: readonly (readonly [View, string])[] = [
  ["in", "Bring in"],
  ["sort", "Sort"],
  ["colours", "Colours and shape"],
  ["orphans", "Orphans"],
  ["missing", "What is missing"],
  ["capsule", "Capsule"],
  ["changed", "Since last time"],
  ["lists", "Lists"],
];

/** What may be decided of a piece: its key, in short, and in a sentence. */
export const DECISIONS: readonly (readonly [Decision, string, string, string])[] = [
  ["wear", "W", "Wear", "Wear as it is"],
  ["partner", "P", "Partner", "Wants a partner"],
  ["alter", "A", "Alter", "To be altered"],
  ["care", "C", "Care", "Needs care first"],
  ["twin", "D", "Double", "One of two alike"],
  ["does_not_fit", "F", "No fit", "Does not fit any more"],
  ["out_of_keeping", "K", "Out", "Out of keeping"],
];

export const sayDecision = (of: Decision): string => DECISIONS.find(([key]) => key === of)?.[3] ?? of;

/** Where a piece goes that leaves. */
export const GOES: readonly (readonly [Exclude<Goes, "">, string])[] = [
  ["sell", "sell"],
  ["give", "give away"],
  ["mend", "mend"],
  ["dye", "dye"],
  ["return", "send back"],
  ["keep", "keep for its season"],
  ["ask", "ask the client again"],
];
export const sayGoes = (of: Goes): string => GOES.find(([key]) => key === of)?.[1] ?? "";
/** Decisions after which one asks where a piece goes. */
export const LEAVES: readonly Decision[] = ["alter", "care", "twin", "does_not_fit", "out_of_keeping"];

/** Places as they are counted. */
export const PLACES: Record<string, string> = {
  bottom: "Bottoms",
  one_piece: "Dresses and suits",
  top: "Tops",
  layer: "Layers",
  shoes: "Shoes",
  extra: "Small things",
};

export const percent = (share: number): string => `${Math.round(100 * share)} %`;
/** The same as the style sheet reads it. */
export const broad = (share: number): string => `${(100 * share).toFixed(1)}%`;
export const outfits = (count: number): string =>
  `${count.toLocaleString("en-GB")} ${count === 1 ? "outfit" : "outfits"}`;
export const money = (amount: number, currency: string): string =>
  new Intl.NumberFormat("en-GB", {
    style: "currency",
    currency: /^[A-Z]{3}$/.test(currency) ? currency : "EUR",
    maximumFractionDigits: amount < 10 && amount % 1 ? 2 : 0,
  }).format(amount);

/** How many words of a piece that is looked for another has too: what a shop has that comes nearest. */
export const near = (wanted: Record<string, unknown>, has: Record<string, unknown>): number =>
  Object.entries(wanted).filter(([key, value]) => JSON.stringify(has[key]) === JSON.stringify(value)).length;
