/**
 * Answers that follow a moving hand: one question at a time, then the place the hand has come to meanwhile. A question a
 * move would never let an answer through, and two at once only wait for each other.
 */
export class Following<Question, Answer> {
  #next: Question | null = null;
  #hand: AbortController | null = null;

  constructor(
    private readonly ask: (question: Question, signal: AbortSignal) => Promise<Answer | null>,
    private readonly show: (answer: Answer) => void,
  ) {}

  /** The hand is here now. */
  move(question: Question): void {
    this.#next = question;
    if (!this.#hand) void this.#follow((this.#hand = new AbortController()).signal);
  }

  /** The hand rests: what is under way no longer counts. */
  rest(): void {
    this.#next = null;
    this.#hand?.abort();
    this.#hand = null;
  }

  async #follow(hand: AbortSignal): Promise<void> {
    while (this.#next !== null) {
      const question = this.#next;
      this.#next = null;
      const answer = await this.ask(question, hand).catch(() => null);
      // Drawing takes as long as asking does: the next question is on its way before this answer is drawn.
      setTimeout(() => {
        if (answer !== null && !hand.aborted) this.show(answer);
      });
      if (hand.aborted) return;
    }
    this.#hand = null;
  }
}
