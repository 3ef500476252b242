/** The rail: the client's pieces, ranked by how they go with what is on. */
import { api, ask, type Schemas } from "../api/client";
import type { Asked } from "./facts";

export type Goes = Schemas["GoesOut"];
type Hanging = Schemas["RackPieceOut"];
/** How long after the last change the rail is ranked anew, ms. */
const PAUSE = 150;

export class Rail {
  pieces = $state.raw<Hanging[] | null>(null);
  goes = $state.raw<Map<string, Goes>>(new Map());
  trouble = $state<string | null>(null);
  slot = $state("");
  sought = $state("");
  #timer: ReturnType<typeof setTimeout> | undefined;
  #asked: AbortController | null = null;

  constructor(
    readonly clientId: string,
    private readonly asked: () => Asked,
  ) {}

  readonly slots = $derived([...new Set((this.pieces ?? []).map((piece) => piece.slot))]);
  /** The pieces that are looked for, those that go best first; what is on already is not among them. */
  readonly shown = $derived(
    (this.pieces ?? [])
      .filter((piece) => this.goes.has(piece.id) && (!this.slot || piece.slot === this.slot))
      .filter((piece) =>
        `${piece.title} ${piece.kind}`.toLocaleLowerCase().includes(this.sought.trim().toLocaleLowerCase()),
      )
      .toSorted((a, b) => (this.goes.get(b.id)?.score ?? 0) - (this.goes.get(a.id)?.score ?? 0)),
  );

  async load(): Promise<void> {
    const params = { path: { client_id: this.clientId } };
    const told = await ask(api.GET("/api/clients/{client_id}/rack", { params }));
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) this.pieces = told.data.pieces;
    await this.rank();
  }

  /** The look changed: rank anew in a moment, where the rail is in sight. */
  look(): void {
    clearTimeout(this.#timer);
    if (this.pieces) this.#timer = setTimeout(() => void this.rank(), PAUSE);
  }

  async rank(): Promise<void> {
    if (!this.pieces?.length) return;
    this.#asked?.abort();
    const asked = (this.#asked = new AbortController());
    try {
      const told = await ask(
        api.POST("/api/clients/{client_id}/rail", {
          params: { path: { client_id: this.clientId } },
          body: this.asked(),
          signal: asked.signal,
        }),
      );
      if (asked.signal.aborted) return;
      this.trouble = "refusal" in told ? told.refusal.message : null;
      if ("data" in told) this.goes = new Map(told.data.goes.map((one) => [one.piece_id, one]));
    } catch {
      // A later question took over.
    }
  }
}
