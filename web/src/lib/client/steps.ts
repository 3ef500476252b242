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
  ["outfits", "Outfits"],
  ["edit", "Edit"],
  ["plan", "Plan"],
  ["hand", "Hand over"],
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
  { name: "Pieces", steps: ["shop", "rack", "try", "edit"] },
  { name: "Looks", steps: ["dress", "looks", "outfits", "plan"] },
  { name: "After", steps: ["hand", "history", "records"] },
];

/** The keys of the steps in their order: the digits, and what comes after them by its letter. */
const KEYS = [..."1234567890", "O", "I", "J", "Q"];

/** What a step is called, and what stands on its key. */
export const nameOf = (step: Step): string => STEPS.find(([key]) => key === step)?.[1] ?? step;
export const keyOf = (step: Step): string => KEYS[STEPS.findIndex(([key]) => key === step)] ?? "";

/** The keys of a group: “1 – 3”, “7 8 O”. */
export function keysOf(group: Group): string {
  const keys = group.steps.map(keyOf);
  const inRow = keys.every((key) => /\d/.test(key)) && keys.length > 2;
  return inRow ? `${keys[0]} – ${keys.at(-1)}` : keys.join(" ");
}

/** The step that an address names. */
export function stepOf(hash: string): Step | null {
  return STEPS.find(([key]) => `#${key}` === hash)?.[0] ?? null;
}

/** The step of a key: 1 is the first, 0 the tenth, then the letters. */
export function stepAt(code: string): Step | undefined {
  const on = /^(?:Digit|Key)(\w)$/.exec(code)?.[1] ?? "";
  return on ? STEPS[KEYS.indexOf(on)]?.[0] : undefined;
}
