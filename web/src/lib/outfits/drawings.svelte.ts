/** Looks drawn on a client's body: asked for once each, several with one question. */
import { api, ask, type Schemas } from "../api/client";

export type DrawnLook = Schemas["EditLookOut"];

/** How many looks are drawn with one question. */
const AT_ONCE = 12;

export class Drawings {
  drawn = $state.raw<Record<string, Schemas["DrawnLookOut"]>>({});
  #asked = new Set<string>();

  constructor(private clientId: string) {}

  async draw(looks: DrawnLook[]): Promise<void> {
    const wanted = looks.filter((look) => !this.#asked.has(look.key));
    wanted.forEach((look) => this.#asked.add(look.key));
    for (let at = 0; at < wanted.length; at += AT_ONCE) await this.#some(wanted.slice(at, at + AT_ONCE));
  }

  async #some(wanted: DrawnLook[]): Promise<void> {
    const body = { looks: wanted.map((look) => look.pieces.map((piece) => piece.words)) };
    const params = { path: { client_id: this.clientId } };
    const told = await ask(api.POST("/api/clients/{client_id}/outfits/drawn", { params, body }));
    if (!("data" in told)) {
      wanted.forEach((look) => this.#asked.delete(look.key));
      return;
    }
    const more = wanted.flatMap((look, i) =>
      told.data.looks[i] ? [[look.key, told.data.looks[i]] as const] : [],
    );
    this.drawn = { ...this.drawn, ...Object.fromEntries(more) };
  }
}
