import { describe, expect, it } from "vitest";
import { GROUPS, STEPS } from "../src/lib/client/steps";
import { closer, DETAILS, shown } from "../src/lib/figure/detail";
import { bounds, fit } from "../src/lib/figure/paint";
import { RuleScale } from "../src/lib/figure/scale.svelte";

const landmarks = [
  { name: "shoulder_height", label: "shoulder height", cm: 136, spread: 0, settled: true, low: 0, high: 0 },
  { name: "waist_height", label: "waist height", cm: 104, spread: 0, settled: true, low: 0, high: 0 },
];
const standing = { stature: 165, lift: 5, landmarks };

describe("looking closer", () => {
  it("shows the whole, and each detail with its landmark on the stage", () => {
    expect(shown(standing, null)).toEqual([0, 173]);
    for (const detail of DETAILS) {
      const scale = new RuleScale();
      [scale.from, scale.tall] = shown(standing, detail);
      const at = { neck: 141, waist: 109, foot: 0 }[detail];
      expect(scale.shows(at)).toBe(true);
      expect(scale.y(at)).toBeGreaterThan(0);
      expect(scale.heightAt(scale.y(at))).toBeCloseTo(at);
    }
  });
  it("goes round through all of them and back to the whole", () => {
    expect(DETAILS.reduce<(typeof DETAILS)[number] | null>((at) => closer(at), null)).toBe("foot");
    expect(closer("foot")).toBeNull();
  });
});

describe("the bar", () => {
  it("holds every step once and at most seven names, wherever one is", () => {
    expect(GROUPS.flatMap(({ steps }) => steps).toSorted()).toEqual(STEPS.map(([key]) => key).toSorted());
    for (const { steps } of GROUPS) expect(steps.length + GROUPS.length - 1).toBeLessThanOrEqual(7);
  });
});

describe("the painter", () => {
  it("keeps a line visible in a small picture and thin in a large one", () => {
    expect((fit(3, 0.5) * 0.5) / 10).toBeCloseTo(0.7);
    expect((fit(3, 12) * 12) / 10).toBeLessThanOrEqual(2);
    expect(fit(3, 4)).toBe(3);
  });
  it("finds the box of all shapes", () => {
    expect(bounds([{ box: [-2, 0, 3, 5] }, { box: [-1, -4, 1, 9] }])).toEqual([-2, -4, 3, 9]);
    expect(bounds([])).toEqual([-1, -1, 1, 1]);
  });
});
