/** What a browser keeps for a page, for tests that run without one. */
export class Storage {
  #held = new Map<string, string>();
  get length(): number {
    return this.#held.size;
  }
  key(at: number): string | null {
    return [...this.#held.keys()][at] ?? null;
  }
  getItem(key: string): string | null {
    return this.#held.get(key) ?? null;
  }
  setItem(key: string, value: string): void {
    this.#held.set(key, value);
  }
  removeItem(key: string): void {
    this.#held.delete(key);
  }
}
