import { describe, expect, it } from "vitest";
import { Heard } from "../src/lib/api/heard";
import { KEPT, isKept, isShell } from "../src/lib/api/offline";

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

/** As much of a browser's caches as what was heard needs; `stall` holds every write until it is let go. */
function shelf() {
  const named = new Map<string, Map<string, Response>>();
  let stall = Promise.resolve();
  const caches = {
    async open(name: string) {
      if (!named.has(name)) named.set(name, new Map());
      const cache = named.get(name)!;
      return {
        put: async (request: Request, answer: Response) => {
          await stall;
          if (!named.has(name)) named.set(name, cache);
          cache.set(request.url, answer);
        },
      };
    },
    match: async (request: Request) => named.get(KEPT)?.get(request.url),
    delete: async (name: string) => named.delete(name),
  } as unknown as CacheStorage;
  return { caches, named, hold: (until: Promise<void>) => (stall = until) };
}

describe("what was heard", () => {
  const request = new Request("https://studio.example/api/diary");
  const answer = () => new Response("{}", { status: 200 });

  it("is found again until it is let go of", async () => {
    const { caches, named } = shelf();
    const heard = new Heard(caches);
    await heard.keep(heard.ask(), request, answer());
    expect(await (await heard.find(request))!.text()).toBe("{}");
    await heard.letGo();
    expect(await heard.find(request)).toBeNull();
    expect(named.has(KEPT)).toBe(false);
  });

  it("is not kept where somebody signed out between asking and the answer", async () => {
    const { caches, named } = shelf();
    const heard = new Heard(caches);
    const asked = heard.ask();
    await heard.letGo();
    await heard.keep(asked, request, answer());
    expect(named.has(KEPT)).toBe(false);
  });

  it("does not stay where somebody signed out while it was being written", async () => {
    const { caches, named, hold } = shelf();
    const heard = new Heard(caches);
    let go = () => {};
    hold(new Promise((done) => (go = done)));
    const kept = heard.keep(heard.ask(), request, answer());
    await new Promise((done) => setTimeout(done));
    await heard.letGo();
    go();
    await kept;
    expect(named.has(KEPT)).toBe(false);
  });
});
