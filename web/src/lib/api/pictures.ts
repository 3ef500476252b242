/** A picture on its way to the server: the file itself is the body of the request. */
import { token, type Refusal } from "./client";
import { waitedFor } from "./patience.svelte";

/** What the server takes at most, bytes; a larger file is not even sent. */
const LARGEST = 15_000_000;

export async function sendPicture(
  path: string,
  file: File,
): Promise<{ data: unknown } | { refusal: Refusal }> {
  const refuse = (status: number, message: string) => ({ refusal: { status, message } });
  if (file.size > LARGEST) return refuse(422, `This file is too large: ${LARGEST / 1_000_000} MB at most.`);
  try {
    const headers = { "Content-Type": file.type || "application/octet-stream", "X-CSRFToken": token() };
    const address = `${path}/${crypto.randomUUID()}`;
    const answer = await waitedFor(() => fetch(address, { method: "PUT", body: file, headers }));
    const told = (await answer.json().catch(() => ({}))) as Partial<Refusal>;
    if (answer.ok) return { data: told };
    return refuse(answer.status, told.message ?? "The server could not take this picture. Try again.");
  } catch {
    return refuse(0, "The server does not answer. Send the picture again when the connection is back.");
  }
}
