import { beforeEach, describe, expect, it } from "vitest";
import type { Piece } from "../src/lib/api/client";
import { asked, flagOf } from "../src/lib/client/asked";
import { Composition } from "../src/lib/client/composition.svelte";
import { History } from "../src/lib/client/history.svelte";
import { isMeasured, kindsAt, placesOf, titleOf, UNDER } from "../src/lib/client/kinds";
import { words } from "./words";

class Composed extends Composition {
  protected readonly composed = "a look";
  protected changed(): void {}
}

const [TEE, CARDIGAN, COAT] = [{ is: "tee" }, { is: "cardigan" }, { is: "coat" }] as Piece[] as [
  Piece,
  Piece,
  Piece,
];
const OPEN = { ...CARDIGAN, open: true };

describe("places of pieces", () => {
  it("lays a knit round the shoulders where a scarf would lie", () => {
    const [shirt, knit] = [{ is: "tee" }, { is: "cardigan", worn: "shoulders" }] as Piece[];
    expect(placesOf(words, [shirt, knit] as Piece[])).toEqual(["top", "scarf"]);
  });

  it("bastes what is described and stitches what has a figure", () => {
    const look = new Composed(words, new History());
    look.wear([TEE, { is: "coat", length_cm: 100 } as Piece], "a tee and a coat");
    expect(look.described).toEqual(["top"]);
    expect(isMeasured({ is: "tee", cut: "boxy" } as Piece)).toBe(false);
    expect(isMeasured({ is: "tee", stretch_pct: 4 } as Piece)).toBe(true);
  });
});

describe("two layers", () => {
  let history: History;
  let look: Composed;
  beforeEach(() => {
    history = new History();
    look = new Composed(words, history);
    look.wear([TEE], "a tee");
  });
  const on = () => look.list.map((piece) => piece.is);

  it("stand each at a place of its own, with the words of a layer", () => {
    expect(placesOf(words, [TEE, CARDIGAN, COAT])).toEqual(["top", UNDER, "layer"]);
    expect(placesOf(words, [{ ...TEE, worn: "over" }, CARDIGAN])).toEqual([UNDER, "layer"]);
    expect([titleOf(UNDER), kindsAt(words, UNDER)]).toEqual(["Under it", ["cardigan", "coat"]]);
    expect(asked(words, UNDER, "cardigan")).toEqual(asked(words, "layer", "cardigan"));
    expect(flagOf(words, UNDER, "cardigan")).toBe("open");
  });

  it("are put on one over the other, each still the piece of the rack that it is", () => {
    look.wear([OPEN], "the cardigan", "c1");
    look.wearOver(COAT, "the coat over it", "c2");
    expect(on()).toEqual(["tee", "cardigan", "coat"]);
    expect(look.fromRack).toEqual({ [UNDER]: "c1", layer: "c2" });
    expect(look.pieces[UNDER]).toEqual(OPEN);
    history.undo();
    expect([on(), look.fromRack]).toEqual([["tee", "cardigan"], { layer: "c1" }]);
  });

  it("keep what is of the rack apart from what is only said", () => {
    look.wear([CARDIGAN], "the cardigan", "c1");
    look.wearOver(COAT, "a coat that is said");
    expect(look.fromRack).toEqual({ [UNDER]: "c1" });
    look.change("layer", null, "taking it off");
    expect([on(), look.fromRack]).toEqual([["tee", "cardigan"], { layer: "c1" }]);
  });

  it("are swapped, turned round, and one that is left is the outer one", () => {
    look.wear([CARDIGAN, COAT], "both");
    expect(Object.keys(look.pieces)).toEqual(["top", UNDER, "layer"]);
    look.wear([{ ...CARDIGAN, colour: "navy" }], "another over it");
    expect([on(), look.pieces.layer?.colour]).toEqual([["tee", "cardigan", "cardigan"], "navy"]);
    look.change("layer", { is: "coat" }, "a coat");
    look.turnLayers();
    expect(on()).toEqual(["tee", "coat", "cardigan"]);
    look.change("layer", null, "taking it off");
    expect([on(), look.pieces[UNDER], look.pieces.layer?.is]).toEqual([["tee", "coat"], undefined, "coat"]);
  });

  it("come with a look that was found, and with their pieces of the rack", () => {
    look.dressIn(
      [TEE, CARDIGAN, COAT].map((piece, i) => ({ piece, rackId: `r${i}` })),
      "found",
    );
    expect(look.fromRack).toEqual({ top: "r0", [UNDER]: "r1", layer: "r2" });
  });
});
