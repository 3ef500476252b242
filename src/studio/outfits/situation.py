"""All that a search depends on, in one value: the body, how it is judged, what hangs there, and what is wished."""

from __future__ import annotations

import hashlib
from collections.abc import Iterable, Mapping
from dataclasses import asdict, dataclass, field, fields, replace
from datetime import date, timedelta
from functools import cached_property, lru_cache
from pathlib import Path
from typing import Any

import craft
from craft.body import Body
from craft.cloth.kinds import KIND
from craft.formats.look_form import LookFacts
from craft.judge.aims import Setting
from craft.search.crew import Asked
from craft.search.ways import Owned
from craft.search.wish import Wish
from craft.tryon.alter import altered
from studio.bodies.known import measures_of, today
from studio.fittings.models import Errand
from studio.looks.models import Look
from studio.outfits.models import Apart
from studio.people.models import Client
from studio.plan.models import Worn
from studio.rack.models import RackPiece
from studio.stored import PieceRow, stored, stored_piece

#: What a look is built on: a dress, or a top and what is below it.
BASES = ("bottom", "top", "one_piece")
#: Why a piece that is not in use is not at hand.
AWAY = {"lent": "Lent", "at_the_tailor": "At the tailor", "to_let_go": "To let go"}


@dataclass(frozen=True)
class Ask:
    """What is asked of a search. Pieces are named by their ids on the rack."""

    setting: dict[str, Any] = field(default_factory=dict)
    must: tuple[str, ...] = ()
    must_not: tuple[str, ...] = ()
    one_statement: bool = False
    #: Pieces that are lent or at the tailor as if they were there, and altered as they are to be.
    as_if: bool = False
    #: From the best, 0, to the most different, 1.
    dial: float = 0.4
    #: What was worn within so many days is left out, as an outfit: its pieces come again.
    rest_days: int = 0
    #: A colour wanted by the face.
    by_the_face: str = ""

    @classmethod
    def read(cls, kept: Mapping[str, Any]) -> Ask:
        """An ask as it was kept."""
        told = dict(kept)
        return cls(**{**told, "must": tuple(told.get("must", ())), "must_not": tuple(told.get("must_not", ()))})

    def kept(self) -> dict[str, Any]:
        """The ask as it is kept."""
        told = asdict(self)
        return {**told, "must": sorted(self.must), "must_not": sorted(self.must_not)}

    @property
    def is_general(self) -> bool:
        """Whether it is the whole wardrobe on any day: what the rack counts."""
        return self == Ask()


@dataclass(frozen=True)
class Situation:
    """A client's wardrobe as it is now, and what is asked of it."""

    client: Client
    asked: Asked
    owned: tuple[Owned, ...]
    wish: Wish
    ask: Ask

    @cached_property
    def tables_key(self) -> str:
        """What the sums of the rules depend on: all but what is wished."""
        body = self.asked.body
        figures = [sorted(part.items()) for part in (body.heights, body.girths, body.breadths, body.lengths)]
        schools = [
            sorted(part) for part in (self.asked.schools.taken, self.asked.schools.muted, self.asked.schools.moved)
        ]
        liked = [(sorted(pieces), rule) for pieces, rule in self.asked.liked]
        told = (engine(), figures, schools, _plainly(self.asked.aims), liked, self.owned, self.ask.as_if)
        return hashlib.sha256(repr(told).encode()).hexdigest()

    @cached_property
    def key(self) -> str:
        """What the result depends on."""
        apart = sorted(sorted(one) for one in self.wish.apart)
        lately = sorted(sorted(one) for one in self.wish.lately)
        told = (self.tables_key, self.ask.kept(), apart, lately)
        return hashlib.sha256(repr(told).encode()).hexdigest()


def _plainly(aims: Any) -> list[Any]:
    """Aims as a list that reads the same in every process: sets have no order of their own."""
    told = [getattr(aims, field.name) for field in fields(aims) if field.repr]
    return [sorted(value) if isinstance(value, frozenset) else value for value in told]


@lru_cache(maxsize=1)
def engine() -> str:
    """What the engine is: another version of a rule may find something else."""
    digest = hashlib.sha256()
    for path in sorted(Path(craft.__file__).parent.rglob("*.py")):
        digest.update(path.read_bytes())
    return digest.hexdigest()


def worn_within(client_id: Any, days: int) -> list[tuple[date, frozenset[str]]]:
    """What was worn on each of so many days up to today, by the ids of its pieces, the last first."""
    since = today() - timedelta(days=days)
    rows = Worn.objects.filter(client_id=client_id, removed_at=None, on__gt=since, on__lte=today()).order_by("-on")
    return [(on, frozenset(map(str, pieces))) for on, pieces in rows.values_list("on", "pieces")]


def _orders(client: Client) -> dict[Any, list[tuple[str, float]]]:
    """What the tailor is still to do to each piece: the figure that changes, and by how many cm."""
    rows = Errand.objects.filter(client=client, kind="alter", removed_at=None, done_at=None).exclude(figure="")
    found: dict[Any, list[tuple[str, float]]] = {}
    for piece_id, figure, by in rows.order_by("pk").values_list("rack_piece_id", "figure", "by_cm"):
        found.setdefault(piece_id, []).append((figure, by))
    return found


def as_altered(owned: Owned, orders: Iterable[tuple[str, float]]) -> Owned:
    """A piece as it comes back from the tailor."""
    piece = owned.piece
    for figure, by in orders:
        piece = altered(piece, figure, by)
    figures = ((key, piece.figure(key)) for key in KIND[piece.kind].figures)
    changed = tuple((key, cm) for key, cm in figures if cm is not None and cm != owned.piece.figure(key))
    return replace(owned, piece=piece, altered=changed)


def situation_of(client: Client, ask: Ask) -> Situation:
    """The situation of a client, as it is now."""
    aims = replace(client.wishes, setting=Setting.of(**ask.setting))
    schools = client.ways
    body = Body.of(measures_of(client))
    rows = RackPiece.objects.filter(client=client, removed_at=None).values_list("id", "version", "piece", "facts")
    orders = _orders(client) if ask.as_if else {}
    owned = []
    for row_id, version, words, facts in rows:
        piece = stored_piece(PieceRow(row_id, version, words))
        if piece is not None:
            away = AWAY.get((facts or {}).get("state", ""), "")
            owned.append(as_altered(Owned(str(row_id), piece, away), orders.get(row_id, ())))
    rejected = Apart.objects.filter(client=client, removed_at=None).values_list("pieces", flat=True)
    apart = frozenset(frozenset(pieces) for pieces in rejected)
    liked = tuple(
        sorted(
            ((frozenset(str(link["piece"]) for link in links.values()), one.rule)
             for links, facts in Look.objects.filter(client=client, removed_at=None).values_list("links", "facts")
             for one in stored(LookFacts, facts).liked if links),
            key=lambda one: (sorted(one[0]), one[1]),
        )
    )  # fmt: skip
    face = frozenset({ask.by_the_face} if ask.by_the_face else ())
    bases = frozenset(one.key for one in owned if one.piece.slot in BASES)
    days = worn_within(client.pk, ask.rest_days) if ask.rest_days else []
    lately = frozenset(base for _, pieces in days if (base := bases & pieces))
    wish = Wish(frozenset(ask.must), frozenset(ask.must_not), apart, ask.one_statement, lately, face)
    return Situation(client, Asked(body, schools, aims, liked=liked), tuple(owned), wish, ask)
