/** The steps of the trade, in its order; each has an address of its own (#measure). */
export const STEPS = [
  ["brief", "Brief"],
  ["measure", "Measure"],
  ["read", "Read"],
  ["shop", "Shop"],
  ["rack", "Rack"],
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
