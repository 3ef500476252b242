/** Days as the studio writes and types them: day, month, year; never as the browser guesses. */
const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
const SHORT = new Intl.DateTimeFormat("en-GB", {
  day: "numeric",
  month: "short",
  year: "numeric",
  timeZone: "UTC",
});

/** A day as it stands in a field: “9 May 2026”; nothing for none. */
export const written = (iso: string | null | undefined): string =>
  iso ? SHORT.format(new Date(`${iso.slice(0, 10)}T00:00:00Z`)).replace("Sept", "Sep") : "";

function isoOf(year: number, month: number, day: number): string | null {
  const at = new Date(Date.UTC(year, month - 1, day));
  if (at.getUTCMonth() !== month - 1 || at.getUTCDate() !== day) return null;
  return at.toISOString().slice(0, 10);
}

/**
 * The day that was typed, as an ISO date: “24.11.2026”, “24/11/26”, “24 Nov”, “24 November 2026”, “2026-11-24”,
 * “today”, “in 5 days”. Null where it cannot be read; a day without a year is the next one there is.
 */
export function readDay(typed: string, today: Date = new Date()): string | null {
  const text = typed.trim().toLowerCase().replace(/,/g, " ");
  const from = (days: number) =>
    isoOf(today.getFullYear(), today.getMonth() + 1, today.getDate()) &&
    new Date(Date.UTC(today.getFullYear(), today.getMonth(), today.getDate() + days))
      .toISOString()
      .slice(0, 10);
  if (text === "today") return from(0);
  if (text === "tomorrow") return from(1);
  const away = /^in (\d{1,3}) (day|week)s?$/.exec(text);
  if (away) return from(Number(away[1]) * (away[2] === "week" ? 7 : 1));
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text);
  if (iso) return isoOf(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const parts = /^(\d{1,2})[\s./-]+(\d{1,2}|[a-z]{3,9})\.?(?:[\s./-]+(\d{2}|\d{4}))?\.?$/.exec(text);
  if (!parts) return null;
  const [, day, second = "", year] = parts;
  const month = /^\d+$/.test(second) ? Number(second) : MONTHS.indexOf(second.slice(0, 3)) + 1;
  if (!month) return null;
  if (year) return isoOf(Number(year.length === 2 ? `20${year}` : year), month, Number(day));
  const soon = isoOf(today.getFullYear(), month, Number(day));
  return soon && soon < (from(0) ?? "") ? isoOf(today.getFullYear() + 1, month, Number(day)) : soon;
}
