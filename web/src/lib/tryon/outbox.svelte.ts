/**
 * What was done at a fitting and has not reached the server yet. It is kept on this device until it has, survives
 * a closed tab, and goes out in the order it was done. Each thing carries its own identity, so that what arrives
 * twice is done once.
 */
import { api, ask, type Refusal, type Schemas } from "../api/client";

export type Unsent =
  | { kind: "begin"; fitting: string; body: Schemas["FittingIn"] }
  | { kind: "trial"; fitting: string; trial: string; title: string; body: Schemas["TrialIn"] }
  | { kind: "end"; fitting: string };
export interface Item {
  key: string;
  what: Unsent;
  /** Why the server did not take it; it waits for the stylist then. */
  refused?: string;
}

const AGAIN_MS = 3000;

export class Outbox {
  items = $state.raw<Item[]>([]);
  /** The server did not answer the last time it was asked. */
  away = $state(false);
  #busy = false;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    readonly clientId: string,
    readonly member: string,
    private readonly onsent: (what: Unsent, told: unknown) => void,
  ) {
    this.#look();
  }

  /** Those that wait for the connection, and those that wait for the stylist. */
  readonly waiting = $derived(this.items.filter((item) => !item.refused));
  readonly refused = $derived(this.items.filter((item) => item.refused));

  get #prefix(): string {
    return `basilwood.unsent.${this.member}.${this.clientId}.`;
  }

  /** Keep it here, and send it as soon as that goes. */
  async add(what: Unsent): Promise<void> {
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
      const told = await this.#one(item.what);
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

  #one(what: Unsent): Promise<{ data: unknown } | { refusal: Refusal }> {
    switch (what.kind) {
      case "begin": {
        const path = { client_id: this.clientId, fitting_id: what.fitting };
        return ask(
          api.PUT("/api/clients/{client_id}/fittings/{fitting_id}", { params: { path }, body: what.body }),
        );
      }
      case "trial": {
        const path = { fitting_id: what.fitting, trial_id: what.trial };
        return ask(
          api.PUT("/api/fittings/{fitting_id}/trials/{trial_id}", { params: { path }, body: what.body }),
        );
      }
      default:
        return ask(
          api.POST("/api/fittings/{fitting_id}/end", { params: { path: { fitting_id: what.fitting } } }),
        );
    }
  }

  /** What is kept on this device, this tab's and others', in the order it was done. */
  #look(): void {
    const keys = Array.from({ length: localStorage.length }, (_, at) => localStorage.key(at) ?? "");
    this.items = keys
      .filter((key) => key.startsWith(this.#prefix))
      .toSorted()
      .map((key) => ({ key, ...(JSON.parse(localStorage.getItem(key) ?? "{}") as Omit<Item, "key">) }));
  }
}
