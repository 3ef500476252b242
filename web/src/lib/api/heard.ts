/** What the worker keeps of what was heard from the server, and lets go of: for a day, for whoever heard it. */
import { HEARD_AT, KEPT } from "./offline";

const DAY_MS = 24 * 3600 * 1000;

export class Heard {
  /** How often everything was let go of: what was asked for before that is not kept after it. */
  #round = 0;

  constructor(private readonly caches: CacheStorage) {}

  /** Note what was asked for now; its answer is kept under this note. */
  ask(): number {
    return this.#round;
  }

  /** Keep an answer, unless everything was let go of since it was asked for: its asker may have signed out. */
  async keep(asked: number, request: Request, answer: Response): Promise<void> {
    const headers = new Headers(answer.headers);
    headers.set(HEARD_AT, String(Date.now()));
    const body = await answer.arrayBuffer();
    if (asked !== this.#round) return;
    const cache = await this.caches.open(KEPT);
    await cache.put(request, new Response(body, { status: answer.status, headers }));
    if (asked !== this.#round) await this.caches.delete(KEPT);
  }

  /** What was heard of this within a day. */
  async find(request: Request): Promise<Response | null> {
    const held = await this.caches.match(request, { cacheName: KEPT, ignoreVary: true });
    const at = Number(held?.headers.get(HEARD_AT) ?? 0);
    return held && Date.now() - at < DAY_MS ? held : null;
  }

  /** Nothing stays, nor does what is on its way. */
  async letGo(): Promise<void> {
    this.#round += 1;
    await this.caches.delete(KEPT);
  }
}
