"""Layers: the third piece finishes a plain base; where it ends decides whether it lengthens, covers or chops."""

from __future__ import annotations

from collections.abc import Iterator

from craft.judge.aims import Aims
from craft.judge.edges import ON_HIP
from craft.judge.finding import Figure, Finding, Stance
from craft.look import Outfit
from craft.units import Sentence
from craft.wear import WornLayer

#: A hem above the knee by this much is a short hem, cm (W).
SHORT_HEM = 10.0
#: A layer that ends this near to a skirt's hem goes with it, cm (W: a coat as long as the skirt).
AS_LONG = 10.0
#: A hem that hangs out this far below a short layer is a second edge, cm (W).
HANGS_OUT = 8.0
#: From this volume a layer adds bulk (0 to 4), from this thickness its cloth does (0 to 1).
FULL, THICK = 3.2, 0.75


def third_piece(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A layer or scarf over a plain base finishes it."""
    finishing = [layer.piece for layer in outfit.layers if layer.open or layer.structured]
    scarf = outfit.extras.get("scarf")
    if not finishing and scarf is None:
        return
    if outfit.top is None and len(finishing) <= 1 and scarf is None:
        return
    piece = finishing[0] if finishing else scarf
    at = outfit.body.height("bust") + outfit.lift
    figure = Figure("pieces over the base", float(len(finishing) + (scarf is not None)), 1.0, "scale")
    text = Sentence.of(f"The {piece.kind if piece else 'layer'} is the third piece that finishes a plain base.")
    yield Finding("layers.third", "third_piece", "for", 0.15, "whole", at, figure, "Third piece", text)


def line(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """An open lean layer makes two verticals; a short bulky one widens."""
    for layer in outfit.layers:
        below = outfit.body.height("hip") + outfit.lift - layer.hem.cm
        figure = Figure("hem below the hip", below, 0.0)
        wanted = 0.12 if aims.wanted("slim", "lengthen_legs") or aims.soften & {"middle", "hips"} else 0.0
        if _half_way(outfit, layer):
            continue
        if layer.open and layer.lean and below > 0:
            text = Sentence.of(f"The open {layer.piece.kind} hangs in two verticals and draws the figure in.")
            yield Finding(
                "layers.line",
                "lengthening_line",
                "for",
                0.25 + wanted,
                "whole",
                layer.hem.cm,
                figure,
                "Two verticals",
                text,
            )
        elif (
            (layer.thickness >= THICK or layer.volume >= FULL) and (below <= 5.0 or not layer.lean) and not layer.belted
        ):
            text = Sentence.of(f"So full a {layer.piece.kind} that ends here widens what it lies on.")
            wide = 0.15 + wanted + (0.1 if aims.soften & {"hips", "upper_arms", "shoulders"} else 0.0)
            yield Finding(
                "layers.line", "widening_line", "against", wide, "whole", layer.hem.cm, figure, "Bulk widens", text
            )


def hem(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Where a layer ends: over the seat, on the fullest hip, or well chosen for what is below."""
    layer = outfit.outer
    if layer is None:
        return
    hip = outfit.body.height("hip") + outfit.lift
    off = layer.hem.cm - hip
    soft = bool(aims.soften & {"hips", "seat"})
    figure = Figure("hem from the fullest hip", abs(off), ON_HIP.of(outfit))
    if abs(off) <= ON_HIP.of(outfit) and not layer.belted:
        text = Sentence.of("The layer ends {off} from the fullest hip: a line across the widest place.", off=abs(off))
        weight = 0.25 + (0.2 if soft else 0.0) + (0.1 if outfit.shape == "triangle" else 0.0)
        yield Finding(
            "layers.hem",
            "hem_on_wide_place",
            "against",
            weight,
            "hip",
            layer.hem.cm,
            figure,
            "Layer ends on the hip",
            text,
        )
    elif off < -ON_HIP.of(outfit) and outfit.bottom is not None and outfit.bottom.has_legs:
        close = outfit.bottom.volume <= 1.5
        if soft or close:
            text = Sentence.of("The layer falls {off} below the fullest hip and covers the seat.", off=-off)
            yield Finding(
                "layers.covers", "covers_zone", "for", 0.2 + (0.2 if soft else 0.0), "seat", layer.hem.cm, figure,
                "Covers the seat", text,
            )  # fmt: skip


def proportion(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Short hem, longer layer; long skirt, short neat jacket or a coat as long; no short over short."""
    layer, bottom = outfit.outer, outfit.bottom
    if layer is None or bottom is None:
        return
    body, lift = outfit.body, outfit.lift
    knee = body.height("knee") + lift
    short = bottom.hem.cm >= knee + SHORT_HEM
    waist = body.height("waist") + lift
    figure = Figure("layer above the hem", layer.hem.cm - bottom.hem.cm, 0.0)

    def found(
        code: str, weight: float, title: str, text: str, stance: Stance = "against", also: tuple[str, ...] = ()
    ) -> Finding:
        said = Sentence.of(text, at=layer.hem.cm)
        return Finding(
            "layers.proportion", code, stance, weight, "whole", layer.hem.cm, figure, title, said, None, also
        )

    if short and not bottom.has_legs:
        if layer.hem.cm <= bottom.hem.cm + 3.0:
            yield found("lengthening_line", 0.3, "Longer layer over a short hem",
                        "The layer ends {at} up, below the short hem: one long line.", "for")  # fmt: skip
        elif layer.hem.cm >= waist - 8.0:
            yield found(
                "chopped", 0.35, "Short over short", "A short layer, {at} up, over a short hem cuts the figure twice."
            )
    elif not bottom.has_legs and bottom.hem.cm < knee:
        if layer.hem.cm <= bottom.hem.cm + AS_LONG:
            yield found(
                "lengthening_line", 0.2, "Coat as long as the skirt", "The layer ends {at} up, with the skirt.", "for"
            )
        elif layer.hem.cm >= body.height("hip") + lift + ON_HIP.of(outfit) and layer.volume <= 2.4:
            yield found("leg_lengthened", 0.25, "Short neat layer over a long skirt",
                        "The layer ends {at} up: the long skirt keeps its line.", "for", ("waist_marked",))  # fmt: skip
        elif _half_way(outfit, layer):
            yield found("chopped", 0.4, "Ends half-way down the skirt",
                        "The layer ends {at} up, half-way down the skirt, and drops the figure.", also=("shapeless",))  # fmt: skip
    elif bottom.volume <= 1.0 and layer.hem.cm > body.height("hip") + lift and _crops(layer):
        yield found(
            "chopped", 0.3, "Crop over a close leg", "A crop, {at} up, over a close leg ends where the hip is widest."
        )
    elif bottom.volume >= 2.9 and waist - 8.0 <= layer.hem.cm <= waist + 6.0 and not layer.open:
        yield found("waist_marked", 0.25, "Short boxy layer at the waist",
                    "The short layer, {at} up, lets the wide leg hang from the waist.", "for")  # fmt: skip


def _half_way(outfit: Outfit, layer: WornLayer) -> bool:
    """Whether a layer ends half-way down a long skirt."""
    bottom, body, lift = outfit.bottom, outfit.body, outfit.lift
    if bottom is None or bottom.has_legs or bottom.hem.cm >= body.height("knee") + lift:
        return False
    far = layer.hem.cm > bottom.hem.cm + AS_LONG
    return far and body.height("knee") + lift + 3.0 < layer.hem.cm < body.height("crotch") + lift + 6.0


def under_short(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """What hangs out under a short layer makes a second edge just below it; a back tuck keeps it clean behind."""
    layer, top = outfit.outer, outfit.top
    if layer is None or top is None or outfit.bottom is None or top.piece.slot == "one_piece":
        return
    below = layer.hem.cm - top.hem.cm
    short = layer.hem.cm >= outfit.body.height("waist") + outfit.lift - 8.0
    if not short or below < HANGS_OUT or (top.tucked and top.tuck != "back"):
        return
    figure = Figure("hem below the layer", below, HANGS_OUT)
    if top.tuck == "back":
        text = Sentence.of("Tucked behind, the top stays clean under the short layer and free in front.")
        yield Finding(
            "layers.under", "covers_zone", "for", 0.15, "waist", top.hem.cm, figure, "Clean under the layer", text
        )
    else:
        text = Sentence.of("The hem hangs {by} below the short layer: two edges where one would do.", by=below)
        yield Finding("layers.under", "chopped", "against", 0.25, "waist", top.hem.cm, figure, "Hangs out below", text)


def _crops(layer: WornLayer) -> bool:
    return layer.piece.word("cut") == "cropped" or not layer.open


def sleeves(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """Upper arms a client softens, covered or bare."""
    if "upper_arms" not in aims.soften and "sleeveless" not in aims.wont:
        return
    at = outfit.body.height("under_bust") + outfit.lift
    figure = Figure("height", at, at)
    own = outfit.top.sleeve if outfit.top else "none"
    if any(layer.sleeve not in ("none", "short") for layer in outfit.layers) or own not in ("none", "short"):
        text = Sentence.of("The sleeve covers the upper arm.")
        yield Finding("layers.arms", "covers_zone", "for", 0.25, "arm", at, figure, "Upper arms covered", text)
    else:
        text = Sentence.of("The upper arm is bare, which this client does not wear.")
        yield Finding("layers.arms", "covers_zone", "against", 0.35, "arm", at, figure, "Upper arms bare", text)


def shapeless(outfit: Outfit, aims: Aims) -> Iterator[Finding]:
    """A full layer that hangs from shoulder to seat over an eased leg hides the person, unless a belt gives a waist back."""
    layer, bottom = outfit.outer, outfit.bottom
    if layer is None or bottom is None:
        return
    at = outfit.body.height("waist") + outfit.lift
    figure = Figure("waist marked", outfit.waist_marked, 0.55, "share")
    if outfit.outer_belted:
        text = Sentence.of("The belt over the layer gives the waist back.")
        yield Finding("layers.waist", "waist_marked", "for", 0.35, "waist", at, figure, "Waist given back", text)
    elif layer.volume >= 2.5 and bottom.volume >= 1.9 and outfit.waist_marked < 0.5 and layer.hem.cm < at - 8.0:
        text = Sentence.of(f"The {layer.piece.kind} hangs full over an eased leg and hides where the waist is.")
        yield Finding(
            "layers.waist",
            "shapeless",
            "against",
            0.35,
            "waist",
            at,
            figure,
            "No waist under the layer",
            text,
            None,
            ("all_loose",),
        )
