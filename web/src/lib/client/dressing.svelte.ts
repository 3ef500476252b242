/** What is done while dressing: which piece is in hand, what is shown beside the figure, and mends taken or left. */
import type { Finding, Slot } from "../api/client";
import type { ClientState } from "../brief/client.svelte";
import { notice } from "../ui/notice.svelte";
import { closer, type Detail } from "../figure/detail";
import type { LookTable } from "./table.svelte";
import { changesOf, inWords, type Way } from "./ways.svelte";

export class Dressing {
  chosen = $state<Slot | null>(null);
  /** What is said beside the figure: the reasons, ways to mend, or what other schools would say. */
  aside = $state<"reasons" | "ways" | "views">("reasons");
  /** What is shown beside the front. */
  turned = $state<"side" | "back" | null>(null);

  /** The part of the figure that is shown large. */
  detail = $state<Detail | null>(null);

  constructor(
    readonly table: LookTable,
    readonly held: ClientState,
    readonly back: (way: "undo" | "redo") => Promise<void>,
  ) {}

  mend = (finding: Finding): void => {
    if (!finding.mend) return;
    this.table.draft.change(finding.mend.slot as Slot, finding.mend.change, `the mend “${finding.title}”`);
    this.chosen = finding.mend.slot as Slot;
    this.#say(finding.mend.text);
  };

  take = (way: Way): void => {
    this.table.draft.changeAll(changesOf(way), `the mend “${inWords(way)}”`);
    this.#say(inWords(way));
  };

  /** A rule that is not asked of this client: their own way, over the house's. */
  leaveOut = (finding: Finding): void => {
    const { client } = this.held;
    this.held.ownWays({ muted: [...client.own_ways.muted, finding.rule] });
    void this.held.flush();
    this.#say(`“${finding.title}” is not said of ${client.name} any more; Other views takes it up again.`);
  };

  /** Show something else beside the figure, or the reasons again. */
  beside(what: "ways" | "views"): void {
    this.aside = this.aside === what ? "reasons" : what;
  }

  /** Turn the figure to its side or its back, or to the front alone again. */
  turn(to: "side" | "back"): void {
    this.turned = this.turned === to ? null : to;
  }

  /** Look closer: at neck, waist and foot in turn, and at the whole again. */
  closer(): void {
    this.detail = closer(this.detail);
  }

  reasons = (): void => {
    this.aside = "reasons";
  };

  /** One key takes the first mend: of the look as it is now, where the engine is still at it. */
  async mendFirst(): Promise<void> {
    await this.table.judged();
    // Pressed twice meanwhile, the first press has taken it.
    if (this.table.pending) return;
    if (this.aside === "ways") {
      const way = this.table.ways.stale ? undefined : this.table.ways.told?.[0];
      if (way) this.take(way);
      return;
    }
    const finding = this.table.assessment?.findings.find((one) => one.mend);
    if (finding) this.mend(finding);
  }

  /** What the letters do while dressing. */
  get letters(): Record<string, () => void> {
    return {
      m: () => void this.mendFirst(),
      w: () => this.beside("ways"),
      v: () => this.beside("views"),
      s: () => this.turn("side"),
      b: () => this.turn("back"),
      e: () => this.closer(),
    };
  }

  #say(text: string): void {
    notice.say(text, { name: "Undo", run: () => void this.back("undo") });
  }
}
