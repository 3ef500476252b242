/** Who is signed in and how their studio likes things; shared by all screens. */
import { forget } from "./api/offline";
import { api, ask, shownTo, type Refusal, type Schemas, type Unit } from "./api/client";

export type Right = Schemas["Me"]["rights"][number];
type Settings = Omit<Schemas["StudioChange"] & Schemas["DeskChange"], "version">;

class Studio {
  me = $state<Schemas["Me"] | null>(null);
  /** The turned screen: numbers and weights hidden from a client beside you. */
  turned = $state(false);

  get unit(): Unit {
    return this.me?.studio.unit ?? "cm";
  }

  /** Whether one's role has a right here. What it may not do is not shown. */
  may(right: Right): boolean {
    return this.me?.rights.includes(right) ?? false;
  }

  /** From now on this is who works here: what is asked for is asked for as them. */
  enter(me: Schemas["Me"] | null): void {
    // What somebody else heard here is not theirs.
    if (this.me && me?.member !== this.me.member) void forget();
    this.me = me;
    shownTo.member = me?.member ?? null;
  }

  /** Find out who is signed in; what was wrong where somebody is and may not go on. */
  async load(): Promise<Refusal | null> {
    const told = await ask(api.GET("/api/session"));
    this.enter("data" in told ? told.data : null);
    return "refusal" in told && told.refusal.status !== 401 ? told.refusal : null;
  }

  /** Work for another studio of this account. */
  async workFor(member: number): Promise<Refusal | null> {
    const told = await ask(api.POST("/api/session/studio", { body: { member } }));
    if ("refusal" in told) return told.refusal;
    this.enter(told.data);
    return null;
  }

  async change(what: Partial<Settings>): Promise<Refusal | null> {
    if (!this.me) return null;
    const told = await this.#put(what);
    if ("data" in told) {
      this.me.studio = told.data;
      return null;
    }
    // Somebody changed another setting meanwhile: take theirs, then make this change on top.
    if (told.refusal.status === 409 && told.refusal.current) {
      this.me.studio = told.refusal.current as Schemas["StudioOut"];
      const again = await this.#put(what);
      if ("refusal" in again) return again.refusal;
      this.me.studio = again.data;
      return null;
    }
    return told.refusal;
  }

  #put(what: Partial<Settings>) {
    const body = { version: this.me?.studio.version ?? 0, ...what };
    return "unit" in what || "own_list" in what
      ? ask(api.PATCH("/api/studio/desk", { body }))
      : ask(api.PATCH("/api/studio", { body }));
  }
}

export const studio = new Studio();
