// @vitest-environment jsdom
/** The diary's panels by hand: an appointment changed field by field, what comes before and after it, a new one, a month. */
import { cleanup, render, screen, within } from "@testing-library/svelte";
import userEvent from "@testing-library/user-event";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { Diary, type Appointment } from "../../src/lib/diary/diary.svelte";
import FreshPanel from "../../src/lib/diary/FreshPanel.svelte";
import MonthGrid from "../../src/lib/diary/MonthGrid.svelte";
import VisitPanel from "../../src/lib/diary/VisitPanel.svelte";
import { notice } from "../../src/lib/ui/notice.svelte";
import { openPage } from "../page";
import { VISIT } from "../visits";
import { calls, on, refuse, reset, sent, settled } from "../server";

vi.mock("../../src/lib/api/client", async () => (await import("../server")).fakeClient);

const OURS: Appointment = { ...VISIT, version: 3, client_id: "c1", client: "Orla Vance" };
const KINDS = [
  { kind: "edit", name: "Edit at home", minutes: 180, travel: 30, buffer: 15 },
  { kind: "first_talk", name: "First talk", minutes: 60, travel: 0, buffer: 0 },
];
const MEMBERS = [1, 2].map((id) => ({ id, name: ["Maud", "Juno"][id - 1] }));
let held: Appointment;
let others: Appointment[];
let diary: Diary;

beforeEach(async () => {
  openPage();
  reset();
  held = OURS;
  others = [];
  on("GET", "/api/diary", () => ({
    data: {
      appointments: [held, ...others],
      due: [{ on: "2026-03-03", client: "Orla Vance", text: "hem the jeans" }],
      clashes: [],
      holidays: [{ on: "2026-03-04", name: "Founders’ Day" }],
      members: MEMBERS,
      kinds: KINDS,
      me: 1,
      has_feed: false,
    },
  }));
  on("GET", "/api/appointments/a/prepare", () => ({
    data: {
      preparing: [{ what: "bring", of: ["steamer", "rail"] }],
      following: [
        { kind: "fitting", name: "Fitting", on: "2026-03-16", there: false },
        { kind: "hand_over", name: "Hand-over", on: "2026-03-30", there: true },
      ],
    },
  }));
  on("PUT", "/api/appointments/a", ({ body }) => {
    if (body.version !== held.version) return refuse(409, "Juno changed this meanwhile.", { current: held });
    held = { ...held, ...(body as Partial<Appointment>), version: held.version + 1 };
    return { data: held };
  });
  diary = new Diary();
  diary.on = "2026-03-02";
  await diary.load();
});
afterEach(cleanup);

describe("the appointment in hand", () => {
  const shown = async () => {
    const drawn = render(VisitPanel, { diary, held: diary.told?.appointments[0] as Appointment });
    await screen.findByText("Before");
    return {
      user: userEvent.setup(),
      again: () => drawn.rerender({ held: diary.told?.appointments[0] as Appointment }),
    };
  };

  it("says what it needs before and what usually follows, and puts that down", async () => {
    const { user } = await shown();
    expect(
      screen
        .getAllByRole("listitem")
        .map((one) => one.textContent.trim())
        .slice(0, 2),
    ).toEqual(["steamer", "rail"]);
    expect(screen.getByText(/in the diary already/)).toBeTruthy();
    expect(screen.getByRole("link", { name: "open Orla Vance" }).getAttribute("href")).toBe("/people/c1");
    await user.click(screen.getByRole("button", { name: "put down" }));
    expect(diary.fresh).toMatchObject({
      kind: "fitting",
      client_id: "c1",
      local: "2026-03-16T10:00:00",
      members: [1],
    });
    expect(diary.at).toBeNull();
  });

  it("keeps each field as it is left, and takes it back", async () => {
    const { user, again } = await shown();
    await user.type(screen.getByLabelText("place"), "Alder Court{Tab}");
    await settled();
    expect(sent("/api/appointments/a").at(-1)).toMatchObject({ place: "Alder Court", version: 3 });
    await again();
    await diary.undo("undo");
    expect(sent("/api/appointments/a").at(-1)).toMatchObject({ place: "", version: 4 });
    expect(held.place).toBe("");
  });

  it("takes the usual length of another kind", async () => {
    const { user } = await shown();
    await user.selectOptions(screen.getByLabelText("kind"), "First talk");
    await settled();
    expect(held).toMatchObject({ kind: "first_talk", minutes: 60, travel: 0 });
  });

  it("keeps what was typed out of the diary where it is no time, and says how one is typed", async () => {
    const { user } = await shown();
    const field = screen.getByLabelText("at");
    await user.clear(field);
    await user.type(field, "noon{Tab}");
    expect(screen.getByRole("alert").textContent).toContain("Type a time");
    expect(sent("/api/appointments/a")).toEqual([]);
    expect(field.getAttribute("aria-invalid")).toBe("true");
  });

  it("is moved, not rewritten, where only its time is another", async () => {
    on("PATCH", "/api/appointments/a/move", ({ body }) => ({
      data: (held = { ...held, version: 4, local: String(body.local) }),
    }));
    const { user } = await shown();
    const field = screen.getByLabelText("at");
    await user.clear(field);
    await user.type(field, "1415{Tab}");
    await settled();
    expect(sent("/api/appointments/a/move")).toMatchObject([{ local: "2026-03-02T14:15:00", version: 3 }]);
    expect(sent("/api/appointments/a")).toEqual([]);
  });

  it("leaves nobody alone: the last of those who come stays", async () => {
    const { user } = await shown();
    await user.click(screen.getByLabelText("Maud"));
    expect((screen.getByLabelText("Maud") as HTMLInputElement).checked).toBe(true);
    expect(sent("/api/appointments/a")).toEqual([]);
    await user.click(screen.getByLabelText("Juno"));
    await settled();
    expect(held.members).toEqual([1, 2]);
  });

  it("shows theirs where somebody else was quicker, and says so", async () => {
    const { user } = await shown();
    held = { ...held, version: 9, note: "by Juno" };
    await user.type(screen.getByLabelText("note"), "mine{Tab}");
    const said = await screen.findByRole("alert");
    expect(said.textContent).toBe("Juno changed this meanwhile. It shows theirs now.");
    expect(diary.told?.appointments[0]?.note).toBe("by Juno");
  });

  it("keeps what came of it with a day, and takes it out with a way back", async () => {
    on("POST", "/api/appointments/a/came-of", ({ body }) => ({
      data: (held = { ...held, came_of: String(body.text), done_at: "2026-03-02T12:00:00Z", version: 4 }),
    }));
    on("DELETE", "/api/appointments/a", () => ({ data: null }));
    on("POST", "/api/appointments/a/restore", () => ({ data: held }));
    const { user, again } = await shown();
    await user.type(screen.getByLabelText("what came of it"), "three bags went");
    await user.click(screen.getByRole("button", { name: "It is done" }));
    await settled();
    expect(sent("/api/appointments/a/came-of")).toEqual([
      { version: 3, text: "three bags went", done: true },
    ]);
    await again();
    expect(screen.getByRole("button", { name: /^Done, / }).getAttribute("aria-pressed")).toBe("true");
    await user.click(screen.getByRole("button", { name: "take it out" }));
    await settled();
    expect(notice.text).toBe("Edit at home is out of the diary.");
    await diary.undo("undo");
    expect(calls.some((call) => call.path === "/api/appointments/a/restore")).toBe(true);
  });

  it("leaves one day of a repeat out, and gives it back", async () => {
    held = { ...held, rule: "FREQ=WEEKLY" };
    await diary.load();
    on("POST", "/api/appointments/a/leave-out", () => ({ data: null }));
    on("DELETE", "/api/appointments/a/leave-out", () => ({ data: null }));
    const { user } = await shown();
    screen.getByRole("button", { name: "take all of it out" });
    await user.click(screen.getByRole("button", { name: "leave this day out" }));
    await settled();
    await diary.undo("undo");
    const way = { version: 3, occurrence: VISIT.starts_at };
    expect(sent("/api/appointments/a/leave-out")).toEqual([way, way]);
  });
});

describe("a new appointment", () => {
  const shown = () => {
    diary.begin("2026-03-05T09:00:00", "edit");
    const drawn = render(FreshPanel, { diary, fresh: diary.fresh as NonNullable<Diary["fresh"]> });
    const again = () => diary.fresh && drawn.rerender({ fresh: diary.fresh });
    return { user: userEvent.setup(), again };
  };

  it("begins as its kind usually is, and is put down once with a way back", async () => {
    on("POST", "/api/appointments", ({ body }) => ({
      data: { ...VISIT, ...body, key: "new", title: "Edit at home" },
    }));
    on("DELETE", `/api/appointments/n`, () => ({ data: null }));
    const { user } = shown();
    expect(diary.fresh).toMatchObject({ minutes: 180, travel: 30, buffer: 15, members: [1] });
    const id = diary.fresh?.id as string;
    on("DELETE", `/api/appointments/${id}`, () => ({ data: null }));
    await user.click(screen.getByRole("button", { name: "Put it down" }));
    await settled();
    expect(sent("/api/appointments")).toHaveLength(1);
    expect([diary.fresh, diary.at]).toEqual([null, "new"]);
    await diary.undo("undo");
    expect(calls.at(-2)).toMatchObject({ method: "DELETE", path: `/api/appointments/${id}` });
  });

  it("stays as typed where it is refused", async () => {
    on("POST", "/api/appointments", () => refuse(422, "Somebody has to be there."));
    const { user } = shown();
    await user.click(screen.getByRole("button", { name: "Put it down" }));
    expect((await screen.findByRole("alert")).textContent).toBe("Somebody has to be there.");
    expect(diary.fresh).not.toBeNull();
  });

  it("finds when everybody is free, from its own day on, and takes one of those times", async () => {
    on("POST", "/api/diary/free", () => ({
      data: { local: ["2026-12-09T09:30:00", "2026-12-10T14:00:00"] },
    }));
    diary.begin("2026-12-07T09:00:00", "edit");
    const { user } = shown();
    diary.fresh = { ...(diary.fresh as NonNullable<Diary["fresh"]>), local: "2100-12-07T09:00:00" };
    await user.click(screen.getByRole("button", { name: "Find free time" }));
    const free = within(await screen.findByRole("list", { name: "Free time" }));
    await user.click(free.getByRole("button", { name: "Wed, 9 Dec, 9:30".replace("Wed, ", "Wed ") }));
    expect(diary.fresh?.local).toBe("2026-12-09T09:30:00");
    expect(sent("/api/diary/free")).toMatchObject([
      { members: [1], minutes: 180, travel: 30, weekdays: [0, 1, 2, 3, 4] },
    ]);
  });

  it("says where nobody is free, and where that could not be found", async () => {
    const { user } = shown();
    on("POST", "/api/diary/free", () => ({ data: { local: [] } }));
    await user.click(screen.getByRole("button", { name: "Find free time" }));
    await screen.findByText(/Nobody is free together/);
    on("POST", "/api/diary/free", () => refuse(422, "Whose time?"));
    await user.click(screen.getByRole("button", { name: "Find free time" }));
    expect((await screen.findByRole("alert")).textContent).toBe("Whose time?");
  });
});

describe("a month", () => {
  it("shows whole weeks with what is due, holidays, and how many more there are", async () => {
    others = Array.from({ length: 5 }, (_, at) => ({
      ...VISIT,
      key: `o${at}`,
      id: `o${at}`,
      title: `Visit ${at}`,
    }));
    diary.view = "month";
    await diary.load();
    render(MonthGrid, { diary });
    expect(screen.getAllByRole("region").length % 7).toBe(0);
    const second = within(screen.getByRole("region", { name: "Monday 2 March" }));
    expect(second.getAllByRole("listitem").at(-1)?.textContent).toBe("and 2 more");
    screen.getByText("1 due");
    screen.getByText("Founders’ Day");
  });

  it("is moved about by the keys, and a day is opened from it", async () => {
    on("PATCH", "/api/appointments/a/move", ({ body }) => ({
      data: (held = {
        ...held,
        version: held.version + 1,
        local: `2026-03-${String(2 + Number(body.days)).padStart(2, "0")}T10:00:00`,
      }),
    }));
    diary.view = "month";
    await diary.load();
    render(MonthGrid, { diary });
    const user = userEvent.setup();
    await user.click(screen.getByRole("button", { name: "10:00 Edit at home" }));
    expect(diary.at).toBe("a");
    await user.keyboard("{ArrowDown}");
    await settled();
    expect(sent("/api/appointments/a/move")).toMatchObject([{ days: 7 }]);
    within(screen.getByRole("region", { name: "Monday 9 March" })).getByText("Edit at home");
    await user.click(screen.getByRole("button", { name: "Open Tuesday 10 March" }));
    expect([diary.view, diary.on]).toEqual(["day", "2026-03-10"]);
  });
});
