/** The shoes a piece is tried with: their name and heel, cm. */
const HEELS: [string, number][] = [
  ["barefoot", 0],
  ["flat shoes", 2],
  ["a kitten heel", 4.5],
  ["a mid heel", 6.5],
  ["a high heel", 9.5],
];
const FLAT = 2;

/** Those a client is offered. */
export const heelsFor = (wears: boolean): [string, number][] =>
  wears ? HEELS : HEELS.filter(([, cm]) => cm <= FLAT);
