/** What is there without a connection: which pages, which answers, and that they go when somebody signs out. */

/** The cache of answers, and the head that says when one was heard, ms. */
export const KEPT = "basilwood-heard";
export const HEARD_AT = "Basilwood-Heard-At";
/** What a page tells the worker so that answers still on their way are not kept either. */
export const FORGET = "forget";

const CLIENTS = String.raw`/api/clients/[0-9a-f-]{36}`;
const ANSWERS = [
  /^\/api\/(session|words|measuring|schools|brief\/words|diary|clients|errands|said)$/,
  new RegExp(
    `^${CLIENTS}(/(desk|next|sessions|fittings|expected|rack|rack/flats|looks|cards|links|letters|errands|plans|worn|buying|edit/sorted))?$`,
  ),
  /^\/api\/cards\/[0-9a-f-]{36}\/picture\.svg$/,
];

/** Whether an answer of this address is kept for when there is no connection. */
export const isKept = (path: string): boolean => ANSWERS.some((answer) => answer.test(path));

/** Whether an address is the application's own page, and not a client's page, a calendar or a file. */
export const isShell = (path: string): boolean =>
  !/^\/(api|for|_app|static)\//.test(path) && !/\.\w+$/.test(path);

/** Nothing that was heard stays on this device. */
export async function forget(): Promise<void> {
  globalThis.navigator?.serviceWorker?.controller?.postMessage(FORGET);
  if ("caches" in globalThis) await caches.delete(KEPT);
}
