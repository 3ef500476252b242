"""What an eye takes in of a look: the figures that many rules share, each computed once a look.

Read this module as a list. Every reading names the places of a look that it may depend on; a rule that names a reading
sees those places through that one figure only (tests/craft/test_declared.py holds both to it).
"""

from __future__ import annotations

from collections.abc import Callable, Iterator, Mapping
from typing import Any, Generic, NamedTuple, TypeVar

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.colour import ANSWERS, difference, lightness
from craft.cloth.details import details_of
from craft.cloth.piece import colour_of, colours_of
from craft.facts import choose, fact, least, most, total
from craft.look.areas import Area, areas_of, surface_of
from craft.look.register import formality_of, insulation_of
from craft.look.zones import BEHIND, DETAILED, ZONE_AT
from craft.wear import Landing, WornBottom, WornLayer, WornShoes, WornTop
from craft.wear.openings import leaves_neck
from craft.wear.shoes import sock_top

T = TypeVar("T")

#: Places that a reading may name together: what covers the trunk and legs, and that with layers and shoes. What stands
#: above the ground moves with the shoes, so nearly every reading looks at them.
BASE = ("top", "bottom", "one_piece")
CLOTHES = (*BASE, "layer", "shoes")
#: The slots of large areas of cloth, whose surfaces and colours are taken in together.
LARGE = (*BASE, "layer")
BESIDES = (
    *("belt", "necklace", "earrings", "scarf", "bag", "hat", "watch", "bracelet", "ring", "tights", "socks"),
    *("bra", "smoothing_shorts", "underslip"),
)

#: A strip of bare leg narrower than this between hem and shoe reads as a join, cm (W).
JOINED = 1.5
#: What a layer leaves of a waist that is marked under it: closed over it, open over it (W).
UNDER_CLOSED, UNDER_OPEN = 0.25, 0.75
#: What a close layer marks of a waist by itself, up to this volume (W).
CLOSE_LAYER, CLOSE_UP_TO = 0.45, 1.6
#: How clearly a belt over everything marks the waist, and one that a layer hangs over (0 to 1).
BELTED, BELTED_UNDER = 1.0, 0.9
#: How far each tuck moves the eye's division of the figure from the hem to the band (W; brief, section 5).
DIVIDES = {
    "full": 1.0,
    "bloused": 1.0,
    "bra": 1.0,
    "front": 0.8,
    "knot": 0.85,
    "half": 0.65,
    "side": 0.4,
    "lifted": 1.0,
    "front_and_tail": 0.65,
    "gathered": 0.5,
}
#: What is worn on the leg answers no shoe: it lies beside it. What is worn beneath is not seen.
LEGWEAR, BENEATH = ("tights", "socks"), ("bra", "smoothing_shorts", "underslip")
UNSEEN_COLOUR = (*LEGWEAR, *BENEATH)
SMALL = tuple(kind for kind in BESIDES if kind not in UNSEEN_COLOUR)
#: How far below the shoulder a suit's cloth may end and its straps still reach it, cm (W).
STRAPS = 20.0
#: Layers that a belt goes over where they are closed.
TAKE_BELT = ("cardigan", "coat", "duster", "kimono")
#: From this share of a piece a colour of its pattern counts as one of the look's (W).
A_COLOUR = 0.2
#: How much each cut, cloth and pattern asks of the eye (W), and a hem that swings.
DETAIL = {"ruffled": 1.0, "peplum": 0.6, "pleated": 0.5, "large_print": 1.0, "animal": 1.0, "check": 0.5,
          "lettering": 0.8, "small_print": 0.4, "horizontal_stripe": 0.4, "crochet": 0.5}  # fmt: skip
SWINGS = 0.7


def _takes_belt(layer: WornLayer) -> bool:
    """Whether a belt goes over a layer: it is soft, and closed."""
    return not layer.open and layer.piece.kind in TAKE_BELT


class Seen(NamedTuple):
    """One colour of a piece as it is seen: what piece, whether it is the ground or of a pattern, the share of the piece,
    and the height of the piece's middle, None for what is worn besides."""

    kind: str
    slot: str
    colour: str
    ground: bool
    share: float
    height: float | None


class Drawing(NamedTuple):
    """A detail as it is seen: what draws the eye, the zone that it lies on, and the piece that has it."""

    what: str
    zone: str
    kind: str
    slot: str


class DerivedReading(Generic[T]):
    """A figure of a look, computed when first asked for and then kept by it, with the places that it may depend on.

    Python's own cached property takes a lock at every first look; a look is judged in less time than its readings' locks
    would take.
    """

    def __init__(self, compute: Callable[[Any], T], looks_at: frozenset[str]) -> None:
        self.compute, self.looks_at, self.__doc__ = compute, looks_at, compute.__doc__

    def __set_name__(self, owner: type, name: str) -> None:
        self.name = name

    def __get__(self, of: Any, owner: type | None = None) -> T:
        value = self.compute(of)
        of.__dict__[self.name] = value
        return value


def reading(*looks_at: str) -> Callable[[Callable[[Any], T]], DerivedReading[T]]:
    """Declare a reading and the places it looks at."""
    return lambda compute: DerivedReading(compute, frozenset(looks_at))


class Readings:
    """The readings of an outfit. Heights above the ground, cm; volumes from 0 (tight) to 4 (oversized)."""

    body: Body
    shoes: WornShoes
    bottom: WornBottom | None
    top: WornTop | None
    layers: tuple[WornLayer, ...]
    pieces: tuple[Piece, ...]
    extras: Mapping[str, Piece]
    one_piece: Piece | None

    @reading("shoes")
    def heel(self) -> tuple[float, float]:
        """By how much shoes lift the body, and the heel over the ball of the foot, cm."""
        return self.shoes.lift, self.shoes.rise_of_foot

    @reading("socks", "shoes")
    def sock(self) -> Landing | None:
        """Where the socks end, if there are any."""
        piece = self.extras.get("socks")
        return sock_top(piece, self.shoes.lift) if piece else None

    @reading("belt", "layer", "one_piece", "bottom")
    def belt(self) -> str | None:
        """The width of a belt that is seen, wherever it is worn."""
        belt = self.extras.get("belt")
        if belt is not None:
            return belt.word("belted") or "medium"
        worn = [layer.belted for layer in self.layers if layer.belted]
        below = self.one_piece or (self.bottom.piece if self.bottom else None)
        own = below.word("belted") if below else None
        return worn[-1] if worn else own

    @reading("layer", "belt")
    def outer_belted(self) -> bool:
        """Whether the outermost layer is belted: by its own belt, or by one worn over a soft layer that is closed."""
        outer = self.layers[-1] if self.layers else None
        return outer is not None and (outer.belted is not None or ("belt" in self.extras and _takes_belt(outer)))

    @reading(*CLOTHES, "belt")
    def above(self) -> float:
        """How full the upper body looks: what is outermost, an open layer by half."""
        own = self.top.volume if self.top else 0.0
        if not self.layers:
            return own
        outer = self.layers[-1]
        if outer.belted or (self.belt and not outer.open):
            return most(own, 0.6 * outer.volume)
        return most(own, 0.5 * own + 0.5 * outer.volume) if outer.open else most(own, outer.volume)

    @reading("top", "one_piece")
    def dressed_above(self) -> bool:
        """Whether anything but layers is on above the waist."""
        return self.top is not None

    @reading("bottom", "one_piece")
    def legs_below(self) -> bool:
        """Whether what is on below the waist ends round each leg."""
        return self.bottom is not None and self.bottom.has_legs

    @reading("bottom", "one_piece", "shoes")
    def hem_height(self) -> float | None:
        """Where what is on below the waist ends; None with nothing on there."""
        return self.bottom.hem.cm if self.bottom else None

    @reading(*CLOTHES, "swim")
    def band_height(self) -> float:
        """Where the large areas of a look meet: the band, or the end of the outermost where there is none."""
        return self.bottom.waistband.cm if self.bottom else next((area.low for area in self.areas), 0.0)

    @reading("bottom", "one_piece", "shoes")
    def below(self) -> float | None:
        """How full the lower body looks; None with nothing on it."""
        return self.bottom.volume if self.bottom else None

    @reading(*CLOTHES, "belt")
    def waist_marked(self) -> float:
        """How clearly the waist is marked, 0 to 1."""
        if self.outer_belted:
            return BELTED
        own = self.top.marks_waist if self.top else 0.0
        if self.belt:
            own = most(own, BELTED_UNDER if self.layers else BELTED)
        waist = self.body.height("waist") + self.shoes.lift
        for layer in self.layers:
            if layer.hem.cm >= waist - 3.0:
                continue
            if layer.open:
                own *= UNDER_OPEN
            else:
                # A close layer has a waist of its own; a full one hides it.
                own = most(own * UNDER_CLOSED, CLOSE_LAYER if layer.volume <= CLOSE_UP_TO else 0.0)
        return own

    @reading(*CLOTHES, "belt")
    def break_at(self) -> float | None:
        """Where the eye sees the figure divide: the band where it shows, else the top's hem."""
        if self.bottom is None:
            return None
        if self.one_piece is not None and self.bottom.piece.slot != "one_piece" and self.top is not None:
            # A dress over trousers divides where a dress does.
            return self.body.height("waist") + self.shoes.lift
        band = self.bottom.waistband.cm
        outer = self.layers[-1] if self.layers else None
        if outer is not None and not outer.open and outer.hem.cm < band and not outer.belted:
            return outer.hem.cm
        if self.top is None or self.top.hem.cm >= band:
            return band
        marked = most(DIVIDES.get(self.top.tuck, 0.0), 0.9 if self.belt else 0.0)
        return band * marked + self.top.hem.cm * (1 - marked)

    @reading(*CLOTHES, "belt")
    def below_share(self) -> float | None:
        """Share of the whole figure below the break."""
        return None if self.break_at is None else self.break_at / (self.body.stature + self.shoes.lift)

    @reading("bottom", "one_piece", "layer", "shoes", "socks")
    def below_hem(self) -> float:
        """Leg between the lowest hem and the shoe, bare or in tights, cm; nought where they meet."""
        if self.bottom is None or self.bottom.inside:
            return 0.0
        lowest = least(self.bottom.hem.cm, *(layer.hem.cm for layer in self.layers if not layer.open))
        gap = lowest - most(self.shoes.cover.cm, self.sock.cm if self.sock else 0.0)
        return choose(gap > JOINED, gap, 0.0)

    @reading("bottom", "one_piece", "layer", "shoes", "socks", "tights")
    def skin(self) -> float:
        """Bare leg between the lowest hem and the shoe, cm."""
        return 0.0 if "tights" in self.extras else self.below_hem

    @reading(*CLOTHES)
    def formality(self) -> float | None:
        """How formal it reads, 0 to 4; None with nothing on that says so."""
        return formality_of(self.pieces)

    @reading(*CLOTHES, "swim", *BESIDES)
    def insulation(self) -> float:
        """The insulation of all that is on, clo."""
        return insulation_of(self.pieces)

    @reading(*BASE, "shoes", "swim", *BESIDES)
    def insulation_without_layers(self) -> float:
        """The insulation of what is left without the layers, clo."""
        return insulation_of(piece for piece in self.pieces if piece.slot != "layer")

    @reading(*CLOTHES, "swim", *BESIDES)
    def detail(self) -> float:
        """How much cut, cloth and pattern ask of the eye together; frills on top of a hem that swings add to it."""
        asked = total(_detail(piece) for piece in self.pieces)
        return asked + (_swing(self.bottom.reads_as, self.bottom.cut) if self.bottom is not None else 0.0)

    @reading(*CLOTHES, "swim")
    def areas(self) -> tuple[Area, ...]:
        """What is seen of each piece, outermost first."""
        swim = tuple(piece for piece in self.pieces if piece.slot == "swim")
        return areas_of(self.body, self.top, self.bottom, self.shoes, self.layers, self.shoes.lift, swim)

    @reading(*CLOTHES, "swim")
    def drawing(self) -> tuple[Drawing, ...]:
        """What of the pieces draws the eye where it is seen: each detail at each zone that it lies on, from its side."""
        detailed = [area for area in self.areas if details_of(area.piece)]
        return tuple(self._drawn(detailed)) if detailed else ()

    def _drawn(self, detailed: list[Area]) -> Iterator[Drawing]:
        lift = self.shoes.lift
        shoulder = self.body.height("shoulder") + lift - 1.0
        for zone in DETAILED:
            height = least(self.body.height(ZONE_AT[zone]) + lift, shoulder)
            for area in detailed:
                piece = area.piece
                # Straps and necks of a suit end above its cloth.
                straps = zone == "shoulders" and piece.slot == "swim" and height - STRAPS < area.high < height
                if not straps and not area.low <= height <= area.high:
                    continue
                for what, zones, side in details_of(piece):
                    behind = side == "back" or (side is None and zone in BEHIND)
                    if zones and zone not in zones:
                        continue
                    if straps or self._outermost(height, behind=behind) is area:
                        yield Drawing(what, zone, piece.kind, piece.slot)

    def _outermost(self, height: float, *, behind: bool) -> Area | None:
        there = (area for area in self.areas if area.low <= height <= area.high)
        return next((area for area in there if (area.behind if behind else area.share) >= 0.5), None)

    @reading(*CLOTHES, "swim")
    def patterns(self) -> Mapping[str, Area]:
        """The outermost area of each pattern that is seen."""
        patterned = ((area.piece.word("pattern"), area) for area in reversed(self.areas) if area.piece.slot != "shoes")
        return {pattern: area for pattern, area in patterned if pattern is not None}

    @reading(*CLOTHES, "swim")
    def over(self) -> dict[float, Area | None]:
        """The outermost closed cloth at heights that were asked for (`Outfit.seen_at`)."""
        return {}

    @property
    def _large(self) -> tuple[WornLayer | WornTop | WornBottom, ...]:
        """What covers large areas, outermost first: layers, top and bottom, or what is both."""
        top, bottom = self.top, self.bottom
        whole = top is not None and bottom is not None and top.piece.slot == bottom.piece.slot == "one_piece"
        halves = (bottom,) if whole else (top, bottom)
        return (*reversed(self.layers), *(half for half in halves if half is not None))

    @reading(*CLOTHES)
    def surfaces(self) -> tuple[str, ...]:
        """The surfaces of the large areas, outermost first."""
        return tuple(surface_of(worn.piece) for worn in self._large)

    @reading(*CLOTHES)
    def spread_of_colour(self) -> float:
        """How far the colours of the large areas, those of their patterns too, lie from the outermost one's (colour distance)."""
        large = [colour for worn in self._large for colour, share in colours_of(worn.piece) if share >= A_COLOUR]
        return most(*(difference(colour, large[0]) for colour in large), 0.0)

    @reading("top", "one_piece", "layer", "bottom", "shoes", "scarf")
    def by_the_face(self) -> str | None:
        """The colour that frames the face: a scarf's that says one, else that of what is outermost at the neck."""
        scarf = self.extras.get("scarf")
        said = scarf.word("colour") if scarf else None
        above = [worn for worn in self._large if worn.piece.slot != "bottom"]
        at_the_neck = (worn.colour for worn in above if not leaves_neck(worn.piece))
        return said or next(at_the_neck, above[0].colour if above else None)

    @reading(*CLOTHES, "swim", *(kind for kind in BESIDES if kind not in UNSEEN_COLOUR))
    def shoe_answered(self) -> float:
        """How near the nearest colour above the leg comes to the shoe's, in a ground or a pattern (colour distance); 1 with nothing
        there."""
        return least(1.0, *(nearest(piece, self.shoes.colour) for piece in self._above_the_leg()))

    @reading(*CLOTHES, "swim", *(kind for kind in BESIDES if kind not in UNSEEN_COLOUR))
    def darkest_above(self) -> float:
        """How light the darkest ground above the leg is (OKLCH lightness); 1 with nothing there."""
        return least(1.0, *(lightness(colour_of(piece)) for piece in self._above_the_leg()))

    @reading(*CLOTHES, "swim", *(kind for kind in BESIDES if kind not in UNSEEN_COLOUR))
    def answers_shoe(self) -> str:
        """What of the look above the leg repeats the shoe's colour; for a sentence."""
        near = (piece.kind for piece in self._above_the_leg() if nearest(piece, self.shoes.colour) <= ANSWERS)
        return next(near, "")

    def _above_the_leg(self) -> list[Piece]:
        above = [worn.piece for worn in self._large if worn.piece.slot != "bottom"]
        above += [piece for piece in reversed(self.pieces) if piece.slot == "swim"]
        return above + [p for kind, p in self.extras.items() if kind not in UNSEEN_COLOUR and p.word("colour")]

    @reading(*CLOTHES, "swim", *(kind for kind in BESIDES if kind not in UNSEEN_COLOUR))
    def palette(self) -> tuple[Seen, ...]:
        """Every colour that is seen, outermost first: the large areas', then those of what is worn besides."""
        found = [
            Seen(area.piece.kind, area.piece.slot, colour, at == 0, share, area.middle)
            for area in self.areas
            for at, (colour, share) in enumerate(colours_of(area.piece))
        ]
        for kind, piece in self.extras.items():
            if kind not in UNSEEN_COLOUR and piece.word("colour"):
                listed = enumerate(colours_of(piece))
                found += [Seen(kind, "extra", colour, at == 0, share, None) for at, (colour, share) in listed]
        return tuple(found)


@fact
def nearest(piece: Piece, colour: str) -> float:
    """How near the nearest of a piece's colours comes to another (colour distance)."""
    return min(difference(other, colour) for other, _ in colours_of(piece))


@fact
def _swing(reads_as: str, cut: str) -> float:
    """What a hem that swings asks of the eye."""
    return SWINGS if reads_as in ("flare", "bootcut") or cut == "kick_flare" else 0.0


@fact
def _detail(piece: Piece) -> float:
    if piece.row.is_boot:
        return 0.0
    words = (piece.word("cut"), piece.word("pattern"), *piece.fabric)
    return sum(DETAIL.get(word, 0.0) for word in words if word)


#: Every reading by name, with the places that it looks at.
READINGS: dict[str, frozenset[str]] = {
    name: made.looks_at for name, made in vars(Readings).items() if isinstance(made, DerivedReading)
}
