/** The one way to the server: typed by its OpenAPI document, with the token every write needs. */
import createClient, { type Middleware } from "openapi-fetch";
import { connection } from "./connection.svelte";
import { HEARD_AT } from "./offline";
import { patient } from "./patience.svelte";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type Piece = Schemas["PieceWords"];
/** Where a piece of a look goes: its slot, or, of things worn besides and of swim, its kind. */
export type Slot = string;
export type Assessment = Schemas["AssessmentOut"];
export type Finding = Schemas["FindingOut"];
export type Look = Schemas["LookOut"];
export type Reading = Schemas["ReadingOut"];
export type Unit = Schemas["StudioOut"]["unit"];

/** What the server answers when it does not do a thing. */
export interface Refusal {
  status: number;
  message: string;
  field?: string | null;
  current?: unknown;
  reason?: string;
  refused?: boolean;
  suggested_cm?: number | null;
}

export function token(): string {
  return document.cookie.match(/(?:^|; )csrftoken=([^;]+)/)?.[1] ?? "";
}

/** For whom this window was loaded; the server refuses what is asked as somebody else, so that two studios never mix. */
export const shownTo: { member: number | null } = { member: null };

const withToken: Middleware = {
  onRequest({ request }) {
    if (shownTo.member !== null) request.headers.set("Basilwood-Member", String(shownTo.member));
    if (request.method !== "GET") request.headers.set("X-CSRFToken", token());
    return request;
  },
};

export const api = createClient<paths>({ baseUrl: "", credentials: "same-origin", fetch: patient });
api.use(withToken);

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** Places that are there for whoever is not signed in. */
export const OUTSIDE = /^\/(sign-in|forgotten|join|confirm)\b/;

/** The data of an answer, or its refusal in words; a lost connection is a refusal too. */
export async function ask<T>(answer: Promise<Answer<T>>): Promise<{ data: T } | { refusal: Refusal }> {
  try {
    const { data, error, response } = await answer;
    connection.note(response, HEARD_AT);
    if (response.ok) return { data: data as T };
    const given = (typeof error === "object" ? error : {}) as Partial<Refusal>;
    if (response.status === 401 && !OUTSIDE.test(location.pathname)) {
      location.assign(`/sign-in?then=${encodeURIComponent(location.pathname)}`);
    }
    return {
      refusal: {
        ...given,
        status: response.status,
        message: given.message ?? "The server could not do this. Try again; nothing was lost.",
      },
    };
  } catch (error) {
    if (error instanceof DOMException && error.name === "AbortError") throw error;
    return { refusal: { status: 0, message: "The server does not answer. What you typed stays here." } };
  }
}
