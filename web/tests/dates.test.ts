import { describe, expect, it } from "vitest";
import { readDay, written } from "../src/lib/ui/dates";

const TODAY = new Date(2026, 10, 26);

describe("a day as the studio types it", () => {
  it.each([
    ["24.11.2026", "2026-11-24"],
    ["24/11/26", "2026-11-24"],
    ["3 Dec", "2026-12-03"],
    ["3. december 2027", "2027-12-03"],
    ["2026-11-24", "2026-11-24"],
    ["1.2.", "2027-02-01"],
    ["today", "2026-11-26"],
    ["in 5 days", "2026-12-01"],
    ["in 2 weeks", "2026-12-10"],
  ])("reads %s", (typed, iso) => expect(readDay(typed, TODAY)).toBe(iso));

  it.each(["31.2.2026", "13/13/2026", "soon", "24", "11/24/2026x", ""])("does not guess at %s", (typed) =>
    expect(readDay(typed, TODAY)).toBeNull(),
  );

  it("reads what it wrote, every day of a leap year", () => {
    for (let day = 0; day < 366; day += 1) {
      const iso = new Date(Date.UTC(2028, 0, 1 + day)).toISOString().slice(0, 10);
      expect(readDay(written(iso), TODAY)).toBe(iso);
    }
  });
});
