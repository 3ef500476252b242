/** In how many good looks each piece of the rack stands; renewed behind the screen when something has changed. */
import { api, ask, type Schemas } from "../api/client";
import { POLL, settled, wished } from "./wish";

export class Counts {
  of = $state.raw<Record<string, Schemas["PieceCountOut"]>>({});
  /** The figures are those of before the last change. */
  stale = $state(false);
  #seen = false;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(readonly clientId: string) {}

  /** Somebody looks at the rack: tell what is known, and have it renewed; the way to look away. */
  watch(): () => void {
    this.#seen = true;
    void this.load();
    return () => {
      this.#seen = false;
      clearTimeout(this.#timer);
    };
  }

  async load(renew = true): Promise<void> {
    const params = { path: { client_id: this.clientId } };
    const told = await ask(api.GET("/api/clients/{client_id}/outfits/counts", { params }));
    if (!("data" in told)) return;
    this.of = Object.fromEntries(told.data.pieces.map((piece) => [piece.piece_id, piece]));
    this.stale = told.data.stale;
    if (renew && this.#seen && (told.data.stale || !told.data.known)) await this.#renew();
  }

  async #renew(): Promise<void> {
    const params = { path: { client_id: this.clientId } };
    const told = await ask(api.POST("/api/clients/{client_id}/outfits", { params, body: wished() }));
    if ("data" in told) this.#follow(told.data);
  }

  #follow(search: Schemas["SearchOut"]): void {
    if (settled(search.state)) {
      void this.load(false);
      return;
    }
    if (!this.#seen) return;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#look(search.id), 2 * POLL);
  }

  async #look(id: string): Promise<void> {
    const told = await ask(api.GET("/api/outfits/{search_id}", { params: { path: { search_id: id } } }));
    if ("data" in told) this.#follow(told.data);
  }
}
