import { beforeEach, describe, expect, it, vi } from "vitest";
import { Draft } from "../src/lib/client/draft.svelte";
import { History } from "../src/lib/client/history.svelte";
import { keyOf, keysOf, GROUPS, stepAt, STEPS } from "../src/lib/client/steps";
import { Counts } from "../src/lib/outfits/counts.svelte";
import { Outfits, type Found } from "../src/lib/outfits/outfits.svelte";
import { many, pageOf, shownIn, turned, wished } from "../src/lib/outfits/wish";
import { calls, on, refuse, reset, sent } from "./server";
import { words } from "./words";

vi.mock("../src/lib/api/client", async () => (await import("./server")).fakeClient);
beforeEach(reset);

const found = (key: string, ...pieces: string[]): Found => ({
  key,
  verdict: "works",
  score: 0.9,
  reasons: [],
  new: "",
  worn_on: null,
  pieces: pieces.map((id, i) => ({
    piece_id: id,
    title: id,
    how: "",
    words: { is: i ? "tee" : "jeans" },
  })) as Found["pieces"],
});
const search = (state: string, looks: Found[], more = {}) => ({
  ...{ id: "s", state, done: 0.5, looks, count: 9, works: 5, pieces: [], left_out: [] },
  ...more,
});

function outfits() {
  const history = new History();
  return { of: new Outfits("c", words, new Draft("c", words, history, () => {}), history), history };
}
const ASK = "/api/clients/c/outfits";
const answers = (told: unknown) => () => ({ data: told });

describe("what is asked", () => {
  it("turns a piece between asked for, left out and neither", () => {
    const wish = { ...wished(), must_not: ["a"] };
    expect(turned(wish, "a", "must")).toEqual({ must: ["a"], must_not: [] });
    expect(turned({ ...wish, must: ["b"] }, "b", "must")).toEqual({ must: [], must_not: ["a"] });
  });

  it("reads large numbers at a glance and pages looks whole", () => {
    expect([many(4210), many(366_120), many(1_840_000), many(33_400_000)]).toEqual([
      ...["4,210", "366 thousand", "1.8 million", "33 million"],
    ]);
    expect([shownIn(1000), shownIn(300), shownIn(0), pageOf(7, 5)]).toEqual([5, 1, 1, 5]);
  });

  it("gives every step a key of its own", () => {
    const keys = STEPS.map(([step]) => keyOf(step));
    expect(new Set(keys).size).toBe(STEPS.length);
    expect([stepAt("Digit1"), stepAt("Digit0"), stepAt("KeyO"), stepAt("KeyX")]).toEqual([
      ...["brief", "records", "outfits", undefined],
    ]);
    expect(GROUPS.map(keysOf)).toEqual(["1 – 3", "4 5 6 I", "7 8 O J", "Q 9 0"]);
  });
});

describe("looks that are found", () => {
  it("stand at once, and better ones move in while nobody has begun", async () => {
    vi.useFakeTimers();
    const { of } = outfits();
    on("POST", ASK, answers(search("running", [found("first", "a", "b")])));
    on("GET", "/api/outfits/s", answers(search("done", [found("best", "a", "c"), found("next", "a", "d")])));
    await of.ask();
    expect(of.looks.map((look) => look.key)).toEqual(["first"]);
    await vi.advanceTimersByTimeAsync(800);
    expect(of.looks.map((look) => look.key)).toEqual(["best", "next"]);
    expect(of.busy).toBe(false);
    vi.useRealTimers();
  });

  it("stay where they are under a hand, and the better ones are offered", async () => {
    vi.useFakeTimers();
    const { of } = outfits();
    on("POST", ASK, answers(search("running", [found("first", "a", "b"), found("second", "a", "e")])));
    on("GET", "/api/outfits/s", answers(search("done", [found("best", "a", "c")])));
    await of.ask();
    of.choose(1);
    await vi.advanceTimersByTimeAsync(800);
    expect(of.chosen?.key).toBe("second");
    expect(of.better?.length).toBe(1);
    of.showBetter();
    expect([of.chosen?.key, of.better]).toEqual(["best", null]);
    vi.useRealTimers();
  });

  it("go when their pieces are rejected together, and undo takes the rejection back", async () => {
    const { of, history } = outfits();
    on("POST", ASK, answers(search("done", [found("one", "a", "b"), found("two", "a", "c")])));
    on("POST", `${ASK}/apart`, answers({}));
    on("GET", `${ASK}/remembered`, answers({ apart: [], liked: [] }));
    await of.ask();
    on("POST", ASK, answers(search("done", [found("two", "a", "c")])));
    await of.reject(["a", "b"], "not her");
    const id = String(sent(`${ASK}/apart`)[0]?.["id"]);
    expect(sent(`${ASK}/apart`)[0]).toMatchObject({ pieces: ["a", "b"], word: "not her" });
    expect(of.looks.map((look) => look.key)).toEqual(["two"]);
    on("DELETE", `/api/outfits/apart/${id}`, answers(null));
    expect(await history.undo()).toBe("rejecting them together");
    expect(calls.at(-1)?.method).not.toBe("DELETE");
    expect(calls.some((call) => call.method === "DELETE")).toBe(true);
  });

  it("are kept, and taken away again by undo", async () => {
    const { of, history } = outfits();
    const look = found("one", "a", "b");
    on("POST", ASK, answers(search("done", [look])));
    on("POST", "/api/clients/c/looks", answers({ id: "k", version: 1, name: "", pieces: [] }));
    on("DELETE", "/api/looks/k", answers(null));
    await of.ask();
    await of.keep(look);
    expect(sent("/api/clients/c/looks")[0]).toMatchObject({ from_rack: { bottom: "a", top: "b" } });
    expect(of.kept["one"]).toBe("k");
    await history.undo();
    expect(of.kept["one"]).toBeUndefined();
  });

  it("say what went wrong and keep what stands", async () => {
    const { of } = outfits();
    on("POST", ASK, () => refuse(422, "A piece cannot both be on and be left out."));
    await of.ask();
    expect(of.trouble).toContain("cannot both");
    expect(of.looks).toEqual([]);
  });
});

describe("counts of the rack", () => {
  it("are renewed when something has changed", async () => {
    vi.useFakeTimers();
    let told = 0;
    on("GET", `${ASK}/counts`, () => ({
      data: {
        pieces: [{ piece_id: "a", looks: 9, works: ++told, stays_out: "" }],
        ...{ stale: told === 1, known: true },
      },
    }));
    on("POST", ASK, answers(search("running", [])));
    on("GET", "/api/outfits/s", answers(search("done", [])));
    const counts = new Counts("c");
    const away = counts.watch();
    await vi.advanceTimersByTimeAsync(10);
    expect([counts.of["a"]?.works, counts.stale]).toEqual([1, true]);
    await vi.advanceTimersByTimeAsync(2000);
    expect([counts.of["a"]?.works, counts.stale]).toEqual([2, false]);
    expect(sent(ASK).length).toBe(1);
    away();
    vi.useRealTimers();
  });
});
