/** Outfits on the screen: what is asked, how far the search is, the looks found, and what is done with each. */
import { api, ask, type Look, type Piece, type Schemas } from "../api/client";
import { Compare } from "../client/compare.svelte";
import type { Draft } from "../client/draft.svelte";
import { NOTHING_SAID, type Setting } from "../client/facts";
import type { History } from "../client/history.svelte";
import { placesOf } from "../client/kinds";
import { notice } from "../ui/notice.svelte";
import { POLL, settled, type Wish, wished } from "./wish";

export type Found = Schemas["FoundLookOut"];
type Search = Schemas["SearchOut"];
type Drawn = Schemas["DrawnLookOut"];

/** How many looks are drawn with one question. */
const AT_ONCE = 12;

export class Outfits {
  wish = $state.raw<Wish>(wished());
  search = $state.raw<Search | null>(null);
  trouble = $state<string | null>(null);
  /** The looks on the floor line: they change under nobody's hand. */
  looks = $state.raw<Found[]>([]);
  /** Better ones that wait to be shown, because somebody has begun to look through these. */
  better = $state.raw<Found[] | null>(null);
  drawn = $state.raw<Record<string, Drawn>>({});
  at = $state(0);
  /** Looks kept from here, by their key: the id of the kept look. */
  kept = $state.raw<Record<string, string>>({});
  remembered = $state.raw<Schemas["RememberedOut"] | null>(null);
  compare: Compare;

  #asked = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  /** Somebody has walked, kept or chosen: what is shown stays where it is. */
  #inHand = false;

  constructor(
    readonly clientId: string,
    private words: Schemas["Vocabulary"],
    private draft: Draft,
    private history: History,
  ) {
    this.compare = new Compare(clientId);
  }

  readonly chosen = $derived(this.looks[this.at] ?? null);
  readonly busy = $derived(this.search?.state === "waiting" || this.search?.state === "running");

  get #client() {
    return { path: { client_id: this.clientId } };
  }

  /** Somebody looks at this step: ask, unless the answer stands already; the way to look away. */
  open(): () => void {
    void this.ask();
    void this.remember();
    return () => clearTimeout(this.#timer);
  }

  /** Ask for something else. */
  want(change: Partial<Wish>): void {
    this.wish = { ...this.wish, ...change };
    this.#inHand = false;
    void this.ask();
  }

  async ask(): Promise<void> {
    const asked = ++this.#asked;
    clearTimeout(this.#timer);
    const told = await ask(
      api.POST("/api/clients/{client_id}/outfits", { params: this.#client, body: this.wish }),
    );
    if (asked !== this.#asked) return;
    if ("refusal" in told) {
      this.trouble = told.refusal.message;
      return;
    }
    this.trouble = null;
    this.#tell(told.data, asked);
  }

  #tell(told: Search, asked: number): void {
    this.search = told;
    if (told.looks.length || settled(told.state)) this.#offer(told.looks);
    if (!settled(told.state)) this.#timer = setTimeout(() => void this.#look(asked), POLL);
  }

  async #look(asked: number): Promise<void> {
    const id = this.search?.id;
    if (!id || asked !== this.#asked) return;
    const told = await ask(api.GET("/api/outfits/{search_id}", { params: { path: { search_id: id } } }));
    if (asked !== this.#asked) return;
    if ("data" in told) this.#tell(told.data, asked);
    else this.#timer = setTimeout(() => void this.#look(asked), 3 * POLL);
  }

  async cancel(): Promise<void> {
    const id = this.search?.id;
    if (!id) return;
    this.#asked += 1;
    clearTimeout(this.#timer);
    const told = await ask(
      api.POST("/api/outfits/{search_id}/cancel", { params: { path: { search_id: id } } }),
    );
    if ("data" in told) this.search = told.data;
  }

  /** Put found looks on the floor line; where somebody's hand is on those that stand there, offer them. */
  #offer(looks: Found[]): void {
    const same =
      looks.length === this.looks.length && looks.every((one, i) => one.key === this.looks[i]?.key);
    if (same) return;
    if (this.#inHand && this.looks.length) this.better = looks;
    else this.#show(looks);
  }

  #show(looks: Found[]): void {
    this.looks = looks;
    this.better = null;
    this.at = 0;
  }

  showBetter(): void {
    if (this.better) this.#show(this.better);
  }

  choose(at: number): void {
    this.#inHand = true;
    this.at = Math.min(Math.max(at, 0), Math.max(0, this.looks.length - 1));
  }

  /** Draw those of these looks that are not drawn yet. */
  async draw(looks: Found[]): Promise<void> {
    const wanted = looks.filter((look) => !(look.key in this.drawn)).slice(0, AT_ONCE);
    if (!wanted.length) return;
    const body = { looks: wanted.map((look) => look.pieces.map((piece) => piece.words)) };
    const told = await ask(
      api.POST("/api/clients/{client_id}/outfits/drawn", { params: this.#client, body }),
    );
    if (!("data" in told)) return;
    const more = wanted.map((look, i) => [look.key, told.data.looks[i]] as const);
    this.drawn = { ...this.drawn, ...Object.fromEntries(more.filter(([, one]) => one)) } as typeof this.drawn;
  }

  #body(look: Found) {
    const pieces = look.pieces.map((piece) => piece.words);
    const places = placesOf(this.words, pieces);
    const from_rack = Object.fromEntries(
      look.pieces.flatMap((piece, i) => (places[i] ? [[places[i], piece.piece_id]] : [])),
    );
    return { name: "", pieces, from_rack, facts: { ...NOTHING_SAID, setting: this.wish.setting } };
  }

  /** Keep a found look among the client's looks, or take it away again. */
  async keep(look: Found): Promise<void> {
    this.#inHand = true;
    const held = this.kept[look.key];
    if (held) {
      const row = this.draft.looks.find((one) => one.id === held);
      if (row) await this.draft.remove(row);
      this.#forget(look.key);
      return;
    }
    const told = await ask(
      api.POST("/api/clients/{client_id}/looks", { params: this.#client, body: this.#body(look) }),
    );
    if ("refusal" in told) {
      notice.say(told.refusal.message);
      return;
    }
    this.#remember(look.key, told.data);
    const id = told.data.id;
    this.history.add({
      name: "keeping a found look",
      undo: async () => {
        const row = this.draft.looks.find((one) => one.id === id);
        if (row) await this.draft.remove(row);
        this.#forget(look.key);
      },
      redo: async () => {
        const path = { params: { path: { look_id: id } } };
        const back = await ask(api.POST("/api/looks/{look_id}/restore", path));
        if ("data" in back) this.#remember(look.key, back.data);
      },
    });
  }

  #remember(key: string, row: Look): void {
    this.kept = { ...this.kept, [key]: row.id };
    this.draft.looks = [row, ...this.draft.looks.filter((one) => one.id !== row.id)];
  }

  #forget(key: string): void {
    this.kept = Object.fromEntries(Object.entries(this.kept).filter(([one]) => one !== key));
  }

  /** Put a found look on the table. */
  async onTable(look: Found): Promise<void> {
    await this.draft.blank();
    this.draft.dressIn(
      look.pieces.map((piece) => ({ piece: piece.words as Piece, rackId: piece.piece_id })),
      "a found look",
    );
  }

  /** Put a kept look on the table. */
  async openLook(id: string): Promise<void> {
    const row = this.draft.looks.find((one) => one.id === id);
    if (row) await this.draft.open(row);
  }

  /** Hold a found look up beside others. */
  async hold(look: Found): Promise<void> {
    const names = look.pieces.map((piece) => piece.title);
    const facts = { ...NOTHING_SAID, setting: this.wish.setting as Setting };
    const row = { id: look.key, name: names.slice(0, 2).join(", "), pieces: this.#body(look).pieces, facts };
    await this.compare.toggle(row as unknown as Look);
  }

  /** These pieces not together again; undo takes it back. */
  async reject(pieces: string[], word: string): Promise<void> {
    const id = crypto.randomUUID();
    const body = { id, pieces, word };
    const told = await ask(
      api.POST("/api/clients/{client_id}/outfits/apart", { params: this.#client, body }),
    );
    if ("refusal" in told) {
      notice.say(told.refusal.message);
      return;
    }
    this.#without(pieces);
    this.history.add({
      name: "rejecting them together",
      undo: () => this.takeBack(id, false),
      redo: async () => {
        await ask(api.POST("/api/outfits/apart/{apart_id}/restore", { params: { path: { apart_id: id } } }));
        this.#without(pieces);
        void this.remember();
      },
    });
    notice.say("They are not put together again. Undo, or the list beside, takes that back.");
    void this.remember();
  }

  #without(pieces: string[]): void {
    const has = (look: Found) => pieces.every((one) => look.pieces.some((piece) => piece.piece_id === one));
    const at = this.at;
    this.looks = this.looks.filter((look) => !has(look));
    this.better = this.better?.filter((look) => !has(look)) ?? null;
    this.#inHand = true;
    this.choose(at);
    void this.ask();
  }

  /** What was rejected together may be together again. */
  async takeBack(id: string, byHand = true): Promise<void> {
    const params = { path: { apart_id: id } };
    const told = await ask(api.DELETE("/api/outfits/apart/{apart_id}", { params }));
    if ("refusal" in told) {
      notice.say(told.refusal.message);
      return;
    }
    if (byHand)
      this.history.add({
        name: "taking a rejection back",
        undo: async () => {
          await ask(api.POST("/api/outfits/apart/{apart_id}/restore", { params }));
          void this.remember();
          void this.ask();
        },
        redo: () => this.takeBack(id, false),
      });
    void this.remember();
    void this.ask();
  }

  async remember(): Promise<void> {
    const told = await ask(api.GET("/api/clients/{client_id}/outfits/remembered", { params: this.#client }));
    if ("data" in told) this.remembered = told.data;
  }
}
