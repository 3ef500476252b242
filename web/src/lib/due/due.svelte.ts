/** What is due: alterations, other sizes and returns with their dates, of one client or of the whole studio. */
import { api, ask, type Schemas } from "../api/client";

export type Errand = Schemas["ErrandOut"];

export class DueList {
  errands = $state.raw<Errand[] | null>(null);
  trouble = $state<string | null>(null);

  constructor(readonly clientId: string | null) {}

  readonly due = $derived((this.errands ?? []).filter((one) => !one.done_at));
  readonly done = $derived((this.errands ?? []).filter((one) => one.done_at));

  async load(): Promise<void> {
    const told = await ask(
      this.clientId
        ? api.GET("/api/clients/{client_id}/errands", { params: { path: { client_id: this.clientId } } })
        : api.GET("/api/errands"),
    );
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) this.errands = told.data.errands;
  }

  /** Tick it off, or take that back. */
  async tick(errand: Errand, done: boolean): Promise<boolean> {
    const params = { path: { errand_id: errand.id } };
    const told = await ask(
      done
        ? api.POST("/api/errands/{errand_id}/done", { params })
        : api.DELETE("/api/errands/{errand_id}/done", { params }),
    );
    return this.#took(told);
  }

  async move(errand: Errand, due_on: string): Promise<boolean> {
    const params = { path: { errand_id: errand.id } };
    const body = { version: errand.version, due_on: due_on || null };
    return this.#took(await ask(api.PATCH("/api/errands/{errand_id}", { params, body })));
  }

  async remove(errand: Errand): Promise<boolean> {
    const told = await ask(
      api.DELETE("/api/errands/{errand_id}", { params: { path: { errand_id: errand.id } } }),
    );
    if ("refusal" in told) {
      this.trouble = told.refusal.message;
      return false;
    }
    this.errands = (this.errands ?? []).filter((one) => one.id !== errand.id);
    return true;
  }

  async restore(errand: Errand): Promise<void> {
    await ask(api.POST("/api/errands/{errand_id}/restore", { params: { path: { errand_id: errand.id } } }));
    await this.load();
  }

  #took(told: { data: Errand } | { refusal: { message: string; current?: unknown } }): boolean {
    const now = "data" in told ? told.data : (told.refusal.current as Errand | undefined);
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if (now) this.errands = (this.errands ?? []).map((one) => (one.id === now.id ? now : one));
    return "data" in told;
  }
}

/** How a date stands to today: late, today, in so many days. */
export function stands(due: string | null, today = new Date()): string {
  if (!due) return "no date";
  const days = Math.round((Date.parse(due) - Date.parse(today.toISOString().slice(0, 10))) / 86_400_000);
  if (days < 0) return days === -1 ? "one day late" : `${-days} days late`;
  return days === 0 ? "today" : days === 1 ? "tomorrow" : `in ${days} days`;
}
