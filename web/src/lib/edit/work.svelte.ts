/** Long work of the edit: asked for, looked after while it goes on, brought when it is done, given up. */
import { api, ask, type Schemas } from "../api/client";
import { POLL, settled } from "../outfits/wish";

export type Job = Schemas["JobOut"];
type Answer<T> = { data: T } | { refusal: { message: string } };

export class Work<T extends { job: Job }> {
  told = $state.raw<T | null>(null);
  trouble = $state<string | null>(null);
  #asked = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;

  /** `bring` asks the server: it answers what is known, and has the rest found. */
  constructor(private bring: () => Promise<Answer<T>>) {}

  readonly job = $derived(this.told?.job ?? null);
  readonly busy = $derived(this.job !== null && !settled(this.job.state));
  readonly done = $derived(this.job?.state === "done");
  /** What was found last: it stands, as of before, while it is found anew. */
  #last = $state.raw<T | null>(null);
  readonly shown = $derived(this.done ? this.told : this.#last);

  async ask(): Promise<void> {
    const asked = ++this.#asked;
    clearTimeout(this.#timer);
    const told = await this.bring();
    if (asked !== this.#asked) return;
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if (!("data" in told)) return;
    this.told = told.data;
    if (this.done) this.#last = told.data;
    if (this.busy) this.#later(asked, told.data.job.id);
  }

  #later(asked: number, id: string): void {
    this.#timer = setTimeout(() => void this.#look(asked, id), POLL);
  }

  async #look(asked: number, id: string): Promise<void> {
    const told = await ask(api.GET("/api/edit/{search_id}", { params: { path: { search_id: id } } }));
    if (asked !== this.#asked) return;
    if ("data" in told && settled(told.data.state)) {
      await this.ask();
      return;
    }
    if ("data" in told && this.told) this.told = { ...this.told, job: told.data };
    this.#later(asked, id);
  }

  /** Nobody looks any more: it goes on by itself, and stands when somebody asks again. */
  leave(): void {
    this.#asked += 1;
    clearTimeout(this.#timer);
  }

  async stop(): Promise<void> {
    const id = this.job?.id;
    if (!id) return;
    this.leave();
    const told = await ask(api.POST("/api/edit/{search_id}/cancel", { params: { path: { search_id: id } } }));
    if ("data" in told && this.told) this.told = { ...this.told, job: told.data };
  }
}
