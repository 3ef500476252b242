/** The look that is on, from the side and from behind. */
import { api, ask, type Schemas } from "../api/client";
import type { Asked } from "./facts";
import { Resting } from "./resting.svelte";

export class Profile extends Resting<Schemas["ProfileOut"]> {
  protected async request(body: Asked, signal: AbortSignal) {
    const params = { path: { client_id: this.clientId } };
    const told = await ask(api.POST("/api/clients/{client_id}/profile", { params, body, signal }));
    return "data" in told ? { data: told.data } : told;
  }
}
