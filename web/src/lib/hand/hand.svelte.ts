/** Handing over on the screen: cards and their sentences, the book, links and what is said through them, letters. */
import { api, ask, type Schemas } from "../api/client";
import type { History } from "../client/history.svelte";
import { Work } from "../edit/work.svelte";
import { notice } from "../ui/notice.svelte";

export type Card = Schemas["OutfitCardOut"];
export type Line = Schemas["CardLineOut"];
export type Link = Schemas["LinkOut"];
export type Said = Schemas["SaidOut"];

export const VIEWS = [
  ["cards", "Cards"],
  ["book", "Book and paper"],
  ["page", "Client’s page"],
  ["letter", "Letter"],
] as const;
export type View = (typeof VIEWS)[number][0];
/** What a client says of a card, in a word. */
export const SAYS: Record<Said["says"], string> = {
  wore: "wore it",
  loved: "loved it",
  not_me: "not me",
  ticked: "has it",
  question: "asks",
};

export class Hand {
  view = $state<View>("cards");
  cards = $state.raw<Card[] | null>(null);
  week = $state.raw<string[]>([]);
  looks = $state.raw<Schemas["LookOut"][]>([]);
  plans = $state.raw<Schemas["PlanOut"][]>([]);
  links = $state.raw<Link[]>([]);
  said = $state.raw<Said[]>([]);
  letters = $state.raw<Schemas["LettersOut"] | null>(null);
  trouble = $state<string | null>(null);
  /** The card that is read; those chosen for the book and the page: all but these. */
  at = $state<string | null>(null);
  without = $state.raw<readonly string[]>([]);
  parts = $state.raw<Required<Schemas["Parts"]>>({
    numbers: false,
    buying: true,
    colours: true,
    care: true,
    dates: true,
  });
  layout = $state<"week" | "four">("week");
  note = $state("");
  /** A link that was just made: its address is told once. */
  made = $state.raw<Schemas["LinkMadeOut"] | null>(null);
  readonly book: Work<Schemas["BookOut"]>;

  constructor(
    readonly clientId: string,
    private history: History,
  ) {
    this.book = new Work(() =>
      ask(
        api.POST("/api/clients/{client_id}/book", {
          params: this.#client,
          body: {
            layout: this.layout,
            cards: this.chosen.map((card) => card.id),
            parts: this.parts,
            note: this.note,
          },
        }),
      ),
    );
  }

  get #client() {
    return { path: { client_id: this.clientId } };
  }

  readonly here = $derived(this.cards?.find((card) => card.id === this.at) ?? this.cards?.[0] ?? null);
  readonly chosen = $derived((this.cards ?? []).filter((card) => !this.without.includes(card.id)));
  /** Kept looks that have no card yet. */
  readonly uncarded = $derived.by(() => {
    const with_ = new Set((this.cards ?? []).map((card) => card.look_id));
    return this.looks.filter((look) => !with_.has(look.id));
  });

  choose(card: Card, on: boolean): void {
    this.without = on ? this.without.filter((id) => id !== card.id) : [...this.without, card.id];
  }

  async load(): Promise<void> {
    const params = this.#client;
    const [cards, looks, plans] = await Promise.all([
      ask(api.GET("/api/clients/{client_id}/cards", { params })),
      ask(api.GET("/api/clients/{client_id}/looks", { params })),
      ask(api.GET("/api/clients/{client_id}/plans", { params })),
      this.loadLinks(),
    ]);
    this.trouble = "refusal" in cards ? cards.refusal.message : null;
    if ("data" in cards) {
      this.cards = cards.data.cards;
      this.week = cards.data.week;
    }
    if ("data" in looks) this.looks = looks.data;
    if ("data" in plans) this.plans = plans.data.plans;
  }

  #put(card: Card): void {
    const rest = this.cards ?? [];
    this.cards = rest.some((one) => one.id === card.id)
      ? rest.map((one) => (one.id === card.id ? card : one))
      : [...rest, card];
  }

  async make(lookId: string): Promise<void> {
    const body = { id: crypto.randomUUID(), look_id: lookId };
    const told = await ask(api.POST("/api/clients/{client_id}/cards", { params: this.#client, body }));
    if ("refusal" in told) return notice.say(told.refusal.message);
    this.#put(told.data);
    this.at = told.data.id;
    this.history.add({
      name: `the card of ${told.data.name}`,
      undo: () => this.#away(told.data),
      redo: () => this.#back(told.data.id),
    });
  }

  async makeAll(): Promise<void> {
    for (const look of this.uncarded) await this.make(look.id);
  }

  async #away(card: Card): Promise<void> {
    await ask(api.DELETE("/api/cards/{card_id}", { params: { path: { card_id: card.id } } }));
    this.cards = (this.cards ?? []).filter((one) => one.id !== card.id);
  }

  async #back(id: string): Promise<void> {
    const told = await ask(api.POST("/api/cards/{card_id}/restore", { params: { path: { card_id: id } } }));
    if ("data" in told) this.#put(told.data);
  }

  async takeAway(card: Card): Promise<void> {
    await this.#away(card);
    this.history.add({
      name: `taking the card of ${card.name} away`,
      undo: () => this.#back(card.id),
      redo: () => this.#away(card),
    });
    notice.say(`The card of ${card.name} is taken away; the look stays.`);
  }

  /** Write a sentence anew, strike it (empty), or take it as it is made (null). */
  async write(card: Card, line: Line, text: string | null, undo = true): Promise<void> {
    const now = this.cards?.find((one) => one.id === card.id) ?? card;
    const body = { version: now.version, key: line.key, text };
    const told = await ask(
      api.PATCH("/api/cards/{card_id}/line", { params: { path: { card_id: card.id } }, body }),
    );
    if ("refusal" in told) {
      const current = told.refusal.current as Card | undefined;
      if (current) this.#put(current);
      return notice.say(current ? `${told.refusal.message} It shows theirs now.` : told.refusal.message);
    }
    this.#put(told.data);
    if (!undo) return;
    this.history.add({
      name: "a sentence of a card",
      undo: () => this.write(card, line, line.edited ? line.text : null, false),
      redo: () => this.write(card, line, text, false),
    });
  }

  async variants(card: Card): Promise<void> {
    const told = await ask(
      api.POST("/api/cards/{card_id}/variants", { params: { path: { card_id: card.id } } }),
    );
    if ("refusal" in told) return notice.say(told.refusal.message);
    this.#put(told.data);
    if (told.data.variants.length) return;
    const serves = told.data.occasions;
    notice.say(
      this.week.every((one) => serves.includes(one))
        ? "It is right for every occasion of the week as it is."
        : "Nothing on the rack makes it over for another occasion of the week.",
    );
  }

  async move(card: Card, by: number): Promise<void> {
    const ids = (this.cards ?? []).map((one) => one.id);
    const at = ids.indexOf(card.id);
    const to = Math.min(Math.max(at + by, 0), ids.length - 1);
    if (at === to) return;
    ids.splice(to, 0, ...ids.splice(at, 1));
    const told = await ask(
      api.POST("/api/clients/{client_id}/cards/order", { params: this.#client, body: { order: ids } }),
    );
    if ("data" in told) this.cards = told.data.cards;
  }

  async loadLinks(): Promise<void> {
    const told = await ask(api.GET("/api/clients/{client_id}/links", { params: this.#client }));
    if (!("data" in told)) return;
    this.links = told.data.links;
    this.said = told.data.said;
  }

  /** Make a link; what is wrong with it, or nothing. */
  async link(endsOn: string, word: string, planId: string | null): Promise<string | null> {
    const body = {
      id: crypto.randomUUID(),
      cards: this.chosen.map((card) => card.id),
      parts: this.parts,
      plan_id: planId,
      note: this.note,
      ends_on: endsOn,
      word,
    };
    const told = await ask(api.POST("/api/clients/{client_id}/links", { params: this.#client, body }));
    if ("refusal" in told) return told.refusal.message;
    this.made = told.data;
    await this.loadLinks();
    return null;
  }

  async takeBack(link: Link): Promise<void> {
    const params = { path: { link_id: link.id } };
    const told = await ask(api.DELETE("/api/links/{link_id}", { params }));
    if ("refusal" in told) return notice.say(told.refusal.message);
    await this.loadLinks();
    this.history.add({
      name: "taking a link back",
      undo: async () => {
        await ask(api.POST("/api/links/{link_id}/restore", { params }));
        await this.loadLinks();
      },
      redo: () => this.takeBack(link),
    });
  }

  async see(one: Said, seen: boolean): Promise<void> {
    const params = { path: { said_id: one.id } };
    await (seen
      ? ask(api.POST("/api/said/{said_id}/seen", { params }))
      : ask(api.DELETE("/api/said/{said_id}/seen", { params })));
    await this.loadLinks();
  }

  async loadLetters(): Promise<void> {
    const told = await ask(api.GET("/api/clients/{client_id}/letters", { params: this.#client }));
    if ("data" in told) this.letters = told.data;
  }

  /** Send a letter that has not gone, now, or take it out of the post. */
  async post(letter: string, go: boolean): Promise<void> {
    const params = { path: { letter_id: letter } };
    const told = await ask(api.POST("/api/letters/{letter_id}/post", { params, body: { go } }));
    if ("refusal" in told) notice.say(told.refusal.message);
    await this.loadLetters();
  }

  /** Write a letter; what is wrong, or nothing. */
  async send(letter: Omit<Schemas["LetterIn"], "id">): Promise<string | null> {
    const body = { id: crypto.randomUUID(), ...letter };
    const told = await ask(api.POST("/api/clients/{client_id}/letters", { params: this.#client, body }));
    if ("refusal" in told) return told.refusal.message;
    await this.loadLetters();
    notice.say(
      letter.send ? `The letter is on its way to ${letter.to}.` : "The letter lies ready to be taken away.",
    );
    return null;
  }
}
