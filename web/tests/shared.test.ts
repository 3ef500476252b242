import { describe, expect, it } from "vitest";
import { shared } from "../src/lib/api/shared";

const answer = (hem: number, more: Record<string, unknown> = {}) => ({
  stature: 165,
  landmarks: [{ name: "waist", cm: 104 }],
  edges: [
    { key: "top_hem", height: 97 },
    { key: "leg_hem", height: hem },
  ],
  shapes: [{ key: "trunk", points: [[0, 1.5]] }],
  ...more,
});

describe("what is still true of an answer", () => {
  it("is taken over as the very same object, and what changed is new", () => {
    const was = answer(20);
    const now = shared(was, answer(21));
    expect(now).toEqual(answer(21));
    expect(now).not.toBe(was);
    expect(now.landmarks).toBe(was.landmarks);
    expect(now.shapes[0]).toBe(was.shapes[0]);
    expect(now.edges[0]).toBe(was.edges[0]);
    expect(now.edges[1]).not.toBe(was.edges[1]);
    expect(was.edges[1]!.height).toBe(20);
  });

  it("is the whole answer when nothing changed, and nothing of it at first", () => {
    const was = answer(20);
    expect(shared(was, answer(20))).toBe(was);
    const first = answer(20);
    expect(shared(null, first)).toBe(first);
  });

  it("is matched by name wherever it stands, and what went or came is not kept or lost", () => {
    const was = [{ rule: "a", weight: 1 }, { rule: "b", weight: 2 }, 3];
    const now = shared(was, [
      { rule: "b", weight: 2 },
      { rule: "c", weight: 1 },
    ]);
    expect(now).toEqual([
      { rule: "b", weight: 2 },
      { rule: "c", weight: 1 },
    ]);
    expect(now[0]).toBe(was[1]);
    expect(shared({ a: 1, mend: { text: "x" } }, { a: 1 })).toEqual({ a: 1 });
    expect(shared({ a: [1] }, { a: { 0: 1 } })).toEqual({ a: { 0: 1 } });
    expect(shared({ a: 1 }, { a: null })).toEqual({ a: null });
  });
});
