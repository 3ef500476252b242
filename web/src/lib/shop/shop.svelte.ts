/** What a client takes to the shop: their numbers, and a piece from a shop placed on their body. */
import { api, ask, type Schemas } from "../api/client";

export class Shop {
  numbers = $state.raw<Schemas["NumbersOut"] | null>(null);
  placed = $state.raw<Schemas["PlacedOut"] | null>(null);
  /** Whose product is placed, in which size; nobody's where it was pasted. */
  from: { maker: string; label_size: string } | null = null;
  trouble = $state<string | null>(null);
  /** What is wrong with the pasted text. */
  unread = $state<string | null>(null);
  busy = $state(false);
  text = $state("");
  /** The shoe it is tried with, cm of heel. */
  heel = $state(2);
  group = $state("Trousers and jeans");
  /** Beside the figure: the numbers to look for, or what the shops have. */
  beside = $state<"numbers" | "shelf" | "charts">("numbers");
  /** What is ranked beside: of the shops, or of the studio's size charts. */
  shelf = $state.raw<Schemas["ShelfOut"] | null>(null);
  shelfTrouble = $state<string | null>(null);

  constructor(readonly clientId: string) {}

  readonly groups = $derived([...new Set((this.numbers?.numbers ?? []).map((number) => number.group))]);
  readonly shown = $derived((this.numbers?.numbers ?? []).filter((number) => number.group === this.group));
  readonly marks = $derived(this.numbers?.landmarks ?? []);

  async load(): Promise<void> {
    const told = await ask(api.GET("/api/clients/{client_id}/shopping", this.#path()));
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) this.numbers = told.data;
  }

  /** Read the pasted text and place it; again for every other heel. */
  async place(): Promise<void> {
    if (!this.text.trim()) return;
    this.busy = true;
    const body = { text: this.text, heel_cm: this.heel };
    const told = await ask(api.POST("/api/clients/{client_id}/shopping/place", { ...this.#path(), body }));
    this.busy = false;
    this.unread = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) this.placed = told.data;
    this.from = null;
  }

  /** Ask which of the shops' products, or of the charts' sizes, fit in this heel. */
  async loadShelf(): Promise<void> {
    const query = { heel_cm: this.heel };
    const params = { path: { client_id: this.clientId }, query };
    const asked = this.beside;
    const told = await ask(
      asked === "charts"
        ? api.GET("/api/clients/{client_id}/charts", { params })
        : api.GET("/api/clients/{client_id}/shopping/shelf", { params }),
    );
    if (asked !== this.beside) return;
    this.shelfTrouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) this.shelf = told.data;
  }

  /** Another heel: whatever is shown is placed and ranked again. */
  async wear(): Promise<void> {
    await Promise.all([this.place(), this.beside === "numbers" ? null : this.loadShelf()]);
  }

  /** A product of a shop on the figure, in its best size. */
  show(offer: Schemas["OnOffer"]): void {
    this.text = "";
    this.unread = null;
    this.from = { maker: offer.maker, label_size: offer.size.slice(0, 20) };
    this.placed = { ...offer.placed, name: `${offer.name}, size ${offer.size}` };
  }

  /** Hang the piece that is placed on the rack, with where it comes from. */
  async hang(): Promise<string | null> {
    const { placed, from } = this;
    if (!placed) return null;
    const whose = from ?? { maker: "", label_size: "" };
    // What reviews warn of is remembered when the piece is judged at home.
    const note = (placed.reviews ?? []).join(" ").slice(0, 600);
    const body = { id: crypto.randomUUID(), piece: placed.piece, ...whose, note };
    const told = await ask(api.POST("/api/clients/{client_id}/rack/pieces", { ...this.#path(), body }));
    if ("refusal" in told) this.unread = told.refusal.message;
    return "data" in told ? told.data.title : null;
  }

  clear(): void {
    this.placed = this.unread = null;
    this.text = "";
  }

  #path() {
    return { params: { path: { client_id: this.clientId } } };
  }
}
