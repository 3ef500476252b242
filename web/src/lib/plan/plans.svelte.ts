/** A client's weeks and trips on the screen: begun, dressed, a day changed, packed; and what was worn. */
import { api, ask, type Refusal, type Schemas } from "../api/client";
import type { History } from "../client/history.svelte";
import { Work, type Job } from "../edit/work.svelte";
import { Drawings } from "../outfits/drawings.svelte";
import { notice } from "../ui/notice.svelte";

export type Plan = Schemas["PlanOut"];
export type PlanDay = Schemas["PlanDayOut"];
export type Occasion = Schemas["OccasionForm"];
export type Kind = Plan["kind"];
type Doing = Omit<Schemas["DayDoing"], "version">;

/** A day so many days after another, as an ISO date. */
export function after(iso: string, days: number): string {
  const at = new Date(`${iso}T12:00:00Z`);
  at.setUTCDate(at.getUTCDate() + days);
  return at.toISOString().slice(0, 10);
}

/** Today on the wall, as an ISO date. */
export function todayIso(now: Date = new Date()): string {
  const two = (part: number) => String(part).padStart(2, "0");
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** What hands have said of a plan, and no dressing changes: its days, what is asked of them, what is kept and what is kept from them. */
const byHand = ({ name, place, occasions, asks, days }: Plan): string =>
  JSON.stringify([
    ...[name, place, occasions, asks],
    days.map(({ key, kept, without, look }) => [
      key,
      kept,
      without,
      kept && look?.pieces.map((one) => one.piece_id),
    ]),
  ]);

export class Plans {
  plans = $state.raw<Plan[] | null>(null);
  at = $state<string | null>(null);
  view = $state<"plan" | "worn">("plan");
  uses = $state.raw<Schemas["UsesOut"] | null>(null);
  trouble = $state<string | null>(null);
  readonly drawings: Drawings;
  readonly work: Work<{ job: Job }>;
  /** Whether days are to be dressed, and the server has not answered yet. */
  asked = $state(false);
  /** Whether the next question has the plan dressed, or only looks what became of it. */
  #dressing = false;

  constructor(
    readonly clientId: string,
    private history: History,
  ) {
    this.drawings = new Drawings(clientId);
    this.work = new Work(() => this.#bring());
  }

  get #client() {
    return { path: { client_id: this.clientId } };
  }

  readonly here = $derived(this.plans?.find((plan) => plan.id === this.at) ?? this.plans?.[0] ?? null);

  async load(): Promise<void> {
    const told = await ask(api.GET("/api/clients/{client_id}/plans", { params: this.#client }));
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) this.plans = told.data.plans;
  }

  #put(plan: Plan): void {
    const rest = this.plans ?? [];
    this.plans = rest.some((one) => one.id === plan.id)
      ? rest.map((one) => (one.id === plan.id ? plan : one))
      : [plan, ...rest];
  }

  /** An answer that is a plan; where somebody else changed it, theirs is shown and said. */
  #take(told: { data: Plan } | { refusal: { message: string; current?: unknown } }): boolean {
    if ("data" in told) {
      this.#put(told.data);
      return true;
    }
    const current = told.refusal.current as Plan | undefined;
    if (current) this.#put(current);
    notice.say(current ? `${told.refusal.message} It shows theirs now.` : told.refusal.message);
    return false;
  }

  /** Begin a plan with the days that are proposed, and have it dressed. */
  async begin(kind: Kind, first: string, days: number, name: string, place: string): Promise<void> {
    const params = this.#client;
    const proposed = await ask(
      api.POST("/api/clients/{client_id}/plans/proposed", { params, body: { first, days } }),
    );
    if ("refusal" in proposed) return notice.say(proposed.refusal.message);
    const body = { id: crypto.randomUUID(), kind, name, place, occasions: proposed.data.occasions };
    const asks = kind === "trip" ? { wash: [], takes: 1, shoes: 2 } : { wash: [5], takes: 1, shoes: 2 };
    const told = await ask(api.POST("/api/clients/{client_id}/plans", { params, body: { ...body, asks } }));
    if (!this.#take(told)) return;
    this.at = body.id;
    const path = { params: { path: { plan_id: body.id } } };
    this.history.add({
      name: `beginning ${name}`,
      undo: async () => {
        await ask(api.DELETE("/api/plans/{plan_id}", path));
        await this.load();
      },
      redo: async () => void this.#take(await ask(api.POST("/api/plans/{plan_id}/restore", path))),
    });
    await this.air(false);
    await this.dress();
  }

  /** Change what is typed of a plan. */
  async change(plan: Plan, change: Partial<Schemas["PlanChange"]>, undo = true): Promise<void> {
    const typed = (one: Plan) => ({
      name: one.name,
      place: one.place,
      occasions: one.occasions,
      asks: one.asks,
    });
    const was = typed(plan);
    const body = { ...was, ...change, version: plan.version };
    const params = { path: { plan_id: plan.id } };
    if (!this.#take(await ask(api.PUT("/api/plans/{plan_id}", { params, body }))) || !undo) return;
    const newest = () => this.plans?.find((one) => one.id === plan.id) ?? plan;
    this.history.add({
      name: `a change of ${plan.name}`,
      undo: () => this.change(newest(), was, false),
      redo: () => this.change(newest(), change, false),
    });
  }

  changeDay(plan: Plan, key: string, change: Partial<Occasion>): Promise<void> {
    const occasions = plan.occasions.map((one) => (one.key === key ? { ...one, ...change } : one));
    return this.change(plan, { occasions });
  }

  /** Take the forecast's air; whether it is said where none answers. */
  async air(aloud = true): Promise<void> {
    const plan = this.here;
    if (!plan) return;
    const params = { path: { plan_id: plan.id } };
    const told = await ask(api.POST("/api/plans/{plan_id}/air", { params, body: { version: plan.version } }));
    if ("data" in told) {
      this.#put(told.data);
      const known = told.data.occasions.filter((one) => one.celsius != null).length;
      if (aloud) notice.say(`The forecast reaches ${known} of ${told.data.occasions.length} occasions.`);
    } else if (aloud) notice.say(told.refusal.message);
  }

  async #bring(): Promise<{ data: { job: Job } } | { refusal: { message: string } }> {
    const plan = this.here;
    if (!plan) return { refusal: { message: "This plan is not there any more." } };
    if (this.#dressing) {
      this.#dressing = false;
      return ask(api.POST("/api/plans/{plan_id}/dress", { params: { path: { plan_id: plan.id } } }));
    }
    const search_id = this.work.job?.id ?? "";
    const [told] = await Promise.all([
      ask(api.GET("/api/edit/{search_id}", { params: { path: { search_id } } })),
      this.load(),
    ]);
    return "data" in told ? { data: { job: told.data } } : told;
  }

  /** Dress the days: what is kept stays, and the rest gives way as little as possible. */
  async dress(): Promise<void> {
    this.#dressing = this.asked = true;
    await this.work.ask();
    this.asked = false;
  }

  /** Change one day by hand, and have the rest give way. */
  async day(plan: Plan, doing: Doing, again = true): Promise<void> {
    const params = { path: { plan_id: plan.id } };
    const change = (version: number) =>
      ask(api.PATCH("/api/plans/{plan_id}/day", { params, body: { version, ...doing } }));
    if (!this.#take(await this.#whileDressed(plan, change))) return;
    this.history.add({
      name: `a change of a day of ${plan.name}`,
      undo: () => this.back(plan.id),
      redo: () => this.day(this.plans?.find((one) => one.id === plan.id) ?? plan, doing, again),
    });
    if (again) await this.dress();
  }

  async back(id: string): Promise<void> {
    const plan = this.plans?.find((one) => one.id === id);
    if (!plan) return;
    const params = { path: { plan_id: id } };
    const undo = (version: number) =>
      ask(api.POST("/api/plans/{plan_id}/undo", { params, body: { version } }));
    this.#take(await this.#whileDressed(plan, undo));
  }

  /** A change by hand while days are being dressed: where that came first the plan is another, by our own doing, and the change is
   * made on it; one step back undoes both. Where somebody's hand changed it too, theirs is shown first. */
  async #whileDressed<T extends { data: Plan } | { refusal: Refusal }>(
    plan: Plan,
    change: (version: number) => Promise<T>,
  ): Promise<T> {
    const dressing = this.asked || this.work.busy;
    const told = await change(plan.version);
    const current = "refusal" in told ? (told.refusal.current as Plan | undefined) : undefined;
    const ours = current && dressing && byHand(current) === byHand(plan);
    return ours ? change(current.version) : told;
  }

  async tick(plan: Plan, piece: string, on: boolean): Promise<void> {
    const params = { path: { plan_id: plan.id } };
    this.#take(await ask(api.POST("/api/plans/{plan_id}/tick", { params, body: { piece, on } })));
  }

  async remove(plan: Plan): Promise<void> {
    const params = { path: { plan_id: plan.id } };
    const told = await ask(api.DELETE("/api/plans/{plan_id}", { params }));
    if ("refusal" in told) return notice.say(told.refusal.message);
    this.plans = (this.plans ?? []).filter((one) => one.id !== plan.id);
    const restore = async () =>
      void this.#take(await ask(api.POST("/api/plans/{plan_id}/restore", { params })));
    this.history.add({ name: `taking ${plan.name} away`, undo: restore, redo: () => this.remove(plan) });
    notice.say(`${plan.name} is taken away.`);
  }

  /** Say that an occasion's look was worn, on its day or today. */
  async wear(plan: Plan, occasion: Occasion, day: PlanDay): Promise<void> {
    if (!day.look) return;
    const today = todayIso();
    const body = {
      id: crypto.randomUUID(),
      on: occasion.on > today ? today : occasion.on,
      pieces: day.look.pieces.flatMap((piece) => (piece.piece_id ? [piece.piece_id] : [])),
      seen_by: occasion.seen_by ?? [],
      title: occasion.name || `${plan.name}`,
      source: `plan ${plan.id} ${occasion.key}`,
    };
    const told = await ask(api.POST("/api/clients/{client_id}/worn", { params: this.#client, body }));
    if ("refusal" in told) return notice.say(told.refusal.message);
    const path = { params: { path: { worn_id: body.id } } };
    this.history.add({
      name: "what was worn",
      undo: async () => {
        await ask(api.DELETE("/api/worn/{worn_id}", path));
        await this.#again();
      },
      redo: async () => {
        await ask(api.POST("/api/worn/{worn_id}/restore", path));
        await this.#again();
      },
    });
    await this.#again();
  }

  async unwear(id: string): Promise<void> {
    const path = { params: { path: { worn_id: id } } };
    await ask(api.DELETE("/api/worn/{worn_id}", path));
    this.history.add({
      name: "taking back what was worn",
      undo: async () => {
        await ask(api.POST("/api/worn/{worn_id}/restore", path));
        await this.#again();
      },
      redo: () => this.unwear(id),
    });
    await this.#again();
  }

  async #again(): Promise<void> {
    await Promise.all([this.load(), this.loadUses()]);
  }

  async loadUses(): Promise<void> {
    const told = await ask(api.GET("/api/clients/{client_id}/worn", { params: this.#client }));
    this.trouble = "refusal" in told ? told.refusal.message : null;
    if ("data" in told) this.uses = told.data;
  }
}
