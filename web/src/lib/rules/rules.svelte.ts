/** The house rules: which are followed, what each touches, and what a change would do before it is made. */
import { api, ask, type Refusal, type Schemas } from "../api/client";
import { studio } from "../studio.svelte";

export type RuleRow = Schemas["RuleOut"];

export class HouseRules {
  rules = $state.raw<RuleRow[] | null>(null);
  trouble = $state<string | null>(null);
  /** The rule whose looks are shown, and they. */
  open = $state<string | null>(null);
  looks = $state.raw<Schemas["ExampleOut"][]>([]);
  /** What muting or following the rule that is open would change. */
  effect = $state.raw<Schemas["EffectOut"] | null>(null);
  sought = $state("");

  readonly shown = $derived(
    (this.rules ?? []).filter((rule) =>
      `${rule.subject} ${rule.says}`.toLocaleLowerCase().includes(this.sought.trim().toLocaleLowerCase()),
    ),
  );
  readonly subjects = $derived([...new Set(this.shown.map((rule) => rule.subject))]);
  readonly muted = $derived((this.rules ?? []).filter((rule) => rule.muted));

  async load(): Promise<void> {
    const told = await ask(api.GET("/api/rules"));
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) this.rules = told.data.rules;
  }

  /** Show what a rule touches, and what its other state would change. */
  async show(rule: RuleRow): Promise<void> {
    if (this.open === rule.key) {
      this.open = null;
      return;
    }
    this.open = rule.key;
    this.looks = [];
    this.effect = null;
    const schools = studio.me?.studio.schools ?? {};
    const [looks, effect] = await Promise.all([
      ask(api.GET("/api/rules/{key}/looks", { params: { path: { key: rule.key } } })),
      ask(api.POST("/api/rules/effect", { body: { schools, muted: this.#without(rule) } })),
    ]);
    if (this.open !== rule.key) return;
    if ("data" in looks) this.looks = looks.data.looks;
    if ("data" in effect) this.effect = effect.data;
  }

  /** Follow a rule, or no longer; whether it was done. */
  async turn(rule: RuleRow): Promise<Refusal | null> {
    const refusal = await studio.change({ muted: this.#without(rule) });
    this.trouble = refusal?.message ?? null;
    await this.load();
    this.open = null;
    return refusal;
  }

  /** The muted rules as they would be with this one turned over. */
  #without(rule: RuleRow): string[] {
    const now = this.muted.map((one) => one.key);
    return rule.muted ? now.filter((key) => key !== rule.key) : [...now, rule.key];
  }
}
