/** One client's record on the screen: changes are kept half a second after the last one. */
import { api, ask, type Schemas } from "../api/client";
import type { History } from "../client/history.svelte";

export type Saving = "kept" | "waiting" | "saving" | "failed" | "conflict";
interface Told {
  aims: Schemas["Aims"];
  brief: Schemas["BriefForm"];
  own_ways: Schemas["FiledWays"];
}
type Part = keyof Told;

type Fields = Record<string, unknown>;

/** A value of the brief in a few words. */
function told(value: unknown): string {
  if (value === null || value === undefined || value === "") return "–";
  if (Array.isArray(value)) return value.map(told).join(", ") || "–";
  if (typeof value === "object") return Object.values(value).filter(Boolean).map(told).join(" ");
  return String(value).replaceAll("_", " ").slice(0, 60);
}

/** How long after the last change it is kept, ms. */
const AFTER = 500;
/** How long until it is offered again to a server that did not answer, ms. */
const AGAIN = 4000;

export class ClientState {
  client = $state<Schemas["ClientOut"]>() as Schemas["ClientOut"];
  saving = $state<Saving>("kept");
  trouble = $state<string | null>(null);
  /** What somebody else kept meanwhile. */
  theirs = $state<Schemas["ClientOut"] | null>(null);

  #timer: ReturnType<typeof setTimeout> | undefined;
  #changed: Set<Part> = new Set();
  #sending: Promise<void> | null = null;
  /** The last step of undo, while typing in the same field goes on. */
  #typing: { field: string; after: Told } | null = null;

  constructor(
    client: Schemas["ClientOut"],
    private history: History,
  ) {
    this.client = client;
  }

  brief(change: Partial<Schemas["BriefForm"]>): void {
    this.#change("brief", change);
  }

  aims(change: Partial<Schemas["Aims"]>): void {
    this.#change("aims", change);
  }

  /** Judge this client otherwise than the house judges. */
  ownWays(change: Partial<Schemas["FiledWays"]>): void {
    this.#change("own_ways", change);
    this.#typing = null;
  }

  #change(part: Part, change: object): void {
    const before = this.#record();
    this.client[part] = { ...this.client[part], ...change } as never;
    this.#remember(part, Object.keys(change).join(), before);
    this.#later(part);
  }

  #record(): Told {
    const { aims, brief, own_ways } = this.client;
    return $state.snapshot({ aims, brief, own_ways }) as Told;
  }

  /** One step of undo for each field, however many letters are typed in it. */
  #remember(part: Part, field: string, before: Told): void {
    const after = this.#record();
    if (this.#typing?.field === field) {
      this.#typing.after = after;
      return;
    }
    const step = (this.#typing = { field, after });
    const put = (to: Told) => {
      this.#typing = null;
      this.client[part] = to[part] as never;
      this.#later(part);
    };
    this.history.add({
      name: part === "own_ways" ? "their own view" : `the brief’s ${field.replaceAll("_", " ")}`,
      undo: () => put(before),
      redo: () => put(step.after),
    });
  }

  #later(part: Part): void {
    this.#changed.add(part);
    if (this.saving !== "conflict") this.saving = "waiting";
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.flush(), AFTER);
  }

  /** Keep what has changed, now. One write at a time; what changes meanwhile goes after it. */
  async flush(): Promise<void> {
    clearTimeout(this.#timer);
    this.#typing = null;
    if (!this.#changed.size || this.saving === "conflict") return;
    if (this.#sending) {
      await this.#sending;
      return this.flush();
    }
    this.#sending = this.#send();
    await this.#sending;
    this.#sending = null;
    if (this.#changed.size && this.saving === "kept") await this.flush();
  }

  async #send(): Promise<void> {
    const parts = [...this.#changed];
    this.#changed.clear();
    this.saving = "saving";
    const body: Partial<Told> & { version: number } = { version: this.client.version };
    for (const part of parts) body[part] = this.#record()[part] as never;
    const path = { params: { path: { client_id: this.client.id } } };
    const told = await ask(api.PATCH("/api/clients/{client_id}", { ...path, body }));
    if ("data" in told) {
      // Typing goes on while a write is under way: only what the server adds is taken over.
      this.client.version = told.data.version;
      this.client.cautions = told.data.cautions;
      this.saving = "kept";
      this.trouble = null;
      return;
    }
    for (const part of parts) this.#changed.add(part);
    this.trouble = told.refusal.message;
    const current = told.refusal.current as Schemas["ClientOut"] | undefined;
    this.saving = told.refusal.status === 409 && current ? "conflict" : "failed";
    this.theirs = current ?? null;
    // The server did not answer: nothing is wrong with the brief, so try again by itself.
    if (told.refusal.status === 0) this.#timer = setTimeout(() => void this.flush(), AGAIN);
  }

  /** What differs between mine and theirs, in words. */
  differences(): string[] {
    const { theirs } = this;
    if (!theirs) return [];
    const mine = this.#record();
    return (["brief", "aims", "own_ways"] as const).flatMap((part) => {
      const [ours, other] = [mine[part], theirs[part]] as unknown as Fields[];
      return Object.keys({ ...ours, ...other })
        .filter((key) => JSON.stringify(ours?.[key]) !== JSON.stringify(other?.[key]))
        .map((key) => `${key.replaceAll("_", " ")}: ${told(ours?.[key])} / ${told(other?.[key])}`);
    });
  }

  /** After a conflict: put mine over theirs, or take theirs. */
  async settle(whose: "mine" | "theirs"): Promise<void> {
    if (!this.theirs) return;
    if (whose === "theirs") {
      this.client = this.theirs;
      this.#changed.clear();
      this.saving = "kept";
    } else {
      this.client.version = this.theirs.version;
      this.saving = "waiting";
    }
    this.theirs = this.trouble = null;
    await this.flush();
  }
}
