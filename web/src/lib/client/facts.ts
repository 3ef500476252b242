/** What is known of a look beside its pieces, and what the engine is asked of it. */
import type { Look, Piece, Schemas, Unit } from "../api/client";
import { said, temperature } from "../units";

export type Facts = Schemas["LookFacts"];
export type Setting = Schemas["FiledSetting"];
export type Variant = Facts["variant"];
export interface Asked {
  pieces: Piece[];
  setting: Setting;
  liked: string[];
  /** The hand still moves: mends can wait. */
  moving: boolean;
}

/** What the engine is asked of a kept look. */
export const askedOf = (look: Look): Asked => ({
  pieces: look.pieces,
  setting: look.facts.setting,
  liked: look.facts.liked.map((one) => one.rule),
  moving: false,
});

export const NOTHING_SAID: Facts = {
  tags: [],
  note: "",
  client_said: "",
  setting: { occasion: null, code: null, celsius: null, rain: false },
  standing: "",
  why_not: "",
  variant: "",
  liked: [],
};

export const VARIANTS: Record<Exclude<Variant, "">, string> = {
  up: "dressed up",
  down: "dressed down",
  other: "another way",
};

/** How formal a look reads, in a word: the engine's scale of 0 to 4. */
const FORMAL = ["for leisure", "casual", "neat", "smart", "formal"];
export const reads = (formality: number): string => FORMAL[Math.round(formality)] ?? "";

/** Where a look is worn, in a few words; empty where nothing was said. */
export function settingSaid(setting: Setting, unit: Unit): string {
  const weather = [
    setting.celsius === null || setting.celsius === undefined ? "" : temperature(setting.celsius, unit),
    setting.rain ? "rain" : "",
  ];
  return [
    setting.occasion && said(setting.occasion),
    setting.code && `${said(setting.code)} code`,
    ...weather,
  ]
    .filter(Boolean)
    .join(", ");
}

/** What differs between two people's words about one look. */
export function factsApart(mine: Facts, theirs: Facts): string[] {
  const keys = Object.keys(NOTHING_SAID) as (keyof Facts)[];
  return keys
    .filter((key) => JSON.stringify(mine[key]) !== JSON.stringify(theirs[key]))
    .map((key) => {
      const [own, other] = [mine[key], theirs[key]];
      const name = said(key);
      return typeof own === "string"
        ? `${name}: ${own || "–"} / ${String(other) || "–"}`
        : `${name}: yours and theirs differ`;
    });
}
