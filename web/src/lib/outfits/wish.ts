/** What is asked of a search, and small questions about it. */
import type { Schemas } from "../api/client";
import { NOTHING_SAID } from "../client/facts";

export type Wish = Schemas["AskIn"];
export type State = Schemas["SearchOut"]["state"];

/** How often a search that goes on is looked at, ms. */
export const POLL = 700;

/** Nothing wished but good looks, not too much like each other. */
export const wished = (): Wish => ({
  setting: NOTHING_SAID.setting,
  must: [],
  must_not: [],
  one_statement: false,
  as_if: false,
  rest_days: 0,
  dial: 0.4,
});

export const settled = (state: State): boolean => state !== "waiting" && state !== "running";

/** With a piece asked for, left out, or neither: each step of the same button. */
export function turned(wish: Wish, piece: string, to: "must" | "must_not"): Partial<Wish> {
  const other = to === "must" ? "must_not" : "must";
  const held = wish[to].includes(piece);
  return {
    [to]: held ? wish[to].filter((one) => one !== piece) : [...wish[to], piece],
    [other]: wish[other].filter((one) => one !== piece),
  };
}

/** A number as it is read at a glance: 33 million, 4,210. */
export function many(count: number): string {
  if (count < 100_000) return count.toLocaleString("en-GB");
  if (count < 1_000_000) return `${Math.round(count / 1000)} thousand`;
  const millions = count / 1_000_000;
  return `${millions < 10 ? millions.toFixed(1) : Math.round(millions)} million`;
}

/** How many looks stand beside each other where there is so much room, px. */
export const shownIn = (width: number): number => Math.max(1, Math.min(7, Math.floor(width / 176)));

/** The first of the looks in sight, so that the chosen one is among them and the ground moves by whole pages. */
export const pageOf = (at: number, shown: number): number => Math.floor(at / shown) * shown;
