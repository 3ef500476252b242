/** Ways to mend the look: what is free, what the rack has, what a tailor does, what is to be bought. */
import { api, ask, type Schemas } from "../api/client";
import type { Change } from "./composition.svelte";
import type { Asked } from "./facts";
import { Resting } from "./resting.svelte";

export type Way = Schemas["RemedyOut"];

export class Ways extends Resting<Way[]> {
  protected async request(body: Asked, signal: AbortSignal) {
    const params = { path: { client_id: this.clientId } };
    const told = await ask(api.POST("/api/clients/{client_id}/remedies", { params, body, signal }));
    return "data" in told ? { data: told.data.remedies } : told;
  }
}

/** A way's steps as changes of the look. */
export const changesOf = (way: Way): Change[] =>
  way.steps.map((step) => ({
    slot: step.slot,
    words: step.change,
    whole: step.piece_id !== null && step.piece_id !== undefined,
    rackId: step.piece_id ?? null,
  }));

/** A way in one sentence. */
export const inWords = (way: Way): string => way.steps.map((step) => step.text).join(" ");
