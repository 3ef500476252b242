import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { History } from "../src/lib/client/history.svelte";
import { stands } from "../src/lib/due/due.svelte";
import { Form, type Expected } from "../src/lib/tryon/form.svelte";
import { TryOn } from "../src/lib/tryon/tryon.svelte";
import { calls, on, refuse, reset } from "./server";
import { Storage } from "./storage";

vi.mock("../src/lib/api/client", async () => (await import("./server")).fakeClient);

const HEM = {
  key: "hem",
  cost: "tailor",
  cm: 3,
  text: "Hem it by 3 cm.",
  reaches: "",
  figure: "inseam_cm",
  by_cm: -3,
};
const jeans = {
  piece_id: "p1",
  title: "navy jeans",
  kind: "jeans",
  maker: "Fenn",
  label_size: "10",
  to_see: [],
  placed: {
    checks: [
      { key: "rise", alterations: [] },
      { key: "length", alterations: [{ ...HEM, cost: "free", text: "Turn it up." }, HEM] },
    ],
  },
} as unknown as Expected;
const FITTINGS = "/api/clients/c/fittings";
const gone = refuse(0, "The server does not answer.");

/** A server that keeps what it is handed, once for each identity. */
let kept: Record<string, { fitting: string; body: Record<string, unknown> }>;
let away: boolean;
let tryon: TryOn;

function serve(fitting: string): void {
  on("PUT", `${FITTINGS}/${fitting}`, ({ body }) =>
    away ? gone : { data: { id: fitting, open: true, trials: [], ...body } },
  );
  on("POST", `/api/fittings/${fitting}/end`, () =>
    away ? gone : { data: { id: fitting, open: false, trials: [], started_at: "2026-11-25T10:00:00Z" } },
  );
}

function take(fitting: string, trial: string, lost = false): void {
  on("PUT", `/api/fittings/${fitting}/trials/${trial}`, ({ body }) => {
    if (away && !lost) return gone;
    kept[trial] ??= { fitting, body };
    if (away) return gone;
    return {
      data: { id: trial, title: "navy jeans", piece_id: body.piece_id, decision: body.decision, why: "" },
    };
  });
}

const ids = () => vi.spyOn(crypto, "randomUUID");
beforeEach(async () => {
  reset();
  vi.stubGlobal("localStorage", new Storage());
  vi.stubGlobal("navigator", { locks: { request: (_: string, run: () => unknown) => run() } });
  kept = {};
  away = false;
  on("GET", FITTINGS, () => (away ? gone : { data: { fittings: [], makers: [] } }));
  on("GET", "/api/clients/c/expected", () => ({ data: { pieces: [jeans], heels: true } }));
  let count = 0;
  ids().mockImplementation(() => `id-${(count += 1)}` as `${string}-${string}-${string}-${string}-${string}`);
  serve("id-1");
  tryon = new TryOn("c", "maud@example", new History());
  await tryon.load();
  await tryon.begin("wardrobe", "");
});
afterEach(() => {
  tryon.outbox.close();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

/** Log the jeans; the identity the trial has. */
async function log(decision: "keep" | "alter" = "keep"): Promise<string> {
  tryon.take(jeans);
  tryon.form.decide(decision, jeans);
  const next = `id-${calls.length + 100}`;
  ids().mockImplementationOnce(() => next as never);
  take("id-1", next);
  expect(await tryon.keep("cm")).toBe(true);
  return next;
}

describe("a fitting with a connection", () => {
  it("is begun, shows what was logged, and makes room for the next piece", async () => {
    expect(tryon.open?.id).toBe("id-1");
    const trial = await log();
    expect([tryon.on, tryon.log.map((one) => one.id), tryon.saving]).toEqual([null, [trial], "kept"]);
    expect(tryon.tried.has("p1")).toBe(true);
    expect(kept[trial]?.body).toMatchObject({ piece_id: "p1", line: "", maker: "Fenn", unit: "cm" });
  });

  it("asks what becomes of a piece before it is logged", async () => {
    tryon.take(jeans);
    expect(await tryon.keep("cm")).toBe(false);
    expect(tryon.wrong).toContain("Say what becomes of it");
    expect(tryon.on).toBe(jeans);
  });

  it("finds pieces by any of their words", () => {
    tryon.sought = "fenn jeans";
    expect(tryon.shown).toEqual([jeans]);
    tryon.sought = "coat";
    expect(tryon.shown).toEqual([]);
  });

  it("ends, and a new one can be begun", async () => {
    await tryon.end();
    expect(tryon.open).toBeNull();
  });
});

describe("a fitting whose connection is cut", () => {
  it("goes on, keeps everything on the device, and sends it in order when it is back", async () => {
    const first = await log();
    away = true;
    const second = await log();
    const third = await log("alter");
    expect(tryon.outbox.away).toBe(true);
    expect(tryon.log.map((one) => [one.id, one.trial !== null])).toEqual([
      [first, true],
      [second, false],
      [third, false],
    ]);
    expect(Object.keys(kept)).toEqual([first]);
    away = false;
    await tryon.outbox.flush();
    expect(Object.keys(kept)).toEqual([first, second, third]);
    expect([tryon.outbox.items, tryon.saving]).toEqual([[], "kept"]);
    expect(tryon.log.every((one) => one.trial)).toBe(true);
  });

  it("does nothing twice when the answer was lost on its way", async () => {
    away = true;
    const trial = await log();
    take("id-1", trial, true);
    await tryon.outbox.flush();
    expect(tryon.outbox.waiting).toHaveLength(1);
    away = false;
    await tryon.outbox.flush();
    expect(Object.keys(kept)).toEqual([trial]);
    expect(tryon.log).toHaveLength(1);
  });

  it("is there again in a tab opened later, and not for another member", async () => {
    away = true;
    await log();
    const later = new TryOn("c", "maud@example", new History());
    expect(later.outbox.waiting).toHaveLength(1);
    expect(new TryOn("c", "bo@example", new History()).outbox.items).toEqual([]);
    later.outbox.close();
  });

  it("begins without a connection as well", async () => {
    away = true;
    await tryon.end();
    ids().mockImplementationOnce(() => "id-9" as never);
    serve("id-9");
    await tryon.begin("shop", "Corn Street");
    expect(tryon.open).toMatchObject({ id: "id-9", place: "shop", where: "Corn Street" });
    away = false;
    await tryon.outbox.flush();
    expect(calls.filter((call) => call.path === `${FITTINGS}/id-9`)).toHaveLength(1);
    expect(tryon.outbox.items).toEqual([]);
  });

  it("puts a said piece on without anything expected of it", async () => {
    on("POST", "/api/clients/c/expect", () => gone);
    await tryon.say("red skirt, length 60");
    expect(tryon.on).toMatchObject({ piece_id: null, title: "red skirt, length 60" });
    on("POST", "/api/clients/c/expect", () => refuse(422, "“glitter” is not understood."));
    tryon.take(null);
    await tryon.say("glitter");
    expect([tryon.on, tryon.wrong]).toEqual([null, "“glitter” is not understood."]);
  });
});

describe("what the server does not take", () => {
  it("stays in sight with its reason, holds nothing up, and can be dropped", async () => {
    tryon.take(jeans);
    tryon.form.decide("keep", jeans);
    ids().mockImplementationOnce(() => "bad" as never);
    on("PUT", "/api/fittings/id-1/trials/bad", () => refuse(422, "“long” is not a length."));
    await tryon.keep("cm");
    const next = await log();
    expect(tryon.log.map((one) => [one.id, one.refused])).toEqual([
      [next, undefined],
      ["bad", "“long” is not a length."],
    ]);
    expect(tryon.saving).toBe("failed");
    tryon.outbox.drop(tryon.log[1]?.key ?? "");
    expect(tryon.log).toHaveLength(1);
  });

  it("waits where somebody must sign in again", async () => {
    tryon.take(jeans);
    tryon.form.decide("keep", jeans);
    ids().mockImplementationOnce(() => "out" as never);
    on("PUT", "/api/fittings/id-1/trials/out", () => refuse(401, "Sign in to go on."));
    await tryon.keep("cm");
    expect(tryon.outbox.waiting).toHaveLength(1);
    expect(tryon.outbox.refused).toEqual([]);
  });
});

describe("what becomes of a piece", () => {
  const today = new Date("2026-11-25T12:00:00Z");

  it("to alter means the first that a tailor could do, back in a week", () => {
    const form = new Form();
    form.decide("alter", jeans, today);
    expect(form.errands(jeans)).toMatchObject([
      { kind: "alter", text: "Hem it by 3 cm.", figure: "inseam_cm", by_cm: -3, due_on: "2026-12-02" },
    ]);
    form.chosen = {};
    form.why = "New buttons";
    expect(form.errands(jeans)).toMatchObject([{ text: "New buttons", figure: "" }]);
    form.decide("alter", jeans, today);
    expect([form.decision, form.errands(jeans)]).toEqual(["", []]);
  });

  it("to return has a fortnight, to keep owes nothing", () => {
    const form = new Form();
    form.decide("return", jeans, today);
    expect(form.errands(jeans)).toMatchObject([
      { kind: "return", text: "Take it back.", due_on: "2026-12-09" },
    ]);
    form.decide("keep", jeans, today);
    expect(form.errands(jeans)).toEqual([]);
    form.allAsSaid(jeans);
    expect(form.seen.checks).toEqual({ rise: "as_said", length: "as_said" });
  });

  it("dates are told from today", () => {
    expect(
      ["2026-11-23", "2026-11-24", "2026-11-25", "2026-11-26", "2026-12-05"].map((d) => stands(d, today)),
    ).toEqual(["2 days late", "one day late", "today", "tomorrow", "in 10 days"]);
    expect(stands(null)).toBe("no date");
  });
});
