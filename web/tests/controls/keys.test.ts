// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { press, type Keys } from "../../src/lib/client/keys";
import { letters } from "../../src/lib/ui/letters.svelte";

const acts = { keep: vi.fn(), back: vi.fn(), mend: vi.fn(), turn: vi.fn(), escape: vi.fn() };
const keys: Keys = {
  ...acts,
  placed: (code) => (code === "KeyT" ? acts.turn : undefined),
  letters: { m: acts.mend },
};
const ON: Record<string, () => HTMLElement> = {
  page: () => document.createElement("div"),
  field: () => document.createElement("input"),
  "empty measure": () => {
    const field = document.createElement("input");
    field.dataset.measure = "waist";
    return field;
  },
  list: () => {
    const list = document.createElement("div");
    list.setAttribute("role", "listbox");
    return list;
  },
};

function hit(where: string, key: string, held: KeyboardEventInit = {}): string[] {
  for (const act of Object.values(acts)) act.mockClear();
  const on = ON[where]!();
  document.body.append(on);
  on.addEventListener("keydown", (event) => press(event, keys));
  on.dispatchEvent(new KeyboardEvent("keydown", { key, code: `Key${key.toUpperCase()}`, ...held }));
  return Object.entries(acts).flatMap(([name, act]) => act.mock.calls.map(([way]) => way ?? name));
}

describe("keys on a client's screen", () => {
  beforeEach(() => letters.switch(true));
  afterEach(() => document.body.replaceChildren());

  it.each([
    ["page", "m", {}, ["mend"]],
    ["field", "m", {}, []],
    ["list", "m", {}, []],
    ["page", "t", {}, ["turn"]],
    ["field", "t", {}, []],
    ["field", "t", { altKey: true }, ["turn"]],
    ["field", "s", { ctrlKey: true }, ["keep"]],
    ["page", "z", { ctrlKey: true }, ["undo"]],
    ["page", "Z", { ctrlKey: true, shiftKey: true }, ["redo"]],
    ["page", "y", { metaKey: true }, ["redo"]],
    ["field", "z", { ctrlKey: true }, []],
    ["empty measure", "z", { ctrlKey: true }, ["undo"]],
    ["page", "m", { ctrlKey: true }, []],
    ["page", "Escape", {}, ["escape"]],
  ])("on %s, %s with %o does %o", (where, key, held, does) => {
    expect(hit(where, key, held)).toEqual(does);
  });

  it("that are one letter can be switched off, which this device remembers; Alt still works", () => {
    letters.switch(false);
    expect(localStorage.getItem("letters")).toBe("off");
    expect([hit("page", "m"), hit("page", "t"), hit("page", "t", { altKey: true })]).toEqual([
      [],
      [],
      ["turn"],
    ]);
    expect(hit("page", "Escape")).toEqual(["escape"]);
  });
});
