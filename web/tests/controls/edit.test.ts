// @vitest-environment jsdom
/** The views of an edit by themselves: what is missing, a capsule, orphans, what changed since last time. */
import { cleanup, render, screen, within } from "@testing-library/svelte";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { History } from "../../src/lib/client/history.svelte";
import CapsuleView from "../../src/lib/edit/CapsuleView.svelte";
import ChangedView from "../../src/lib/edit/ChangedView.svelte";
import { Edit } from "../../src/lib/edit/edit.svelte";
import MissingView from "../../src/lib/edit/MissingView.svelte";
import OrphansView from "../../src/lib/edit/OrphansView.svelte";
import { Rack } from "../../src/lib/rack/rack.svelte";
import { calls, on, refuse, reset, sent, settled } from "../server";
import { Storage } from "../storage";

vi.mock("../../src/lib/api/client", async () => (await import("../server")).fakeClient);

const CLIENT = "/api/clients/c";
const job = (state = "done", done = 1) => ({ id: "j", state, done, refused: "" });
const DAYS = [
  { name: "office", share: 0.7 },
  { name: "dinner", share: 0.3 },
];
const hanging = ["navy blazer", "white tee"].map((title, at) => ({
  ...{ id: `p${at}`, version: 1, name: "", title, kind: "tee", stance: "fits", marks: [], flat: [] },
  ...{ piece: { is: "tee" }, facts: { state: "in_use", note: "" }, figures: [] },
}));
const gain = (key: string, title: string, looks: number[], more: object = {}) => ({
  ...{ key, title, piece: { is: "trousers", colour: key }, looks, newness: 1, small: false, lasts: true },
  ...{ instead: [], numbers: [], price: 120, a_wear: 2, shown: [], ...more },
});
const GAPS = {
  job: job(),
  gains: [
    gain("a", "navy wide trousers", [31, 4], {
      numbers: [{ name: "inseam", low: 76, high: 78, settled: true }],
      instead: ["charcoal wide trousers"],
    }),
    gain("b", "tan belt", [9, 1], { small: true, lasts: false, price: null }),
  ],
  lead: ["a"],
  small: ["b"],
  together: [{ keys: ["a", "b"], titles: ["navy wide trousers", "tan belt"], looks: [44, 5], price: 150 }],
  ...{
    weighed: 190,
    listed: 20,
    left_off: 61,
    tried: 123_456,
    candidates: 400,
    there: [12, 0],
    left_out: [],
  },
  ...{ days: DAYS, currency: "EUR", budget: null },
};
const SORTING = { job: job(), pieces: [], orphans: [] as object[], twins: [], days: DAYS };

let edit: Edit;
beforeEach(async () => {
  reset();
  vi.stubGlobal("localStorage", new Storage());
  vi.stubGlobal(
    "IntersectionObserver",
    class {
      observe() {}
      disconnect() {}
    },
  );
  on("GET", `${CLIENT}/rack`, () => ({ data: { pieces: hanging, page: 36, unreadable: [], heels: true } }));
  on("POST", `${CLIENT}/edit/sorting`, () => ({ data: SORTING }));
  on("GET", `${CLIENT}/edit/sorted`, () => ({ data: { decisions: [] } }));
  on("GET", `${CLIENT}/buying`, () => ({ data: { things: [], currency: "EUR" } }));
  on("GET", "/api/kit", () => ({ data: { pieces: [] } }));
  on("GET", `${CLIENT}/worn`, () => ({ data: { worn: [], uses: [], unworn: [], always: [], begun: null } }));
  edit = new Edit("c", new Rack("c", new History()), new History());
  await edit.rack.load();
  await edit.load();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("what is missing", () => {
  const open = async (told: object = GAPS) => {
    on("POST", `${CLIENT}/edit/gaps`, () => ({ data: told }));
    render(MissingView, { edit, name: "Pia" });
    await settled();
    return userEvent.setup();
  };

  it("shows the first thing with its numbers, its price and what it does to each kind of day", async () => {
    await open();
    const shown = within(screen.getByTestId("gain"));
    shown.getByRole("heading", { name: "navy wide trousers" });
    const text = screen.getByTestId("gain").textContent.replaceAll(/\s+/g, " ");
    expect(text).toContain("office 31 more to 12, dinner 4 more, where there is none.");
    expect(text).toContain("Carries over the years.");
    expect(text).toMatch(/about €120, €2 a wear/);
    expect(text).toContain("As much would do: charcoal wide trousers.");
    expect(shown.getByText("inseam").nextElementSibling?.textContent.trim()).toBe("76 – 78 cm");
    expect(document.body.textContent.replaceAll(/\s+/g, " ")).toContain(
      "190 of the 20 best were weighed; the best thing off that list does 61 % of what the first does.",
    );
  });

  it("turns to a small thing, and to one of a set", async () => {
    const user = await open();
    await user.click(screen.getByRole("button", { name: /^tan belt/, pressed: false }));
    within(screen.getByTestId("gain")).getByText(/For a season/);
    const set = within(screen.getByTestId("together"));
    set.getByText(/Two: 44 outfits more/);
    await user.click(set.getByRole("button", { name: "navy wide trousers" }));
    within(screen.getByTestId("gain")).getByText(/Carries over the years/);
  });

  it("puts a thing on the buying list with what it is for, and says when it is there", async () => {
    const user = await open();
    const words = GAPS.gains[0]!.piece;
    on("POST", `${CLIENT}/buying`, ({ body }) => ({ data: { ...body, title: "navy wide trousers", words } }));
    await user.click(screen.getByRole("button", { name: "Put it on the buying list" }));
    await settled();
    expect(sent(`${CLIENT}/buying`)).toMatchObject([{ why: "31 outfits more", looks: 31, price: 120 }]);
    const there = screen.getByRole("button", { name: "On the buying list" });
    expect((there as HTMLButtonElement).disabled).toBe(true);
  });

  it("asks the shops for what fills it, and says where they have nothing or do not answer", async () => {
    const user = await open();
    on("GET", `${CLIENT}/shopping/shelf`, () => refuse(503, "The shops do not answer."));
    await user.click(screen.getByRole("button", { name: "What the shops have of it" }));
    await screen.findByText("The shops do not answer.");
    on("GET", `${CLIENT}/shopping/shelf`, () => ({ data: { offers: [] } }));
    await user.click(screen.getByRole("button", { name: "What the shops have of it" }));
    await screen.findByText("The shops have nothing of that kind.");
  });

  it("says that nothing makes one more outfit, and what came to nothing", async () => {
    await open({ ...GAPS, gains: [], lead: [], small: [], together: [] });
    screen.getByText("Nothing that was tried makes one more outfit that works.");
    cleanup();
    await open({ ...GAPS, job: { ...job("failed"), refused: "There is nothing on the rack." } });
    expect(screen.getByRole("alert").textContent).toBe("There is nothing on the rack.");
  });
});

describe("a capsule", () => {
  const CAPSULE = {
    job: job(),
    parts: [
      {
        piece_id: "p0",
        whose: "owned",
        title: "navy blazer",
        words: { is: "blazer" },
        outfits: 7,
        day: "office",
      },
      {
        piece_id: null,
        whose: "to_buy",
        title: "tan belt",
        words: { is: "belt" },
        outfits: 3,
        day: "",
        price: 30,
      },
    ],
    ...{ outfits: 21, bases: 1, by_day: [21, 6], proven: false, chosen_from: 126, looks: [], days: DAYS },
    currency: "EUR",
  };

  it("is asked for with what must be in and what never, and keeps its numbers within bounds", async () => {
    const user = userEvent.setup();
    on("POST", `${CLIENT}/edit/capsule`, () => ({ data: CAPSULE }));
    render(CapsuleView, { edit, name: "Pia" });
    const pieces = screen.getByRole("textbox", { name: "Pieces" });
    await user.clear(pieces);
    await user.type(pieces, "400");
    await user.tab();
    expect((pieces as HTMLInputElement).value).toBe("40");
    await user.clear(pieces);
    await user.type(pieces, "some");
    await user.tab();
    expect((pieces as HTMLInputElement).value).toBe("40");
    await user.selectOptions(screen.getByRole("combobox", { name: "Must be in" }), "navy blazer");
    await user.selectOptions(screen.getByRole("combobox", { name: "Never" }), "white tee");
    await user.click(screen.getByRole("button", { name: /white tee ×: never, no longer/ }));
    await user.click(screen.getByRole("button", { name: "Choose" }));
    await settled();
    expect(sent(`${CLIENT}/edit/capsule`)).toEqual([{ pieces: 40, bought: 0, must: ["p0"], never: [] }]);
    const says = screen.getByTestId("capsule-says").textContent.replaceAll(/\s+/g, " ");
    expect(says).toContain("2 pieces make 21 outfits on 1 base: office 21, dinner 6.");
    expect(says).toContain("a better one is not ruled out. Chosen from 126 pieces.");
    within(screen.getByTestId("parts")).getByText(/to buy, about €30/);
  });

  it("says why nothing can be chosen, and lets it be tried again", async () => {
    const user = userEvent.setup();
    on("POST", `${CLIENT}/edit/capsule`, () => refuse(422, "More must be in than there is room for."));
    render(CapsuleView, { edit, name: "Pia" });
    await user.click(screen.getByRole("button", { name: "Choose" }));
    expect((await screen.findByRole("alert")).textContent).toBe("More must be in than there is room for.");
    on("POST", `${CLIENT}/edit/capsule`, () => ({ data: { ...CAPSULE, proven: true } }));
    await user.click(screen.getByRole("button", { name: "Try again" }));
    await screen.findByText(/No other choice makes more/);
  });
});

describe("orphans", () => {
  it("are shown with what is in the way and what adopts them, and those that nothing adopts apart", async () => {
    const adoption = {
      means: "tailor",
      text: "Shorten it by 3 cm",
      looks: 5,
      title: "",
      piece: null,
      key: "",
    };
    const orphans = [
      { piece_id: "p0", why: "Half and half", adoptions: [adoption] },
      { piece_id: "p1", why: "", adoptions: [] },
    ];
    on("POST", `${CLIENT}/edit/sorting`, () => ({ data: { ...SORTING, orphans } }));
    await edit.sorting.ask();
    render(OrphansView, { edit });
    await settled();
    const adopted = within(screen.getByTestId("orphans"));
    adopted.getByText("navy blazer");
    adopted.getByText(/In the way most often: half and half/);
    const alone = within(screen.getByTestId("alone"));
    alone.getByText("Nothing to wear it with.");
    on("PUT", "/api/rack/p1/sorted", ({ body }) => ({
      data: { ...body, piece_id: "p1", title: "white tee", version: 1, by: "Maud", gone_at: null },
    }));
    await userEvent.click(alone.getByRole("button", { name: "out of keeping" }));
    await settled();
    expect(calls.filter((call) => call.method === "PUT").map((call) => call.body["decision"])).toEqual([
      "out_of_keeping",
    ]);
  });

  it("have beside them what hangs unworn for long, to be sorted", async () => {
    const uses = [
      { piece_id: "p0", title: "navy blazer", days: 2, last: "2026-02-03", a_wear: null },
      { piece_id: "p1", title: "white tee", days: 30, last: "2026-11-20", a_wear: 1 },
    ];
    render(OrphansView, { edit });
    expect(screen.queryByTestId("unworn")).toBeNull();
    on("GET", `${CLIENT}/worn`, () => ({
      data: { worn: [], uses, unworn: ["p0"], always: [], begun: "2025-12-01" },
    }));
    await edit.loadWorn();
    await settled();
    const list = within(screen.getByTestId("unworn"));
    expect(list.getByText("navy blazer").closest("li")?.textContent).toMatch(/last worn .*2026/);
    expect(list.queryByText("white tee")).toBeNull();
    await userEvent.click(list.getByRole("button", { name: "sort it" }));
    expect([edit.view, edit.at]).toEqual(["sort", "p0"]);
  });

  it("are none where every piece stands in a good look", () => {
    render(OrphansView, { edit });
    screen.getByText("Every piece that fits stands in a good look.");
  });
});

describe("what the last measuring changed", () => {
  it("is asked for when it is looked at, and says when it could not be found", async () => {
    on("POST", `${CLIENT}/edit/changed`, () => refuse(422, "There is one measuring only."));
    render(ChangedView, { edit });
    expect((await screen.findByRole("alert")).textContent).toBe("There is one measuring only.");
  });
});
