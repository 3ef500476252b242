/// <reference types="@sveltejs/kit" />
/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
/**
 * Without a connection: the application itself, and the answers that a stylist needs at a client's home (the desk, the fitting,
 * the rack, the cards, the day's diary), as they were heard last. Answers are kept for a day, for whoever heard them, and go when
 * they sign out. Whatever is written goes to the server alone; what waits to be written waits in the pages' own outboxes.
 */
import { build, files, version } from "$service-worker";
import { Heard } from "$lib/api/heard";
import { FORGET, isKept, isShell } from "$lib/api/offline";

const worker = globalThis as unknown as ServiceWorkerGlobalScope;
const SHELL = `basilwood-shell-${version}`;
const PAGE = "/people";
const SHIPPED = new Set([...build, ...files]);
const held = new Heard(caches);

worker.addEventListener("install", (event) => {
  event.waitUntil(
    caches
      .open(SHELL)
      .then((cache) => cache.addAll([...SHIPPED, PAGE]))
      .then(() => worker.skipWaiting()),
  );
});

worker.addEventListener("activate", (event) => {
  const old = (name: string) => name.startsWith("basilwood-shell-") && name !== SHELL;
  event.waitUntil(
    caches
      .keys()
      .then((names) => Promise.all(names.filter(old).map((name) => caches.delete(name))))
      .then(() => worker.clients.claim()),
  );
});

worker.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== location.origin) return;
  if (SHIPPED.has(url.pathname)) event.respondWith(shipped(request));
  else if (request.mode === "navigate" && isShell(url.pathname)) event.respondWith(page(request));
  else if (isKept(url.pathname)) event.respondWith(heard(event));
});

worker.addEventListener("message", (event) => {
  if (event.data === FORGET) event.waitUntil(held.letGo());
});

async function shipped(request: Request): Promise<Response> {
  return (await caches.match(request, { cacheName: SHELL, ignoreVary: true })) ?? (await fetch(request));
}

async function page(request: Request): Promise<Response> {
  try {
    return await fetch(request);
  } catch {
    return (await caches.match(PAGE, { cacheName: SHELL, ignoreVary: true })) ?? Response.error();
  }
}

async function heard(event: FetchEvent): Promise<Response> {
  const { request } = event;
  const asked = held.ask();
  try {
    const answer = await fetch(request);
    // Nobody waits for it to be kept.
    if (answer.ok) event.waitUntil(held.keep(asked, request, answer.clone()));
    // Whoever is not let in any more hears nothing of it again either.
    else if (answer.status === 401 || answer.status === 403) event.waitUntil(held.letGo());
    return answer;
  } catch {
    return (await held.find(request)) ?? Response.error();
  }
}
