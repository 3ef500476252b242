/** Wall times: “2026-03-29T10:00:00”, as the clock of a place shows them. No zone is meant; days are the wall's days. */

/** Minutes from midnight. */
export const minutesOf = (local: string): number =>
  60 * Number(local.slice(11, 13)) + Number(local.slice(14, 16));

/** A day so many days later. */
export function plus(iso: string, days: number): string {
  const at = new Date(`${iso}T12:00:00Z`);
  at.setUTCDate(at.getUTCDate() + days);
  return at.toISOString().slice(0, 10);
}

/** The Monday of a day's week. */
export function monday(iso: string): string {
  const weekday = (new Date(`${iso}T12:00:00Z`).getUTCDay() + 6) % 7;
  return plus(iso, -weekday);
}

/** The days that a month's grid shows: whole weeks. */
export function monthDays(iso: string): string[] {
  const first = monday(`${iso.slice(0, 7)}-01`);
  const month = iso.slice(0, 7);
  const days: string[] = [];
  for (
    let day = first;
    days.length % 7 || days.length === 0 || day.slice(0, 7) <= month;
    day = plus(day, 1)
  ) {
    days.push(day);
    if (days.length >= 42) break;
  }
  return days;
}

/** “9:05”. */
export function clock(minutes: number): string {
  const within = ((Math.round(minutes) % 1440) + 1440) % 1440;
  return `${Math.floor(within / 60)}:${String(within % 60).padStart(2, "0")}`;
}

/** The minutes of a time that was typed: “9”, “9:30”, “0930”, “9.30”, “14h15”. Null where it cannot be read. */
export function readClock(typed: string): number | null {
  const text = typed.trim().toLowerCase();
  const parts = /^(\d{1,2})(?:\s*[:.h]\s*(\d{2})?)?$/.exec(text) ?? /^(\d{1,2})(\d{2})$/.exec(text);
  if (!parts) return null;
  const [hour, minute] = [Number(parts[1]), Number(parts[2] ?? 0)];
  return hour < 24 && minute < 60 ? 60 * hour + minute : null;
}

/** The time of day of a moment, on the clock of this device. */
export function clockOf(moment: string): string {
  const at = new Date(moment);
  return clock(60 * at.getHours() + at.getMinutes());
}

/** How long, in words: “45 min”, “2 h 30”. */
export function lasts(minutes: number): string {
  if (minutes >= 1440 && minutes % 1440 === 0) return minutes === 1440 ? "a day" : `${minutes / 1440} days`;
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  if (!hours) return `${rest} min`;
  return rest ? `${hours} h ${rest}` : `${hours} h`;
}

/** A wall time of a day and minutes from its midnight. */
export function wall(iso: string, minutes: number): string {
  const day = plus(iso, Math.floor(minutes / 1440));
  const within = ((minutes % 1440) + 1440) % 1440;
  return `${day}T${String(Math.floor(within / 60)).padStart(2, "0")}:${String(within % 60).padStart(2, "0")}:00`;
}

/** The clock of this device. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC";
