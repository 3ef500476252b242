/** The list of clients, a page at a time, as far as it has been asked for. */
import { api, ask, type Refusal, type Schemas } from "../api/client";

const PAUSE = 120;

export class PeopleList {
  sought = $state("");
  /** What the rows shown were found by. */
  found = $state("");
  total = $state(0);
  rows = $state.raw<Schemas["ClientRow"][]>([]);
  trouble = $state<string | null>(null);
  busy = $state(false);

  #timer: ReturnType<typeof setTimeout> | undefined;
  #asked: AbortController | null = null;

  constructor(first: Schemas["ClientList"]) {
    this.total = first.total;
    this.rows = first.rows;
  }

  /** Find by part of a name or note, a moment after the last letter. */
  find(sought: string): void {
    this.sought = sought;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.refresh(), PAUSE);
  }

  /** The same stretch of the list anew. */
  async refresh(): Promise<void> {
    await this.#ask(0, Math.max(this.rows.length, 60), []);
  }

  async more(): Promise<void> {
    await this.#ask(this.rows.length, 60, this.rows);
  }

  async #ask(offset: number, limit: number, before: Schemas["ClientRow"][]): Promise<void> {
    this.#asked?.abort();
    const asked = (this.#asked = new AbortController());
    const q = this.sought.trim();
    this.busy = true;
    try {
      const told: { data: Schemas["ClientList"] } | { refusal: Refusal } = await ask(
        api.GET("/api/clients", { params: { query: { q, offset, limit } }, signal: asked.signal }),
      );
      if (asked.signal.aborted) return;
      if ("data" in told) {
        this.total = told.data.total;
        this.rows = [...before, ...told.data.rows];
        this.found = q;
        this.trouble = null;
      } else this.trouble = told.refusal.message;
      this.busy = false;
    } catch {
      // A later question took over.
    }
  }
}
