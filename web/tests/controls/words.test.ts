// @vitest-environment jsdom
import { cleanup, render, screen } from "@testing-library/svelte";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import Several from "../../src/lib/ui/Several.svelte";
import Word from "../../src/lib/ui/Word.svelte";

beforeEach(() => {
  // The lists hang in the page's main part, and this browser lays nothing out.
  document.body.append(document.createElement("main"));
  Element.prototype.scrollIntoView = vi.fn();
});
afterEach(() => {
  cleanup();
  document.body.replaceChildren();
});

describe("several words", () => {
  it("keeps the others when one is put in or taken out", async () => {
    const onchange = vi.fn();
    const props = {
      label: "cloth",
      value: ["denim", "stretch"],
      choices: ["denim", "wool", "stretch"],
      onchange,
    };
    render(Several, props);
    const user = userEvent.setup();
    screen.getByRole("combobox", { name: "cloth denim, stretch" }).focus();
    await user.keyboard("{Enter}{ArrowDown}{Enter}");
    expect(onchange).toHaveBeenLastCalledWith(["denim", "stretch", "wool"]);
    await user.keyboard("{ArrowUp}{Enter}");
    expect(onchange.mock.lastCall?.[0]).not.toContain("denim");
    expect(onchange.mock.lastCall?.[0]).toContain("stretch");
  });

  it("goes on showing a word that it would not offer", async () => {
    render(Several, { label: "cloth", value: ["felted"], choices: ["wool"], onchange: vi.fn() });
    screen.getByRole("combobox", { name: "cloth felted" }).focus();
    await userEvent.keyboard("{Enter}");
    const offered = (await screen.findAllByRole("option", { hidden: true })).map((option) =>
      option.textContent?.trim(),
    );
    expect(offered).toEqual(["wool", "✓felted"]);
  });
});

describe("one word", () => {
  const setting = (value: string | null) => {
    const onchange = vi.fn();
    render(Word, { label: "rise", value, choices: ["low", "mid", "high"], onchange });
    screen.getByRole("combobox").focus();
    return onchange;
  };

  it.each([
    ["{ArrowRight}", "mid", "high"],
    ["{ArrowLeft}", "mid", "low"],
    ["{ArrowRight}", null, "low"],
    ["{ArrowLeft}", null, "high"],
  ])("steps with %s from %s to %s", async (key, from, to) => {
    const onchange = setting(from);
    await userEvent.keyboard(key);
    expect(onchange.mock.calls).toEqual([[to]]);
  });

  it("stays at its ends, and leaves chords to the page", async () => {
    const onchange = setting("high");
    await userEvent.keyboard("{ArrowRight}{Alt>}{ArrowLeft}{/Alt}");
    expect(onchange).not.toHaveBeenCalled();
  });
});
