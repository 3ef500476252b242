"""Ways to wear a piece: what a stylist would try with it, and what of a rack can be worn at all."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from typing import Any

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.register import formality, insulation
from craft.fit import land
from craft.fit.fitting import Check
from craft.schools import Schools
from craft.wear import BAREFOOT, wear_bottom, wear_layer, wear_top
from craft.wear.openings import sleeve_of
from craft.wear.shoes import WornShoes

#: Tucks to try with a top, by how thick its cloth is (0 to 1): thick cloth goes in at the front at most (W).
THICK = 0.5
TUCKS, OF_A_SHIRT, OF_THICK = ("none", "full", "front"), ("none", "full", "half"), ("none", "front")
#: Legs up to this formality are turned up (0 to 4), and a leg up to this volume goes into a boot (W).
TURNED_UP, INTO_A_BOOT = 2.0, 1.6
#: A layer up to the first thickness goes under one from the second on (0 to 1; W).
UNDER, OVER = 0.4, 0.4
#: The sleeve of what is as warm as a coat stays down, clo (W).
STAYS_DOWN = 0.5
#: A belt takes up a band that stands off by so much, cm (W).
BELT_TAKES = 5.0
#: Checks of a piece alone that say where it lies, not whether it goes on.
_LENGTHS = ("length", "sitting", "leg", "rise", "loosens", "sheer", "sleeve", "support", "belt")
#: Worn besides, in sight: what is worn beneath belongs to a garment and not to a look.
BENEATH = ("bra", "smoothing_shorts", "underslip")


@dataclass(frozen=True, slots=True)
class Owned:
    """A piece of a rack: its key, what it is, and whether it can be worn on the day; `altered` are those of its figures that are as
    the tailor will have made them."""

    key: str
    piece: Piece
    away: str = ""
    altered: tuple[tuple[str, float], ...] = ()


@dataclass(frozen=True, slots=True)
class Way:
    """A piece worn in one way: whose it is, the words that differ from how it hangs, and the piece as worn."""

    key: str
    piece: Piece
    worn: tuple[tuple[str, Any], ...] = ()


def misfit(body: Body, piece: Piece, shoes: WornShoes = BAREFOOT, schools: Schools | None = None) -> Check | None:
    """The check that says a piece does not go on this body as it is, or does not stay on it; a belt takes up a little.

    >>> from craft.body import Measures
    >>> body = Body.of(Measures.of({"stature": 165, "waist": 74, "belly": 84, "high_hip": 93, "hip": 100, "waist_height": 104}))
    >>> misfit(body, Piece.of({"is": "jeans", "waist_cm": 106})).key, misfit(body, Piece.of({"is": "jeans"}))
    ('band', None)
    """
    landed = land(body, piece, shoes, schools)
    against = (check for check in landed.checks if check.stance == "against" and check.key not in _LENGTHS)
    return next((check for check in against if not _belted(check)), None)


def _belted(check: Check) -> bool:
    return any(change.key == "belt" and change.cm <= BELT_TAKES for change in check.alterations)


def ways_of(body: Body, owned: Owned, schools: Schools, *, boots: bool, sleeves: bool = False) -> Iterator[Way]:
    """Every sensible way to wear a piece at its own place, as it hangs first; ways that land alike are one. With `sleeves`, also
    with long ones rolled or pushed up."""
    piece = owned.piece
    tried: list[dict[str, Any]] = [{}]
    if piece.slot == "top" and piece.row.hangs != "body":
        tried += [{"tuck": tuck} for tuck in _tucks(body, piece)]
    elif piece.slot == "bottom" and piece.row.has_legs:
        tried += _of_legs(body, piece, schools, boots=boots)
    elif piece.slot == "layer" and piece.row.name not in ("poncho", "cape", "kimono"):
        tried.append({"open": not piece.flag("open")})
    if sleeves and (up := _up(piece)):
        tried += [{**words, up: True} for words in tried]
    seen: set[Piece] = set()
    for words in tried:
        worn = piece.with_(**words) if words else piece
        if _plain(worn) not in seen:
            seen.add(_plain(worn))
            yield Way(owned.key, worn, tuple(sorted({**dict(owned.altered), **words}.items())))


def _up(piece: Piece) -> str | None:
    """What is done with a long sleeve to shorten it: the woven sleeve of a shirt is rolled, others are pushed up; None with no such
    sleeve, where it is up already, and where a lining or stiff cloth keeps it down."""
    if sleeve_of(piece) != "long" or piece.flag("rolled") or piece.flag("pushed") or insulation(piece) >= STAYS_DOWN:
        return None
    return "rolled" if piece.row.neck == "open_collar" else "pushed"


def _plain(piece: Piece) -> Piece:
    """A piece without words that say what is so anyway."""
    tuck = piece.word("tuck")
    plain = piece.with_(tuck=None) if tuck is not None and tuck == piece.row.tuck else piece
    return plain.with_(open=None) if plain.says("open") and not plain.flag("open") else plain


def _tucks(body: Body, piece: Piece) -> tuple[str, ...]:
    worn = wear_top(body, piece, 0.0, None)
    if worn.hem.cm > body.height("waist"):
        return ()
    if worn.thickness >= THICK:
        return OF_THICK
    return OF_A_SHIRT if piece.row.neck == "open_collar" else TUCKS


def _of_legs(body: Body, piece: Piece, schools: Schools, *, boots: bool) -> list[dict[str, Any]]:
    worn = wear_bottom(body, piece, BAREFOOT, schools)
    found: list[dict[str, Any]] = []
    if (
        not worn.is_wide_hemmed
        and formality(piece) <= TURNED_UP
        and piece.kind != "leggings"
        and worn.hem.cm < body.height("knee")
    ):
        found.append({"cuffed": not piece.flag("cuffed")})
    if boots and worn.volume <= INTO_A_BOOT and worn.hem.cm < body.height("calf"):
        found.append({"worn": "inside"})
    return found


def over_another(owned: Owned) -> Way | None:
    """A shirt worn open over another top, as a layer."""
    if owned.piece.slot == "top" and owned.piece.row.neck == "open_collar":
        words = (*owned.altered, ("open", True), ("worn", "over"))
        return Way(owned.key, owned.piece.with_(worn="over", open=True, tuck=None), tuple(sorted(words)))
    return None


def layered(body: Body, layers: Iterable[Way]) -> Iterator[tuple[Way, Way]]:
    """Two layers that go over each other: a thin one under a thicker, which ends no higher."""
    listed = list(layers)
    for inner in listed:
        under = wear_layer(body, inner.piece, 0.0)
        if under.thickness > UNDER:
            continue
        for outer in listed:
            over = wear_layer(body, outer.piece, 0.0)
            goes = over.thickness >= OVER and over.thickness > under.thickness and over.hem.cm <= under.hem.cm
            if outer.key != inner.key and goes and over.open:
                yield inner, outer


def pairs(besides: list[Way]) -> Iterator[tuple[Way, Way]]:
    """Two things worn besides at once: no two at one place."""
    for at, one in enumerate(besides):
        for other in besides[at + 1 :]:
            if one.piece.place != other.piece.place:
                yield one, other
