/** Parts of the figure that can be looked at closely, and what of it is then on the stage. */
import type { Assessment } from "../api/client";

export const DETAILS = ["neck", "waist", "foot"] as const;
export type Detail = (typeof DETAILS)[number];

/** How much of the figure a detail shows, cm, and how far below its landmark it begins. */
const SPAN = 54;
const BELOW: Record<Detail, [landmark: string, below: number]> = {
  neck: ["shoulder", 30],
  waist: ["waist", 27],
  foot: ["", 0],
};

type Standing = Pick<Assessment, "stature" | "lift" | "landmarks">;

/** Where what is shown begins above the floor and how tall it is, cm. */
export function shown(on: Standing, detail: Detail | null): [from: number, tall: number] {
  if (!detail) return [0, on.stature + on.lift + 3];
  const [landmark, below] = BELOW[detail];
  const mark = on.landmarks.find(({ name }) => name.replace("_height", "") === landmark);
  return [mark ? Math.max(0, mark.cm + on.lift - below) : 0, SPAN];
}

/** The next part that is looked at: from the whole down to the foot, and the whole again. */
export function closer(detail: Detail | null): Detail | null {
  return DETAILS[detail ? DETAILS.indexOf(detail) + 1 : 0] ?? null;
}
