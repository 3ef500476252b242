import { error } from "@sveltejs/kit";
import { api, ask } from "$lib/api/client";
import { studio } from "$lib/studio.svelte";
import type { PageLoad } from "./$types";

export const load: PageLoad = async () => {
  if (!studio.me) await studio.load();
  // The account comes first there.
  if (studio.me?.needs_second_factor) return { people: { total: 0, rows: [] } };
  const people = await ask(api.GET("/api/clients"));
  if ("refusal" in people) error(people.refusal.status || 503, people.refusal.message);
  return { people: people.data };
};
