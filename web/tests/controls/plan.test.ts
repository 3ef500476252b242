// @vitest-environment jsdom
/** A plan's days by hand: what is worn, kept, changed and left out; the bag that is packed; what was worn and what it cost. */
import { cleanup, render, screen, within } from "@testing-library/svelte";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { History } from "../../src/lib/client/history.svelte";
import DayColumn from "../../src/lib/plan/DayColumn.svelte";
import Packing from "../../src/lib/plan/Packing.svelte";
import { Plans, type Occasion, type Plan, type PlanDay } from "../../src/lib/plan/plans.svelte";
import WornView from "../../src/lib/plan/WornView.svelte";
import { studio } from "../../src/lib/studio.svelte";
import { openPage } from "../page";
import { on, refuse, reset, sent, settled } from "../server";

vi.mock("../../src/lib/api/client", async () => (await import("../server")).fakeClient);

const OCCASION: Occasion = {
  ...{ key: "mon", on: "2026-03-02", occasion: "dinner", code: "none", celsius: 8, rain: true, name: "" },
  ...{ seen_by: ["Orla"], forecast: true },
} as Occasion;
const piece = (title: string, how = "") => ({ piece_id: title, title, how });
const look = (key: string, ...titles: string[]) =>
  ({
    key,
    verdict: "works",
    reasons: [],
    pieces: titles.map((title) => piece(title)),
  }) as unknown as NonNullable<PlanDay["look"]>;
const DAY = {
  ...{ key: "mon", kept: false, worn: false, way: "", without: [] },
  look: look("l", "navy blazer", "grey trousers"),
  others: [look("m", "camel coat", "blue jeans")],
} as unknown as PlanDay;
const plan = (version = 1, more: Partial<Plan> = {}): Plan =>
  ({
    ...{ id: "p", version, kind: "week", name: "Week", place: "", short_by: 0, weighed: 9, broken: [] },
    ...{ taken: [], grams: 0, fewest: false, can_undo: true, by: "", days: [DAY] },
    occasions: [OCCASION, { ...OCCASION, key: "tue", on: "2026-03-03" }],
    asks: { wash: [5], takes: 1, shoes: 2, pieces: null, kilos: null },
    ...more,
  }) as Plan;
let held: Plan;
let plans: Plans;
let history: History;

beforeEach(async () => {
  openPage();
  reset();
  held = plan();
  history = new History();
  plans = new Plans("c", history);
  on("GET", "/api/clients/c/plans", () => ({ data: { plans: [held] } }));
  on("POST", "/api/clients/c/outfits/drawn", () => ({ data: { drawn: [] } }));
  on("POST", "/api/plans/p/dress", () => ({
    data: { job: { id: "j", state: "done", done: 1, refused: "" }, plan: held },
  }));
  on("GET", "/api/edit/j", () => ({ data: { id: "j", state: "done", done: 1, refused: "" } }));
  on("PATCH", "/api/plans/p/day", () => ({ data: (held = plan(held.version + 1)) }));
  on("PUT", "/api/plans/p", ({ body }) => ({
    data: (held = { ...held, ...(body as Partial<Plan>), version: held.version + 1 }),
  }));
  on("GET", "/api/clients/c/worn", () => ({ data: USES }));
  await plans.load();
});
afterEach(() => {
  cleanup();
  studio.turned = false;
});

const USES = {
  begun: "2026-01-10",
  uses: [
    { piece_id: "b", title: "navy blazer", days: 12, last: "2026-02-27", a_wear: 14.25 },
    { piece_id: "t", title: "white tee", days: 3, last: "2026-02-20", a_wear: 4.333 },
    { piece_id: "s", title: "red skirt", days: 0, last: null, a_wear: null },
  ],
  ...{ always: ["b"], unworn: ["s"], currency: "EUR" },
  worn: [{ id: "w", on: "2026-02-27", pieces: ["navy blazer", "white tee"], by_client: true }],
};

describe("a day of a plan", () => {
  const shown = (day: Partial<PlanDay> = {}) => {
    const props = {
      plans,
      plan: held,
      occasion: OCCASION,
      day: { ...DAY, ...day },
      tallest: 180,
      here: false,
    };
    render(DayColumn, {
      ...props,
      occasions: ["dinner", "weekend"],
      codes: ["none", "smart"],
      drawings: plans.drawings,
    });
    return userEvent.setup();
  };
  const called = (what: string) => screen.getByRole("button", { name: `Mon 2 Mar, dinner: ${what}` });
  const done = () => sent("/api/plans/p/day").at(-1);

  it("says the day, the air and what is worn", () => {
    shown({ way: "flat boots", without: ["black pumps"] });
    const item = within(screen.getAllByRole("listitem")[0] as HTMLElement);
    item.getByText(/8 °C, rain/);
    item.getByText("navy blazer");
    item.getByText("for the way: flat boots");
    item.getByText("without the black pumps");
  });

  it("does without a piece, and has the rest give way", async () => {
    const user = shown();
    await user.click(called("do without the grey trousers"));
    await settled();
    expect(done()).toEqual({ version: 1, key: "mon", doing: "without", piece: "grey trousers" });
    expect(sent("/api/plans/p/dress")).toHaveLength(1);
  });

  it("keeps what is there, which moves nothing else, and frees it again", async () => {
    const user = shown();
    await user.click(called("keep"));
    await settled();
    expect(done()).toMatchObject({ key: "mon", doing: "keep" });
    expect(sent("/api/plans/p/dress")).toEqual([]);
    cleanup();
    const again = shown({ kept: true });
    expect(called("keep").getAttribute("aria-pressed")).toBe("true");
    await again.click(called("keep"));
    await settled();
    expect(done()).toMatchObject({ doing: "free" });
  });

  it("offers other looks, and takes one", async () => {
    const user = shown();
    await user.click(called("others"));
    await user.click(screen.getByRole("button", { name: "camel coat, blue jeans" }));
    await settled();
    expect(done()).toMatchObject({ doing: "other", other: 0 });
    expect(screen.queryByRole("button", { name: "camel coat, blue jeans" })).toBeNull();
  });

  it.each([
    ["3", { celsius: 3, forecast: false }],
    ["−4", { celsius: -4, forecast: false }],
    ["2,5", { celsius: 2.5, forecast: false }],
    ["warm", { celsius: null, forecast: false }],
  ])("takes the air as typed: %s", async (text, change) => {
    const user = shown();
    await user.click(called("change the day"));
    const field = screen.getByLabelText(/^air/);
    await user.clear(field);
    await user.type(field, `${text}{Tab}`);
    await settled();
    const told = sent("/api/plans/p").at(-1) as { occasions: Occasion[] };
    expect(told.occasions[0]).toMatchObject(change);
    expect(told.occasions[1]).toMatchObject({ key: "tue", celsius: 8 });
  });

  it("takes who sees her as names, and leaves a day out with a way back", async () => {
    const user = shown();
    await user.click(called("change the day"));
    const field = screen.getByLabelText("seen by");
    await user.clear(field);
    await user.type(field, "Wren, , Tamsin {Tab}");
    await settled();
    expect((sent("/api/plans/p").at(-1) as { occasions: Occasion[] }).occasions[0]?.seen_by).toEqual([
      "Wren",
      "Tamsin",
    ]);
    await user.click(screen.getByRole("button", { name: "leave this out" }));
    await settled();
    expect(
      (sent("/api/plans/p").at(-1) as { occasions: Occasion[] }).occasions.map(({ key }) => key),
    ).toEqual(["tue"]);
    await history.undo();
    expect((sent("/api/plans/p").at(-1) as { occasions: Occasion[] }).occasions).toHaveLength(2);
  });

  it("records what was worn, on its day, and takes it back", async () => {
    on("POST", "/api/clients/c/worn", ({ body }) => ({ data: { id: body.id } }));
    const user = shown();
    await user.click(called("worn"));
    await settled();
    const [told] = sent("/api/clients/c/worn");
    expect(told).toMatchObject({
      on: "2026-03-02",
      pieces: ["navy blazer", "grey trousers"],
      seen_by: ["Orla"],
      source: "plan p mon",
    });
    on("DELETE", `/api/worn/${String(told?.id)}`, () => ({ data: null }));
    await history.undo();
    expect(sent(`/api/worn/${String(told?.id)}`)).toHaveLength(1);
  });

  it("has nothing to be changed when the screen is turned to the client, and says where nothing works", () => {
    studio.turned = true;
    shown();
    expect(screen.queryAllByRole("button")).toEqual([]);
    cleanup();
    studio.turned = false;
    shown({ look: null } as Partial<PlanDay>);
    screen.getByText("Nothing at hand works here.");
    expect(screen.queryByRole("button", { name: /keep/ })).toBeNull();
  });

  it("says why a look only just works", () => {
    const near = { ...(DAY.look as object), verdict: "watch", reasons: [{ title: "Hem on a wide place" }] };
    shown({ look: near } as unknown as Partial<PlanDay>);
    screen.getByText("Only just: Hem on a wide place");
  });
});

describe("a bag", () => {
  const bag = (fewest: boolean) =>
    plan(1, {
      fewest,
      grams: 2340,
      taken: [
        {
          piece_id: "b",
          title: "navy blazer",
          days: ["mon", "tue"],
          grams: 900,
          ticked: true,
          on_the_way: true,
        },
        { piece_id: "t", title: "white tee", days: ["mon"], grams: 160, ticked: false, on_the_way: false },
      ],
    } as Partial<Plan>);

  it("says what it weighs, what each piece is for, and what is packed", () => {
    render(Packing, { plans, plan: bag(true) });
    screen.getByText(/2 pieces, about 2.3 kg in the bag, estimated; 1 packed/);
    screen.getByText(/No fewer would dress every day/);
    const [blazer, tee] = screen
      .getAllByRole("listitem")
      .map((one) => one.textContent.replaceAll(/\s+/g, " "));
    expect(blazer).toContain("worn on the way");
    expect(blazer).toContain("Mon 2, Tue 3");
    expect(tee).toContain("Mon 2 160 g");
  });

  it("claims no more than was proven, and ticks what is packed", async () => {
    on("POST", "/api/plans/p/tick", () => ({ data: (held = plan(2)) }));
    render(Packing, { plans, plan: bag(false) });
    screen.getByText(/Fewer could not be ruled out in the time/);
    await userEvent.click(screen.getByLabelText("white tee"));
    await settled();
    expect(sent("/api/plans/p/tick")).toEqual([{ piece: "t", on: true }]);
  });
});

describe("what was worn", () => {
  it("is shown by use, with what a wear has cost, and what hangs unworn", async () => {
    render(WornView, { plans });
    const used = within(await screen.findByRole("region", { name: "Pieces by use" }));
    const rows = used
      .getAllByRole("row")
      .map((row) => [...row.children].map((cell) => cell.textContent.replace("always", " always").trim()));
    expect(rows[1]).toEqual(["navy blazer always worn", "12", "27 February 2026", "14 EUR"]);
    expect(rows[2]).toEqual(["white tee", "3", "20 February 2026", "4.3 EUR"]);
    used.getByText(/never since it is recorded/);
  });

  it("has no money in it when the screen is turned", async () => {
    studio.turned = true;
    render(WornView, { plans });
    await screen.findByRole("region", { name: "Pieces by use" });
    expect(document.body.textContent).not.toContain("EUR");
  });

  it("is taken back by the day, and given back", async () => {
    on("DELETE", "/api/worn/w", () => ({ data: null }));
    on("POST", "/api/worn/w/restore", () => ({ data: null }));
    render(WornView, { plans });
    await userEvent.click(await screen.findByRole("button", { name: /^Take back what was worn on/ }));
    await settled();
    expect(sent("/api/worn/w")).toHaveLength(1);
    await history.undo();
    expect(sent("/api/worn/w/restore")).toHaveLength(1);
  });

  it("says that nothing is recorded, and that it is being counted", async () => {
    on("GET", "/api/clients/c/worn", () => ({ data: { ...USES, begun: null, uses: [], worn: [] } }));
    render(WornView, { plans });
    screen.getByRole("status");
    await screen.findByText(/Nothing is recorded yet/);
  });

  it("keeps what was there where it could not be counted", async () => {
    on("GET", "/api/clients/c/worn", () => refuse(503, "The house is closed for a moment."));
    render(WornView, { plans });
    await settled();
    expect(plans.trouble).toBe("The house is closed for a moment.");
  });
});
