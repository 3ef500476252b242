/** Which key does what on a client's screen, in any step. */
import { alone, typing } from "../ui/letters.svelte";

type Act = () => void;

export interface Keys {
  /** Ctrl S, wherever the hand is. */
  keep: Act;
  /** Ctrl Z, and with Shift or as Ctrl Y; a field that is typed in undoes for itself. */
  back: (way: "undo" | "redo") => void;
  /** By the place of the key on its board: alone, or with Alt while a field is typed in. */
  placed: (code: string) => Act | undefined;
  /** By what stands on the key, alone. */
  letters: Record<string, Act>;
  escape: Act;
}

function withControl(event: KeyboardEvent, keys: Keys): Act | undefined {
  const key = event.key.toLowerCase();
  if (key === "s") return keys.keep;
  const on = event.target as HTMLElement;
  const empty = on.matches("input[data-measure]") && !(on as HTMLInputElement).value;
  if ((key !== "z" && key !== "y") || (typing(on) && !empty)) return undefined;
  return () => keys.back(event.shiftKey || key === "y" ? "redo" : "undo");
}

function asked(event: KeyboardEvent, keys: Keys): Act | undefined {
  if (event.ctrlKey || event.metaKey) return withControl(event, keys);
  const on = event.target as HTMLElement;
  if (on.closest("[role=listbox], [role=dialog]")) return undefined;
  if (event.altKey) return keys.placed(event.code);
  if (event.key === "Escape" && !typing(on)) return keys.escape;
  return alone(event) ? (keys.placed(event.code) ?? keys.letters[event.key.toLowerCase()]) : undefined;
}

/** Do what the key asks for, if it asks for anything. */
export function press(event: KeyboardEvent, keys: Keys): void {
  const act = asked(event, keys);
  if (!act) return;
  event.preventDefault();
  act();
}
