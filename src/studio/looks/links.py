"""Pieces of a look that come from the rack: they follow it, but for what was changed on the look itself."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from typing import Any
from uuid import UUID

from craft.cloth import Piece
from craft.errors import UnknownWord
from craft.look import Look
from studio.looks.models import Look as KeptLook
from studio.rack.models import RackPiece

Words = Mapping[str, Any]


def followed(mine: Words, worn_as: Words, hangs: Words) -> dict[str, Any]:
    """A piece of a look brought up to what hangs on the rack now.

    Three-way, word by word: what was not touched on the look since it was put on follows the rack.

    >>> followed({"is": "jeans", "cuffed": True, "inseam_cm": 76}, {"is": "jeans", "inseam_cm": 76}, {"is": "jeans", "inseam_cm": 72})
    {'is': 'jeans', 'cuffed': True, 'inseam_cm': 72}
    """
    if mine.get("is") != hangs.get("is"):
        return dict(mine)
    found = {}
    for key in [*mine, *(key for key in hangs if key not in mine)]:
        value = hangs.get(key) if mine.get(key) == worn_as.get(key) else mine.get(key)
        if value is not None:
            found[key] = value
    return found


def rack_of(looks: Iterable[KeptLook]) -> dict[str, dict[str, Any]]:
    """The pieces of racks that some looks wear, as they hang now, by id; those taken away are left out."""
    ids = {link["piece"] for look in looks for link in look.links.values()}
    if not ids:
        return {}
    studios = {look.studio_id for look in looks}
    rows = RackPiece.objects.filter(id__in=ids, studio_id__in=studios, removed_at=None).values_list("id", "piece")
    return {str(row_id): piece for row_id, piece in rows}


def worn_now(look: KeptLook, rack: Mapping[str, Words]) -> list[dict[str, Any]]:
    """The pieces of a look, each that comes from the rack as it hangs there now."""
    found = []
    for piece, place in zip(look.pieces, _places(look.pieces), strict=True):
        link = look.links.get(place)
        hangs = rack.get(link["piece"]) if link else None
        found.append(followed(piece, link["worn_as"], hangs) if link and hangs else dict(piece))
    return found


def kept_links(look_pieces: Sequence[Words], given: Mapping[str, UUID], client: Any, before: Words) -> dict[str, Any]:
    """The links to keep for pieces at their places: only to pieces of the client's own rack.

    A new link is put on as the piece hangs now; one that was there is brought up word by word, where the look shows
    what hangs there now.
    """
    places = dict(zip(_places(look_pieces), look_pieces, strict=True))
    wanted = {place: str(piece_id) for place, piece_id in given.items() if place in places}
    rows = RackPiece.objects.filter(client=client, id__in=wanted.values()).values_list("id", "piece")
    hangs = {str(row_id): piece for row_id, piece in rows}
    found = {}
    for place, piece_id in wanted.items():
        held = before.get(place)
        if held and held["piece"] == piece_id:
            now = hangs.get(piece_id, held["worn_as"])
            found[place] = {"piece": piece_id, "worn_as": _brought_up(places[place], held["worn_as"], now)}
        elif piece_id in hangs:
            found[place] = {"piece": piece_id, "worn_as": hangs[piece_id]}
    return found


def _brought_up(mine: Words, worn_as: Words, now: Words) -> dict[str, Any]:
    """What a piece was put on as, word by word: as it hangs now where the look shows that, else as before."""
    told = {key: now.get(key) if mine.get(key) == now.get(key) else worn_as.get(key) for key in {*now, *worn_as}}
    return {key: value for key, value in told.items() if value is not None}


def _places(pieces: Iterable[Words]) -> list[str]:
    """The place of each piece in a look; nothing for one that is of no known kind."""
    read = [_of(piece) for piece in pieces]
    known = iter(Look(tuple(piece for piece in read if piece is not None)).places)
    return [next(known) if piece is not None else "" for piece in read]


def _of(piece: Words) -> Piece | None:
    try:
        return Piece.of({"is": piece.get("is"), "worn": piece.get("worn")})
    except UnknownWord:
        return None
