/** A server that answers as a test says, in place of the one way to the real one. */
import { vi } from "vitest";
import type { Refusal } from "../src/lib/api/client";

type Answer = { data: unknown } | { refusal: Refusal };
export interface Call {
  method: string;
  path: string;
  body: Record<string, unknown>;
  query: Record<string, unknown>;
}
type Handler = (call: Call) => Answer | Promise<Answer>;

export const calls: Call[] = [];
const handlers = new Map<string, Handler>();

/** Answer calls of a method to a path, from now on. */
export function on(method: string, path: string, handler: Handler): void {
  handlers.set(`${method} ${path}`, handler);
}

export function reset(): void {
  calls.length = 0;
  handlers.clear();
}

/** The bodies of what was sent to a path. */
export const sent = (path: string): Record<string, unknown>[] =>
  calls.filter((call) => call.path === path && call.method !== "GET").map((call) => call.body);

export const refuse = (
  status: number,
  message: string,
  more: Partial<Refusal> = {},
): { refusal: Refusal } => ({
  refusal: { status, message, ...more },
});

interface Options {
  body?: Record<string, unknown>;
  params?: { path?: Record<string, string>; query?: Record<string, unknown> };
}

function answer(method: string) {
  return async (template: string, options: Options = {}): Promise<Answer> => {
    const path = template.replaceAll(/\{(\w+)\}/g, (_, name: string) =>
      String(options.params?.path?.[name] ?? ""),
    );
    const call = {
      method,
      path,
      body: structuredClone(options.body ?? {}),
      query: options.params?.query ?? {},
    };
    calls.push(call);
    const handler = handlers.get(`${method} ${path}`);
    if (!handler) throw new Error(`nobody answers ${method} ${path}`);
    return handler(call);
  };
}

export const fakeClient = {
  api: Object.fromEntries(
    ["GET", "POST", "PATCH", "PUT", "DELETE"].map((method) => [method, answer(method)]),
  ),
  ask: <T>(given: Promise<T>): Promise<T> => given,
};

/** Let everything that was promised happen. */
export const settled = (): Promise<void> =>
  vi.waitFor(() => undefined).then(() => new Promise((done) => setImmediate(done)));
