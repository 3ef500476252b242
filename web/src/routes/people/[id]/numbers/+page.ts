import { error } from "@sveltejs/kit";
import { api, ask } from "$lib/api/client";
import type { PageLoad } from "./$types";

export const load: PageLoad = async ({ params }) => {
  const told = await ask(
    api.GET("/api/clients/{client_id}/shopping", { params: { path: { client_id: params.id } } }),
  );
  if ("refusal" in told) {
    const missing = told.refusal.status === 404;
    error(told.refusal.status || 503, missing ? "This client is not on your list." : told.refusal.message);
  }
  return { id: params.id, numbers: told.data };
};
