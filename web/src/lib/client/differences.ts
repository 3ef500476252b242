/** What differs between two versions of a look, in words. */
import type { Piece, Slot } from "../api/client";
import { factsApart, type Facts } from "./facts";

interface Version {
  name: string;
  facts: Facts;
  pieces: Partial<Record<Slot, Piece>>;
}

/** Mine beside theirs: “name: “Mine” / “Theirs””, “bottom, cut: – / slim”. */
export function differences(mine: Version, theirs: Version, places: Slot[]): string[] {
  const found = mine.name === theirs.name ? [] : [`name: “${mine.name}” / “${theirs.name}”`];
  found.push(...factsApart(mine.facts, theirs.facts));
  for (const place of places) {
    const one = (mine.pieces[place] ?? {}) as Record<string, unknown>;
    const other = (theirs.pieces[place] ?? {}) as Record<string, unknown>;
    for (const key of new Set([...Object.keys(one), ...Object.keys(other)])) {
      if (JSON.stringify(one[key]) !== JSON.stringify(other[key]))
        found.push(`${place}, ${key.replaceAll("_", " ")}: ${one[key] ?? "–"} / ${other[key] ?? "–"}`);
    }
  }
  return found;
}
