import { beforeEach, describe, expect, it, vi } from "vitest";
import { deviceOf } from "../src/lib/account/devices";
import { Proving } from "../src/lib/account/proving.svelte";
import type { Answer } from "../src/lib/account/accounts";
import { ROLE_KEYS, ROLES } from "../src/lib/studio/roles";
import { studio } from "../src/lib/studio.svelte";
import { on, refuse, reset, sent } from "./server";

vi.mock("../src/lib/api/client", async () => {
  const server = await import("./server");
  return { ...server.fakeClient, shownTo: { member: null } };
});

const me = {
  member: 1,
  name: "Ada",
  role: "apprentice",
  rights: ["belong", "diary", "work"],
  studio: { version: 3, unit: "cm" },
};

beforeEach(() => {
  reset();
  studio.enter(me as never);
});

describe("rights", () => {
  it("are what the server told, and none for nobody", () => {
    expect([studio.may("work"), studio.may("erase")]).toEqual([true, false]);
    studio.enter(null);
    expect(studio.may("work")).toBe(false);
  });

  it("are said in words for every role", () => {
    expect(ROLE_KEYS).toEqual(["owner", "stylist", "apprentice", "front_desk"]);
    expect(ROLES.front_desk.may).toContain("No body");
  });
});

describe("the studio's settings", () => {
  it("are changed where whoever asks may: units at the desk, rules of the house apart", async () => {
    on("PATCH", "/api/studio/desk", () => ({ data: { version: 4, unit: "in" } }));
    on("PATCH", "/api/studio", () => refuse(403, "Your role does not go so far."));
    expect(await studio.change({ unit: "in" })).toBeNull();
    expect(studio.unit).toBe("in");
    expect((await studio.change({ muted: ["x"] }))?.status).toBe(403);
    expect(sent("/api/studio")).toMatchObject([{ version: 4, muted: ["x"] }]);
  });
});

describe("proving anew who asks", () => {
  const answer = (prove: boolean): Answer => ({ status: prove ? 401 : 200, ok: !prove, prove, said: "" });

  it("asks again after proof, and leaves it where it was left", async () => {
    const proving = new Proving();
    let asked = 0;
    const question = () => Promise.resolve(answer(asked++ === 0));
    const told = proving.ask(question);
    await vi.waitFor(() => expect(proving.waits).not.toBeNull());
    proving.waits?.();
    expect((await told)?.ok).toBe(true);
    asked = 0;
    const left = proving.ask(question);
    await vi.waitFor(() => expect(proving.waits).not.toBeNull());
    proving.leave();
    expect(await left).toBeNull();
    expect(asked).toBe(1);
  });
});

it("calls a device as people do", () => {
  expect(deviceOf("Mozilla/5.0 (iPad; CPU OS 17) AppleWebKit/605 Version/17 Safari/604")).toBe(
    "Safari on iPad",
  );
  expect(deviceOf("")).toBe("an unknown device");
});
