/** Something about an account is asked for; where the server wants it proved anew who asks, that comes first. */
import type { Answer } from "./accounts";

export class Proving {
  /** What waits until it is proved who asks. */
  waits = $state.raw<(() => void) | null>(null);

  /** Ask, and once more after proof; the answer, or null where it was left. */
  async ask<T>(question: () => Promise<Answer<T>>): Promise<Answer<T> | null> {
    const told = await question();
    if (!told.prove) return told;
    const proved = await new Promise<boolean>((resolve) => {
      this.#answer = resolve;
      this.waits = () => resolve(true);
    });
    this.waits = null;
    return proved ? await question() : null;
  }

  #answer: (proved: boolean) => void = () => undefined;
  leave = (): void => this.#answer(false);
}
