/** Something asked of the look that is on, when the hand rests and somebody is looking at the answer. */
import type { Asked } from "./facts";

/** How long after the last change the question is asked, ms. */
const PAUSE = 250;

export abstract class Resting<Told> {
  told = $state.raw<Told | null>(null);
  /** What is shown belongs to the look before the last change. */
  stale = $state(false);
  trouble = $state<string | null>(null);
  #seen = false;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #asked: AbortController | null = null;

  constructor(
    readonly clientId: string,
    protected readonly asked: () => Asked,
  ) {}

  protected abstract request(
    question: Asked,
    signal: AbortSignal,
  ): Promise<{ data: Told } | { refusal: { message: string } }>;

  /** Somebody looks at it now: ask, and go on asking; the way to look away again. */
  watch(): () => void {
    this.#seen = true;
    void this.ask();
    return () => (this.#seen = false);
  }

  /** The look changed. */
  look(): void {
    clearTimeout(this.#timer);
    this.stale = true;
    if (this.#seen) this.#timer = setTimeout(() => void this.ask(), PAUSE);
  }

  async ask(): Promise<void> {
    this.#asked?.abort();
    const asked = (this.#asked = new AbortController());
    const question = this.asked();
    try {
      const told = await this.request(question, asked.signal);
      if (asked.signal.aborted) return;
      this.trouble = "refusal" in told ? told.refusal.message : null;
      if ("data" in told) this.told = told.data;
      this.stale = false;
    } catch {
      // A later question took over.
    }
  }
}
