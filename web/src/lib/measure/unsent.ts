/** What a measuring session hands in, one after the other, and how it looks while it waits. */
import { api, ask, type Schemas } from "../api/client";
import type { Sent } from "../api/outbox.svelte";

export type Unsent =
  | { kind: "begin"; body: Schemas["SessionIn"] }
  | { kind: "reading"; body: Schemas["ReadingIn"]; label: string }
  | { kind: "end"; session: number; how: "finished" | "stopped" };

/** A session that only this device knows has this number. */
const BEGUN_HERE = 0;

/** Hand one in. A session that was begun here is ended under the number that the server gave it. */
export async function sendMeasuring(clientId: string, what: Unsent): Promise<Sent> {
  const path = { client_id: clientId };
  if (what.kind === "begin")
    return await ask(api.POST("/api/clients/{client_id}/sessions", { params: { path }, body: what.body }));
  if (what.kind === "reading")
    return await ask(api.POST("/api/clients/{client_id}/readings", { params: { path }, body: what.body }));
  let session_id = what.session;
  if (session_id === BEGUN_HERE) {
    const desk = await ask(api.GET("/api/clients/{client_id}/desk", { params: { path } }));
    if ("refusal" in desk) return desk;
    if (!desk.data.session) return desk;
    session_id = desk.data.session.id;
  }
  return await ask(
    api.POST("/api/clients/{client_id}/sessions/{session_id}/end", {
      params: { path: { ...path, session_id } },
      body: { how: what.how },
    }),
  );
}

/** A session as the screen shows it before the server knows it. */
export function begunHere(body: Schemas["SessionIn"], by: string): Schemas["SessionOut"] {
  return {
    id: BEGUN_HERE,
    started_at: new Date().toISOString(),
    ended_at: null,
    ended: "",
    taken_by: by,
    protocol: body.protocol,
    side: body.side ?? "right",
    twice: body.twice ?? true,
    agreed: body.consent.agreed ?? [],
    present: body.consent.present ?? "",
    guardian: body.consent.guardian ?? "",
  };
}

/** A reading as the screen shows it before the server knows it. */
export function pendingReading(body: Schemas["ReadingIn"], by: string): Schemas["ReadingOut"] {
  return {
    id: body.id,
    measure: body.measure,
    cm: 0,
    typed: body.typed,
    source: body.source ?? "typed",
    said: body.said ?? false,
    checked: body.checked ?? false,
    set_aside: body.set_aside ?? false,
    withdrawn: false,
    taken_at: new Date().toISOString(),
    taken_by: by,
  };
}
