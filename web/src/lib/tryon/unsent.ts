/** What a fitting hands in, one after the other. */
import { api, ask, type Schemas } from "../api/client";
import type { Sent } from "../api/outbox.svelte";

export type Unsent =
  | { kind: "begin"; fitting: string; body: Schemas["FittingIn"] }
  | { kind: "trial"; fitting: string; trial: string; title: string; body: Schemas["TrialIn"] }
  | { kind: "end"; fitting: string };

/** Hand one in. */
export function sendFitting(clientId: string, what: Unsent): Promise<Sent> {
  switch (what.kind) {
    case "begin": {
      const path = { client_id: clientId, fitting_id: what.fitting };
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
