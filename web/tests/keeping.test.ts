import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Piece, Schemas } from "../src/lib/api/client";
import { ClientState } from "../src/lib/brief/client.svelte";
import { NOTHING_SAID } from "../src/lib/client/facts";
import { Draft } from "../src/lib/client/draft.svelte";
import { History } from "../src/lib/client/history.svelte";
import { PeopleList } from "../src/lib/people/list.svelte";
import { calls, on, refuse, reset, sent } from "./server";
import { words } from "./words";

vi.mock("../src/lib/api/client", async () => (await import("./server")).fakeClient);

beforeEach(() => {
  reset();
  vi.useFakeTimers();
});
afterEach(() => vi.useRealTimers());

describe("the brief", () => {
  const PATH = "/api/clients/c";
  let history: History;
  let state: ClientState;
  beforeEach(() => {
    history = new History();
    const client = {
      id: "c",
      version: 3,
      aims: { wants: [] },
      brief: { changed: "", seated: false },
      cautions: [],
    };
    state = new ClientState(client as unknown as Schemas["ClientOut"], history);
    on("PATCH", PATH, ({ body }) => ({
      data: { ...client, version: Number(body.version) + 1, cautions: [] },
    }));
  });

  it("is kept half a second after the last letter, once, and only the part that changed", async () => {
    state.brief({ changed: "A" });
    await vi.advanceTimersByTimeAsync(300);
    state.brief({ changed: "Ab" });
    await vi.advanceTimersByTimeAsync(499);
    expect(sent(PATH)).toEqual([]);
    expect(state.saving).toBe("waiting");
    await vi.advanceTimersByTimeAsync(1);
    expect(sent(PATH)).toEqual([{ version: 3, brief: { changed: "Ab", seated: false } }]);
    expect([state.saving, state.client.version]).toEqual(["kept", 4]);
  });

  it("is one step of undo for each field, however many letters were typed", async () => {
    for (const text of ["A", "Ab", "Abc"]) state.brief({ changed: text });
    state.brief({ seated: true });
    expect(history.past.map((step) => step.name)).toEqual(["the brief’s changed", "the brief’s seated"]);
    await history.undo();
    await history.undo();
    expect(state.client.brief).toEqual({ changed: "", seated: false });
    await history.redo();
    expect(state.client.brief.changed).toBe("Abc");
    await vi.advanceTimersByTimeAsync(600);
    expect(sent(PATH).at(-1)).toMatchObject({ brief: { changed: "Abc", seated: false } });
  });

  it("is offered again to a server that did not answer", async () => {
    on("PATCH", PATH, () => refuse(0, "The server does not answer."));
    state.brief({ changed: "A" });
    await vi.advanceTimersByTimeAsync(500);
    expect([state.saving, state.trouble]).toEqual(["failed", "The server does not answer."]);
    on("PATCH", PATH, () => ({ data: { version: 4, cautions: [] } }));
    await vi.advanceTimersByTimeAsync(4000);
    expect([state.saving, state.trouble]).toEqual(["kept", null]);
    expect(sent(PATH)).toHaveLength(2);
  });

  it("is never put over somebody else's without a word", async () => {
    const theirs = {
      id: "c",
      version: 9,
      aims: { wants: [] },
      brief: { changed: "Theirs", seated: false },
      cautions: [],
    };
    on("PATCH", PATH, ({ body }) =>
      body.version === 9
        ? { data: { ...theirs, version: 10 } }
        : refuse(409, "Bo changed this meanwhile.", { current: theirs }),
    );
    state.brief({ changed: "Mine" });
    await vi.advanceTimersByTimeAsync(500);
    expect(state.saving).toBe("conflict");
    expect(state.differences()).toEqual(["changed: Mine / Theirs"]);
    state.brief({ changed: "Mine still" });
    await vi.advanceTimersByTimeAsync(2000);
    expect(sent(PATH)).toHaveLength(1);
    await state.settle("mine");
    expect(sent(PATH).at(-1)).toMatchObject({ version: 9, brief: { changed: "Mine still" } });
    expect(state.saving).toBe("kept");
  });

  it("takes theirs whole when that is chosen", async () => {
    const theirs = { id: "c", version: 9, aims: {}, brief: { changed: "Theirs" }, cautions: [] };
    on("PATCH", PATH, () => refuse(409, "Bo changed this meanwhile.", { current: theirs }));
    state.brief({ changed: "Mine" });
    await vi.advanceTimersByTimeAsync(500);
    await state.settle("theirs");
    expect([state.client.brief.changed, state.client.version, state.saving]).toEqual(["Theirs", 9, "kept"]);
    await vi.advanceTimersByTimeAsync(2000);
    expect(sent(PATH)).toHaveLength(1);
  });
});

describe("the look on the figure", () => {
  const NEW = "/api/clients/c/looks";
  let draft: Draft;
  let history: History;
  let asked: number;
  beforeEach(() => {
    asked = 0;
    history = new History();
    draft = new Draft("c", words, history, () => (asked += 1));
    on("POST", NEW, ({ body }) => ({ data: { id: "l", version: 1, ...body } }));
    on("PUT", "/api/looks/l", ({ body }) => ({
      data: { id: "l", ...body, version: Number(body.version) + 1 },
    }));
  });

  it("is made with the first word, changed afterwards, and asked about at every change", async () => {
    draft.change("bottom", { is: "jeans" }, "jeans");
    await vi.advanceTimersByTimeAsync(500);
    draft.change("bottom", { cut: "slim" }, "cut");
    draft.change("bottom", { cut: "wide" }, "cut");
    await vi.advanceTimersByTimeAsync(500);
    const bare = { name: "", facts: NOTHING_SAID, from_rack: {}, variant_of: null };
    expect(sent(NEW)).toEqual([{ ...bare, pieces: [{ is: "jeans" }] }]);
    expect(sent("/api/looks/l")).toEqual([{ ...bare, pieces: [{ is: "jeans", cut: "wide" }], version: 1 }]);
    expect([draft.version, draft.saving, asked]).toEqual([2, "kept", 3]);
  });

  it("hangs each piece in its place, from the body outwards, and takes one off", async () => {
    draft.wear([{ is: "loafers" }, { is: "tee" }, { is: "jeans" }] as Piece[], "all");
    expect(draft.list.map((piece) => piece.is)).toEqual(["jeans", "tee", "loafers"]);
    draft.change("top", null, "off");
    expect(draft.list.map((piece) => piece.is)).toEqual(["jeans", "loafers"]);
  });

  it("waits for the write before: one at a time, each from the version of the last", async () => {
    let release: (() => void) | undefined;
    on("POST", NEW, async ({ body }) => {
      await new Promise<void>((done) => (release = done));
      return { data: { id: "l", version: 1, ...body } };
    });
    draft.change("bottom", { is: "jeans" }, "jeans");
    await vi.advanceTimersByTimeAsync(500);
    draft.rename("Thursday");
    await vi.advanceTimersByTimeAsync(500);
    expect(calls).toHaveLength(1);
    release?.();
    await vi.advanceTimersByTimeAsync(600);
    expect(sent("/api/looks/l")).toMatchObject([{ name: "Thursday", pieces: [{ is: "jeans" }], version: 1 }]);
  });

  it("offers both when somebody else was quicker, and says what differs", async () => {
    draft.change("bottom", { is: "jeans" }, "jeans");
    await vi.advanceTimersByTimeAsync(500);
    const facts = { ...NOTHING_SAID, note: "Theirs" };
    const theirs = { id: "l", version: 7, name: "Theirs", facts, pieces: [{ is: "jeans", cut: "slim" }] };
    on("PUT", "/api/looks/l", ({ body }) =>
      body.version === 7
        ? { data: { ...theirs, ...body, version: 8 } }
        : refuse(409, "Bo changed this.", { current: theirs }),
    );
    draft.rename("Mine");
    await vi.advanceTimersByTimeAsync(500);
    expect(draft.saving).toBe("conflict");
    expect(draft.differences()).toEqual([
      "name: “Mine” / “Theirs”",
      "note: – / Theirs",
      "bottom, cut: – / slim",
    ]);
    await draft.keepMine();
    expect([draft.saving, draft.version, draft.name]).toEqual(["kept", 8, "Mine"]);
  });

  it("knows which piece of the rack is worn until it is of another kind, whatever is said of it", async () => {
    draft.wear([{ is: "jeans", colour: "navy" }] as Piece[], "the jeans", "r1");
    draft.change("bottom", { cuffed: true }, "cuffed");
    expect(draft.fromRack).toEqual({ bottom: "r1" });
    const way = { slot: "bottom", words: { is: "trousers" }, whole: true, rackId: "r2" };
    draft.changeAll([way, { slot: "top", words: { is: "tee" } }], "a way to mend");
    expect([draft.fromRack, draft.list]).toEqual([{ bottom: "r2" }, [{ is: "trousers" }, { is: "tee" }]]);
    await history.undo();
    expect([draft.fromRack, draft.pieces.top]).toEqual([{ bottom: "r1" }, undefined]);
    draft.change("bottom", { is: "shorts" }, "kind");
    expect(draft.fromRack).toEqual({});
  });

  it("goes on as a variant of itself, and stays as it was", async () => {
    draft.wear([{ is: "jeans" }] as Piece[], "jeans");
    draft.rename("Town");
    await draft.keep();
    on("POST", NEW, ({ body }) => ({ data: { id: "v", version: 1, ...body } }));
    await draft.vary("up");
    expect(sent(NEW)[1]).toMatchObject({
      name: "Town, dressed up",
      variant_of: "l",
      facts: { variant: "up" },
    });
    expect([draft.id, draft.looks.map((look) => look.name)]).toEqual(["v", ["Town, dressed up", "Town"]]);
  });

  it("makes no variant of a look that cannot be kept, says so, and loses nothing", async () => {
    draft.wear([{ is: "jeans" }] as Piece[], "jeans");
    await draft.keep();
    draft.rename("Town");
    on("PUT", "/api/looks/l", () => refuse(0, "The server does not answer."));
    expect(await draft.vary("down")).toContain("not kept yet");
    expect([draft.id, draft.name, draft.facts.variant, sent(NEW).length]).toEqual(["l", "Town", "", 1]);
  });

  it("is asked about where it is worn and with what is liked; typing is one step back", async () => {
    draft.wear([{ is: "jeans" }] as Piece[], "jeans");
    draft.say({ setting: { ...NOTHING_SAID.setting, occasion: "dinner" } }, "where it is worn");
    draft.like("feet.toe", "Heavy toe");
    expect(draft.asked).toMatchObject({ setting: { occasion: "dinner" }, liked: ["feet.toe"] });
    for (const note of ["w", "wa", "war", "warm"]) draft.say({ note }, "the note", "note");
    await history.undo();
    expect([draft.facts.note, draft.facts.liked.length]).toEqual(["", 1]);
    draft.like("feet.toe", "Heavy toe");
    expect(draft.facts.liked).toEqual([]);
  });
});

describe("the list of people", () => {
  const page = (total: number, from: number, count: number) => ({
    total,
    rows: Array.from({ length: count }, (_, i) => ({ id: String(from + i), name: `n${from + i}` })),
  });
  let list: PeopleList;
  beforeEach(() => {
    list = new PeopleList(page(150, 0, 60) as unknown as Schemas["ClientList"]);
    on("GET", "/api/clients", ({ query }) => ({
      data: page(query.q ? 3 : 150, Number(query.offset), query.q ? 3 : 60),
    }));
  });

  it("asks once for what was typed, a moment after the last letter", async () => {
    for (const text of ["w", "we", "wen "]) list.find(text);
    await vi.advanceTimersByTimeAsync(200);
    expect(calls.map((call) => call.query.q)).toEqual(["wen"]);
    expect([list.total, list.rows.length, list.found]).toEqual([3, 3, "wen"]);
  });

  it("shows more at the end of what there is", async () => {
    await list.more();
    expect([list.rows.length, list.rows.at(-1)?.id]).toEqual([120, "119"]);
  });

  it("keeps what it has when the server does not answer, and says so", async () => {
    on("GET", "/api/clients", () => refuse(0, "The server does not answer."));
    await list.refresh();
    expect([list.trouble, list.rows.length]).toEqual(["The server does not answer.", 60]);
  });
});
