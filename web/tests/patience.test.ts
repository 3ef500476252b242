import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { waitedFor, waiting } from "../src/lib/api/patience.svelte";

const answer = (status: number, after?: string) =>
  new Response(null, { status, headers: after ? { "Retry-After": after } : {} });

describe("a studio that is being brought back", () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  it("is waited for, and the question asked again as it was", async () => {
    const ask = vi.fn(() => Promise.resolve(answer(ask.mock.calls.length < 3 ? 503 : 200, "1")));
    const told = waitedFor(ask);
    await vi.advanceTimersByTimeAsync(1500);
    expect([ask.mock.calls.length, waiting.count]).toEqual([2, 1]);
    await vi.advanceTimersByTimeAsync(1000);
    expect([(await told).status, ask.mock.calls.length, waiting.count]).toEqual([200, 3, 0]);
  });

  it("is not waited for for ever", async () => {
    const ask = vi.fn(() => Promise.resolve(answer(503, "1")));
    const told = waitedFor(ask);
    await vi.advanceTimersByTimeAsync(60_000);
    expect([(await told).status, waiting.count]).toEqual([503, 0]);
    expect(ask.mock.calls.length).toBeLessThan(40);
  });

  it("is not asked again by whoever gave up", async () => {
    const gone = new AbortController();
    const told = waitedFor(() => Promise.resolve(answer(503, "5")), gone.signal);
    const ended = expect(told).rejects.toThrow("No longer asked");
    await vi.advanceTimersByTimeAsync(100);
    gone.abort();
    await ended;
    expect(waiting.count).toBe(0);
  });

  it("tells other answers at once, a shop that is away among them", async () => {
    for (const told of [answer(200), answer(409), answer(503)]) {
      expect(await waitedFor(() => Promise.resolve(told))).toBe(told);
    }
  });
});
