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

type Stop = [at: number, colour: string, opacity: number];

/** How forms take the light, from the upper left: stops over a form, as in craft/draw/svg.py. */
export const LIGHTS: Record<string, Stop[]> = {
  form: [
    [0, "#fff", 0.07],
    [0.3, "#fff", 0],
    [0.55, "#35261b", 0],
    [1, "#35261b", 0.2],
  ],
  satin: [
    [0, "#35261b", 0.1],
    [0.16, "#fff", 0.05],
    [0.28, "#fff", 0.42],
    [0.4, "#fff", 0.02],
    [0.58, "#35261b", 0.1],
    [0.7, "#fff", 0.26],
    [0.8, "#fff", 0],
    [1, "#35261b", 0.26],
  ],
  leather: [
    [0, "#fff", 0.1],
    [0.1, "#fff", 0.34],
    [0.18, "#fff", 0],
    [0.6, "#35261b", 0],
    [1, "#35261b", 0.28],
  ],
};
/** How light a fade is, from its middle out. */
export const FADE: Stop[] = [
  [0, "#fff", 0.5],
  [0.5, "#fff", 0.3],
  [1, "#fff", 0],
];
