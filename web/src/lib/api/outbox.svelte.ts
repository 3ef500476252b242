/**
 * What was done and has not reached the server yet. It is kept on this device until it has, survives a closed tab, and goes out in
 * the order it was done. Each thing carries its own identity, so that what arrives twice is done once.
 */
import type { Refusal } from "./client";

export interface Item<What> {
  key: string;
  what: What;
  /** Why the server did not take it; it waits for the stylist then. */
  refused?: string;
}
export type Sent = { data: unknown } | { refusal: Refusal };

const AGAIN_MS = 3000;

export class Outbox<What> {
  items = $state.raw<Item<What>[]>([]);
  /** The server did not answer the last time it was asked. */
  away = $state(false);
  #busy = false;
  #timer: ReturnType<typeof setTimeout> | undefined;
  readonly #prefix: string;

  /** `of` says what it is the outbox of, and of whom. */
  constructor(
    of: string,
    readonly member: string,
    private readonly send: (what: What) => Promise<Sent>,
    private readonly onsent: (what: What, told: unknown) => void,
  ) {
    this.#prefix = `basilwood.unsent.${member}.${of}.`;
    this.#look();
    // What an earlier page left waiting goes out without being asked.
    if (this.items.some((item) => !item.refused)) this.#timer = setTimeout(() => void this.flush(), AGAIN_MS);
  }

  /** Those that wait for the connection, and those that wait for the stylist. */
  readonly waiting = $derived(this.items.filter((item) => !item.refused));
  readonly refused = $derived(this.items.filter((item) => item.refused));

  /** Keep it here, and send it as soon as that goes. */
  async add(what: What): Promise<void> {
    const at = String(Date.now()).padStart(15, "0");
    const key = `${this.#prefix}${at}.${String(this.items.length).padStart(4, "0")}.${crypto.randomUUID()}`;
    localStorage.setItem(key, JSON.stringify({ what }));
    this.#look();
    await this.flush();
  }

  /** Take one back that was refused or has not gone yet. */
  drop(key: string): void {
    localStorage.removeItem(key);
    this.#look();
  }

  /** Send one that was refused once more, as it is meant now. */
  async again(key: string, what: What): Promise<void> {
    localStorage.setItem(key, JSON.stringify({ what }));
    await this.flush();
  }

  /** Send what waits, oldest first; once at a time, over all tabs of this device. */
  async flush(): Promise<void> {
    if (this.#busy) return;
    this.#busy = true;
    try {
      if ("locks" in navigator) await navigator.locks.request("basilwood-unsent", () => this.#send());
      else await this.#send();
    } finally {
      this.#busy = false;
    }
    clearTimeout(this.#timer);
    if (this.waiting.length) this.#timer = setTimeout(() => void this.flush(), AGAIN_MS);
  }

  close(): void {
    clearTimeout(this.#timer);
  }

  async #send(): Promise<void> {
    this.#look();
    for (let item = this.waiting[0]; item; item = this.waiting[0]) {
      const told = await this.send(item.what);
      if ("refusal" in told) {
        this.away = told.refusal.status === 0 || told.refusal.status >= 500;
        // Signed out or no answer: it waits. Anything else is for the stylist to look at.
        if (this.away || told.refusal.status === 401 || told.refusal.status === 403) return;
        localStorage.setItem(item.key, JSON.stringify({ what: item.what, refused: told.refusal.message }));
        this.#look();
        continue;
      }
      this.away = false;
      localStorage.removeItem(item.key);
      this.#look();
      this.onsent(item.what, told.data);
    }
  }

  /** What is kept on this device, this tab's and others', in the order it was done. */
  #look(): void {
    const keys = Array.from({ length: localStorage.length }, (_, at) => localStorage.key(at) ?? "");
    this.items = keys
      .filter((key) => key.startsWith(this.#prefix))
      .toSorted()
      .map((key) => ({ key, ...(JSON.parse(localStorage.getItem(key) ?? "{}") as Omit<Item<What>, "key">) }));
  }
}
