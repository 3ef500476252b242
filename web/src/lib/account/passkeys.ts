/** Passkeys: what the browser's own dialogue makes and shows, between JSON and bytes. */
import { accounts, type Answer } from "./accounts";

/** Whether this browser and this address can do it. */
export const canPasskey = (): boolean =>
  typeof PublicKeyCredential !== "undefined" &&
  typeof PublicKeyCredential.parseCreationOptionsFromJSON === "function";

const GIVEN_UP = "No passkey was given. Try again, or go another way.";

async function shown<T>(ask: () => Promise<Credential | null>, then: (told: unknown) => Promise<Answer<T>>) {
  try {
    const made = (await ask()) as PublicKeyCredential | null;
    if (made) return await then(made.toJSON());
  } catch {
    // The dialogue was closed, or the device has none.
  }
  return { status: 0, ok: false, prove: false, said: GIVEN_UP } satisfies Answer<T>;
}

interface Options<T> {
  creation_options?: { publicKey: T };
  request_options?: { publicKey: T };
}

/** Sign in with a passkey, or prove anew that it is you (`reauthenticate`), or as the second step (`authenticate`). */
export async function showPasskey(way: "login" | "authenticate" | "reauthenticate"): Promise<Answer> {
  const asked = await accounts<Options<PublicKeyCredentialRequestOptionsJSON>>(
    "GET",
    `/auth/webauthn/${way}`,
  );
  const options = asked.data?.request_options?.publicKey;
  if (!options) return asked;
  const publicKey = PublicKeyCredential.parseRequestOptionsFromJSON(options);
  return await shown(
    () => navigator.credentials.get({ publicKey }),
    (credential) => accounts("POST", `/auth/webauthn/${way}`, { credential }),
  );
}

/** Make a passkey for this account under a name; one that asks for the person counts without a password. */
export async function makePasskey(name: string): Promise<Answer> {
  const asked = await accounts<Options<PublicKeyCredentialCreationOptionsJSON>>(
    "GET",
    "/account/authenticators/webauthn?passwordless",
  );
  const options = asked.data?.creation_options?.publicKey;
  if (!options) return asked;
  const publicKey = PublicKeyCredential.parseCreationOptionsFromJSON(options);
  return await shown(
    () => navigator.credentials.create({ publicKey }),
    (credential) => accounts("POST", "/account/authenticators/webauthn", { name, credential }),
  );
}
