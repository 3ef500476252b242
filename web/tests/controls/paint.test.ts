// @vitest-environment jsdom
/** The painter: what is described is basted, what is measured stitched; a piece of the rack turned round on demand. */
import { cleanup, render } from "@testing-library/svelte";
import { afterEach, describe, expect, it } from "vitest";
import type { Schemas } from "../../src/lib/api/client";
import Paint from "../../src/lib/figure/Paint.svelte";

type Shape = Schemas["DrawnShape"];
const shape = (slot: string, more: Partial<Shape> = {}): Shape => ({
  key: slot,
  slot,
  role: "cloth",
  d: "M0 0L10 0L10 10Z",
  box: [0, 0, 1, 1],
  opacity: 1,
  ...more,
});
const dashes = (root: Element, slot: string) =>
  root.querySelector(`[data-slot=${slot}]`)?.getAttribute("stroke-dasharray");

afterEach(cleanup);

describe("the silhouette", () => {
  it("is basted of the places that are said, and of no others", () => {
    const { container } = render(Paint, {
      shapes: [shape("top"), shape("bottom")],
      id: "a",
      perCm: 4,
      basted: ["top"],
    });
    expect(dashes(container, "top")).toMatch(/^[\d.]+ [\d.]+$/);
    expect(dashes(container, "bottom")).toBeNull();
  });

  it("keeps its stitches to be seen however small it is drawn", () => {
    const stitch = (perCm: number) => {
      const { container } = render(Paint, { shapes: [shape("top")], id: "b", perCm, basted: ["top"] });
      const long = parseFloat(dashes(container, "top") ?? "") * (perCm / 10);
      cleanup();
      return long;
    };
    expect(stitch(0.6)).toBeGreaterThan(3);
    expect(stitch(4)).toBeGreaterThan(3);
  });

  it("turns a cloth about the seam where it meets its neighbour", () => {
    const weave = { key: "w1", width: 20, height: 20, turn: 12, about: [180, 1200], marks: [] };
    const { container } = render(Paint, { shapes: [shape("top", { weave })], id: "c", perCm: 4 });
    expect(container.querySelector("pattern")?.getAttribute("patternTransform")).toBe("rotate(12 180 1200)");
  });
});
