import { beforeEach, describe, expect, it, vi } from "vitest";
import { History } from "../src/lib/client/history.svelte";
import { STEPS, keyOf } from "../src/lib/client/steps";
import { Edit } from "../src/lib/edit/edit.svelte";
import { Work, type Job } from "../src/lib/edit/work.svelte";
import { broad, DECISIONS, money, near, outfits, percent } from "../src/lib/edit/words";
import { notice } from "../src/lib/ui/notice.svelte";
import { Rack } from "../src/lib/rack/rack.svelte";
import { calls, on, refuse, reset, sent } from "./server";
import { Storage } from "./storage";

vi.mock("../src/lib/api/client", async () => (await import("./server")).fakeClient);

const CLIENT = "/api/clients/c";
const proposal = (piece_id: string, decision = "wear") => ({
  ...{ piece_id, decision, reason: "", works: 9, share: 0.5, twin: "", looks: [] },
});
const job = (state: string) => ({ id: "j", state, done: 0.5, refused: "" });
let history: History;
let edit: Edit;
let version: number;
beforeEach(async () => {
  vi.stubGlobal("localStorage", new Storage());
  reset();
  history = new History();
  version = 0;
  const pieces = ["a", "b", "d"].map((id) => ({ id, title: `the ${id}` }));
  on("GET", `${CLIENT}/rack`, () => ({ data: { pieces, unreadable: [], heels: true } }));
  on("POST", `${CLIENT}/edit/sorting`, () => ({
    data: {
      job: job("done"),
      pieces: pieces.map(({ id }) => proposal(id)),
      orphans: [],
      twins: [],
      days: [],
    },
  }));
  on("GET", `${CLIENT}/edit/sorted`, () => ({ data: { decisions: [] } }));
  on("GET", `${CLIENT}/buying`, () => ({ data: { things: [], currency: "EUR" } }));
  on("GET", "/api/kit", () => ({ data: { pieces: [] } }));
  on("GET", `${CLIENT}/worn`, () => ({ data: { worn: [], uses: [], unworn: [], always: [], begun: null } }));
  for (const { id } of pieces) {
    on("PUT", `/api/rack/${id}/sorted`, ({ body }) => ({
      data: { ...body, piece_id: id, title: id, version: (version += 1), by: "Maud", gone_at: null },
    }));
    on("DELETE", `/api/rack/${id}/sorted`, () => ({ data: undefined }));
  }
  edit = new Edit("c", new Rack("c", history), history);
  await edit.load();
});

describe("sorting", () => {
  it("goes on to the next piece nobody has decided of, and back with undo", async () => {
    expect(edit.here).toBe("a");
    await edit.decide("a", "wear");
    expect([edit.here, edit.left]).toEqual(["b", ["b", "d"]]);
    edit.at = "d";
    await edit.decide("d", "twin");
    expect(edit.here).toBe("b");
    await history.undo();
    expect([edit.here, edit.left]).toEqual(["d", ["b", "d"]]);
    await history.redo();
    expect(edit.decided.d?.decision).toBe("twin");
  });

  it("says what was proposed, and keeps the version it decides on", async () => {
    await edit.decide("a", "out_of_keeping");
    await edit.decide("a", "out_of_keeping", { goes: "sell", place: "Fern" });
    const [first, second] = sent("/api/rack/a/sorted");
    expect([first?.proposed, first?.version, second?.version, second?.goes]).toEqual([
      "wear",
      null,
      1,
      "sell",
    ]);
    expect(second?.id).toBe(first?.id);
    await history.undo();
    expect(edit.decided.a?.goes).toBe("");
  });

  it("takes one change after the other, so that none is made from an older version", async () => {
    await edit.decide("a", "out_of_keeping");
    await Promise.all([edit.revise("a", { goes: "give" }), edit.revise("a", { place: "Fern" })]);
    expect(sent("/api/rack/a/sorted").map((one) => one.version)).toEqual([null, 1, 2]);
    expect([edit.decided.a?.goes, edit.decided.a?.place]).toEqual(["give", "Fern"]);
  });

  it("shows what somebody else decided meanwhile, and comes back to the piece", async () => {
    const theirs = { piece_id: "a", id: "x", version: 4, decision: "care", goes: "", title: "a" };
    on("PUT", "/api/rack/a/sorted", () => refuse(409, "Idris changed this meanwhile.", { current: theirs }));
    expect(await edit.decide("a", "wear")).toBe(false);
    expect([edit.here, edit.decided.a?.decision]).toEqual(["a", "care"]);
    expect(notice.text).toContain("Idris");
    expect(history.past).toHaveLength(0);
  });
});

describe("long work", () => {
  it("is looked after until it is done, and then brought", async () => {
    vi.useFakeTimers();
    let state = "running";
    on("POST", `${CLIENT}/edit/gaps`, () => ({ data: { job: job(state), gains: [], lead: [] } }));
    on("GET", "/api/edit/j", () => ({ data: job((state = "done")) }));
    await edit.gaps.ask();
    expect(edit.gaps.busy).toBe(true);
    await vi.advanceTimersByTimeAsync(1000);
    expect(edit.gaps.done).toBe(true);
    expect(calls.filter((call) => call.path.endsWith("/edit/gaps"))).toHaveLength(2);
    vi.useRealTimers();
  });

  it("stops when asked, and says why it cannot be", async () => {
    on("POST", `${CLIENT}/edit/capsule`, () => ({ data: { job: job("waiting"), parts: [] } }));
    on("POST", "/api/edit/j/cancel", () => ({ data: job("cancelled") }));
    await edit.capsule.ask();
    await edit.capsule.stop();
    expect(edit.capsule.job?.state).toBe("cancelled");
    on("POST", `${CLIENT}/edit/capsule`, () => refuse(422, "A capsule has 4 to 40 pieces."));
    await edit.capsule.ask();
    expect(edit.capsule.trouble).toContain("4 to 40");
  });
});

describe("the buying list", () => {
  it("takes a thing once, and gives it up with undo", async () => {
    on("POST", `${CLIENT}/buying`, ({ body }) => ({
      data: { ...body, version: 1, title: "belt", words: body.piece, bought: false },
    }));
    const piece = { is: "belt", colour: "cognac" } as const;
    await edit.buy(piece, { looks: 12 });
    expect([edit.listed({ colour: "cognac", is: "belt" }), edit.listed({ is: "belt" })]).toEqual([
      true,
      false,
    ]);
    on("DELETE", `/api/buying/${String(sent(`${CLIENT}/buying`)[0]?.id)}`, () => ({ data: undefined }));
    await history.undo();
    expect(edit.listed(piece)).toBe(false);
  });
});

describe("words", () => {
  it("are read at a glance", () => {
    expect([outfits(1), outfits(1200), percent(0.126), broad(0.5)]).toEqual([
      ...["1 outfit", "1,200 outfits", "13 %", "50.0%"],
    ]);
    expect([money(90, "EUR"), money(1.25, "GBP"), money(5, "no")]).toEqual(["€90", "£1.25", "€5"]);
    expect(near({ is: "jeans", cut: "wide" }, { is: "jeans", cut: "slim" })).toBe(1);
  });

  it("have keys of their own, and none of a step's", () => {
    const keys = DECISIONS.map(([, key]) => key);
    expect(new Set(keys).size).toBe(keys.length);
    const steps = STEPS.map(([step]) => keyOf(step));
    expect(keys.filter((key) => [...steps, "T", "U"].includes(key))).toEqual([]);
  });
});

describe("long work", () => {
  it("goes on showing what was found before, while it is found anew", async () => {
    const answers = ["done", "waiting", "done"].map((state, at) => ({
      data: { at, job: { id: "j", state, done: 0, refused: "" } as Job },
    }));
    const work = new Work<{ at: number; job: Job }>(
      async () => answers.shift() ?? { refusal: { message: "" } },
    );
    await work.ask();
    expect(work.shown?.at).toBe(0);
    await work.ask();
    expect([work.busy, work.told?.at, work.shown?.at]).toEqual([true, 1, 0]);
    await work.ask();
    expect(work.shown?.at).toBe(2);
    work.leave();
  });
});
