"""Layers: the third piece finishes a plain base; where it ends decides whether it lengthens, covers or chops."""

from __future__ import annotations

from collections.abc import Iterator

from craft.cloth.colour import lightness
from craft.facts import least, most
from craft.judge.aims import Aims
from craft.judge.edges import ON_HIP
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.judge.volume import MARKED
from craft.look import Outfit
from craft.look.readings import BASE
from craft.units import Sentence
from craft.wear import WornBottom, WornLayer
from craft.wear.openings import sleeve_of

rule = Subject("layers", "Layers (9)", sees_colour=False)

#: A hem above the knee by this much is a short hem, cm (W).
SHORT_HEM = 10.0
#: A layer that ends this near to a skirt's hem goes with it, cm (W: a coat as long as the skirt); over a short hem this near.
AS_LONG, OVER_SHORT = 10.0, 3.0
#: A layer that ends no lower than this under the waist is short, cm (W).
SHORT_LAYER = 8.0
#: A hem that hangs out this far below a short layer is a second edge, cm (W).
HANGS_OUT = 8.0
#: From this volume a layer adds bulk (0 to 4), from this thickness its cloth does (0 to 1).
FULL, THICK = 3.2, 0.75
#: Legs at most the first full are close; from the second on wide; a layer up to the third is
#: neat, from the fourth it hangs full over a leg eased from the fifth (0 to 4; W).
CLOSE, WIDE, NEAT, HANGS_FULL, EASED = 1.0, 2.9, 2.4, 2.5, 1.9
#: A waist less clearly marked than this is not seen under a full layer (0 to 1; W).
UNSEEN = 0.5
#: By how much a dark open layer counts for more, and a pale one for less, to who wants to be drawn in; OKLCH lightness of
#: neither (W).
DARK_SLIMS, MIDDLE_TONE = 0.08, 0.6


@rule("layers.third", looks_at=("layer", "scarf"), reads=("heel", "dressed_above"))
def third_piece(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A layer or scarf over a plain base finishes it."""
    finishing = [layer.piece for layer in outfit.layers if layer.open or layer.structured]
    scarf = outfit.extras.get("scarf")
    piece = finishing[0] if finishing else scarf
    if piece is None or (not outfit.dressed_above and len(finishing) <= 1 and scarf is None):
        return
    held = Figure("pieces over the base", float(len(finishing) + (scarf is not None)), 1.0, "scale")
    text = f"The {piece.kind} is the third piece that finishes a plain base."
    yield pro(0.15, "third_piece", ("whole", outfit.at("bust")), "Third piece", text, held)


@rule("layers.line", looks_at=("layer", "bottom", "one_piece"), reads=("heel",), borders=(ON_HIP,), sees_colour=True)
def line(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """An open lean layer makes two verticals; a short bulky one widens."""
    wanted = 0.12 if aims.wanted("slim", "lengthen_legs") or aims.soften & {"middle", "hips"} else 0.0
    dark = DARK_SLIMS if wanted else 0.0
    for layer in outfit.layers:
        if _half_way(outfit, layer):
            continue
        below, where = outfit.at("hip") - layer.hem.cm, ("whole", layer.hem.cm)
        held = Figure("hem below the hip", below, 0.0)
        bulky = layer.thickness >= THICK or layer.volume >= FULL
        if layer.open and layer.lean and below > 0:
            text = f"The open {layer.piece.kind} hangs in two verticals and draws the figure in."
            # The darker the edges, the more they draw in: a pale layer frames and widens (brief, section 9).
            shade = most(-1.0, least(1.0, (MIDDLE_TONE - lightness(layer.colour)) / 0.25))
            yield pro(0.25 + wanted + dark * shade, "lengthening_line", where, "Two verticals", text, held)
        elif bulky and (below <= 5.0 or not layer.lean) and not layer.belted:
            text = f"So full a {layer.piece.kind} that ends here widens what it lies on."
            weight = 0.15 + wanted + (0.1 if aims.soften & {"hips", "upper_arms", "shoulders"} else 0.0)
            yield con(weight, "widening_line", where, "Bulk widens", text, held)


@rule("layers.hem", looks_at=("layer",), reads=("heel", "outer_belted"), borders=(ON_HIP,))
def hem(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A layer that ends on the fullest hip draws a line across it."""
    layer = outfit.outer
    if layer is None or outfit.outer_belted:
        return
    off = abs(layer.hem.cm - outfit.at("hip"))
    if off <= ON_HIP.of(outfit):
        text = Sentence.of("The layer ends {off} from the fullest hip: a line across the widest place.", off=off)
        soft = 0.2 if aims.soften & {"hips", "seat"} else 0.0
        weight = 0.25 + soft + (0.1 if outfit.shape == "triangle" else 0.0)
        # Worn open its hem is two short lines at the sides.
        weight *= 0.6 if layer.open else 1.0
        held = Figure("hem from the fullest hip", off, ON_HIP.of(outfit))
        yield con(weight, "hem_on_wide_place", ("hip", layer.hem.cm), "Layer ends on the hip", text, held)


@rule("layers.covers", looks_at=("layer",), reads=("legs_below", "below", "heel"), borders=(ON_HIP,))
def covers(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A layer that falls below the fullest hip covers the seat over a close leg."""
    layer, below = outfit.outer, outfit.below
    if layer is None or below is None or not outfit.legs_below:
        return
    off, soft = outfit.at("hip") - layer.hem.cm, bool(aims.soften & {"hips", "seat"})
    if off > ON_HIP.of(outfit) and (soft or below <= CLOSE):
        text = Sentence.of("The layer falls {off} below the fullest hip and covers the seat.", off=off)
        held = Figure("hem from the fullest hip", off, ON_HIP.of(outfit))
        weight = 0.2 + (0.2 if soft else 0.0)
        yield pro(weight, "covers_zone", ("seat", layer.hem.cm), "Covers the seat", text, held)


@rule("layers.proportion", about="layer", looks_at=("layer", "bottom", "one_piece"), reads=("heel",), borders=(ON_HIP,))
def proportion(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Short hem, longer layer; long skirt, short neat jacket or a coat as long; no short over short."""
    layer, bottom = outfit.outer, outfit.bottom
    if layer is None or bottom is None:
        return
    if not bottom.has_legs and bottom.hem.cm >= outfit.at("knee") + SHORT_HEM:
        yield from _over_short(outfit, layer, bottom)
    elif not bottom.has_legs and bottom.hem.cm < outfit.at("knee"):
        yield from _over_long(outfit, layer, bottom)
    elif bottom.volume <= CLOSE and layer.hem.cm > outfit.at("hip") and _crops(layer):
        text = "A crop, {at} up, over a close leg ends where the hip is widest."
        yield con(0.3, "chopped", *_proportion(layer, bottom, "Crop over a close leg", text))
    elif bottom.volume >= WIDE and -SHORT_LAYER <= layer.hem.cm - outfit.at("waist") <= 6.0 and not layer.open:
        text = "The short layer, {at} up, lets the wide leg hang from the waist."
        yield pro(0.25, "waist_marked", *_proportion(layer, bottom, "Short boxy layer at the waist", text))


def _over_short(outfit: Outfit, layer: WornLayer, bottom: WornBottom) -> Iterator[Remark]:
    if layer.hem.cm <= bottom.hem.cm + OVER_SHORT:
        text = "The layer ends {at} up, below the short hem: one long line."
        yield pro(0.3, "lengthening_line", *_proportion(layer, bottom, "Longer layer over a short hem", text))
    elif layer.hem.cm >= outfit.at("waist") - SHORT_LAYER:
        text = "A short layer, {at} up, over a short hem cuts the figure twice."
        yield con(0.35, "chopped", *_proportion(layer, bottom, "Short over short", text))


def _over_long(outfit: Outfit, layer: WornLayer, bottom: WornBottom) -> Iterator[Remark]:
    if layer.hem.cm <= bottom.hem.cm + AS_LONG:
        text = "The layer ends {at} up, with the skirt."
        yield pro(0.2, "lengthening_line", *_proportion(layer, bottom, "Coat as long as the skirt", text))
    elif layer.hem.cm >= outfit.at("hip") + ON_HIP.of(outfit) and layer.volume <= NEAT:
        text, title = "The layer ends {at} up: the long skirt keeps its line.", "Short neat layer over a long skirt"
        yield pro(0.25, "leg_lengthened", *_proportion(layer, bottom, title, text), also=("waist_marked",))
    elif _half_way(outfit, layer):
        text, title = (
            "The layer ends {at} up, half-way down the skirt, and drops the figure.",
            "Ends half-way down the skirt",
        )
        yield con(0.4, "chopped", *_proportion(layer, bottom, title, text), also=("shapeless",))


def _proportion(
    layer: WornLayer, bottom: WornBottom, title: str, text: str
) -> tuple[tuple[str, float], str, Sentence, Figure]:
    """Where, title, sentence and figure of what is said of a layer against the hem under it."""
    held = Figure("layer above the hem", layer.hem.cm - bottom.hem.cm, 0.0)
    return ("whole", layer.hem.cm), title, Sentence.of(text, at=layer.hem.cm), held


def _half_way(outfit: Outfit, layer: WornLayer) -> bool:
    """Whether a layer ends half-way down a long skirt."""
    bottom, knee = outfit.bottom, outfit.at("knee")
    if bottom is None or bottom.has_legs or bottom.hem.cm >= knee:
        return False
    far = layer.hem.cm > bottom.hem.cm + AS_LONG
    # What ends on the hip is a line across it (layers.hem), and that once.
    upper = least(outfit.at("crotch") + 6.0, outfit.at("hip") - ON_HIP.of(outfit))
    return far and knee + 3.0 < layer.hem.cm < upper


def _crops(layer: WornLayer) -> bool:
    return layer.piece.word("cut") == "cropped" or not layer.open


@rule("layers.under", about="layer", looks_at=("layer", *BASE), reads=("heel",), borders=(ON_HIP,))
def under_short(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """What hangs out under a short layer makes a second edge just below it; a back tuck keeps it clean behind."""
    layer, top = outfit.outer, outfit.top
    if layer is None or top is None or outfit.look.piece("bottom") is None or top.piece.slot != "top":
        return
    below = layer.hem.cm - top.hem.cm
    # What ends above the hip ends short of what hangs there.
    short = layer.hem.cm > outfit.at("hip") + ON_HIP.of(outfit)
    if not short or below < HANGS_OUT or (top.tucked and top.tuck != "back"):
        return
    held, where = Figure("hem below the layer", below, HANGS_OUT), ("waist", top.hem.cm)
    if top.tuck == "back":
        text = "Tucked behind, the top stays clean under the short layer and free in front."
        yield pro(0.15, "covers_zone", where, "Clean under the layer", text, held)
    else:
        text = "The hem hangs {by} below the short layer: two edges where one would do."
        yield con(0.25, "chopped", where, "Hangs out below", Sentence.of(text, by=below), held)


@rule(
    "layers.arms",
    looks_at=("top", "one_piece", "layer"),
    reads=("heel",),
    speaks_to=lambda of: "upper_arms" in of.aims.soften or "sleeveless" in of.aims.wont,
)
def sleeves(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Upper arms a client softens, covered or bare."""
    where, bare = ("arm", outfit.at("under_bust")), ("none", "short")
    tops = [sleeve_of(piece) for piece in outfit.pieces if piece.slot in ("top", "one_piece")]
    if any(sleeve not in bare for sleeve in tops) or any(layer.sleeve not in bare for layer in outfit.layers):
        yield pro(0.25, "covers_zone", where, "Upper arms covered", "The sleeve covers the upper arm.")
    else:
        text = "The upper arm is bare, which this client does not wear."
        yield con(0.35, "covers_zone", where, "Upper arms bare", text)


@rule(
    "layers.waist",
    about="layer",
    looks_at=("layer", *BASE),
    reads=("outer_belted", "waist_marked", "below", "heel"),
    borders=(MARKED,),
)
def shapeless(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A full layer that hangs from shoulder to seat over an eased leg hides the person, unless a belt gives a waist back."""
    layer, below, marked = outfit.outer, outfit.below, outfit.waist_marked
    if layer is None or below is None:
        return
    at = outfit.at("waist")
    held, where = Figure("waist marked", marked, MARKED.of(outfit), "share"), ("waist", at)
    full = layer.volume >= HANGS_FULL and below >= EASED
    if outfit.outer_belted:
        text = "The belt over the layer gives the waist back."
        yield pro(0.35, "waist_marked", where, "Waist given back", text, held)
    elif full and marked < UNSEEN and layer.hem.cm < at - SHORT_LAYER:
        text = f"The {layer.piece.kind} hangs full over an eased leg and hides where the waist is."
        yield con(0.35, "shapeless", where, "No waist under the layer", text, held, also=("all_loose",))
