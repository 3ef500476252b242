/** What the other schools would say of the look that is on. */
import { api, ask, type Schemas } from "../api/client";
import type { Asked } from "./facts";
import { Resting } from "./resting.svelte";

export type View = Schemas["OtherViewOut"];

export class Views extends Resting<View[]> {
  protected async request(body: Asked, signal: AbortSignal) {
    const params = { path: { client_id: this.clientId } };
    const told = await ask(api.POST("/api/clients/{client_id}/views", { params, body, signal }));
    return "data" in told ? { data: told.data.views } : told;
  }
}
