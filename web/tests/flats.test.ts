import { beforeEach, expect, it, vi } from "vitest";
import { Flats } from "../src/lib/rack/flats.svelte";
import { calls, on, refuse, reset } from "./server";

vi.mock("../src/lib/api/client", async () => (await import("./server")).fakeClient);
beforeEach(reset);

const PATH = "/api/clients/c/rack/flats";
const shape = (d: string) => [{ d }] as never;
const bare = (id: string) => ({ id, flat: [] });
const RACK = ["a", "b", "c", "d", "e"].map(bare);
/** Two flats a page, each drawn as its name and how often it was asked for. */
const serve = (rack = RACK) => {
  let times = 0;
  on("GET", PATH, ({ query }) => {
    times++;
    const page = Number(query?.page);
    const flats = rack.slice(page * 2, page * 2 + 2).map(({ id }) => ({ id, flat: shape(`${id}${times}`) }));
    return { data: { flats } };
  });
};
const drawn = (flats: Flats, id: string) => (flats.of(bare(id))[0] as { d: string } | undefined)?.d;

it("asks for the page of what is seen, once however many are seen", async () => {
  serve();
  const flats = new Flats("c");
  await flats.begin(RACK, 2);
  await Promise.all([flats.want("c"), flats.want("d"), flats.want("nobody")]);
  expect(calls.length).toBe(1);
  expect([drawn(flats, "c"), drawn(flats, "d"), drawn(flats, "a")]).toEqual(["c1", "d1", undefined]);
});

it("shows what came with a piece before anything else", () => {
  expect(new Flats("c").of({ id: "a", flat: shape("own") })).toEqual(shape("own"));
});

it("goes on to the next page where pieces that cannot be read hang before it", async () => {
  serve([bare("unreadable"), ...RACK]);
  const flats = new Flats("c");
  await flats.begin(RACK, 2);
  await flats.want("b");
  expect([drawn(flats, "b"), calls.length]).toEqual(["b2", 2]);
});

it("keeps what was drawn in sight until the rack is drawn anew, and lets go of what hangs no longer", async () => {
  serve();
  const flats = new Flats("c");
  await flats.begin(RACK, 2);
  await flats.want("a");
  await flats.want("c");
  serve(RACK.slice(1));
  const anew = flats.begin(RACK.slice(1), 2);
  expect(drawn(flats, "a")).toBe("a1");
  await anew;
  expect([drawn(flats, "a"), drawn(flats, "b")]).toEqual([undefined, "b1"]);
});

it("keeps what was drawn where drawing it anew is refused", async () => {
  serve();
  const flats = new Flats("c");
  await flats.begin(RACK, 2);
  await flats.want("a");
  on("GET", PATH, () => refuse(503, "Not now."));
  await flats.begin(RACK, 2);
  expect(drawn(flats, "a")).toBe("a1");
});

it("asks again by itself for a page that was refused, the later the less often", async () => {
  vi.useFakeTimers();
  const flats = new Flats("c");
  await flats.begin(RACK, 2);
  on("GET", PATH, () => refuse(503, "Not now."));
  await flats.want("a");
  await vi.advanceTimersByTimeAsync(2000);
  expect([calls.length, drawn(flats, "a")]).toEqual([2, undefined]);
  serve();
  await vi.advanceTimersByTimeAsync(3900);
  expect(calls.length).toBe(2);
  await vi.advanceTimersByTimeAsync(200);
  expect([calls.length, drawn(flats, "a")]).toEqual([3, "a1"]);
  vi.useRealTimers();
});
