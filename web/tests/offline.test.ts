import { describe, expect, it } from "vitest";
import { isKept, isShell } from "../src/lib/api/offline";

const ID = "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c11";

describe("what is kept for when there is no connection", () => {
  it("is what a visit needs, and nothing that leaves the house or tells of accounts", () => {
    for (const path of [
      "session",
      "words",
      "diary",
      `clients/${ID}`,
      `clients/${ID}/desk`,
      `clients/${ID}/edit/sorted`,
    ])
      expect(isKept(`/api/${path}`), path).toBe(true);
    for (const path of [
      "members",
      "seen",
      `clients/${ID}/file`,
      `clients/${ID}/seen`,
      `pictures/${ID}`,
      "erasures",
    ])
      expect(isKept(`/api/${path}`), path).toBe(false);
    expect(isKept("/api/accounts/browser/v1/auth/sessions")).toBe(false);
  });

  it("serves the application's own page at its own addresses alone", () => {
    for (const path of ["/people", `/people/${ID}`, "/sign-in", "/studio"])
      expect(isShell(path), path).toBe(true);
    for (const path of ["/for/abc/", "/diary/abc.ics", "/api/clients", "/leaf.svg"])
      expect(isShell(path), path).toBe(false);
  });
});
