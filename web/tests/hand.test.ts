/** Plans and hand-over without a browser: a day changed and dressed again, a sentence and its way back, what was chosen. */
import { beforeEach, describe, expect, it, vi } from "vitest";
import { History } from "../src/lib/client/history.svelte";
import { Hand, type Card } from "../src/lib/hand/hand.svelte";
import { keyOf, STEPS } from "../src/lib/client/steps";
import { DECISIONS as SORTED } from "../src/lib/edit/words";
import { after, Plans, todayIso, type Plan } from "../src/lib/plan/plans.svelte";
import { DECISIONS as TRIED } from "../src/lib/tryon/form.svelte";
import { notice } from "../src/lib/ui/notice.svelte";
import { calls, on, refuse, reset, sent } from "./server";

vi.mock("../src/lib/api/client", async () => (await import("./server")).fakeClient);

const CLIENT = "/api/clients/c";
const line = (key: string, text: string, edited = false) => ({ key, text, edited });
const card = (id: string): Card => ({
  ...{ id, version: 1, look_id: `look ${id}`, name: id, pieces: [], reasons: [], mind: [], variants: [] },
  ...{ own: line("own", ""), how: [line("shoes", "With the flats.")], occasions: [], air: null, steps: [] },
  ...{ told: "", marks: [], by: "" },
});

describe("hand-over", () => {
  let history: History;
  let hand: Hand;
  let held: Card;
  beforeEach(async () => {
    reset();
    history = new History();
    hand = new Hand("c", history);
    held = card("a");
    on("GET", `${CLIENT}/cards`, () => ({ data: { cards: [held, card("b")], week: [] } }));
    on("GET", `${CLIENT}/looks`, () => ({ data: [{ id: "look a" }, { id: "look d", name: "Market" }] }));
    on("GET", `${CLIENT}/plans`, () => ({ data: { plans: [] } }));
    on("GET", `${CLIENT}/links`, () => ({ data: { links: [], said: [] } }));
    on("PATCH", "/api/cards/a/line", ({ body }) => {
      if (body.version !== held.version)
        return refuse(409, "Maud changed this meanwhile.", { current: held });
      const text = body.text as string | null;
      const how = [text === null ? line("shoes", "With the flats.") : line("shoes", text, true)];
      held = { ...held, version: held.version + 1, how };
      return { data: held };
    });
    await hand.load();
  });

  it("knows which looks have no card, and what goes along", () => {
    expect(hand.uncarded.map((look) => look.id)).toEqual(["look d"]);
    expect(hand.chosen.map((one) => one.id)).toEqual(["a", "b"]);
    hand.choose(hand.chosen[0] as Card, false);
    expect(hand.chosen.map((one) => one.id)).toEqual(["b"]);
  });

  it("writes a sentence anew and takes that back, from whatever version stands then", async () => {
    const shoes = hand.here?.how[0];
    if (!hand.here || !shoes) throw new Error("no card");
    await hand.write(hand.here, shoes, "The brown ones.");
    await hand.write(hand.here, shoes, "");
    expect(hand.here.how[0]).toEqual(line("shoes", "", true));
    await history.undo();
    await history.undo();
    expect(hand.here.how[0]).toEqual(line("shoes", "With the flats."));
  });

  it("shows theirs where somebody else was quicker", async () => {
    const here = hand.here as Card;
    held = { ...held, version: 7, how: [line("shoes", "Theirs.", true)] };
    await hand.write(here, here.how[0] as Card["own"], "Mine.");
    expect(hand.here?.how[0]?.text).toBe("Theirs.");
    expect(notice.text).toContain("It shows theirs now");
  });

  it("says why a link was not made", async () => {
    on("POST", `${CLIENT}/links`, () => refuse(422, "This page would be empty."));
    expect(await hand.link("2026-12-24", "", null)).toBe("This page would be empty.");
    expect(hand.made).toBeNull();
  });
});

describe("plans", () => {
  const plan = (version: number): Plan => ({
    ...{ id: "p", version, kind: "week", name: "Week", place: "", occasions: [], days: [], short_by: 0 },
    ...{ weighed: 9, broken: [], taken: [], grams: 0, fewest: false, can_undo: true, by: "" },
    asks: { wash: [5], takes: 1, shoes: 2, pieces: null, kilos: null },
  });
  let held: Plan;
  let state: string;
  let plans: Plans;
  let history: History;
  const job = () => ({ id: "j", state, done: 0.5, refused: "" });
  beforeEach(async () => {
    vi.useFakeTimers();
    reset();
    held = plan(1);
    state = "running";
    history = new History();
    plans = new Plans("c", history);
    on("GET", `${CLIENT}/plans`, () => ({ data: { plans: [held] } }));
    on("POST", "/api/plans/p/dress", () => ({ data: { job: job(), plan: held } }));
    on("GET", "/api/edit/j", () => ({ data: job() }));
    on("POST", "/api/plans/p/undo", () => ({ data: (held = plan(held.version + 1)) }));
    on("PATCH", "/api/plans/p/day", ({ body }) =>
      body.version === held.version
        ? { data: (held = plan(held.version + 1)) }
        : refuse(409, "Maud changed this meanwhile.", { current: held }),
    );
    await plans.load();
  });

  it("dresses once, looks after that, and shows what came of it", async () => {
    await plans.dress();
    expect(plans.work.busy).toBe(true);
    state = "done";
    held = plan(2);
    await vi.advanceTimersByTimeAsync(3000);
    expect(plans.work.done).toBe(true);
    expect(plans.here?.version).toBe(2);
    expect(calls.filter((call) => call.path === "/api/plans/p/dress")).toHaveLength(1);
  });

  it("changes a day, has the rest give way, and goes one step back", async () => {
    await plans.day(plans.here as Plan, { key: "a", doing: "other", other: 0 });
    expect(sent("/api/plans/p/day")).toHaveLength(1);
    expect(calls.some((call) => call.path === "/api/plans/p/dress")).toBe(true);
    await history.undo();
    expect(sent("/api/plans/p/undo")).toEqual([{ version: 2 }]);
  });

  it("goes one step back over its own dressing, where that came first", async () => {
    on("POST", "/api/plans/p/undo", ({ body }) =>
      body.version === held.version
        ? { data: (held = plan(held.version + 1)) }
        : refuse(409, "It was dressed meanwhile.", { current: held }),
    );
    await plans.day(plans.here as Plan, { key: "a", doing: "other", other: 0 });
    expect(plans.work.busy).toBe(true);
    // The worker has written what it found, and nobody has asked since.
    held = plan(held.version + 1);
    await history.undo();
    expect(sent("/api/plans/p/undo").map((body) => body.version)).toEqual([2, 3]);
    expect(plans.here?.version).toBe(4);
  });

  it("makes no change on what somebody else changed while days were dressed", async () => {
    await plans.day(plans.here as Plan, { key: "a", doing: "other", other: 0 });
    expect(plans.work.busy).toBe(true);
    const here = plans.here as Plan;
    held = { ...plan(7), name: "Week in the hills" };
    await plans.day(here, { key: "a", doing: "keep" });
    expect(sent("/api/plans/p/day")).toHaveLength(2);
    expect(plans.here?.name).toBe("Week in the hills");
    expect(notice.text).toContain("It shows theirs now");
  });

  it("shows theirs where somebody else was quicker", async () => {
    const here = plans.here as Plan;
    held = plan(5);
    await plans.day(here, { key: "a", doing: "keep" }, false);
    expect(plans.here?.version).toBe(5);
    expect(notice.text).toContain("It shows theirs now");
  });
});

it("gives no step a key that means something else within one", () => {
  const steps = STEPS.map(([step]) => keyOf(step).toLowerCase());
  const within = [...TRIED.map((one) => one[2]), ...SORTED.map((one) => one[1].toLowerCase())];
  expect(steps.filter((key) => within.some((one) => one === key))).toEqual([]);
  // Outfits hold up with H; measuring reads again with R, skips with S.
  expect(steps.filter((key) => "hkxdmbrswcnpveytu".includes(key))).toEqual([]);
});

it("counts days over months", () => {
  expect(after("2026-11-30", 1)).toBe("2026-12-01");
  expect(todayIso(new Date(2026, 0, 5, 23, 59))).toBe("2026-01-05");
});
