/** The steps of the trade, in its order; each has an address of its own (#measure). */
export const STEPS = [
  ["brief", "Brief"],
  ["measure", "Measure"],
  ["read", "Read"],
  ["shop", "Shop"],
  ["rack", "Rack"],
  ["try", "Try on"],
  ["dress", "Dress"],
  ["looks", "Looks"],
  ["history", "History"],
  ["records", "Records"],
] as const;

export type Step = (typeof STEPS)[number][0];

/** The step that an address names. */
export function stepOf(hash: string): Step | null {
  return STEPS.find(([key]) => `#${key}` === hash)?.[0] ?? null;
}

/** The step of a digit key: 1 is the first, 0 the tenth. */
export function stepAt(code: string): Step | undefined {
  const digit = /^Digit(\d)$/.exec(code)?.[1];
  return digit === undefined ? undefined : STEPS[(Number(digit) + 9) % 10]?.[0];
}
