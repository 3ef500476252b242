import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Look, Piece } from "../src/lib/api/client";
import { Compare } from "../src/lib/client/compare.svelte";
import { askedOf, factsApart, NOTHING_SAID, reads, settingSaid } from "../src/lib/client/facts";
import type { ClientState } from "../src/lib/brief/client.svelte";
import { Dressing } from "../src/lib/client/dressing.svelte";
import { History } from "../src/lib/client/history.svelte";
import { LookTable } from "../src/lib/client/table.svelte";
import { changesOf, inWords, Ways, type Way } from "../src/lib/client/ways.svelte";
import { Views } from "../src/lib/client/views.svelte";
import { calls, on, refuse, reset, sent } from "./server";
import { words } from "./words";

vi.mock("../src/lib/api/client", async () => (await import("./server")).fakeClient);
beforeEach(() => {
  reset();
  vi.useFakeTimers();
});
afterEach(() => vi.useRealTimers());

const asked = () => ({
  pieces: [{ is: "jeans" } as Piece],
  setting: NOTHING_SAID.setting,
  liked: [],
  moving: false,
});
const soon = (ms = 0) => vi.advanceTimersByTimeAsync(ms);

describe("what is asked when the hand rests", () => {
  const PATH = "/api/clients/c/remedies";
  const way = (text: string) => ({ means: "free", steps: [{ text }] });

  it("is asked only while somebody looks, once for many changes, and a moment after the last", async () => {
    on("POST", PATH, () => ({ data: { remedies: [way("Tuck it in.")] } }));
    const ways = new Ways("c", asked);
    ways.look();
    await soon(1000);
    expect([calls.length, ways.stale, ways.told]).toEqual([0, true, null]);
    const away = ways.watch();
    await soon();
    expect([calls.length, ways.stale, ways.told?.length]).toEqual([1, false, 1]);
    for (let change = 0; change < 5; change++) {
      ways.look();
      await soon(100);
    }
    expect([calls.length, ways.stale]).toEqual([1, true]);
    await soon(250);
    expect([calls.length, ways.stale]).toEqual([2, false]);
    away();
    ways.look();
    await soon(1000);
    expect(calls.length).toBe(2);
  });

  it("keeps what it has when the server does not answer, says so, and asks again", async () => {
    on("POST", PATH, () => ({ data: { remedies: [way("Tuck it in.")] } }));
    const ways = new Ways("c", asked);
    ways.watch();
    await soon();
    on("POST", PATH, () => refuse(0, "The server does not answer."));
    await ways.ask();
    expect([ways.trouble, ways.told?.length]).toEqual(["The server does not answer.", 1]);
    on("POST", PATH, () => ({ data: { remedies: [] } }));
    await ways.ask();
    expect([ways.trouble, ways.told]).toEqual([null, []]);
  });

  it("shows the answer to the last question, whichever comes last", async () => {
    const open: ((told: unknown) => void)[] = [];
    on("POST", "/api/clients/c/views", () => new Promise((answer) => open.push(answer as never)));
    const views = new Views("c", asked);
    const first = views.ask();
    const second = views.ask();
    open[1]!({ data: { views: [{ school: "second" }] } });
    open[0]!({ data: { views: [{ school: "first" }] } });
    await Promise.all([first, second]);
    expect(views.told).toEqual([{ school: "second" }]);
  });

  it("is taken as changes: some words of a piece, or a piece of the rack for the whole of it", () => {
    const two = {
      steps: [
        { slot: "top", change: { tuck: "full" }, text: "Tuck it in.", piece_id: null },
        { slot: "belt", change: { is: "belt" }, text: "Put on the black belt.", piece_id: "b" },
      ],
    } as unknown as Way;
    expect(changesOf(two)).toEqual([
      { slot: "top", words: { tuck: "full" }, whole: false, rackId: null },
      { slot: "belt", words: { is: "belt" }, whole: true, rackId: "b" },
    ]);
    expect(inWords(two)).toBe("Tuck it in. Put on the black belt.");
  });
});

describe("looks held up while answers are on their way", () => {
  const look = (id: string) => ({ id, pieces: [], facts: NOTHING_SAID }) as unknown as Look;

  it("shows those that are held now, and says when the server does not answer", async () => {
    const open: (() => void)[] = [];
    on("POST", "/api/clients/c/compare", async ({ body }) => {
      const count = (body.looks as unknown[]).length;
      await new Promise<void>((answer) => open.push(answer));
      return { data: { looks: Array(count).fill({}) } };
    });
    const compare = new Compare("c");
    await compare.toggle(look("a"));
    const two = compare.toggle(look("b"));
    const three = compare.toggle(look("d"));
    open[1]!();
    await three;
    open[0]!();
    await two;
    expect(compare.told?.looks.length).toBe(3);
    on("POST", "/api/clients/c/compare", () => refuse(0, "The server does not answer."));
    await compare.toggle(look("d"));
    expect([compare.trouble, compare.held.length]).toEqual(["The server does not answer.", 2]);
  });
});

describe("the look table", () => {
  const ASSESS = "/api/clients/c/assess";
  const UNSETTLED = "/api/clients/c/unsettled";
  let table: LookTable;
  beforeEach(() => {
    on("POST", ASSESS, ({ body }) => ({
      data: { stature: 165, edges: [], shapes: [], findings: [], score: (body.pieces as Piece[]).length },
    }));
    on("POST", UNSETTLED, () => ({ data: { unsettled: [{ measure: "hip" }] } }));
    on("POST", "/api/clients/c/looks", ({ body }) => ({ data: { id: "l", version: 1, ...body } }));
    on("PUT", "/api/looks/l", ({ body }) => ({
      data: { id: "l", ...body, version: Number(body.version) + 1 },
    }));
    on("POST", "/api/clients/c/rail", () => ({ data: { goes: [] } }));
    table = new LookTable("c", words, new History());
  });

  it("opens with the body alone, or with the look that was changed last", async () => {
    on("GET", "/api/clients/c/looks", () => ({ data: [] }));
    await table.load();
    expect([sent(ASSESS).length, table.assessment?.score, table.pending]).toEqual([1, 0, false]);
    const kept = { id: "l", version: 3, name: "Town", pieces: [{ is: "jeans" }], facts: NOTHING_SAID };
    on("GET", "/api/clients/c/looks", () => ({ data: [kept] }));
    await table.load();
    await soon();
    expect([table.draft.name, table.assessment?.score]).toEqual(["Town", 1]);
    on("GET", "/api/clients/c/looks", () => refuse(0, "The server does not answer."));
    await table.load();
    expect(table.trouble).toBe("The server does not answer.");
  });

  it("asks about unsettled when the hand rests, and never while it moves a hem", async () => {
    table.draft.change("bottom", { is: "jeans" }, "jeans");
    await soon(800);
    expect([sent(UNSETTLED).length, table.unsettled]).toEqual([0, []]);
    table.preview("bottom", { inseam_cm: 70 });
    await soon(3000);
    expect(sent(UNSETTLED)).toEqual([]);
    expect(sent(ASSESS).at(-1)).toMatchObject({ moving: true, pieces: [{ is: "jeans", inseam_cm: 70 }] });
    expect(table.draft.pieces.bottom).toEqual({ is: "jeans" });
    table.draft.change("bottom", { inseam_cm: 70 }, "moving the hem");
    await soon(2000);
    expect([sent(UNSETTLED).length, table.unsettled.length]).toEqual([1, 1]);
    expect(sent(ASSESS).at(-1)).toMatchObject({ moving: false });
  });

  it("keeps the room of the last mends while a hem moves, and of no others", async () => {
    const finding = (rule: string, stance: string, mend?: object) => ({ rule, stance, mend });
    const findings = [finding("feet.toe", "against", { text: "A point." }), finding("volume.waist", "for")];
    on("POST", ASSESS, ({ body }) => ({
      data: { findings: body.moving ? findings.map((one) => ({ ...one, mend: undefined })) : findings },
    }));
    table.draft.change("bottom", { is: "jeans" }, "jeans");
    await soon();
    table.preview("bottom", { inseam_cm: 70 });
    await soon(50);
    expect(table.assessment?.findings.map((one) => one.mend)).toEqual([{ text: "A point." }, undefined]);
    findings.unshift(finding("length.trailing", "against"));
    table.preview("bottom", { inseam_cm: 80 });
    await soon(50);
    expect(table.assessment?.findings.map((one) => one.mend)).toEqual([
      null,
      { text: "A point." },
      undefined,
    ]);
  });

  it("takes the first mend of the look that is on, not of the one before it", async () => {
    const mend = (cut: string) => ({ slot: "bottom", change: { cut }, text: cut });
    on("POST", ASSESS, ({ body }) => {
      const [worn] = body.pieces as Piece[];
      return {
        data: {
          findings: [{ rule: "r", stance: "against", mend: mend(worn?.is === "jeans" ? "wide" : "slim") }],
        },
      };
    });
    const dressing = new Dressing(table, {} as ClientState, () => Promise.resolve());
    table.draft.change("bottom", { is: "chinos" }, "chinos");
    await soon();
    table.draft.change("bottom", { is: "jeans" }, "jeans");
    const changed = vi.spyOn(table.draft, "change");
    const taken = Promise.all([dressing.mendFirst(), dressing.mendFirst()]);
    expect(table.draft.pieces.bottom).toEqual({ is: "jeans" });
    await soon();
    await taken;
    expect(table.draft.pieces.bottom).toEqual({ is: "jeans", cut: "wide" });
    expect(changed).toHaveBeenCalledTimes(1);
  });

  it("keeps the last assessment on screen when the server refuses, and says what is wrong", async () => {
    table.draft.change("bottom", { is: "jeans" }, "jeans");
    await soon();
    on("POST", ASSESS, () => refuse(422, "“wavy” is not a cut."));
    table.draft.change("bottom", { cut: "wavy" }, "cut");
    await soon();
    expect([table.trouble, table.assessment?.score, table.pending]).toEqual([
      "“wavy” is not a cut.",
      1,
      false,
    ]);
    on("POST", ASSESS, () => ({ data: { score: 7, findings: [] } }));
    table.draft.change("bottom", { cut: "wide" }, "cut");
    await soon();
    expect([table.trouble, table.assessment?.score]).toEqual([null, 7]);
  });

  it("asks with what is liked all the same and where it is worn", () => {
    const liked = [{ rule: "feet.toe", who: "client", on: "2026-11-01", why: "" }] as const;
    const setting = { ...NOTHING_SAID.setting, occasion: "dinner" as const };
    const look = { pieces: [], facts: { ...NOTHING_SAID, setting, liked } } as unknown as Look;
    expect(askedOf(look)).toEqual({ pieces: [], setting, liked: ["feet.toe"], moving: false });
  });
});

describe("what is said of a look in a few words", () => {
  it("names occasion, code and weather in the unit of the studio, and nothing where nothing was said", () => {
    const setting = { occasion: "formal_office", code: "smart", celsius: -4, rain: true } as const;
    expect(settingSaid(setting, "cm")).toBe("formal office, smart code, −4 °C, rain");
    expect(settingSaid(setting, "in")).toContain("25 °F");
    expect(settingSaid(NOTHING_SAID.setting, "cm")).toBe("");
    expect([reads(0), reads(1.4), reads(2.6), reads(4)]).toEqual([
      "for leisure",
      "casual",
      "smart",
      "formal",
    ]);
  });

  it("tells two people's words apart, one line a fact", () => {
    const mine = { ...NOTHING_SAID, note: "Mine", tags: ["work"] };
    const theirs = { ...NOTHING_SAID, note: "Theirs", standing: "chosen" as const };
    expect(factsApart(mine, theirs).toSorted()).toEqual([
      "note: Mine / Theirs",
      "standing: – / chosen",
      "tags: yours and theirs differ",
    ]);
    expect(factsApart(mine, mine)).toEqual([]);
  });
});
