import { beforeEach, describe, expect, it, vi } from "vitest";
import { History } from "../src/lib/client/history.svelte";
import { Rack, type RackPiece } from "../src/lib/rack/rack.svelte";
import { calls, on, refuse, reset, sent } from "./server";

vi.mock("../src/lib/api/client", async () => (await import("./server")).fakeClient);

const piece = (id: string, title: string, more: object = {}) =>
  ({
    id,
    version: 1,
    name: "",
    title,
    kind: title.split(" ").at(-1),
    stance: "fits",
    piece: { is: "jeans" },
    facts: { maker: "", state: "in_use" },
    ...more,
  }) as unknown as RackPiece;

const RACK = "/api/clients/c/rack";
let rack: Rack;
let held: RackPiece[];
beforeEach(async () => {
  reset();
  held = [
    piece("a", "black slim jeans", { stance: "against" }),
    piece("b", "white tee", { facts: { maker: "Twelve Looms", state: "lent" } }),
    piece("d", "navy skirt"),
  ];
  on("GET", RACK, () => ({ data: { pieces: held, unreadable: [], heels: true } }));
  for (const one of held)
    on("GET", `/api/rack/${one.id}`, () => ({
      data: { piece: held.find((p) => p.id === one.id), placed: {} },
    }));
  rack = new Rack("c", new History());
  await rack.load();
});

const titles = () => rack.shown.map((one) => one.title);

describe("looking along the rack", () => {
  it("narrows by any word of a piece, its maker and where it is", () => {
    expect(rack.kinds).toEqual(["jeans", "skirt", "tee"]);
    rack.sought = "twelve lent";
    expect(titles()).toEqual(["white tee"]);
    rack.sought = "nothing like it";
    expect(titles()).toEqual([]);
    rack.sought = "";
    rack.how = "against";
    expect(titles()).toEqual(["black slim jeans"]);
    rack.kind = "skirt";
    expect(titles()).toEqual([]);
  });

  it("asks anew with another heel", async () => {
    rack.heel = 6.5;
    await rack.load();
    expect(calls.at(-1)?.query).toEqual({ heel_cm: 6.5 });
  });
});

describe("hanging and taking off", () => {
  beforeEach(() => {
    on("POST", RACK, ({ body }) => ({ data: piece(String(body.id), String(body.line)) }));
    on("DELETE", "/api/rack/a", () => ({ data: null }));
    on("POST", "/api/rack/a/restore", () => ({ data: held[0] }));
  });

  it("hangs a line, empties the field, and undo takes it off", async () => {
    rack.line = "  grey blazer ";
    await rack.hang();
    expect([rack.line, titles().at(-1)]).toEqual(["", "grey blazer"]);
    const id = String(sent(RACK)[0]!.id);
    on("DELETE", `/api/rack/${id}`, () => ({ data: null }));
    await rack.history.undo();
    expect(titles()).not.toContain("grey blazer");
    rack.line = "   ";
    await rack.hang();
    expect(sent(RACK)).toHaveLength(1);
  });

  it("leaves a line that is not understood where it is", async () => {
    on("POST", RACK, () => refuse(422, "“glittering” is not understood for tee."));
    rack.line = "glittering tee";
    await rack.hang();
    expect([rack.line, rack.wrong]).toEqual(["glittering tee", "“glittering” is not understood for tee."]);
  });

  it("takes the chosen piece off and brings it back", async () => {
    await rack.choose("a");
    expect(await rack.remove("a")).toBe(true);
    expect([rack.detail, titles()]).toEqual([null, ["white tee", "navy skirt"]]);
    await rack.history.undo();
    expect(titles()).toContain("black slim jeans");
    await rack.history.redo();
    expect(titles()).not.toContain("black slim jeans");
  });
});

describe("changing the chosen piece", () => {
  beforeEach(async () => {
    on("PATCH", "/api/rack/a", ({ body }) => {
      const now = { ...held[0]!, ...body, version: Number(body.version) + 1 } as RackPiece;
      held = [now, ...held.slice(1)];
      return { data: now };
    });
    await rack.choose("a");
  });

  it("keeps it at once, and undo writes what was there before on top of the newest version", async () => {
    await rack.change({ piece: { is: "jeans", cut: "wide" } }, "its cut");
    expect(rack.detail?.piece.piece).toEqual({ is: "jeans", cut: "wide" });
    await rack.history.undo();
    expect(sent("/api/rack/a")).toEqual([
      { version: 1, piece: { is: "jeans", cut: "wide" } },
      { version: 2, piece: { is: "jeans" } },
    ]);
    expect(rack.detail?.piece.piece).toEqual({ is: "jeans" });
  });

  it("shows theirs when somebody else was quicker, says so, and remembers no step", async () => {
    const theirs = piece("a", "black slim jeans", { version: 5, name: "Theirs" });
    on("PATCH", "/api/rack/a", () => {
      held = [theirs, ...held.slice(1)];
      return refuse(409, "Bo changed this meanwhile.", { current: theirs });
    });
    expect(await rack.change({ name: "Mine" }, "its name")).toBe(false);
    expect(rack.wrong).toContain("It shows theirs now");
    expect(rack.detail?.piece.name).toBe("Theirs");
    expect(rack.history.past).toEqual([]);
  });
});
