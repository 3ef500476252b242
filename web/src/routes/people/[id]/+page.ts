import { error } from "@sveltejs/kit";
import { api, ask, type Refusal } from "$lib/api/client";
import { studio } from "$lib/studio.svelte";
import type { PageLoad } from "./$types";

/** The data of an answer; a refusal becomes the error page. */
function given<T>(told: { data: T } | { refusal: Refusal }, missing?: string): T {
  if ("data" in told) return told.data;
  const { status, message } = told.refusal;
  error(status || 503, status === 404 && missing ? missing : message);
}

/** What the client's screen cannot begin without. */
export const load: PageLoad = async ({ params, depends }) => {
  depends("studio:measuring");
  // The front desk has names, and how people are reached.
  if (!studio.me) await studio.load();
  if (!studio.may("work")) return { id: params.id, work: null };
  const [client, words, known, briefWords] = await Promise.all([
    ask(api.GET("/api/clients/{client_id}", { params: { path: { client_id: params.id } } })),
    ask(api.GET("/api/words")),
    ask(api.GET("/api/measuring")),
    ask(api.GET("/api/brief/words")),
  ]);
  return {
    id: params.id,
    work: {
      client: given(client, "This client is not on your list."),
      words: given(words),
      known: given(known),
      briefWords: given(briefWords),
    },
  };
};
