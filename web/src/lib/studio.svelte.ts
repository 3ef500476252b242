/** Who is signed in and how their studio likes things; shared by all screens. */
import { api, ask, type Refusal, type Schemas, type Unit } from "./api/client";

class Studio {
  me = $state<Schemas["Me"] | null>(null);
  /** The turned screen: numbers and weights hidden from a client beside you. */
  turned = $state(false);

  get unit(): Unit {
    return this.me?.studio.unit ?? "cm";
  }

  async load(): Promise<void> {
    const told = await ask(api.GET("/api/session"));
    this.me = "data" in told ? told.data : null;
  }

  async change(what: {
    unit?: Unit;
    schools?: Record<string, string>;
    own_list?: string[];
    muted?: string[];
    borders?: Record<string, number>;
  }): Promise<Refusal | null> {
    if (!this.me) return null;
    const told = await ask(api.PATCH("/api/studio", { body: { version: this.me.studio.version, ...what } }));
    if ("data" in told) {
      this.me.studio = told.data;
      return null;
    }
    // Somebody changed another setting meanwhile: take theirs, then make this change on top.
    if (told.refusal.status === 409 && told.refusal.current) {
      this.me.studio = told.refusal.current as Schemas["StudioOut"];
      const again = await ask(
        api.PATCH("/api/studio", { body: { version: this.me.studio.version, ...what } }),
      );
      if ("data" in again) this.me.studio = again.data;
      else return again.refusal;
      return null;
    }
    return told.refusal;
  }
}

export const studio = new Studio();
