"""Colours together: what is picked up, what just misses, what wakes a look or tones it down, where light meets dark."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from itertools import combinations

from craft.cloth import Piece
from craft.cloth.colour import (
    ANSWERS,
    TONE,
    chroma,
    comes_back,
    difference,
    hue,
    is_dark_neutral,
    just_misses,
    lightness,
)
from craft.cloth.piece import colour_of, is_metal
from craft.facts import fact, least, most, total
from craft.judge.aims import Aims
from craft.judge.colour import DARK
from craft.judge.finding import Figure, Remark, con, pro
from craft.judge.rule import Subject
from craft.look import Outfit
from craft.look.areas import Area, surface_of
from craft.look.readings import BASE, CLOTHES, LARGE, SMALL, Seen

rule = Subject("palette", "Colour in a wardrobe (19)")

#: A light and a dark area this far apart in lightness draw a line where they meet; so near to the waist it marks it, so near
#: to the hip it widens it (OKLCH lightness, cm; W).
MEET, AT_WAIST, AT_HIP = 0.33, 7.0, 5.0
#: What ends this near to the band meets what is below it, cm (W).
REACHES = 12.0
UPPER = ("top", "one_piece", "layer")
#: Chroma up to which a colour is a quiet one, and from which it is a bright (OKLCH; W); so much lightness between the large
#: areas is contrast enough to wake a look.
QUIET, BRIGHT, CONTRAST = 0.065, 0.12, 0.38
#: Two strong colours, from this chroma on, that lie further apart than this are unlike (OKLCH; colour distance; W).
STRONG, CLASH = 0.09, 0.39
#: Less apart in lightness than this two strong colours are of one depth, and neither leads (OKLCH lightness; W).
OF_ONE_DEPTH = 0.26
#: An area less tall than this is small, cm (W).
TALL = 15.0
#: From this share of its width on an area is seen as large, the edges of an open layer too (W).
SEEN = 0.3
#: What the colour of a pattern that comes back in another piece weighs, and another of them after it (W).
PICKED_UP, PICKED_UP_AGAIN = 0.3, 0.12
#: Chroma from which a colour has a hue to speak of; hues this near are one, and so far apart neighbours, degrees; depths this far
#: apart are two (OKLCH; W). From which hue to which a tone is warm, or of the earth; which navy is; how light a white is.
TINTED, ONE_HUE, NEIGHBOURS, TWO_DEPTHS = 0.045, 18.0, 45.0, 0.15
WARM_FROM, EARTH_FROM, WARM_TO, NAVY_FROM, NAVY_TO, PALE = 5.0, 40.0, 110.0, 240.0, 295.0, 0.93
#: The mean lightness of a look up to which it slims and from which it enlarges, to a client who wants to look slimmer (W).
SLIMS, ENLARGES = 0.5, 0.62
#: Surfaces that catch the light.
SHINES = frozenset({"satin", "shiny", "metallic", "leather", "crochet"})


def _large(outfit: Outfit) -> tuple[Area, ...]:
    return tuple(area for area in outfit.areas if area.piece.slot in LARGE)


@rule("palette.picked_up", about="second_colour", reads=("palette", "band_height"))
def picked_up(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A second colour of one piece that comes back as another piece's ground ties the two; a third one more loosely."""
    tied: list[str] = []
    for seen in outfit.palette:
        other = None if seen.ground else _answer(seen, outfit.palette)
        if other is None or other.kind in tied:
            continue
        where = ("whole", other.height or seen.height or outfit.band_height)
        held = Figure("colour distance", difference(seen.colour, other.colour), ANSWERS, "share")
        weight, which = (PICKED_UP_AGAIN, "Another") if tied else (PICKED_UP, "The second")
        text = f"{which} colour of the {seen.kind} comes back in the {other.kind}: the two belong together."
        title = "Another colour picked up" if tied else "Second colour picked up"
        yield pro(weight, "colour_answered", where, title, text, held, also=("near_tones_joined",))
        if tied:
            return
        tied.append(other.kind)


def _answer(seen: Seen, palette: Iterable[Seen]) -> Seen | None:
    others = (one for one in palette if one.kind != seen.kind and one.ground)
    return next((one for one in others if comes_back(one.colour, seen.colour)), None)


@rule("palette.holds", about="second_colour", looks_at=("scarf", "necklace", "bag", "belt"), reads=("palette",))
def holds(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A scarf, necklace or bag in two colours of the look makes both meant."""
    grounds = [seen for seen in outfit.palette if seen.ground and seen.slot in LARGE]
    apart = most(0.0, *(difference(one.colour, two.colour) for one, two in combinations(grounds, 2)))
    for kind in ("scarf", "necklace", "bag", "belt"):
        own = [seen.colour for seen in outfit.palette if seen.kind == kind]
        if len(own) < 2:
            continue
        near: dict[str, float] = {}
        for one in grounds:
            near[one.slot] = least(near.get(one.slot, 1.0), *(difference(one.colour, colour) for colour in own))
        second = least(1.0, *(most(*pair) for pair in combinations(near.values(), 2)))
        if second <= TONE and apart > TONE:
            held = [slot for slot, off in near.items() if off <= TONE]
            text = f"The {kind} has the colours of {' and '.join(sorted(held))}: it makes both meant."
            yield pro(0.25, "near_tones_joined", ("bust", outfit.body.height("bust")), "Holds both colours", text,
                      Figure("colours held", float(len(held)), 2.0, "scale"), also=("colour_answered",))  # fmt: skip
            return


@rule("palette.misses", reads=("areas", "palette"))
def misses(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Two dark neutrals that are nearly the same look like a mistake, unless their surfaces differ or something holds both."""
    for one, two in combinations([area for area in outfit.areas if area.piece.slot != "shoes"], 2):
        if not _miss(one.piece, two.piece) or least(one.share, two.share) < SEEN:
            continue
        others = (s.colour for s in outfit.palette if s.kind not in (one.piece.kind, two.piece.kind))
        if any(most(*(difference(colour, area.colour) for area in (one, two))) <= TONE for colour in others):
            continue
        apart = difference(one.colour, two.colour)
        text = f"The {one.piece.kind} and the {two.piece.kind} nearly match, and miss: it looks like a mistake."
        held = Figure("colour distance", apart, TONE, "share")
        also = ("near_tones_joined", "colour_column")
        yield con(
            0.28,
            "colour_unanswered",
            ("whole", least(one.low, two.high)),
            "Two darks that just miss",
            text,
            held,
            also=also,
        )
        return


@fact
def _miss(one: Piece, two: Piece) -> bool:
    """Whether two pieces are dark neutrals of one surface, nearly of a colour."""
    colours = colour_of(one), colour_of(two)
    dark = all(is_dark_neutral(colour) for colour in colours)
    return dark and just_misses(*colours) and surface_of(one) == surface_of(two)


def _line(outfit: Outfit) -> tuple[float, float] | None:
    """Where the upper and the lower of two halves meet, and how much lighter the upper is."""
    bottom = outfit.bottom
    if bottom is None or bottom.piece.slot != "bottom":
        return None
    band = bottom.waistband.cm
    for area in outfit.areas:
        # The outermost cloth that ends near the band, or hangs over it.
        if area.piece.slot in UPPER and area.share >= 0.5 and area.high > band and abs(area.low - band) < REACHES:
            return least(area.low, band), area.lightness - lightness(bottom.colour)
    return None


@rule("palette.meets", looks_at=(*BASE, "layer"), reads=("areas", "heel"))
def meets(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Light and dark that meet draw a line: at the waist it marks it, at the hip it widens it."""
    found = _line(outfit)
    if found is None or abs(found[1]) < MEET:
        return
    at, lighter = found
    held = Figure("lightness between the halves", abs(lighter), MEET, "share")
    waist, hip = outfit.at("waist"), outfit.at("hip")
    said = "Light above, dark below" if lighter > 0 else "Dark above, light below"
    if at >= waist - AT_WAIST:
        wanted = 0.16 if aims.wanted("define_waist") else 0.0
        text = f"{said}: the line where they meet marks the waist."
        yield pro(0.02 + wanted, "waist_marked", ("waist", at), "Colours meet at the waist", text, held)
    elif abs(at - hip) <= AT_HIP:
        if not (aims.soften & {"hips", "seat"} or aims.wanted("slim") or outfit.shape == "triangle"):
            return
        text = f"{said}: the line where they meet lies across the hip and widens it."
        yield con(0.2, "widening_line", ("hip", at), "Colours meet at the hip", text, held)


@rule("palette.slims", looks_at=CLOTHES, reads=("areas", "heel"), speaks_to=lambda of: of.aims.wanted("slim"))
def slims(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Who wants to look slimmer gains by dark over light, even where no zone is named."""
    large = [area for area in outfit.areas if area.piece.slot in LARGE and area.tall > 0]
    if not large:
        return
    whole = total(area.tall * area.share for area in large)
    mean = total(area.lightness * area.tall * area.share for area in large) / whole
    where = ("whole", outfit.at("hip"))
    if mean <= SLIMS:
        text = "Dark over the large areas draws the figure in."
        held = Figure("lightness of the whole", mean, SLIMS, "share")
        yield pro(0.1 + 0.5 * (SLIMS - mean), "dark_recedes", where, "Dark slims", text, held)
    elif mean >= ENLARGES:
        text = "Light over the large areas brings the whole figure forward."
        held = Figure("lightness of the whole", mean, ENLARGES, "share")
        yield con(0.05 + 0.5 * (mean - ENLARGES), "light_advances", where, "Light enlarges", text, held)


@rule("palette.wakes", looks_at=(*CLOTHES, *SMALL), reads=("areas", "palette", "heel"), schools=("quiet_look",))
def wakes(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A quiet look of like tones wants one point of interest: a bright, a contrast, a shine or a pattern."""
    large = _large(outfit)
    if not large or most(*(_speaks(area.piece) for area in large)) > QUIET:
        return
    small = [seen for seen in outfit.palette if seen.slot not in LARGE]
    worn = [piece for piece in outfit.pieces if piece.slot == "extra" and piece.kind in SMALL]
    what = next((seen.kind for seen in small if _wakes(seen, small)), None)
    what = what or next((piece.kind for piece in worn if is_metal(piece) or piece.word("pattern")), None)
    light = [area.lightness for area in large]
    between = most(*light) - least(*light)
    if (what is None and worn) or between >= CONTRAST:
        return
    held, where = Figure("lightness between the areas", between, CONTRAST, "share"), ("whole", outfit.at("bust"))
    if what is not None:
        text = f"All else is quiet, and the {what} wakes it: one point of interest."
        yield pro(0.12, "draws_to_asset", where, "One thing wakes it", text, held)
    elif outfit.schools.position("quiet_look") == "wake":
        text = "Quiet tones from top to toe and nothing that wakes them: one bright, one shine or one contrast."
        yield con(0.06, "texture_flat", where, "Nothing wakes it", text, held)


@fact
def _speaks(piece: Piece) -> float:
    """How much a large piece is not quiet: its chroma, or all there is where it has a pattern or shines."""
    return 1.0 if piece.word("pattern") or shines(surface_of(piece)) else chroma(colour_of(piece))


@fact
def shines(surface: str) -> bool:
    """Whether a surface catches the light.

    >>> shines("satin"), shines("plain")
    (True, False)
    """
    return surface in SHINES


def _wakes(seen: Seen, small: list[Seen]) -> bool:
    """Whether a small thing wakes a quiet look: by a bright colour, or by one that is seen at two places."""
    twice = any(one.kind != seen.kind and difference(one.colour, seen.colour) <= TONE for one in small)
    return chroma(seen.colour) >= (QUIET if twice else BRIGHT)


@rule("palette.toned_down", about="layer", looks_at=(*BASE, "layer"), reads=("heel",))
def toned_down(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A bright under a dark open layer is toned down."""
    top, layer = outfit.top, next((layer for layer in outfit.layers if layer.open), None)
    if top is None or layer is None or chroma(top.colour) < BRIGHT:
        return
    light = lightness(layer.colour)
    if light <= DARK:
        held = Figure("lightness of the layer", light, DARK, "share")
        text = f"The dark open {layer.piece.kind} tones the bright down and frames it."
        where = ("bust", outfit.at("bust"))
        yield pro(0.18, "dark_recedes", where, "Bright toned down", text, held, also=("lengthening_line",))


@rule("palette.metal", looks_at=("shoes", *SMALL))
def metal(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """One metal at two places ties them."""
    worn = (piece for piece in outfit.pieces if piece.slot == "shoes" or piece.kind in SMALL)
    metals = [(piece.kind, piece.word("colour")) for piece in worn if piece.word("colour") and is_metal(piece)]
    for (one, colour), (two, other) in combinations(metals, 2):
        if colour and other and difference(colour, other) <= TONE:
            text = f"The same metal at {one} and {two} ties the two."
            yield pro(0.18, "colour_answered", ("whole", outfit.at("waist")), "One metal twice", text)
            return


@rule("palette.clash", reads=("areas",))
def clash(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Two large areas of strong colour, unlike and of one depth: neither leads."""
    strong = [area for area in outfit.areas if area.piece.slot in LARGE and chroma(area.colour) >= STRONG]
    for one, two in combinations([area for area in strong if area.share >= 0.5], 2):
        if least(one.tall, two.tall) < TALL:
            continue
        apart = difference(one.colour, two.colour)
        if apart > CLASH and abs(one.lightness - two.lightness) < OF_ONE_DEPTH:
            text = f"Two strong colours of one depth, {one.piece.kind} against {two.piece.kind}, and neither leads."
            held = Figure("colour distance", apart, CLASH, "share")
            yield con(0.2, "colour_unanswered", ("whole", least(one.low, two.high)), "Neither colour leads", text, held)
            return


def _apart(one: str, two: str) -> float:
    """How far two hues lie apart on the circle, degrees."""
    off = abs(hue(one) - hue(two)) % 360.0
    return least(off, 360.0 - off)


def _kin(one: str, two: str) -> tuple[float, str] | None:
    """How two colours go together though they are not near: what it weighs and one sentence, or not at all."""
    tinted = least(chroma(one), chroma(two)) >= TINTED
    if tinted and _apart(one, two) <= ONE_HUE and abs(lightness(one) - lightness(two)) >= TWO_DEPTHS:
        return 0.08, "One hue in two depths: quiet and long."
    for dark, warm in ((one, two), (two, one)):
        if _is_navy(dark) and chroma(warm) >= TINTED and WARM_FROM <= hue(warm) <= WARM_TO:
            return 0.1, "A warm tone beside navy: each makes the other read."
        if lightness(dark) >= PALE and chroma(warm) >= TINTED and EARTH_FROM <= hue(warm) <= WARM_TO:
            return 0.06, "An earth tone warms the white."
    if tinted and _apart(one, two) <= NEIGHBOURS:
        return 0.05, "Neighbours on the circle go easily together."
    return None


def _is_navy(colour: str) -> bool:
    return is_dark_neutral(colour) and NAVY_FROM <= hue(colour) <= NAVY_TO and chroma(colour) >= TINTED * 0.7


@rule("palette.kin", looks_at=BASE, reads=("heel",))
def kin(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """Colours that go together though they are not near: one hue in two depths, neighbours, a warm tone with navy, earth with white."""
    top, bottom = outfit.top, outfit.bottom
    if (
        top is None
        or bottom is None
        or top.piece.slot == bottom.piece.slot
        or difference(top.colour, bottom.colour) <= ANSWERS
    ):
        return
    found = _kin(top.colour, bottom.colour)
    if found is not None:
        weight, how = found
        held = Figure("hues apart, of the circle", _apart(top.colour, bottom.colour) / 360, NEIGHBOURS / 360, "share")
        where = ("whole", bottom.waistband.cm)
        yield pro(weight, "near_tones_joined", where, "Colours of a kind", how, held, also=("colour_answered",))


@rule("palette.again", about="layer", looks_at=("layer", *BASE), reads=("heel",))
def again(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A layer's colour that comes back below holds what is between."""
    layer, top, bottom = outfit.outer, outfit.top, outfit.bottom
    if layer is None or top is None or bottom is None or top.piece.slot == bottom.piece.slot:
        return
    apart = difference(layer.colour, bottom.colour)
    if apart <= TONE and difference(top.colour, layer.colour) > ANSWERS:
        text = f"The {layer.piece.kind}'s colour comes back below and holds what is between."
        held, where = Figure("colour distance", apart, TONE, "share"), ("whole", bottom.waistband.cm)
        yield pro(0.14, "colour_answered", where, "Colour comes back below", text, held)
