import { describe, expect, it } from "vitest";
import { apart, RuleScale } from "../src/lib/figure/scale.svelte";

/** A fixed sequence that looks random: the same in every run. */
function* numbers(seed: number): Generator<number> {
  let state = seed;
  for (;;) {
    state = (state * 1103515245 + 12345) % 2147483648;
    yield state / 2147483648;
  }
}

describe("the rule", () => {
  it("has its nought on the floor and grows upwards", () => {
    const scale = new RuleScale();
    scale.height = 700;
    scale.tall = 170;
    expect(scale.y(0)).toBe(700);
    expect(scale.y(170)).toBeCloseTo(14);
    expect(scale.y(100) - scale.y(101)).toBeCloseTo(scale.perCm);
  });
});

describe("labels beside the rule", () => {
  const chance = numbers(7);
  const next = () => chance.next().value as number;
  for (let round = 0; round < 60; round += 1) {
    const count = 1 + Math.floor(next() * 14);
    const wanted = Array.from({ length: count }, () => next() * 600);
    const heights = Array.from({ length: count }, () => 12 + next() * 24);
    it(`never lie on each other, stay in their room and in order (${round})`, () => {
      const tops = apart(wanted, heights, 640, 3);
      const order = wanted.map((_, i) => i).sort((a, b) => wanted[a]! - wanted[b]!);
      for (const [at, i] of order.entries()) {
        const before = order[at - 1];
        if (before !== undefined)
          expect(tops[i]!).toBeGreaterThanOrEqual(tops[before]! + heights[before]! + 2.99);
        expect(tops[i]!).toBeGreaterThanOrEqual(0);
        expect(tops[i]! + heights[i]!).toBeLessThanOrEqual(640.01);
      }
    });
  }

  it("stand where they want to when there is room", () => {
    expect(apart([100, 300], [20, 20], 600)).toEqual([90, 290]);
  });

  it("stand one below the other from the top when there is none", () => {
    expect(apart([10, 10, 10], [40, 40, 40], 60, 0)).toEqual([0, 40, 80]);
    expect(apart([], [], 100)).toEqual([]);
  });
});
