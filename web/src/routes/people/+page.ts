import { error } from "@sveltejs/kit";
import { api, ask } from "$lib/api/client";
import type { PageLoad } from "./$types";

export const load: PageLoad = async () => {
  const people = await ask(api.GET("/api/clients"));
  if ("refusal" in people) error(people.refusal.status || 503, people.refusal.message);
  return { people: people.data };
};
