/** The rail: the client's pieces, ranked by how they go with what is on. */
import { api, ask, type Schemas } from "../api/client";
import { Flats } from "../rack/flats.svelte";
import type { Asked } from "./facts";

export type Goes = Schemas["GoesOut"];
type Hanging = Schemas["RackPieceOut"];
/** An alteration that is due: the figure it changes, as the piece hangs and as it will be, cm. */
export interface Due {
  id: string;
  text: string;
  figure: string;
  now: number;
  then: number;
}

/** How long after the last change the rail is ranked anew, ms. */
const PAUSE = 150;

const VERDICTS = ["works", "watch", "against"];

export class Rail {
  pieces = $state.raw<Hanging[] | null>(null);
  goes = $state.raw<Map<string, Goes>>(new Map());
  /** Alterations that are due: what a piece will be like when it is back. */
  altering = $state.raw<Schemas["ErrandOut"][]>([]);
  trouble = $state<string | null>(null);
  slot = $state("");
  sought = $state("");
  #timer: ReturnType<typeof setTimeout> | undefined;
  #asked: AbortController | null = null;

  readonly flats: Flats;

  constructor(
    readonly clientId: string,
    private readonly asked: () => Asked,
  ) {
    this.flats = new Flats(clientId);
  }

  readonly slots = $derived([...new Set((this.pieces ?? []).map((piece) => piece.slot))]);
  /** The pieces that are looked for, those that go best first; what is on already is not among them. */
  readonly shown = $derived(
    (this.pieces ?? [])
      .filter((piece) => this.goes.has(piece.id) && (!this.slot || piece.slot === this.slot))
      .filter((piece) =>
        `${piece.title} ${piece.kind}`.toLocaleLowerCase().includes(this.sought.trim().toLocaleLowerCase()),
      )
      .toSorted((a, b) => this.#place(a) - this.#place(b)),
  );

  /** The best verdict first, then the best score. */
  #place(piece: Hanging): number {
    const goes = this.goes.get(piece.id);
    return goes ? VERDICTS.indexOf(goes.verdict) - goes.score : VERDICTS.length;
  }

  /** Where the pieces begin that do not go with what is on. */
  readonly orphans = $derived(
    this.shown.findIndex((piece) => this.goes.get(piece.id)?.verdict === "against"),
  );

  /** The alterations due of a piece, each with its figure as it hangs and as it will be. */
  dueOf(pieceId: string | undefined): Due[] {
    const hanging = this.pieces?.find((piece) => piece.id === pieceId)?.piece ?? {};
    return this.altering.flatMap((one) => {
      const now = hanging[one.figure];
      if (one.piece_id !== pieceId || typeof now !== "number" || !one.by_cm) return [];
      return [
        {
          id: one.id,
          text: one.text,
          figure: one.figure,
          now,
          then: Math.round((now + one.by_cm) * 10) / 10,
        },
      ];
    });
  }

  async load(): Promise<void> {
    const params = { path: { client_id: this.clientId } };
    const [told, due] = await Promise.all([
      ask(api.GET("/api/clients/{client_id}/rack", { params })),
      ask(api.GET("/api/clients/{client_id}/errands", { params })),
    ]);
    if ("data" in due) this.altering = due.data.errands.filter((one) => one.kind === "alter" && !one.done_at);
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) {
      this.pieces = told.data.pieces;
      void this.flats.begin(told.data.pieces, told.data.page);
    }
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
