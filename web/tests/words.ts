/** A vocabulary as the server tells it, with a few kinds of each sort. */
import type { Schemas } from "../src/lib/api/client";

type Vocabulary = Schemas["Vocabulary"];
type Kind = Vocabulary["of_kind"][string];

const kind = (slot: string, more: Partial<Kind> = {}): Kind => ({
  ...{ slot, place: slot, figures: [], length: null, covers: [], has_legs: false, is_boot: false },
  ...more,
});
const legs = (slot: string, more: Partial<Kind> = {}) =>
  kind(slot, { has_legs: true, length: "inseam_cm", ...more });

export const words: Vocabulary = {
  kinds: {
    bottom: ["jeans", "trousers", "shorts", "skirt"],
    one_piece: ["dress", "dungarees"],
    top: ["tee", "knit"],
    layer: ["cardigan", "coat"],
    shoes: ["pumps", "loafers", "tall_boots"],
    extra: ["belt", "scarf"],
    swim: ["swimsuit"],
  },
  of_kind: {
    jeans: legs("bottom"),
    trousers: legs("bottom"),
    shorts: legs("bottom"),
    skirt: kind("bottom", { length: "length_cm" }),
    dress: kind("one_piece", { length: "length_cm", covers: ["top", "bottom"] }),
    dungarees: legs("one_piece", { covers: ["bottom"] }),
    tee: kind("top", { length: "length_cm" }),
    knit: kind("top", { length: "length_cm" }),
    cardigan: kind("layer", { length: "length_cm" }),
    coat: kind("layer", { length: "length_cm" }),
    pumps: kind("shoes"),
    loafers: kind("shoes"),
    tall_boots: kind("shoes", { is_boot: true }),
    belt: kind("extra", { place: "belt" }),
    scarf: kind("extra", { place: "scarf" }),
    swimsuit: kind("swim", { place: "swimsuit" }),
  },
  places: ["swimsuit", "bottom", "one_piece", "top", "under_layer", "layer", "shoes", "belt", "scarf"],
  one_of: {},
  some_of: {},
  leg_cuts: ["slim", "wide"],
  top_cuts: ["boxy"],
  skirt_cuts: ["a_line"],
  colours: [{ name: "navy", hex: "#1f2a44" }],
};
