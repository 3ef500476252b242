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

interface Group {
  name: string;
  steps: readonly Step[];
}

/** The bar holds a name for each part of the work; the part that one is in shows its steps. At most seven names stand
 * there, so a new step joins the part that it belongs to. */
export const GROUPS: readonly Group[] = [
  { name: "Client", steps: ["brief", "measure", "read"] },
  { name: "Pieces", steps: ["shop", "rack", "try"] },
  { name: "Looks", steps: ["dress", "looks"] },
  { name: "Past", steps: ["history", "records"] },
];

/** What a step is called, and the digit of its key. */
export const nameOf = (step: Step): string => STEPS.find(([key]) => key === step)?.[1] ?? step;
export const digitOf = (step: Step): number => (STEPS.findIndex(([key]) => key === step) + 1) % 10;

/** The keys of a group: “1 – 3”. */
export function keysOf(group: Group): string {
  const digits = group.steps.map(digitOf);
  return digits.length > 1 ? `${digits[0]} – ${digits.at(-1)}` : `${digits[0]}`;
}

/** The step that an address names. */
export function stepOf(hash: string): Step | null {
  return STEPS.find(([key]) => `#${key}` === hash)?.[0] ?? null;
}

/** The step of a digit key: 1 is the first, 0 the tenth. */
export function stepAt(code: string): Step | undefined {
  const digit = /^Digit(\d)$/.exec(code)?.[1];
  return digit === undefined ? undefined : STEPS[(Number(digit) + 9) % 10]?.[0];
}
