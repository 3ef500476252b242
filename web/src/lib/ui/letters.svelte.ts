/** Keys that are one letter, digit or sign. Whoever speaks to the machine or strays onto keys can switch them off
 * on this device; with Alt, or where a field itself listens, they work all the same. */
const KEY = "letters";

class Letters {
  on = $state(typeof localStorage === "undefined" || localStorage.getItem(KEY) !== "off");

  switch(on: boolean): void {
    this.on = on;
    localStorage.setItem(KEY, on ? "on" : "off");
  }
}

export const letters = new Letters();

/** Something is being typed: keys are letters there. */
export const typing = (on: HTMLElement): boolean =>
  on.matches("input:not([type=checkbox], [type=radio]), textarea, select");

/** A key pressed alone where it may mean something by itself. */
export function alone(event: KeyboardEvent): boolean {
  const held = event.ctrlKey || event.metaKey || event.altKey;
  return letters.on && !held && !typing(event.target as HTMLElement);
}
