// @vitest-environment jsdom
import { cleanup, render, screen } from "@testing-library/svelte";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../src/lib/api/client";
import FigureField from "../../src/lib/client/FigureField.svelte";
import { on, refuse, reset } from "../server";

vi.mock("../../src/lib/api/client", async () => (await import("../server")).fakeClient);
beforeEach(reset);
afterEach(cleanup);

function field(cm: number, settled: boolean) {
  const onchange = vi.fn();
  const figure = { key: "inseam_cm", label: "inseam", cm, settled } as Schemas["FigureOut"];
  render(FigureField, { figure, label: "inseam", onchange });
  return { onchange, input: screen.getByRole("textbox") as HTMLInputElement, user: userEvent.setup() };
}

describe("a figure typed", () => {
  it("is read by the house, kept to a tenth, and kept once", async () => {
    on("POST", "/api/length", () => ({ data: { cm: 74.93 } }));
    const { onchange, input, user } = field(70, false);
    await user.type(input, "29 1/2 in{Enter}");
    expect(onchange.mock.calls).toEqual([[74.9]]);
  });

  it("goes back to its words when it is emptied, if it was measured", async () => {
    const { onchange, input, user } = field(70, true);
    await user.clear(input);
    await user.keyboard("{Enter}");
    expect(onchange.mock.calls).toEqual([[null]]);
  });

  it("is not lost when it cannot be read, and says what is wrong", async () => {
    on("POST", "/api/length", () => refuse(422, "This is not a length."));
    const { onchange, input, user } = field(70, false);
    await user.clear(input);
    await user.type(input, "long{Enter}");
    expect((await screen.findByRole("alert")).textContent).toBe("This is not a length.");
    expect([input.value, onchange.mock.calls.length]).toEqual(["long", 0]);
  });

  it("no piece has is refused, and Escape takes it back", async () => {
    on("POST", "/api/length", () => ({ data: { cm: 400 } }));
    const { onchange, input, user } = field(70, false);
    await user.clear(input);
    await user.type(input, "400{Enter}");
    expect((await screen.findByRole("alert")).textContent).toContain("No piece is 400");
    await user.keyboard("{Escape}");
    expect([input.value, onchange.mock.calls.length]).toEqual(["70", 0]);
  });
});
