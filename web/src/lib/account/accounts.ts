/** Accounts: signing in and out, passwords, second factors, sessions, as django-allauth answers them. */
import { patient } from "../api/patience.svelte";
import { token } from "../api/client";

const BASE = "/api/accounts/browser/v1";

interface Flow {
  id: string;
  is_pending?: boolean;
}

/** An answer: `ok` where it was done; `pending` is the step that is still to come; `said` is what was wrong, in words. */
export interface Answer<T = unknown> {
  status: number;
  ok: boolean;
  data?: T;
  meta?: Record<string, string>;
  pending?: string;
  /** Something has to be proved anew before this is done: the password, or a second factor. */
  prove: boolean;
  said: string;
}

const SAID: Record<string, string> = {
  email_password_mismatch: "This email address and password do not go together.",
  too_many_login_attempts: "Too many tries. Wait a quarter of an hour, then try again.",
  incorrect_code: "This code is not right, or has run out. Wait for the next one.",
  enter_current_password: "This is not your password.",
  incorrect_password: "This is not your password.",
  invalid_password_reset: "This address has been used, or has run out. Ask for a new one.",
  password_reset_key_expired: "This address has been used, or has run out. Ask for a new one.",
  invalid_or_expired_key: "This address has been used, or has run out. Ask for a new one.",
  unverified_email: "Confirm your email address first.",
};

/** What an answer says of what was wrong. */
function words(status: number, errors: { code?: string; message?: string }[] | undefined): string {
  const first = errors?.[0];
  if (first) return SAID[first.code ?? ""] ?? first.message ?? "This cannot be done.";
  if (status === 429) return "Too many tries. Wait a while, then try again.";
  if (status === 0) return "The server does not answer. What you typed stays here.";
  if (status === 410) return "You are not signed in any more.";
  return "This cannot be done.";
}

/** Ask the server about an account. */
export async function accounts<T = unknown>(
  method: "GET" | "POST" | "PUT" | "PATCH" | "DELETE",
  path: string,
  body?: unknown,
): Promise<Answer<T>> {
  try {
    const headers: Record<string, string> = { "Content-Type": "application/json" };
    if (method !== "GET") headers["X-CSRFToken"] = token();
    const request = new Request(`${location.origin}${BASE}${path}`, {
      method,
      headers,
      credentials: "same-origin",
      body: body === undefined ? null : JSON.stringify(body),
    });
    const answer = await patient(request);
    const told = (await answer.json().catch(() => ({}))) as {
      data?: T & { flows?: Flow[] };
      meta?: Record<string, string>;
      errors?: { code?: string; message?: string }[];
    };
    const flows = told.data?.flows ?? [];
    const pending = flows.find((flow) => flow.is_pending)?.id;
    const prove = answer.status === 401 && flows.some((flow) => flow.id.endsWith("reauthenticate"));
    return {
      status: answer.status,
      ok: answer.ok,
      ...(told.data !== undefined && { data: told.data }),
      ...(told.meta && { meta: told.meta }),
      ...(pending && { pending }),
      prove,
      said: answer.ok ? "" : words(answer.status, told.errors),
    };
  } catch {
    return { status: 0, ok: false, prove: false, said: words(0, undefined) };
  }
}
