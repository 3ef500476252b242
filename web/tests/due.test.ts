import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { sendPicture } from "../src/lib/api/pictures";
import { DueList, type Errand } from "../src/lib/due/due.svelte";
import { calls, on, refuse, reset, sent } from "./server";

vi.mock("../src/lib/api/client", async () => ({
  ...(await import("./server")).fakeClient,
  token: () => "t0ken",
}));
beforeEach(reset);
afterEach(() => vi.unstubAllGlobals());

const errand = (id: string, more: Partial<Errand> = {}): Errand =>
  ({
    id,
    version: 1,
    client: "Pia",
    title: "jeans",
    text: "Hem it.",
    due_on: "2026-12-01",
    done_at: null,
    ...more,
  }) as Errand;

describe("what is due", () => {
  let list: DueList;
  beforeEach(async () => {
    on("GET", "/api/errands", () => ({
      data: { errands: [errand("a"), errand("b", { done_at: "2026-11-20T10:00:00Z" })] },
    }));
    list = new DueList(null);
    await list.load();
  });

  it("is asked of the studio, or of one client, and parts what is done", async () => {
    expect([list.due.map((one) => one.id), list.done.map((one) => one.id)]).toEqual([["a"], ["b"]]);
    on("GET", "/api/clients/c/errands", () => ({ data: { errands: [] } }));
    const own = new DueList("c");
    await own.load();
    expect([own.errands, calls.at(-1)?.path]).toEqual([[], "/api/clients/c/errands"]);
  });

  it("is ticked off and taken back", async () => {
    on("POST", "/api/errands/a/done", () => ({ data: errand("a", { done_at: "2026-11-25T10:00:00Z" }) }));
    on("DELETE", "/api/errands/a/done", () => ({ data: errand("a") }));
    const first = list.due[0]!;
    expect(await list.tick(first, true)).toBe(true);
    expect(list.due).toEqual([]);
    expect(await list.tick(first, false)).toBe(true);
    expect(list.due.map((one) => one.id)).toEqual(["a"]);
  });

  it("shows theirs where somebody else moved the date meanwhile", async () => {
    const theirs = errand("a", { version: 3, due_on: "2026-12-24" });
    on("PATCH", "/api/errands/a", () => refuse(409, "Bo changed this meanwhile.", { current: theirs }));
    expect(await list.move(list.due[0]!, "2026-12-05")).toBe(false);
    expect([list.due[0]?.due_on, list.trouble]).toEqual(["2026-12-24", "Bo changed this meanwhile."]);
    on("PATCH", "/api/errands/a", ({ body }) => ({
      data: errand("a", { version: 4, due_on: body.due_on as string }),
    }));
    await list.move(list.due[0]!, "");
    expect(sent("/api/errands/a").at(-1)).toEqual({ version: 3, due_on: null });
  });

  it("is taken off the list and brought back", async () => {
    on("DELETE", "/api/errands/a", () => ({ data: null }));
    on("POST", "/api/errands/a/restore", () => ({ data: errand("a") }));
    const first = list.due[0]!;
    expect(await list.remove(first)).toBe(true);
    expect(list.due).toEqual([]);
    await list.restore(first);
    expect(list.due.map((one) => one.id)).toEqual(["a"]);
    on("DELETE", "/api/errands/a", () => refuse(404, "This is not here."));
    expect([await list.remove(first), list.trouble]).toEqual([false, "This is not here."]);
  });
});

describe("a picture on its way", () => {
  const file = (size: number, type = "image/png") => ({ size, type, name: "cloth.png" }) as File;
  const answering = (status: number, told: unknown) => {
    const asked = vi.fn(() =>
      Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(told) }),
    );
    vi.stubGlobal("fetch", asked);
    return asked;
  };

  it("is sent as it is, under an identity of its own and with the token", async () => {
    const asked = answering(200, { id: "p" });
    expect(await sendPicture("/api/rack/x/pictures", file(2000))).toEqual({ data: { id: "p" } });
    const [path, options] = asked.mock.calls[0] as unknown as [
      string,
      { method: string; headers: Record<string, string> },
    ];
    expect(path).toMatch(/^\/api\/rack\/x\/pictures\/[0-9a-f-]{36}$/);
    expect([options.method, options.headers["X-CSRFToken"]]).toEqual(["PUT", "t0ken"]);
  });

  it("is not even sent where it is too large", async () => {
    const asked = answering(200, {});
    const told = await sendPicture("/x", file(50_000_000));
    expect([told, asked.mock.calls]).toEqual([
      { refusal: { status: 422, message: "This file is too large: 15 MB at most." } },
      [],
    ]);
  });

  it("is refused in the server's words, or in our own where it does not answer", async () => {
    answering(422, { message: "This picture moves." });
    expect(await sendPicture("/x", file(10))).toEqual({
      refusal: { status: 422, message: "This picture moves." },
    });
    vi.stubGlobal("fetch", () => Promise.reject(new TypeError("offline")));
    expect(await sendPicture("/x", file(10, ""))).toMatchObject({ refusal: { status: 0 } });
  });
});
