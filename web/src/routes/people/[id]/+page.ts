import { error } from "@sveltejs/kit";
import { api, ask } from "$lib/api/client";
import type { PageLoad } from "./$types";

/** What the client's screen cannot begin without. */
export const load: PageLoad = async ({ params }) => {
  const [people, words, measures] = await Promise.all([
    ask(api.GET("/api/clients")),
    ask(api.GET("/api/words")),
    ask(api.GET("/api/measures")),
  ]);
  if ("refusal" in people) error(people.refusal.status || 503, people.refusal.message);
  if ("refusal" in words) error(words.refusal.status || 503, words.refusal.message);
  if ("refusal" in measures) error(measures.refusal.status || 503, measures.refusal.message);
  const client = people.data.find((one) => one.id === params.id);
  if (!client) error(404, "This client is not on your list.");
  return { client, words: words.data, measures: measures.data };
};
