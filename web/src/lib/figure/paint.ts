/** Small sums of the painter. */

type Box = readonly number[];

/** A line on the screen is at least so broad, px. */
const LEAST = 0.7;

/** How broad a line of so many mm is drawn, mm, so that it can be seen at this many px a cm. */
export const fit = (mm: number, perCm: number): number => Math.max(mm, (LEAST * 10) / Math.max(perCm, 0.1));

/** Left, low, right and top of all shapes together, cm; a square around nothing where there are none. */
export function bounds(shapes: { box: Box }[]): [number, number, number, number] {
  if (!shapes.length) return [-1, -1, 1, 1];
  const side = (at: number, pick: (...values: number[]) => number) =>
    pick(...shapes.map(({ box }) => box[at] ?? 0));
  return [side(0, Math.min), side(1, Math.min), side(2, Math.max), side(3, Math.max)];
}
