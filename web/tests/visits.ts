/** An appointment as the diary tells it. */
import type { Appointment } from "../src/lib/diary/diary.svelte";

export const VISIT: Appointment = {
  key: "a",
  id: "a",
  version: 1,
  kind: "edit",
  title: "Edit at home",
  own_title: "",
  client_id: null,
  client: "",
  starts_at: "2026-03-02T10:00:00Z",
  local: "2026-03-02T10:00:00",
  begins: "2026-03-02T10:00:00",
  minutes: 60,
  zone: "UTC",
  members: [1],
  place: "",
  travel: 0,
  buffer: 0,
  along: "",
  note: "",
  rule: "",
  came_of: "",
  done_at: null,
  by: "",
};
