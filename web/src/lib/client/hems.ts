/** A hem moved by hand: what that means for the piece, as the figure a tailor or a shop is told. */
import type { Piece, Schemas, Slot } from "../api/client";

type Edge = Schemas["EdgeOut"];
/** Edges that a hand can move, and the figure behind each where the piece was measured. */
const HEMS: Record<string, string[]> = {
  leg_hem: ["inseam_cm", "length_cm"],
  top_hem: ["length_cm"],
  layer_hem: ["length_cm"],
};
/** A hem is never moved below the ground or above this share of the figure. */
const HIGHEST = 0.78;

export interface Moved {
  slot: Slot;
  words: Record<string, unknown>;
  /** The measured figure that changes and by how many cm, where there is one. */
  figure: string | null;
  by: number;
}

/** Whether an edge can be taken hold of. */
export const movable = (edge: Edge, piece: Piece | undefined): boolean =>
  edge.seen && edge.key in HEMS && piece !== undefined && piece.tuck !== "full";

/** What moving an edge to a height above the ground, cm, makes of its piece. */
export function moved(edge: Edge, piece: Piece, height: number, stature: number): Moved {
  const to = Math.min(Math.max(height, 0.5), HIGHEST * stature);
  const by = edge.height - to;
  const said = piece as unknown as Record<string, unknown>;
  const figure = (HEMS[edge.key] ?? []).find((key) => typeof said[key] === "number") ?? null;
  const rounded = (cm: number) => Math.round(cm * 10) / 10;
  const words = figure
    ? { [figure]: rounded(Number(said[figure]) + by) }
    : { hem_cm: rounded(to), hem: null };
  return { slot: edge.slot, words, figure, by: rounded(by) };
}
