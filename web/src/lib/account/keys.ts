/** The secret of an address, which stands behind the hash: it is sent to no server by being opened. */
export const keyIn = (url: URL): string => new URLSearchParams(url.hash.slice(1)).get("key") ?? "";
