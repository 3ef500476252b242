import { describe, expect, it } from "vitest";
import type { Schemas } from "../src/lib/api/client";
import { grouped, poor, range } from "../src/lib/shop/range";
import { day, figure, length, said } from "../src/lib/units";

describe("lengths for a reader", () => {
  it.each([
    [82.55, "cm", "82.6"],
    [82.5, "in", "32 1/2"],
    [2.54, "in", "1"],
    [0.3, "in", "1/8"],
    [0, "in", "0"],
    [-3.81, "in", "−1 1/2"],
    [-1.4, "cm", "−1.4"],
    [0.04, "cm", "0"],
    [-0.01, "cm", "0"],
  ] as const)("%s in %s is %s", (cm, unit, text) => {
    expect(figure(cm, unit)).toBe(text);
  });

  it("carries a fraction over into the next whole inch", () => {
    expect(figure(2.54 * 31.99, "in")).toBe("32");
  });

  it("says the unit, days and words", () => {
    expect(length(76, "cm")).toBe("76 cm");
    expect(day("2026-05-09")).toBe("9 May 2026");
    expect(said("slim_straight")).toBe("slim straight");
  });
});

describe("ranges to shop with", () => {
  const number = (more: Partial<Schemas["NumberOut"]>) =>
    ({ poor_low: null, poor_high: null, poor_why: "", group: "Skirts", ...more }) as Schemas["NumberOut"];

  it("are one figure where both ends are the same", () => {
    expect(range(63, 66, "cm")).toBe("63 – 66 cm");
    expect(range(63, 63, "cm")).toBe("63 cm");
    expect(range(63, 66, "in")).toBe("24 3/4 – 26 in");
  });

  it("say what to leave and why", () => {
    expect(poor(number({}), "cm")).toBeNull();
    const calf = number({ poor_low: 70.5, poor_high: 76.5, poor_why: "ends on the fullest calf" });
    expect(poor(calf, "cm")).toBe("Leave 70.5 – 76.5 cm: ends on the fullest calf");
    expect(poor(number({ poor_low: 0, poor_high: 39, poor_why: "reads slim" }), "cm")).toBe(
      "Leave under 39 cm: reads slim",
    );
  });

  it("keep the order of their groups", () => {
    const [a, b] = [number({ group: "Skirts" }), number({ group: "Boots" })];
    expect(grouped([a, b, a])).toEqual([
      ["Skirts", [a, a]],
      ["Boots", [b]],
    ]);
  });
});
