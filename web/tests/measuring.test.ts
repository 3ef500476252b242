import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "../src/lib/api/client";
import { History } from "../src/lib/client/history.svelte";
import { Measuring } from "../src/lib/measure/measuring.svelte";
import type { Tape, TapeReading } from "../src/lib/measure/tape.svelte";
import { on, refuse, reset, sent } from "./server";
import { Storage } from "./storage";

vi.mock("../src/lib/api/client", async () => (await import("./server")).fakeClient);

const NAMES = ["stature", "waist", "hip"];
const KNOWN = {
  cards: NAMES.map((name) => ({
    name,
    label: name,
    kind: name === "stature" ? "height" : "girth",
    turn: "",
    sided: false,
  })),
  protocols: [{ key: "quick", name: "Quick", purpose: "", measures: NAMES }],
  consent: [],
} as unknown as Schemas["Measuring"];
const READINGS = "/api/clients/c/readings";

interface Row {
  id: string;
  cm: number;
  set_aside: boolean;
  withdrawn: boolean;
}
/** What the server has kept, by measure. */
let kept: Record<string, Row[]>;
let twice: boolean;
let measuring: Measuring;
let changes: number;

function desk() {
  return {
    session: { id: 1, protocol: "quick", side: "right", twice, present: "" },
    tape: null,
    sessions: 1,
    measures: NAMES.map((name) => {
      const counting = (kept[name] ?? []).filter((row) => !row.set_aside && !row.withdrawn);
      return {
        name,
        readings: kept[name] ?? [],
        wants_another: twice && counting.length === 1,
        known: { cm: counting.at(-1)?.cm ?? 0, settled: counting.length > 0 },
      };
    }),
  };
}

beforeEach(async () => {
  vi.stubGlobal("localStorage", new Storage());
  vi.stubGlobal("navigator", {});
  reset();
  kept = {};
  twice = false;
  changes = 0;
  on("GET", "/api/clients/c/desk", () => ({ data: desk() }));
  on("GET", "/api/clients/c/next", () => ({
    data: [{ measure: "hip", label: "hip", text: "Decides.", score: 1 }],
  }));
  on("POST", READINGS, ({ body }) => {
    const name = String(body.measure);
    kept[name] = [
      ...(kept[name] ?? []),
      {
        id: String(body.id),
        cm: Number.parseFloat(String(body.typed)),
        set_aside: Boolean(body.set_aside),
        withdrawn: false,
      },
    ];
    return { data: desk() };
  });
  measuring = new Measuring("c", KNOWN, new History(), () => (changes += 1));
  await measuring.load();
});

async function type(text: string) {
  measuring.typed = text;
  await measuring.accept();
}

describe("a session at the desk", () => {
  it("begins at the first measure and goes on with Enter until all are taken", async () => {
    expect(measuring.active).toBe("stature");
    for (const [name, text] of [
      ["stature", "165"],
      ["waist", "74"],
      ["hip", "100"],
    ] as const) {
      expect(measuring.active).toBe(name);
      await type(text);
      expect(measuring.typed).toBe("");
    }
    expect([measuring.done, measuring.finished, changes]).toEqual([3, true, 3]);
    expect(sent(READINGS).map((body) => body.after)).toEqual([null, null, null]);
    expect(measuring.worths[0]?.measure).toBe("hip");
  });

  it("stays for the second reading, which names the first", async () => {
    twice = true;
    await measuring.load();
    await type("165");
    expect(measuring.active).toBe("stature");
    await type("165.4");
    const [first, second] = sent(READINGS);
    expect(second!.after).toBe(first!.id);
    expect(measuring.active).toBe("waist");
  });

  it("skips with nothing typed, goes back for another reading, and comes round to what was skipped", async () => {
    await measuring.accept();
    expect(measuring.active).toBe("waist");
    await type("74");
    measuring.again();
    expect(measuring.active).toBe("waist");
    measuring.go("hip");
    await type("100");
    expect(measuring.active).toBe("stature");
    expect(sent(READINGS)).toHaveLength(2);
  });

  it("sends the client's own word as one", async () => {
    measuring.said = true;
    await type("165");
    expect(sent(READINGS)[0]).toMatchObject({ said: true, checked: false, source: "typed" });
    expect(measuring.said).toBe(false);
  });

  it("takes a reading back and brings it again with undo", async () => {
    on("POST", `${READINGS}/x/withdraw`, () => ((kept.stature![0]!.withdrawn = true), { data: desk() }));
    on("POST", `${READINGS}/x/restore`, () => ((kept.stature![0]!.withdrawn = false), { data: desk() }));
    kept.stature = [{ id: "x", cm: 165, set_aside: false, withdrawn: false }];
    await measuring.load();
    await measuring.withdraw({ id: "x", measure: "stature", typed: "165" } as Schemas["ReadingOut"]);
    expect(measuring.counting("stature")).toEqual([]);
    await measuring.history.undo();
    expect(measuring.counting("stature")).toHaveLength(1);
  });
});

describe("a doubt", () => {
  const doubted = (more = {}) =>
    refuse(422, "Was it read in inches?", { reason: "unit", refused: false, suggested_cm: 73.7, ...more });

  beforeEach(async () => {
    measuring.go("waist");
    const keep = { ...kept };
    on("POST", READINGS, ({ body }) => {
      if (!body.checked && body.meant_cm === null && !body.set_aside) return doubted();
      kept = {
        ...keep,
        waist: [
          {
            id: String(body.id),
            cm: Number(body.meant_cm ?? body.typed),
            set_aside: Boolean(body.set_aside),
            withdrawn: false,
          },
        ],
      };
      return { data: desk() };
    });
    await type("29");
  });

  it("is asked at its measure with what was typed still there", () => {
    expect(measuring.doubt).toMatchObject({
      measure: "waist",
      typed: "29",
      suggestedCm: 73.7,
      refused: false,
    });
    expect([measuring.active, measuring.typed]).toEqual(["waist", "29"]);
  });

  it.each([
    ["correct", { meant_cm: 73.7 }, "hip"],
    ["keep", { checked: true }, "hip"],
    ["again", { set_aside: true }, "waist"],
  ] as const)("is answered with one key: %s", async (how, body, next) => {
    await measuring.answer(how);
    expect(sent(READINGS).at(-1)).toMatchObject({ typed: "29", ...body });
    expect([measuring.doubt, measuring.active]).toEqual([null, next]);
  });

  it("that nobody can keep is not kept", async () => {
    on("POST", READINGS, () => doubted({ refused: true, suggested_cm: null }));
    await type("720");
    const before = sent(READINGS).length;
    await measuring.answer("keep");
    await measuring.answer("correct");
    expect(sent(READINGS)).toHaveLength(before);
  });
});

describe("somebody else", () => {
  it("who was quicker is shown, and mine is added beside theirs", async () => {
    on("POST", READINGS, ({ body }) => {
      if (body.after !== "theirs") {
        kept.stature = [{ id: "theirs", cm: 164, set_aside: false, withdrawn: false }];
        return refuse(409, "Bo took this measure meanwhile.", { current: { id: "theirs", cm: 164 } });
      }
      kept.stature!.push({ id: String(body.id), cm: 165, set_aside: false, withdrawn: false });
      return { data: desk() };
    });
    await type("165");
    expect(measuring.doubt?.theirs).toMatchObject({ cm: 164 });
    await measuring.settle("mine");
    expect(sent(READINGS).at(-1)).toMatchObject({ typed: "165", after: "theirs" });
    expect(measuring.counting("stature")).toHaveLength(2);
  });
});

describe("the tape at the desk", () => {
  /** A tape that holds these readings until they are confirmed. */
  function tape(...waiting: TapeReading[]) {
    const held = {
      waiting,
      shown: [] as string[],
      show: (name: string) => held.shown.push(name),
      got: (reading: TapeReading) => (held.waiting = held.waiting.filter((one) => one.seq !== reading.seq)),
    };
    measuring.tape = held as unknown as Tape;
    return held;
  }
  const read = (seq: number, name: string, value: string, unit: "cm" | "in" = "cm"): TapeReading => ({
    seq,
    id: `r${seq}`,
    for: name,
    value,
    unit,
  });

  it("is confirmed only when the server has kept the reading, each for the measure it was taken for", async () => {
    const held = tape(read(1, "waist", "29.1", "in"), read(2, "hip", "100.2"));
    await measuring.fromTape();
    await vi.waitFor(() => expect(held.waiting).toEqual([]));
    expect(sent(READINGS)).toMatchObject([
      { measure: "waist", typed: "29.1in", id: "r1", source: "tape" },
      { measure: "hip", typed: "100.2cm", id: "r2", source: "tape" },
    ]);
  });

  it("is kept on the device while the server does not answer, goes on, and arrives in order", async () => {
    vi.useFakeTimers();
    const held = tape(read(1, "stature", "165"), read(2, "waist", "74"));
    on("POST", READINGS, () => refuse(0, "The server does not answer."));
    await measuring.fromTape();
    await measuring.fromTape();
    expect(held.waiting).toEqual([]);
    expect(measuring.saving).toBe("waiting");
    expect(measuring.counting("stature").map((one) => one.typed)).toEqual(["165cm"]);
    on("POST", READINGS, () => ({ data: desk() }));
    await vi.advanceTimersByTimeAsync(3100);
    vi.useRealTimers();
    await vi.waitFor(() => expect(measuring.outbox.items).toEqual([]));
    expect([...new Set(sent(READINGS).map((body) => body.id))]).toEqual(["r1", "r2"]);
  });

  it("tells what the server then did not take, and lets the stylist keep it", async () => {
    tape(read(1, "stature", "165"));
    on("POST", READINGS, () => refuse(0, "The server does not answer."));
    await measuring.fromTape();
    on("POST", READINGS, ({ body }) =>
      body.checked ? { data: desk() } : refuse(422, "Last time it was 168 cm.", { reason: "last" }),
    );
    await measuring.outbox.flush();
    const [item] = measuring.outbox.refused;
    expect(item?.refused).toContain("168");
    expect(measuring.saving).toBe("failed");
    if (item?.what.kind !== "reading") throw new Error("a reading was refused");
    await measuring.outbox.again(item.key, { ...item.what, body: { ...item.what.body, checked: true } });
    expect(measuring.outbox.items).toEqual([]);
  });

  it("begins and ends without the server, which then hears it in order", async () => {
    const away = () => refuse(0, "The server does not answer.");
    ["/sessions", "/readings"].forEach((path) => on("POST", `/api/clients/c${path}`, away));
    measuring.desk = { ...desk(), session: null } as unknown as Schemas["DeskOut"];
    const consent: Schemas["ConsentIn"] = { agreed: ["measure", "record"], present: "", guardian: "" };
    await measuring.begin({ protocol: "quick", side: "right", twice: false, consent });
    expect(measuring.session?.taken_by).toBe("");
    measuring.typed = "165";
    await measuring.accept();
    expect(measuring.counting("stature")).toHaveLength(1);
    await measuring.end("finished");
    expect(measuring.session).toBeNull();
    expect(measuring.outbox.waiting.map((item) => item.what.kind)).toEqual(["begin", "reading", "end"]);
  });

  it("holds the next reading back while a doubt is open", async () => {
    const held = tape(read(1, "stature", "16.5"), read(2, "waist", "74"));
    on("POST", READINGS, ({ body }) =>
      body.measure === "stature" && !body.set_aside
        ? refuse(422, "A digit?", { reason: "digits", refused: false })
        : { data: desk() },
    );
    await measuring.fromTape();
    expect([measuring.doubt?.measure, held.waiting.length]).toEqual(["stature", 2]);
    await measuring.answer("again");
    await vi.waitFor(() => expect(held.waiting).toEqual([]));
    expect(sent(READINGS).map((body) => [body.measure, body.set_aside])).toEqual([
      ["stature", false],
      ["stature", true],
      ["waist", false],
    ]);
  });
});
