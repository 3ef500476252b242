/** Looks held up side by side: two to four, judged together. */
import { api, ask, type Look, type Schemas } from "../api/client";
import { askedOf } from "./facts";

export const MOST = 4;

export class Compare {
  held = $state.raw<Look[]>([]);
  told = $state.raw<Schemas["ComparedOut"] | null>(null);
  trouble = $state<string | null>(null);

  constructor(readonly clientId: string) {}

  has(look: Look): boolean {
    return this.held.some((one) => one.id === look.id);
  }

  /** Hold a look up, or put it down again. */
  async toggle(look: Look): Promise<void> {
    this.held = this.has(look)
      ? this.held.filter((one) => one.id !== look.id)
      : [...this.held, look].slice(-MOST);
    await this.ask();
  }

  async clear(): Promise<void> {
    this.held = [];
    this.told = null;
  }

  async ask(): Promise<void> {
    if (this.held.length < 2) {
      this.told = null;
      return;
    }
    const held = this.held;
    const body = { looks: held.map(askedOf) };
    const params = { path: { client_id: this.clientId } };
    const told = await ask(api.POST("/api/clients/{client_id}/compare", { params, body }));
    // Others are held up by now: their answer is on its way.
    if (held !== this.held) return;
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) this.told = told.data;
  }
}
