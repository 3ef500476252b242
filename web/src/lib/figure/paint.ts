/** Small sums of the painter. */

type Box = readonly number[];

/** A line on the screen is at least and at most so broad, px: a detail seen closely is not drawn with a brush. */
const LEAST = 0.7;
const MOST = 2;

/** How broad a line of so many mm is drawn, mm, so that it can be seen at this many px a cm. */
export const fit = (mm: number, perCm: number): number => {
  const px = Math.max(perCm, 0.1) / 10;
  return Math.min(Math.max(mm, LEAST / px), Math.max(MOST / px, LEAST));
};

/** Left, low, right and top of all shapes together, cm; a square around nothing where there are none. */
export function bounds(shapes: { box: Box }[]): [number, number, number, number] {
  if (!shapes.length) return [-1, -1, 1, 1];
  const side = (at: number, pick: (...values: number[]) => number) =>
    pick(...shapes.map(({ box }) => box[at] ?? 0));
  return [side(0, Math.min), side(1, Math.min), side(2, Math.max), side(3, Math.max)];
}
