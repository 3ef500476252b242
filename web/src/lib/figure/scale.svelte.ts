/** The vertical rule as a scale: every mark asks it “where is 76 cm?”. */
import { getContext, setContext } from "svelte";

const KEY = Symbol("rule");
/** Room above the crown, px. The floor is the lower edge of the stage. */
const ABOVE = 14;

const textSize = (): number =>
  typeof document === "undefined"
    ? 1
    : parseFloat(getComputedStyle(document.documentElement).fontSize) / 16 || 1;

export class RuleScale {
  /** Size of the stage, px. */
  height = $state(600);
  width = $state(520);
  /** How large text is read, over the usual: labels take so much more room. */
  readonly text = textSize();
  /** What has to fit above the floor, cm. */
  tall = $state(170);
  /** Where what is shown begins above the floor, cm: nought, but for a detail. */
  from = $state(0);

  get perCm(): number {
    return Math.max(1, (this.height - ABOVE) / this.tall);
  }

  get floor(): number {
    return this.height;
  }

  /** Whether a height can be seen, cm above the floor. */
  shows(cm: number): boolean {
    return cm >= this.from - 1 && cm <= this.from + this.tall;
  }

  /** Pixels from the top of the stage for a height above the floor. */
  y(cm: number): number {
    return this.floor - (cm - this.from) * this.perCm;
  }

  /** The height above the floor, cm, of a place so many pixels below the top of the stage. */
  heightAt(px: number): number {
    return (this.floor - px) / this.perCm + this.from;
  }
}

export const provideScale = (scale: RuleScale): RuleScale => setContext(KEY, scale);
export const useScale = (): RuleScale => getContext<RuleScale>(KEY);

/**
 * Places for labels that want to stand at `wanted` (their middles) and have these heights, without
 * overlapping and inside 0 to `room`: each is moved as little as its neighbours allow.
 */
export function apart(wanted: number[], heights: number[], room: number, gap = 4): number[] {
  const order = wanted.map((_, i) => i).sort((a, b) => (wanted[a] ?? 0) - (wanted[b] ?? 0));
  const tops: number[] = Array.from(wanted, () => 0);
  let low = 0;
  for (const i of order) {
    const top = Math.max(low, (wanted[i] ?? 0) - (heights[i] ?? 0) / 2);
    tops[i] = top;
    low = top + (heights[i] ?? 0) + gap;
  }
  let high = room;
  for (const i of order.toReversed()) {
    const top = Math.min(tops[i] ?? 0, high - (heights[i] ?? 0));
    tops[i] = top;
    high = top - gap;
  }
  // Too many to fit: then they stand one below the other from the top, and the column scrolls.
  const least = Math.min(...tops, 0);
  return least < 0 ? tops.map((top) => top - least) : tops;
}
