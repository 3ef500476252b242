/** What is being seen of the piece that is on: empty until something is said, kept as long as it is not logged. */
import type { Schemas } from "../api/client";

export type Expected = Schemas["ExpectedOut"];
export type Seen = Schemas["Seen"];
export type Decision = Schemas["TrialIn"]["decision"];
export type Due = Schemas["DueIn"];

export const MOVES = ["sit", "reach", "walk", "back"] as const;
export const LIVES = [
  ["shape", "the shape"],
  ["style", "their style"],
  ["week", "their week"],
] as const;
export const DECISIONS = [
  ["keep", "Keep", "k"],
  ["alter", "Alter", "l"],
  ["size", "Other size", "s"],
  ["return", "Return", "b"],
  ["let_go", "Let go", "g"],
] as const;
/** What became of a piece, as the log says it. */
export const DECIDED: Record<string, string> = {
  keep: "kept",
  alter: "to alter",
  size: "other size",
  return: "to return",
  let_go: "let go",
  "": "seen",
};
/** Days until a tailor or a shop is expected to be seen, where nobody says otherwise. */
const DAYS = { alter: 7, size: 7, return: 14 } as const;

const day = (from: Date, days: number) =>
  new Date(from.getTime() + days * 86_400_000).toISOString().slice(0, 10);
const empty = (): Required<Seen> => ({
  edges: {},
  eases: {},
  checks: {},
  moves: {},
  comfort: "",
  life: {},
});

export class Form {
  seen = $state<Required<Seen>>(empty());
  /** Edges and eases as typed, by key. */
  typed = $state<Record<string, string>>({});
  decision = $state<Decision>("");
  why = $state("");
  maker = $state("");
  label = $state("");
  /** Alterations that were chosen, by what they say. */
  chosen = $state<Record<string, boolean>>({});
  dueOn = $state("");

  clear(): void {
    this.seen = empty();
    this.typed = {};
    this.decision = this.why = this.maker = this.label = this.dueOn = "";
    this.chosen = {};
  }

  /** Everything computed is as it was said. */
  allAsSaid(expected: Expected): void {
    this.seen.checks = Object.fromEntries(expected.placed.checks.map((check) => [check.key, "as_said"]));
  }

  /** Decide, or take that back; to alter means, until said otherwise, the first that a tailor could do. */
  decide(decision: Decision, expected: Expected, today = new Date()): void {
    this.decision = this.decision === decision ? "" : decision;
    const days = DAYS[this.decision as keyof typeof DAYS];
    this.dueOn = days ? day(today, days) : "";
    const first = this.decision === "alter" ? this.offers(expected)[0] : undefined;
    this.chosen = first ? { [first.text]: true } : {};
  }

  /** What a tailor could do with it, as it was computed. */
  offers(expected: Expected): Schemas["AlterationOut"][] {
    const all = expected.placed.checks.flatMap((check) => check.alterations);
    return all.filter((change) => change.cost === "tailor");
  }

  /** What is due of it as it was decided. */
  errands(expected: Expected): Due[] {
    const due = { due_on: this.dueOn || null };
    const none = { figure: "", by_cm: 0 };
    if (this.decision === "alter") {
      const said = this.offers(expected).filter((change) => this.chosen[change.text]);
      const made = said.map((change) => ({
        id: crypto.randomUUID(),
        kind: "alter" as const,
        text: change.text,
        figure: change.figure,
        by_cm: change.by_cm,
        ...due,
      }));
      if (made.length) return made;
      return [
        { id: crypto.randomUUID(), kind: "alter", text: this.why.trim() || "Alter it.", ...none, ...due },
      ];
    }
    if (this.decision === "return" || this.decision === "size") {
      const text = this.why.trim() || (this.decision === "size" ? "Try another size." : "Take it back.");
      return [{ id: crypto.randomUUID(), kind: this.decision, text, ...none, ...due }];
    }
    return [];
  }
}
