/** Lengths for a reader, in the studio's unit. Reading what was typed is the server's work. */
import type { Unit } from "./api/client";

const CM_PER_INCH = 2.54;
const EIGHTHS = ["", "1/8", "1/4", "3/8", "1/2", "5/8", "3/4", "7/8"];

/** 82.55 → “82.5” or “32 1/2”, without the unit. */
export function figure(cm: number, unit: Unit): string {
  const sign = cm < -0.04 ? "−" : "";
  const size = Math.abs(cm);
  if (unit === "cm") return sign + (Math.floor(size * 10 + 0.5) / 10).toString();
  const steps = Math.round((size / CM_PER_INCH) * 8);
  const whole = Math.floor(steps / 8);
  const part = EIGHTHS[steps % 8] ?? "";
  return sign + ([whole || !part ? String(whole) : "", part].filter(Boolean).join(" ") || "0");
}

/** The same with its unit: “82.5 cm”. */
export function length(cm: number, unit: Unit): string {
  return `${figure(cm, unit)} ${unit}`;
}

/** What a figure of a piece is in, by the ending of its key. */
const UNITS: Record<string, string> = { pct: "%", gsm: "g/m²" };

/** The unit of a figure's key, where it is no length. */
export const unitOf = (key: string): string | undefined => UNITS[key.slice(key.lastIndexOf("_") + 1)];

/** A figure of a piece with its unit: “70 cm”, “2 %”. */
export function worded(key: string, value: number, unit: Unit): string {
  const own = unitOf(key);
  return own ? `${value} ${own}` : length(value, unit);
}

/** A word of the vocabulary as it is said: slim_straight → “slim straight”. */
export function said(word: string): string {
  return word.replaceAll("_", " ");
}

const DAY = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", year: "numeric" });

/** A day as it is written: “9 May 2026”. */
export function day(when: string): string {
  return DAY.format(new Date(when));
}

/** The temperature scale that goes with a unit of length. */
export const degrees = (unit: Unit): string => (unit === "cm" ? "°C" : "°F");

/** °C in the reader's scale, as a whole number, and back. */
export const inScale = (celsius: number, unit: Unit): number =>
  Math.round(unit === "cm" ? celsius : celsius * 1.8 + 32);
export const celsiusOf = (read: number, unit: Unit): number =>
  unit === "cm" ? read : Math.round(((read - 32) / 1.8) * 10) / 10;

/** A temperature as it is written: “12 °C”. */
export const temperature = (celsius: number, unit: Unit): string =>
  `${String(inScale(celsius, unit)).replace("-", "−")} ${degrees(unit)}`;
