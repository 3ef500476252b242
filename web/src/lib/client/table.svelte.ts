/** The look table: the look on the figure, and what the engine says of it on this body. */
import { api, ask, type Assessment, type Piece, type Schemas, type Slot } from "../api/client";
import { shared } from "../api/shared";
import { Compare } from "./compare.svelte";
import { plain } from "./composition.svelte";
import { Draft } from "./draft.svelte";
import type { History } from "./history.svelte";
import type { Asked } from "./facts";
import { Following } from "./following";
import { Profile } from "./profile.svelte";
import { Rail } from "./rail.svelte";
import { Views } from "./views.svelte";
import { Ways } from "./ways.svelte";

/** How long after the last answer a hand counts as resting, ms. */
const RESTS = 900;

export class LookTable {
  assessment = $state.raw<Assessment | null>(null);
  /** The words the assessment on screen belongs to are older than the words chosen. */
  pending = $state(false);
  trouble = $state<string | null>(null);
  /** The edge in the hand and how high it is held, cm: drawn there at once, whatever the engine still has to say. */
  hand = $state.raw<{ key: string; at: number } | null>(null);
  draft: Draft;
  rail: Rail;
  compare: Compare;
  /** Ways to mend what is on, and what the other schools would say of it; asked while they are in sight. */
  ways: Ways;
  views: Views;
  profile: Profile;

  /** Estimated measures that could still turn the verdict; asked when the hand rests. */
  unsettled = $state.raw<Schemas["UnsettledMeasure"][]>([]);

  #asked: AbortController | null = null;
  #resting: ReturnType<typeof setTimeout> | undefined;

  #following = new Following(
    async (question: Asked, signal: AbortSignal) => {
      const told = await this.#request(question, signal);
      return "data" in told ? told.data : null;
    },
    (told: Assessment) => (this.assessment = shared(this.assessment, this.#withRoomForMends(told))),
  );

  constructor(
    readonly clientId: string,
    readonly words: Schemas["Vocabulary"],
    readonly history: History,
  ) {
    this.draft = new Draft(clientId, words, this.history, () => this.again());
    this.compare = new Compare(clientId);
    const asked = () => this.draft.asked;
    this.rail = new Rail(clientId, asked);
    this.ways = new Ways(clientId, asked);
    this.views = new Views(clientId, asked);
    this.profile = new Profile(clientId, asked);
  }

  async load(): Promise<void> {
    const path = { params: { path: { client_id: this.clientId } } };
    const looks = await ask(api.GET("/api/clients/{client_id}/looks", path));
    if ("refusal" in looks) {
      this.trouble = looks.refusal.message;
      return;
    }
    this.draft.looks = looks.data;
    const first = looks.data[0];
    if (first) await this.draft.open(first);
    else await this.assess();
  }

  /** The look, or what it is judged by, is another now: ask all that is in sight anew. */
  again(): void {
    void this.assess();
    this.rail.look();
    this.ways.look();
    this.views.look();
    this.profile.look();
  }

  /** The look as it would be with one piece otherwise, while the hand is still moving; nothing is kept. */
  preview(slot: Slot, words: Record<string, unknown>): void {
    const pieces = { ...this.draft.pieces };
    pieces[slot] = plain({ ...pieces[slot], ...words } as Piece);
    this.unsettled = [];
    // The hand does not rest: what was to be asked when it does would only hold up the answers to it.
    clearTimeout(this.#resting);
    this.#following.move({ ...this.draft.askedOf(pieces), moving: true });
  }

  /** Ask the engine; only the latest question's answer is shown. */
  assess(question: Asked = this.draft.asked): Promise<void> {
    return (this.#judging = this.#assess(question));
  }
  #judging = Promise.resolve();

  /** When what the engine says is of the look that is on. */
  async judged(): Promise<void> {
    let last;
    while (last !== this.#judging) await (last = this.#judging);
  }

  async #assess(question: Asked): Promise<void> {
    this.#asked?.abort();
    this.#following.rest();
    clearTimeout(this.#resting);
    this.unsettled = [];
    const asked = (this.#asked = new AbortController());
    this.pending = true;
    try {
      const told = await this.#request(question, asked.signal);
      if (asked.signal.aborted) return;
      if ("data" in told) {
        this.assessment = shared(this.assessment, told.data);
        this.trouble = null;
        this.#resting = setTimeout(() => void this.#unsettled(question, asked.signal), RESTS);
      } else this.trouble = told.refusal.message;
      this.pending = false;
    } catch {
      // A later question took over.
    }
  }

  /** While a hem moves nothing is mended; the last mends keep their room, unseen, so that the reasons stand still. */
  #withRoomForMends(told: Assessment): Assessment {
    const last = new Map(this.assessment?.findings.map((finding) => [finding.rule, finding.mend]));
    const findings = told.findings.map((finding) =>
      finding.stance === "against" ? { ...finding, mend: last.get(finding.rule) ?? null } : finding,
    );
    return { ...told, findings };
  }

  #request(body: Asked, signal: AbortSignal) {
    const params = { path: { client_id: this.clientId } };
    return ask(api.POST("/api/clients/{client_id}/assess", { params, body, signal }));
  }

  async #unsettled(question: Asked, signal: AbortSignal): Promise<void> {
    if (!question.pieces.length || signal.aborted) return;
    const params = { path: { client_id: this.clientId } };
    try {
      const told = await ask(
        api.POST("/api/clients/{client_id}/unsettled", { params, body: question, signal }),
      );
      if ("data" in told && !signal.aborted) this.unsettled = told.data.unsettled;
    } catch {
      // The look changed meanwhile.
    }
  }
}
