/** The look on the figure, kept on the server as you go, never overwritten; and the looks beside it. */
import { api, ask, type Look, type Schemas } from "../api/client";
import { Composition } from "./composition.svelte";
import { differences } from "./differences";
import { NOTHING_SAID, VARIANTS, type Variant } from "./facts";
import type { History } from "./history.svelte";

/** How long after the last change a look is kept, ms. */
const PAUSE = 500;
/** How long until a look is offered again to a server that did not answer, ms. */
const AGAIN = 4000;

export type Saving = "blank" | "kept" | "saving" | "waiting" | "failed" | "conflict";

export class Draft extends Composition {
  id = $state<string | null>(null);
  version = $state(0);
  variantOf = $state<string | null>(null);
  saving = $state<Saving>("blank");
  trouble = $state<string | null>(null);
  nameTrouble = $state<string | null>(null);
  /** The look as somebody else left it, while the screen offers both. */
  theirs = $state<Look | null>(null);
  looks = $state.raw<Look[]>([]);

  #timer: ReturnType<typeof setTimeout> | undefined;
  #busy: Promise<void> | null = null;
  #changes = 0;

  constructor(
    private clientId: string,
    words: Schemas["Vocabulary"],
    history: History,
    private onchange: () => void,
  ) {
    super(words, history);
  }

  protected get composed(): string | null {
    return this.id;
  }

  protected changed(): void {
    this.#changes += 1;
    this.onchange();
    if (this.saving === "conflict") return;
    this.saving = "waiting";
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.keep(), PAUSE);
  }

  /** Keep the look now. One write at a time: the next starts from the version of the last. */
  async keep(): Promise<void> {
    clearTimeout(this.#timer);
    while (this.#busy) await this.#busy;
    if (this.saving !== "waiting" && this.saving !== "failed") return;
    if (this.id === null && this.list.length === 0 && !this.name) {
      this.saving = "blank";
      return;
    }
    this.#busy = this.#write();
    await this.#busy;
    this.#busy = null;
  }

  async #write(): Promise<void> {
    this.saving = "saving";
    this.pause();
    const changes = this.#changes;
    const body = {
      name: this.name,
      pieces: this.list,
      facts: this.facts,
      from_rack: this.fromRack as Record<string, string>,
      variant_of: this.variantOf,
    };
    const told = await ask(
      this.id === null
        ? api.POST("/api/clients/{client_id}/looks", {
            params: { path: { client_id: this.clientId } },
            body,
          })
        : api.PUT("/api/looks/{look_id}", {
            params: { path: { look_id: this.id } },
            body: { ...body, version: this.version },
          }),
    );
    this.nameTrouble = null;
    this.trouble = null;
    if ("data" in told) {
      this.id = told.data.id;
      this.version = told.data.version;
      this.looks = [told.data, ...this.looks.filter((look) => look.id !== told.data.id)];
      // Changed again while this was on its way: `keep` runs once more for that.
      this.saving = this.#changes === changes ? "kept" : "waiting";
    } else if (told.refusal.status === 409) {
      this.theirs = told.refusal.current as Look;
      this.trouble = told.refusal.message;
      this.saving = "conflict";
    } else {
      this.saving = "failed";
      if (told.refusal.field === "name") this.nameTrouble = told.refusal.message;
      else this.trouble = told.refusal.message;
      // The server did not answer: nothing is wrong with the look, so try again by itself.
      if (told.refusal.status === 0) this.#timer = setTimeout(() => void this.keep(), AGAIN);
    }
  }

  /** Of two versions, mine: written over theirs, knowingly. */
  async keepMine(): Promise<void> {
    if (!this.theirs) return;
    this.version = this.theirs.version;
    this.theirs = null;
    this.saving = "waiting";
    await this.keep();
  }

  /** Of two versions, theirs. Undo brings mine back. */
  takeTheirs(): void {
    if (!this.theirs) return;
    const before = this.snapshot();
    this.#put(this.theirs);
    this.remember("taking theirs", before);
  }

  /** What differs between mine and theirs, in words. */
  differences(): string[] {
    if (!this.theirs) return [];
    return differences(
      this.snapshot(),
      { ...this.theirs, pieces: this.placed(this.theirs.pieces) },
      this.words.places,
    );
  }

  /** Go on with a copy of the look as a variant of it; the look itself stays as it is. Says why not, where that fails. */
  async vary(variant: Exclude<Variant, "">): Promise<string | null> {
    await this.keep();
    if (this.id === null || this.saving !== "kept")
      return "The look it starts from is not kept yet, so there is no variant of it. Nothing is lost.";
    this.variantOf = this.id;
    this.id = null;
    this.version = 0;
    const facts = { ...this.facts, variant, standing: "" as const, why_not: "" };
    const name = `${this.name || "Unnamed look"}, ${VARIANTS[variant]}`;
    this.become({ ...this.snapshot(), facts, name });
    await this.keep();
    return null;
  }

  /** Put a kept look on the figure. */
  async open(look: Look): Promise<void> {
    await this.keep();
    this.#put(look);
  }

  /** Start a look with nothing on. */
  async blank(): Promise<void> {
    await this.keep();
    this.#begin({ id: null, version: 0, variantOf: null, saving: "blank" });
    this.show({ pieces: {}, name: "", facts: NOTHING_SAID, fromRack: {} });
    this.onchange();
  }

  async remove(look: Look): Promise<string | null> {
    const refusal = await this.#away(look);
    if (refusal) return refusal;
    if (this.id === look.id) {
      this.saving = "blank";
      await this.blank();
    }
    this.history.add({
      name: `removing “${look.name || "unnamed look"}”`,
      undo: async () => {
        const back = await ask(
          api.POST("/api/looks/{look_id}/restore", { params: { path: { look_id: look.id } } }),
        );
        if ("data" in back) this.looks = [back.data, ...this.looks];
      },
      redo: async () => void (await this.#away(look)),
    });
    return null;
  }

  async #away(look: Look): Promise<string | null> {
    const told = await ask(api.DELETE("/api/looks/{look_id}", { params: { path: { look_id: look.id } } }));
    if ("refusal" in told) return told.refusal.message;
    this.looks = this.looks.filter((other) => other.id !== look.id);
    return null;
  }

  #put(look: Look): void {
    this.#begin({ id: look.id, version: look.version, variantOf: look.variant_of ?? null, saving: "kept" });
    this.show({
      pieces: this.placed(look.pieces),
      name: look.name,
      facts: { ...NOTHING_SAID, ...look.facts },
      fromRack: { ...look.from_rack },
    });
    this.onchange();
  }

  #begin(at: { id: string | null; version: number; variantOf: string | null; saving: Saving }): void {
    Object.assign(this, at);
    this.theirs = this.trouble = this.nameTrouble = null;
  }
}
