"""The shape of a wardrobe: how many pieces hang at each place, how many of them stand in a good look, for each kind of day."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from craft.cloth import Piece

#: The places that a wardrobe is read by, as a stylist goes through it.
PLACES = ("bottom", "one_piece", "top", "layer", "shoes", "extra")
#: A wardrobe with more tops a bottom than this has far too many of the one or too few of the other (W).
TOPS_A_BOTTOM = 4.0


@dataclass(frozen=True, slots=True)
class Place:
    """One place: how many pieces hang there, fit, stand in a good look at all and on each kind of day, and are for each season."""

    slot: str
    pieces: int
    fits: int
    works: int
    works_on: tuple[int, ...]
    seasons: Mapping[str, int]


@dataclass(frozen=True)
class Shape:
    """The places, and what they say: where there is far too much, and what is missing."""

    places: tuple[Place, ...]
    says: tuple[str, ...]


SEASONS = ("spring", "summer", "autumn", "winter")


def shape_of(
    pieces: Mapping[str, Piece],
    out: Mapping[str, str],
    works_on: Sequence[Mapping[str, int]],
    seasons: Mapping[str, Sequence[str]] | None = None,
    days: Sequence[str] = (),
) -> Shape:
    """Read the shape: pieces by key, why some stay out, in how many looks that work each stands on each kind of day, and for which
    seasons it is (none said: for all)."""
    known = seasons or {}
    places = []
    for slot in PLACES:
        keys = [key for key, piece in pieces.items() if piece.slot == slot]
        fits = [key for key in keys if key not in out]
        places.append(
            Place(
                slot,
                len(keys),
                len(fits),
                sum(any(day.get(key) for day in works_on) for key in fits),
                tuple(sum(bool(day.get(key)) for key in fits) for day in works_on),
                {season: sum(season in (known.get(key) or SEASONS) for key in fits) for season in SEASONS},
            )
        )
    return Shape(tuple(places), tuple(_says({place.slot: place for place in places}, days)))


def _says(places: Mapping[str, Place], days: Sequence[str]) -> list[str]:
    found = []
    tops, bottoms = places["top"], places["bottom"]
    if bottoms.fits and tops.fits / bottoms.fits > TOPS_A_BOTTOM:
        found.append(f"{tops.fits} tops that fit to {bottoms.fits} bottoms: bottoms first.")
    if tops.fits and not bottoms.fits:
        found.append("No bottom fits: without one nothing is an outfit.")
    if not places["shoes"].fits:
        found.append("No shoes are here: outfits are judged barefoot.")
    for slot, place in places.items():
        idle = place.fits - place.works
        if place.fits >= 3 and idle > place.fits / 3:
            found.append(f"{idle} of {place.fits} {_NAMED[slot]} that fit stand in no good look.")
    for number, day in enumerate(days):
        bare = [
            _NAMED[slot]
            for slot in ("bottom", "top", "shoes")
            if places[slot].fits and not places[slot].works_on[number]
        ]
        if bare and not places["one_piece"].works_on[number]:
            found.append(f"For {day} no {' or '.join(bare)} stand in a good look.")
    return found


_NAMED = {
    "bottom": "bottoms",
    "one_piece": "one-pieces",
    "top": "tops",
    "layer": "layers",
    "shoes": "shoes",
    "extra": "small things",
}
