// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/svelte";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Assessment, Piece } from "../../src/lib/api/client";
import { reach } from "../../src/lib/client/hems";
import type { LookTable } from "../../src/lib/client/table.svelte";
import Handles from "../../src/lib/figure/Handles.svelte";
import Scaled from "./Scaled.svelte";

const STATURE = 168;
const [LOW, HIGH] = reach(STATURE);

/** A table on which jeans of a measured inseam end so high. */
function tableWith(height: number) {
  const edge = { key: "hem", slot: "bottom", name: "jeans hem", at: "the ankle", seen: true };
  const change = vi.fn();
  const table = {
    assessment: {
      stature: STATURE,
      edges: [{ ...edge, height, falls_to: height, figure: "inseam_cm", length: 70 }],
    } as unknown as Assessment,
    draft: { pieces: { bottom: { is: "jeans", inseam_cm: 70 } as unknown as Piece }, change },
    hand: null,
  } as unknown as LookTable;
  render(Scaled, { control: Handles, given: { table, right: 200 } });
  return { change, slider: screen.getByRole("slider") };
}

describe("a hem as a slider", () => {
  afterEach(cleanup);

  it("says its bounds, where it is, and where on the body that is", () => {
    const { slider } = tableWith(10.2);
    const told = ["valuemin", "valuemax", "valuenow"].map((name) =>
      Number(slider.getAttribute(`aria-${name}`)),
    );
    expect(told[0]).toBeCloseTo(LOW, 1);
    expect(told[1]).toBeCloseTo(HIGH, 1);
    expect(told[2]).toBe(10.2);
    expect(slider.getAttribute("aria-valuetext")).toBe("10.2 cm, the ankle");
  });

  it.each([
    ["ArrowUp", {}, 0.5],
    ["ArrowDown", { shiftKey: true }, -2],
    ["PageUp", {}, 10],
    ["PageDown", {}, LOW - 10.2],
    ["Home", {}, LOW - 10.2],
    ["End", {}, HIGH - 10.2],
  ])("%s %o moves it by %d cm, within its bounds, as one change of the inseam", async (key, held, by) => {
    const { change, slider } = tableWith(10.2);
    await fireEvent.keyDown(slider, { key, ...held });
    const [slot, words] = change.mock.lastCall ?? [];
    expect(slot).toBe("bottom");
    expect(words.inseam_cm).toBeCloseTo(70 - by, 1);
  });

  it("leaves other keys to the page", async () => {
    const { change, slider } = tableWith(10.2);
    await fireEvent.keyDown(slider, { key: "m" });
    expect(change).not.toHaveBeenCalled();
  });
});
