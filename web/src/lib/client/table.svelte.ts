/** The client on floor and rule: measures, the look, and what the engine says of both. */
import { api, ask, type Assessment, type Reading, type Schemas, type Slot } from "../api/client";
import { studio } from "../studio.svelte";
import { Draft } from "./draft.svelte";
import { History } from "./history.svelte";

export interface Doubt {
  typed: string;
  message: string;
  suggestedCm: number | null;
  refused: boolean;
  /** Somebody else's reading, when they were quicker. */
  theirs?: Reading | null;
}

export class Desk {
  history = new History();
  readings = $state<Record<string, Reading>>({});
  doubts = $state<Record<string, Doubt>>({});
  assessment = $state.raw<Assessment | null>(null);
  /** The words the assessment on screen belongs to are older than the words chosen. */
  pending = $state(false);
  trouble = $state<string | null>(null);
  draft: Draft;

  #asked: AbortController | null = null;

  constructor(
    readonly clientId: string,
    readonly words: Schemas["Vocabulary"],
    readonly measures: Schemas["MeasureWord"][],
  ) {
    const slotOf = (kind: string) =>
      (Object.keys(words.kinds) as Slot[]).find((slot) => words.kinds[slot]?.includes(kind));
    this.draft = new Draft(clientId, slotOf, this.history, () => void this.assess());
  }

  async load(): Promise<string | null> {
    const path = { params: { path: { client_id: this.clientId } } };
    const [readings, looks] = await Promise.all([
      ask(api.GET("/api/clients/{client_id}/readings", path)),
      ask(api.GET("/api/clients/{client_id}/looks", path)),
    ]);
    if ("refusal" in readings) return readings.refusal.message;
    if ("refusal" in looks) return looks.refusal.message;
    this.readings = Object.fromEntries(readings.data.map((reading) => [reading.measure, reading]));
    this.draft.looks = looks.data;
    const first = looks.data[0];
    if (first) await this.draft.open(first);
    else await this.assess();
    return null;
  }

  /** Ask the engine; only the latest question's answer is shown. */
  async assess(): Promise<void> {
    this.#asked?.abort();
    const asked = (this.#asked = new AbortController());
    this.pending = true;
    try {
      const told = await ask(
        api.POST("/api/clients/{client_id}/assess", {
          params: { path: { client_id: this.clientId } },
          body: { pieces: this.draft.list },
          signal: asked.signal,
        }),
      );
      if (asked.signal.aborted) return;
      if ("data" in told) {
        this.assessment = told.data;
        this.trouble = null;
      } else this.trouble = told.refusal.message;
      this.pending = false;
    } catch {
      // A later question took over.
    }
  }

  /** Take a reading as typed; empty text withdraws the measure. True when it was kept. */
  async take(measure: string, typed: string, checked = false): Promise<boolean> {
    const before = this.readings[measure];
    const kept = await this.#post(measure, typed, checked, studio.unit);
    if (!kept) return false;
    const now = this.readings[measure];
    this.history.add({
      name: measure.replaceAll("_", " "),
      undo: () => this.#back(measure, before),
      redo: () => this.#back(measure, now),
    });
    return true;
  }

  async #back(measure: string, to: Reading | undefined): Promise<void> {
    await this.#post(measure, to ? String(to.cm) : "", true, "cm");
  }

  async #post(measure: string, typed: string, checked: boolean, unit: "cm" | "in"): Promise<boolean> {
    const after = this.readings[measure]?.id ?? null;
    const told = await ask(
      api.POST("/api/clients/{client_id}/readings", {
        params: { path: { client_id: this.clientId } },
        body: { measure, typed, unit, after, checked },
      }),
    );
    if ("data" in told) {
      delete this.doubts[measure];
      if (told.data.reading) this.readings[measure] = told.data.reading;
      else delete this.readings[measure];
      void this.assess();
      return true;
    }
    const { refusal } = told;
    const doubt: Doubt = {
      typed,
      message: refusal.message,
      suggestedCm: refusal.suggested_cm ?? null,
      refused: refusal.refused ?? true,
    };
    if (refusal.status === 409) doubt.theirs = (refusal.current as Reading | null) ?? null;
    this.doubts[measure] = doubt;
    return false;
  }

  /** Somebody was quicker: take their reading into account, then keep mine over it. */
  async keepMine(measure: string): Promise<boolean> {
    const doubt = this.doubts[measure];
    if (!doubt) return false;
    this.#accept(measure, doubt.theirs);
    return this.take(measure, doubt.typed);
  }

  takeTheirs(measure: string): void {
    this.#accept(measure, this.doubts[measure]?.theirs);
    delete this.doubts[measure];
    void this.assess();
  }

  #accept(measure: string, theirs: Reading | null | undefined): void {
    if (theirs) this.readings[measure] = theirs;
    else delete this.readings[measure];
  }
}
