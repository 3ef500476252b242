/**
 * An answer that mostly says what the last one said: what is still true is taken over as it was, the very same object, so
 * that only what changed is drawn anew. Lists are matched by what their members call themselves.
 */
type Told = Record<string, unknown>;

const isTold = (value: unknown): value is Told => typeof value === "object" && value !== null;
const nameOf = (value: unknown, at: number): unknown =>
  isTold(value) ? (value.key ?? value.rule ?? value.name ?? at) : at;

export function shared<T>(was: unknown, now: T): T {
  if (was === now || !isTold(was) || !isTold(now) || Array.isArray(was) !== Array.isArray(now)) return now;
  return (Array.isArray(now) ? sharedList(was as unknown as unknown[], now) : sharedParts(was, now)) as T;
}

function sharedParts(was: Told, now: Told): Told {
  const names = Object.keys(now);
  const parts = names.map((name) => [name, shared(was[name], now[name])] as const);
  const same = names.length === Object.keys(was).length && parts.every(([name, part]) => part === was[name]);
  return same ? was : Object.fromEntries(parts);
}

function sharedList(was: unknown[], now: unknown[]): unknown[] {
  const before = new Map(was.map((member, at) => [nameOf(member, at), member]));
  const members = now.map((member, at) => shared(before.get(nameOf(member, at)), member));
  return members.length === was.length && members.every((member, at) => member === was[at]) ? was : members;
}
