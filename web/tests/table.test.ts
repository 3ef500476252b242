import { beforeEach, describe, expect, it, vi } from "vitest";
import { Compare } from "../src/lib/client/compare.svelte";
import { NOTHING_SAID } from "../src/lib/client/facts";
import { Following } from "../src/lib/client/following";
import { movable, moved } from "../src/lib/client/hems";
import { asked, flagOf, meant } from "../src/lib/client/asked";
import { givesWay, isCovered, kindsAt, placeOf, titleOf } from "../src/lib/client/kinds";
import { words } from "./words";
import { found, inRows } from "../src/lib/client/shelf";
import { Rail } from "../src/lib/client/rail.svelte";
import type { Look, Piece, Schemas } from "../src/lib/api/client";
import { RuleScale } from "../src/lib/figure/scale.svelte";
import { HouseRules, type Border, type RuleRow } from "../src/lib/rules/rules.svelte";
import { studio } from "../src/lib/studio.svelte";
import { calls, on, refuse, reset, sent, settled } from "./server";

vi.mock("../src/lib/api/client", async () => (await import("./server")).fakeClient);
beforeEach(reset);

const edge = (more: object = {}) =>
  ({
    key: "leg_hem",
    slot: "bottom",
    name: "jeans hem",
    height: 10,
    falls_to: 10,
    figure: "inseam_cm",
    length: 70,
    seen: true,
    ...more,
  }) as Schemas["EdgeOut"];

const asking = (...pieces: Piece[]) => ({ pieces, setting: NOTHING_SAID.setting, liked: [], moving: false });

describe("where pieces go", () => {
  it("puts things worn besides each at a place of its own", () => {
    expect([placeOf(words, "tee"), placeOf(words, "belt"), placeOf(words, "toga")]).toEqual([
      "top",
      "belt",
      undefined,
    ]);
    expect([kindsAt(words, "top"), kindsAt(words, "belt")]).toEqual([["tee", "knit"], ["belt"]]);
    expect([titleOf("one_piece"), titleOf("belt")]).toEqual(["Dress", "Belt"]);
  });

  it("lets a dress take the place of top and bottom, and a bib only that of the bottom", () => {
    const off = (to: string) =>
      ["tee", "jeans", "dress", "dungarees", "pumps"].filter((worn) => givesWay(words, worn, to));
    expect(off("dress")).toEqual(["tee", "jeans", "dress", "dungarees"]);
    expect(off("dungarees")).toEqual(["jeans", "dress", "dungarees"]);
    expect(off("tee")).toEqual(["tee", "dress"]);
    expect(off("pumps")).toEqual(["pumps"]);
    expect(givesWay(words, "toga", "tee")).toBe(false);
    const bib = [{ is: "dungarees" }] as Piece[];
    expect([isCovered(words, "top", bib), isCovered(words, "bottom", bib)]).toEqual([false, true]);
  });

  it("asks of each kind the words that it has, and of a leg what a skirt has not", () => {
    const keys = (place: string, kind: string) => asked(words, place, kind).map((row) => row.key);
    expect(keys("bottom", "jeans")).toContain("rise");
    expect(keys("bottom", "skirt")).not.toContain("worn");
    expect([keys("shoes", "pumps").includes("shaft"), keys("shoes", "tall_boots").includes("shaft")]).toEqual(
      [false, true],
    );
    expect([flagOf(words, "bottom", "jeans"), flagOf(words, "bottom", "skirt")]).toEqual(["cuffed", null]);
    expect([keys("belt", "belt")[0], keys("swimsuit", "swimsuit")[0]]).toEqual(["belted", "neck"]);
  });

  it("lets a word that is said take the place of the figure that was measured", () => {
    expect(meant(words, { is: "jeans" } as Piece, "hem", "ankle")).toEqual({
      hem: "ankle",
      hem_cm: null,
      inseam_cm: null,
    });
    expect(meant(words, { is: "skirt" } as Piece, "hem", "knee")).toEqual({
      hem: "knee",
      hem_cm: null,
      length_cm: null,
    });
    expect(meant(words, { is: "jeans" } as Piece, "cut", "slim")).toEqual({ cut: "slim" });
  });
});

describe("a hem moved by hand", () => {
  it("is a figure for the tailor where the piece was measured", () => {
    const jeans = { is: "jeans", inseam_cm: 70 } as Piece;
    expect(moved(edge(), jeans, 13, 165)).toEqual({
      slot: "bottom",
      words: { inseam_cm: 67 },
      figure: "inseam_cm",
      by: -3,
    });
  });

  it("is counted from where the length takes it, where the foot holds it up", () => {
    const stacked = edge({ height: 7, falls_to: 2.7, length: 74 });
    expect(moved(stacked, { is: "jeans", inseam_cm: 74 } as Piece, 10, 165).words).toEqual({
      inseam_cm: 66.7,
    });
  });

  it("is a height where it was only described, and stays on the figure", () => {
    expect(moved(edge(), { is: "skirt", hem: "knee" } as Piece, 30.04, 165).words).toEqual({
      hem_cm: 30,
      hem: null,
    });
    expect(moved(edge(), { is: "skirt" } as Piece, -9, 165).words).toEqual({ hem_cm: 0.5, hem: null });
    expect(Number(moved(edge(), { is: "skirt" } as Piece, 400, 100).words.hem_cm)).toBe(78);
  });

  it("can be taken hold of only where it is seen and free", () => {
    const tee = { is: "tee", tuck: "full" } as Piece;
    expect(movable(edge(), { is: "jeans" } as Piece)).toBe(true);
    expect(movable(edge({ seen: false }), { is: "jeans" } as Piece)).toBe(false);
    expect(movable(edge({ key: "top_hem", slot: "top" }), tee)).toBe(false);
    expect(movable(edge({ key: "waistband", figure: null }), { is: "jeans" } as Piece)).toBe(false);
    expect(movable(edge(), undefined)).toBe(false);
  });

  it("stands where the pointer is: the rule runs both ways", () => {
    const scale = new RuleScale();
    expect(scale.heightAt(scale.y(76.5))).toBeCloseTo(76.5);
  });
});

describe("the rail", () => {
  beforeEach(() => on("GET", "/api/clients/c/errands", () => ({ data: { errands: [] } })));
  const hanging = ["a", "b", "c"].map((id) => ({
    id,
    title: `piece ${id}`,
    slot: id === "c" ? "shoes" : "top",
    kind: "tee",
  }));
  const goes = (id: string, score: number) => ({ piece_id: id, score, verdict: "works", by: 0, why: "" });

  it("shows what goes best first, leaves out what is on, and narrows by place and word", async () => {
    on("GET", "/api/clients/c/rack", () => ({ data: { pieces: hanging } }));
    on("POST", "/api/clients/c/rail", () => ({ data: { goes: [goes("a", 0.4), goes("c", 0.9)] } }));
    const rail = new Rail("c", () => asking({ is: "jeans" } as Piece));
    await rail.load();
    expect(rail.shown.map((piece) => piece.id)).toEqual(["c", "a"]);
    expect(sent("/api/clients/c/rail")).toMatchObject([{ pieces: [{ is: "jeans" }], liked: [] }]);
    rail.slot = "top";
    expect(rail.shown.map((piece) => piece.id)).toEqual(["a"]);
    rail.sought = "nothing";
    expect(rail.shown).toEqual([]);
  });

  it("puts what does not go with the look last, and says where that begins", async () => {
    on("GET", "/api/clients/c/rack", () => ({ data: { pieces: hanging } }));
    on("POST", "/api/clients/c/rail", () => ({
      data: { goes: [{ ...goes("a", 0.9), verdict: "against" }, goes("c", 0.4)] },
    }));
    const rail = new Rail("c", () => asking());
    await rail.load();
    expect([rail.shown.map((piece) => piece.id), rail.orphans]).toEqual([["c", "a"], 1]);
  });

  it("knows what a piece will be like when it is back from the tailor", async () => {
    const jeans = { id: "j", title: "jeans", slot: "bottom", kind: "jeans", piece: { inseam_cm: 79 } };
    const due = {
      id: "e",
      kind: "alter",
      piece_id: "j",
      figure: "inseam_cm",
      by_cm: -2.5,
      text: "Hem up.",
      done_at: null,
    };
    on("GET", "/api/clients/c/rack", () => ({ data: { pieces: [jeans] } }));
    on("GET", "/api/clients/c/errands", () => ({
      data: {
        errands: [due, { ...due, id: "d", done_at: "2026-11-01" }, { ...due, id: "r", kind: "return" }],
      },
    }));
    on("POST", "/api/clients/c/rail", () => ({ data: { goes: [] } }));
    const rail = new Rail("c", () => asking());
    await rail.load();
    expect(rail.dueOf("j")).toEqual([{ id: "e", text: "Hem up.", figure: "inseam_cm", now: 79, then: 76.5 }]);
    expect([rail.dueOf("x"), rail.dueOf(undefined)]).toEqual([[], []]);
  });

  it("asks for nothing where nothing hangs, and says when the server does not answer", async () => {
    on("GET", "/api/clients/c/rack", () => ({ data: { pieces: [] } }));
    const rail = new Rail("c", () => asking());
    await rail.load();
    expect(sent("/api/clients/c/rail")).toEqual([]);
    on("GET", "/api/clients/c/rack", () => refuse(0, "The server does not answer."));
    await rail.load();
    expect(rail.trouble).toBe("The server does not answer.");
  });
});

describe("the looks in a list", () => {
  const look = (id: string, more: object = {}, facts: object = {}) =>
    ({
      id,
      name: id,
      pieces: [{ is: "jeans", colour: "navy" }],
      facts: { ...NOTHING_SAID, ...facts },
      ...more,
    }) as Look;
  const looks = [
    look("town up", { variant_of: "town" }, { variant: "up" }),
    look("office", {}, { tags: ["work"], standing: "rejected" }),
    look("town"),
    look("town up, boots", { variant_of: "town up" }),
    look("lost", { variant_of: "gone" }),
  ];

  it("stand with their variants under them, and alone where the first is gone", () => {
    expect(inRows(looks).map(({ look, depth }) => `${depth} ${look.name}`)).toEqual([
      "0 office",
      "0 town",
      "1 town up",
      "2 town up, boots",
      "0 lost",
    ]);
  });

  it("are found by words, tags and how they stand", () => {
    const named = (sought: string) => found(looks, sought).map((one) => one.name);
    expect(named("WORK navy")).toEqual(["office"]);
    expect(named("rejected")).toEqual(["office"]);
    expect(named("dressed up")).toEqual(["town up"]);
    expect(named("toga")).toEqual([]);
  });
});

describe("looks held up", () => {
  const look = (id: string) => ({ id, name: id, pieces: [{ is: "jeans" }], facts: NOTHING_SAID }) as Look;
  it("are asked about from two on, four at most, and put down again", async () => {
    on("POST", "/api/clients/c/compare", ({ body }) => ({
      data: { looks: body.looks, best: 0, because: [] },
    }));
    const compare = new Compare("c");
    await compare.toggle(look("a"));
    expect(compare.told).toBeNull();
    for (const id of ["b", "c", "d", "e"]) await compare.toggle(look(id));
    expect(compare.held.map((one) => one.id)).toEqual(["b", "c", "d", "e"]);
    await compare.toggle(look("c"));
    expect([compare.has(look("c")), compare.told?.looks.length]).toEqual([false, 3]);
    await compare.clear();
    expect([compare.held, compare.told]).toEqual([[], null]);
  });
});

describe("house rules", () => {
  const rule = (id: string, muted = false): RuleRow => ({
    id,
    subject: "volume",
    says: `${id}.`,
    muted,
    touches: 2,
    schools: [],
    source: "",
  });

  const loose = { key: "loose", rules: ["volume.waist"], usual: 2.5, drawn: 2.5, low: 2, high: 3 } as Border;
  beforeEach(() => on("GET", "/api/schools", () => ({ data: [] })));

  it("tells what muting would change before it is done, and mutes on top of what is muted", async () => {
    let held = [rule("volume.waist"), rule("volume.cling", true)];
    on("GET", "/api/rules", () => ({ data: { rules: held, borders: [loose] } }));
    on("GET", "/api/rules/volume.waist/looks", () => ({ data: { looks: [{ look_id: "x" }] } }));
    on("POST", "/api/rules/effect", () => ({ data: { looks: [], judged: 3, pieces: {}, landed: 0 } }));
    const schools = { volume_rule: "relaxed" };
    studio.me = { studio: { schools, muted: ["volume.cling"], version: 4 } } as unknown as Schemas["Me"];
    const house = new HouseRules();
    await house.load();
    await house.show(held[0]!);
    expect([house.looks.length, house.effect?.judged]).toEqual([1, 3]);
    const asked = { schools, muted: ["volume.cling", "volume.waist"], borders: {} };
    expect(sent("/api/rules/effect")).toEqual([asked]);
    on("PATCH", "/api/studio", ({ body }) => {
      held = held.map((one) => ({ ...one, muted: (body.muted as string[]).includes(one.id) }));
      return { data: { schools: {}, version: 5 } };
    });
    expect(await house.turn(held[1]!)).toEqual({ before: { muted: ["volume.cling"] } });
    expect([house.muted, house.open]).toEqual([[], null]);
    expect(sent("/api/studio")).toEqual([{ version: 4, muted: [] }]);
  });

  it("moves a border only after its effect was seen, and back to the usual leaves no trace", async () => {
    on("GET", "/api/rules", () => ({ data: { rules: [rule("volume.waist")], borders: [loose] } }));
    on("POST", "/api/rules/effect", () => ({ data: { looks: [], judged: 3, pieces: {}, landed: 0 } }));
    on("PATCH", "/api/studio", ({ body }) => ({ data: { schools: {}, borders: body.borders, version: 2 } }));
    studio.me = { studio: { schools: {}, muted: [], borders: {}, version: 1 } } as unknown as Schemas["Me"];
    vi.useFakeTimers();
    const house = new HouseRules();
    await house.load();
    for (const to of [2.6, 2.7, 2.8]) house.slide(loose, to);
    await vi.advanceTimersByTimeAsync(300);
    vi.useRealTimers();
    expect([house.at(loose), house.effect?.judged]).toEqual([2.8, 3]);
    expect(sent("/api/rules/effect").map((body) => body.borders)).toEqual([{ loose: 2.8 }]);
    expect(await house.take(house.proposed!.ways)).toEqual({ before: { borders: {} } });
    house.slide(loose, 2.5);
    expect(house.proposed?.ways).toEqual({ borders: {} });
  });

  it("is found by what it says, and shut again", async () => {
    on("GET", "/api/rules", () => ({
      data: { rules: [rule("volume.waist"), rule("volume.cling")], borders: [loose] },
    }));
    const house = new HouseRules();
    await house.load();
    house.sought = "CLING";
    expect(house.shown.map((one) => one.id)).toEqual(["volume.cling"]);
    house.open = "volume.cling";
    await house.show(house.shown[0]!);
    expect([house.open, calls.length]).toEqual([null, 2]);
  });
});

describe("answers that follow a moving hand", () => {
  it("asks one question at a time, then where the hand has come to, and shows nothing once it rests", async () => {
    const waiting = new Map<number, (answer: number) => void>();
    const shown: number[] = [];
    const following = new Following<number, number>(
      (at) => new Promise((answer) => waiting.set(at, answer)),
      (at) => shown.push(at),
    );
    const answer = async (at: number) => {
      waiting.get(at)!(at);
      await settled();
      await new Promise((drawn) => setTimeout(drawn));
    };
    for (const at of [1, 2, 3, 4]) following.move(at);
    expect([...waiting.keys()]).toEqual([1]);
    await answer(1);
    expect([...waiting.keys()]).toEqual([1, 4]);
    await answer(4);
    expect(shown).toEqual([1, 4]);
    following.move(5);
    following.rest();
    await answer(5);
    expect(shown).toEqual([1, 4]);
    following.move(6);
    await answer(6);
    expect(shown.at(-1)).toBe(6);
  });
});
