/** Wall times, and a diary moved quickly: moves wait for each other, and each has its way back. */
import { beforeEach, describe, expect, it, vi } from "vitest";
import { on, refuse, reset, sent } from "./server";
import { VISIT } from "./visits";
import { Diary, type Appointment } from "../src/lib/diary/diary.svelte";
import { clock, lasts, minutesOf, monday, monthDays, plus, readClock, wall } from "../src/lib/diary/times";

vi.mock("../src/lib/api/client", async () => (await import("./server")).fakeClient);

describe("wall times", () => {
  it("reads what is typed and nothing else", () => {
    expect(["9", "9:30", "0930", "9.30", "14h15", " 7 "].map(readClock)).toEqual([
      540, 570, 570, 570, 855, 420,
    ]);
    expect(["", "25", "9:75", "noon", "12:5"].map(readClock)).toEqual([null, null, null, null, null]);
  });

  it("walks days over months and the change of clocks", () => {
    expect(plus("2026-03-28", 1)).toBe("2026-03-29");
    expect(plus("2026-12-31", 1)).toBe("2027-01-01");
    expect(wall("2026-03-28", 1440 + 90)).toBe("2026-03-29T01:30:00");
    expect(wall("2026-03-28", -15)).toBe("2026-03-27T23:45:00");
    expect(monday("2026-03-29")).toBe("2026-03-23");
    expect(monday("2026-03-23")).toBe("2026-03-23");
  });

  it("shows a month in whole weeks that hold all of its days", () => {
    for (const month of ["2026-02", "2026-03", "2026-11", "2027-08"]) {
      const days = monthDays(`${month}-10`);
      expect(days.length % 7).toBe(0);
      const of = days.filter((day) => day.startsWith(month));
      const last = new Date(Date.UTC(Number(month.slice(0, 4)), Number(month.slice(5)), 0)).getUTCDate();
      expect(of).toHaveLength(last);
    }
  });

  it("says times and lengths plainly", () => {
    expect([clock(545), clock(0), lasts(40), lasts(150), lasts(120), lasts(2880)]).toEqual([
      "9:05",
      "0:00",
      "40 min",
      "2 h 30",
      "2 h",
      "2 days",
    ]);
    expect(minutesOf("2026-03-02T14:15:00")).toBe(855);
  });
});

describe("a diary", () => {
  let held: Appointment;
  const told = () => ({
    data: { appointments: [held], due: [], clashes: [], members: [], kinds: [], me: 1, has_feed: false },
  });

  beforeEach(() => {
    reset();
    held = VISIT;
    on("GET", "/api/diary", told);
    // It keeps one appointment, and refuses what was made from another version.
    on("PATCH", "/api/appointments/a/move", ({ body }) => {
      if (body.version !== held.version) return refuse(409, "Changed.", { current: held });
      const day = held.local.slice(0, 10);
      const local = (body.local as string) ?? wall(day, minutesOf(held.local) + Number(body.minutes));
      held = { ...held, version: held.version + 1, local };
      return { data: held };
    });
  });

  it("moves as often as a key is pressed, and takes each back", async () => {
    const diary = new Diary();
    diary.on = "2026-03-02";
    await diary.load();
    const one = () => diary.newest(VISIT);
    await Promise.all([1, 2, 3].map(() => diary.move(one(), { minutes: 15 })));
    expect(held.local).toBe("2026-03-02T10:45:00");
    expect(sent("/api/appointments/a/move")).toHaveLength(3);
    await diary.history.undo();
    await diary.history.undo();
    await diary.history.undo();
    expect(held.local).toBe("2026-03-02T10:00:00");
  });

  it("moves one that was taken up before the last answer came, from the version that came", async () => {
    const diary = new Diary();
    diary.on = "2026-03-02";
    await diary.load();
    const takenUp = diary.newest(VISIT);
    await diary.move(takenUp, { minutes: 15 });
    await diary.move(takenUp, { minutes: 90 });
    expect([held.local, diary.newest(VISIT).local]).toEqual(["2026-03-02T11:45:00", "2026-03-02T11:45:00"]);
  });

  it("stands where the last move put it while those before it are answered", async () => {
    const diary = new Diary();
    diary.on = "2026-03-02";
    await diary.load();
    const first = diary.move(VISIT, { minutes: 15 });
    const last = diary.move(diary.newest(VISIT), { minutes: 30 });
    await first;
    expect(diary.newest(VISIT).local).toBe("2026-03-02T10:45:00");
    await last;
    expect(diary.newest(VISIT)).toEqual(held);
  });

  it("opens nothing beside for a move, and stays with what is open where it goes", async () => {
    const diary = new Diary();
    diary.on = "2026-03-02";
    await diary.load();
    await diary.move(VISIT, { minutes: 15 });
    expect(diary.at).toBeNull();
    diary.at = "a";
    on("PATCH", "/api/appointments/a/move", () => ({ data: (held = { ...held, key: "b" }) }));
    await diary.move(diary.newest(VISIT), { minutes: 15 });
    expect(diary.held?.key).toBe("b");
  });

  it("takes back the last move first, though it is still on its way", async () => {
    const diary = new Diary();
    diary.on = "2026-03-02";
    await diary.load();
    await diary.move(diary.newest(VISIT), { minutes: 15 });
    void diary.move(diary.newest(VISIT), { minutes: 30 });
    await diary.undo("undo");
    expect(held.local).toBe("2026-03-02T10:15:00");
    await diary.undo("undo");
    expect(held.local).toBe("2026-03-02T10:00:00");
  });
});

describe("a diary paged quickly", () => {
  it("shows the days it is at, though the answer of earlier ones comes last", async () => {
    reset();
    const held: ((told: { data: unknown }) => void)[] = [];
    on("GET", "/api/diary", () => new Promise((done) => held.push(done)));
    const diary = new Diary();
    const both = [diary.go(1), diary.go(1)];
    await vi.waitFor(() => expect(held).toHaveLength(2));
    held[1]?.({ data: { me: 2 } });
    held[0]?.({ data: { me: 1 } });
    await Promise.all(both);
    expect(diary.told?.me).toBe(2);
  });
});
