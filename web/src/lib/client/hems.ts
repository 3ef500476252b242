/** A hem moved by hand: what that means for the piece, as the figure a tailor or a shop is told. */
import type { Piece, Schemas, Slot } from "../api/client";

type Edge = Schemas["EdgeOut"];
/** A hem is never moved below the ground or above this share of the figure. */
const LOWEST = 0.5;
const HIGHEST = 0.78;

export interface Moved {
  slot: Slot;
  words: Record<string, unknown>;
  /** The measured figure that changes and by how many cm, where there is one. */
  figure: string | null;
  by: number;
}

/** Whether an edge can be taken hold of: a hem that is seen, and that a length of its piece decides. */
export const movable = (edge: Edge, piece: Piece | undefined): boolean =>
  edge.seen && !!edge.figure && piece !== undefined && piece.tuck !== "full";

/** From where to where a hem can be moved, cm above the ground. */
export const reach = (stature: number): [number, number] => [LOWEST, HIGHEST * stature];

const tenth = (cm: number) => Math.round(cm * 10) / 10;

/** What moving an edge to a height above the ground, cm, makes of its piece. */
export function moved(edge: Edge, piece: Piece, height: number, stature: number): Moved {
  const [low, high] = reach(stature);
  const to = Math.min(Math.max(height, low), high);
  // What lies on the foot falls further by its length than it lies: the length counts from where it falls to.
  const by = edge.falls_to - to;
  const key = edge.figure ?? "";
  const measured = typeof (piece as unknown as Record<string, unknown>)[key] === "number";
  const words = measured ? { [key]: tenth((edge.length ?? 0) + by) } : { hem_cm: tenth(to), hem: null };
  return { slot: edge.slot, words, figure: measured ? key : null, by: tenth(by) };
}
