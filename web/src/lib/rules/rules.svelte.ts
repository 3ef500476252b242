/** The house rules: which are followed, where their borders are drawn, which schools are taken, and what a change would
 * do before it is made. */
import { api, ask, type Refusal, type Schemas, type Unit } from "../api/client";
import { studio } from "../studio.svelte";
import { length } from "../units";

export type RuleRow = Schemas["RuleOut"];
export type Border = Schemas["RuleBorderOut"];
export type Ways = Required<Schemas["Ways"]>;

/** A border's figure as it is read: in the studio's unit, as a share, or on the engine's scale. */
export function drawn(border: Border, value: number, unit: Unit): string {
  if (border.unit === "cm") return length(value, unit);
  if (border.unit === "share") return `${(value * 100).toFixed(1).replace(/\.0$/, "")} %`;
  if (border.unit === "°C") return unit === "cm" ? `${value} °C` : `${Math.round(value * 1.8)} °F`;
  return `${value.toFixed(2)} of 4`;
}

/** How long a border is held still before its effect is asked for, ms. */
const PAUSE = 250;

export class HouseRules {
  rules = $state.raw<RuleRow[] | null>(null);
  borders = $state.raw<Border[]>([]);
  schools = $state.raw<Schemas["School"][]>([]);
  trouble = $state<string | null>(null);
  /** The rule whose looks are shown, and they. */
  open = $state<string | null>(null);
  looks = $state.raw<Schemas["ExampleOut"][]>([]);
  /** A change that is looked at before it is made: what it is of, and what would be judged otherwise. */
  proposed = $state.raw<{ of: string; ways: Partial<Ways> } | null>(null);
  effect = $state.raw<Schemas["EffectOut"] | null>(null);
  sought = $state("");
  #timer: ReturnType<typeof setTimeout> | undefined;

  readonly shown = $derived(
    (this.rules ?? []).filter((rule) =>
      `${rule.subject} ${rule.says}`.toLocaleLowerCase().includes(this.sought.trim().toLocaleLowerCase()),
    ),
  );
  readonly subjects = $derived([...new Set(this.shown.map((rule) => rule.subject))]);
  readonly muted = $derived((this.rules ?? []).filter((rule) => rule.muted));
  readonly moved = $derived(this.borders.filter((border) => border.drawn !== border.usual));

  /** The way this house judges now. */
  get ways(): Ways {
    const held = studio.me?.studio;
    return { schools: { ...held?.schools }, muted: [...(held?.muted ?? [])], borders: { ...held?.borders } };
  }

  bordersOf(rule: RuleRow): Border[] {
    return this.borders.filter((border) => border.rules.includes(rule.id));
  }

  async load(): Promise<void> {
    const [rules, schools] = await Promise.all([ask(api.GET("/api/rules")), ask(api.GET("/api/schools"))]);
    this.trouble =
      "refusal" in rules ? rules.refusal.message : "refusal" in schools ? schools.refusal.message : null;
    if ("data" in rules) {
      this.rules = rules.data.rules;
      this.borders = rules.data.borders;
    }
    if ("data" in schools) this.schools = schools.data;
  }

  /** Show what a rule touches, and what its other state would change. */
  async show(rule: RuleRow): Promise<void> {
    if (this.open === rule.id) {
      this.open = this.proposed = null;
      return;
    }
    this.open = rule.id;
    this.looks = [];
    const [looks] = await Promise.all([
      ask(api.GET("/api/rules/{rule_id}/looks", { params: { path: { rule_id: rule.id } } })),
      this.propose(rule.id, this.#turned(rule)),
    ]);
    if (this.open === rule.id && "data" in looks) this.looks = looks.data.looks;
  }

  /** Look at a change: which looks would be judged otherwise. */
  async propose(of: string, ways: Partial<Ways>): Promise<void> {
    clearTimeout(this.#timer);
    const proposed = (this.proposed = { of, ways });
    this.effect = null;
    const told = await ask(api.POST("/api/rules/effect", { body: { ...this.ways, ...ways } }));
    if (this.proposed !== proposed) return;
    if ("data" in told) this.effect = told.data;
    else this.trouble = told.refusal.message;
  }

  /** A border is being moved: look at it when it rests. */
  slide(border: Border, to: number): void {
    clearTimeout(this.#timer);
    const ways = this.#drawn(border, to);
    this.proposed = { of: border.key, ways };
    this.effect = null;
    this.#timer = setTimeout(() => void this.propose(border.key, ways), PAUSE);
  }

  /** Where a border stands in the change that is looked at, or where it is drawn. */
  at(border: Border): number {
    const proposed = this.proposed?.of === border.key ? this.proposed.ways.borders : undefined;
    return proposed ? (proposed[border.key] ?? border.usual) : border.drawn;
  }

  /** Judge another way from now on; what is needed to take it back, or why it was not done. */
  async take(ways: Partial<Ways>): Promise<{ before: Partial<Ways> } | { refusal: Refusal }> {
    const now = this.ways;
    const before = Object.fromEntries(Object.keys(ways).map((key) => [key, now[key as keyof Ways]]));
    const refusal = await studio.change(ways);
    this.proposed = this.effect = null;
    await this.load();
    if (refusal) this.trouble = refusal.message;
    return refusal ? { refusal } : { before };
  }

  /** Follow a rule, or no longer. */
  turn(rule: RuleRow): ReturnType<HouseRules["take"]> {
    this.open = null;
    return this.take(this.#turned(rule));
  }

  #turned(rule: RuleRow): Partial<Ways> {
    const now = this.ways.muted;
    return { muted: rule.muted ? now.filter((key) => key !== rule.id) : [...now, rule.id] };
  }

  #drawn(border: Border, to: number): Partial<Ways> {
    const borders = { ...this.ways.borders };
    if (to === border.usual) delete borders[border.key];
    else borders[border.key] = to;
    return { borders };
  }
}
