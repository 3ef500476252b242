/** Ranges for a reader. */
import type { Schemas, Unit } from "../api/client";
import { figure } from "../units";

/** “63 – 66 cm”; one figure where both ends are the same. */
export function range(low: number, high: number, unit: Unit): string {
  const [from, to] = [figure(low, unit), figure(high, unit)];
  return from === to ? `${from} ${unit}` : `${from} – ${to} ${unit}`;
}

/** What to leave in the shop and why, or nothing. */
export function poor(number: Schemas["NumberOut"], unit: Unit): string | null {
  const { poor_low: low, poor_high: high } = number;
  if (low === null || high === null) return null;
  const leave = low === 0 ? `under ${figure(high, unit)} ${unit}` : range(low, high, unit);
  return `Leave ${leave}: ${number.poor_why}`;
}

/** The numbers by their groups, in the order of the list. */
export function grouped(numbers: Schemas["NumberOut"][]): [string, Schemas["NumberOut"][]][] {
  const found = new Map<string, Schemas["NumberOut"][]>();
  for (const number of numbers) found.set(number.group, [...(found.get(number.group) ?? []), number]);
  return [...found];
}
