/** One line at the foot of the screen that says what just happened, and how to take it back. */
class Notice {
  text = $state<string | null>(null);
  act = $state<{ name: string; run: () => void } | null>(null);
  #timer: ReturnType<typeof setTimeout> | undefined;

  say(text: string, act: { name: string; run: () => void } | null = null): void {
    this.text = text;
    this.act = act;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => this.clear(), 8000);
  }

  clear(): void {
    this.text = this.act = null;
  }
}

export const notice = new Notice();
