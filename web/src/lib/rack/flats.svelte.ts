/** The flats of a rack, drawn where they are looked at: a page of them at a time, asked for by the first that is seen. */
import { SvelteMap, SvelteSet } from "svelte/reactivity";
import { api, ask, type Schemas } from "../api/client";

/** How soon a page that was refused is asked for again, and at the latest, ms. */
const AGAIN = 2000;
const LONGEST = 60_000;

type Shapes = Schemas["DrawnShape"][];
type Hanging = Pick<Schemas["RackPieceOut"], "id" | "flat">;

export class Flats {
  #drawn = new SvelteMap<string, Shapes>();
  #asked = new SvelteSet<number>();
  #order = new Map<string, number>();
  #page = 1;

  constructor(readonly clientId: string) {}

  /** The rack was read: what was drawn before stays in sight until it is drawn anew. */
  async begin(pieces: Hanging[], page: number): Promise<void> {
    this.#order = new Map(pieces.map((piece, at) => [piece.id, at]));
    this.#page = page;
    const again = [...this.#asked];
    const old = new Set(this.#drawn.keys());
    this.#asked.clear();
    const told = await Promise.all(again.map((one) => this.#ask(one)));
    if (told.includes(null)) return;
    for (const id of told.flat()) if (id) old.delete(id);
    // What hangs elsewhere now waits to be seen.
    for (const id of old) this.#drawn.delete(id);
  }

  /** A piece's flat: that which came with it, else that of its page; none before that is there. */
  of(piece: Hanging): Shapes {
    return piece.flat.length ? piece.flat : (this.#drawn.get(piece.id) ?? []);
  }

  /** A piece is seen that has no flat yet. */
  async want(id: string): Promise<void> {
    const at = this.#order.get(id);
    if (at === undefined || this.#drawn.has(id)) return;
    let page = Math.floor(at / this.#page);
    // Pieces that cannot be read are not counted here: behind them a flat lies a page further on.
    while (!this.#drawn.has(id) && !this.#asked.has(page) && (await this.#ask(page))?.length) page++;
  }

  /** Ask for a page: of which pieces it told; null where it was refused, and then it is asked for again by itself. */
  async #ask(page: number, pause = AGAIN): Promise<string[] | null> {
    this.#asked.add(page);
    const params = { path: { client_id: this.clientId }, query: { page } };
    const told = await ask(api.GET("/api/clients/{client_id}/rack/flats", { params }));
    if ("refusal" in told) {
      // What is in sight stays empty until it comes: nobody scrolls away and back for it.
      setTimeout(() => void this.#ask(page, Math.min(2 * pause, LONGEST)), pause);
      return null;
    }
    for (const { id, flat } of told.data.flats) this.#drawn.set(id, flat);
    return told.data.flats.map((one) => one.id);
  }
}
