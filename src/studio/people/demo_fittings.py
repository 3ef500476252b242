"""Fittings of the demo clients: which pieces of their racks were tried, what was seen and decided; and size charts."""

from __future__ import annotations

from dataclasses import dataclass, field
from datetime import datetime, timedelta
from typing import Any
from uuid import uuid4

from craft.cloth import Piece
from craft.cloth.quick import read_line
from craft.formats.fitting_form import Decision, Seen
from studio.charts import services as charts
from studio.fittings import services
from studio.fittings.models import Place
from studio.people.models import Client, Member
from studio.rack.models import RackPiece
from studio.shopping.services import Shopper, land_on, shopper_of


@dataclass(frozen=True)
class Tried:
    """One piece: which of the rack (by its place there) or in a line, what was seen of it, what became of it."""

    piece: int | str
    decision: Decision
    why: str = ""
    #: Edges and eases that were seen elsewhere than computed: by how many cm, up and more.
    off: dict[str, float] = field(default_factory=dict)
    seen: dict[str, Any] = field(default_factory=dict)
    maker: str = ""
    #: What is due of it: its text, the figure it changes, by how many cm, in how many days from today.
    due: tuple[str, str, float, int] | None = None


FITTINGS: dict[str, tuple[tuple[int, Place, str, tuple[Tried, ...]], ...]] = {
    "Ottoline Brae": (
        (
            21,
            "shop",
            "Twelve Looms, Corn Street",
            (
                Tried("black pleated skirt, length 80, waist 76, hip 120", "let_go", "The band cuts when she sits to play.",
                      {"hem": 1.6}, {"checks": {"length": "not_so"}, "moves": {"sit": "not_well"}}, maker="Twelve Looms"),
                Tried("navy knit skimming, chest 104, length 56, sleeve 57", "let_go", "Sleeve in the way of the bow.",
                      {"hem": 1.9, "cuff": -0.4}, {"checks": {"bust": "as_said"}, "moves": {"reach": "not_well"}}, maker="Twelve Looms"),
            ),
        ),
        (
            6,
            "wardrobe",
            "",
            (
                Tried(0, "keep", "Her rehearsal jeans.", {}, {"checks": {"rise": "as_said", "length": "as_said"}, "moves": {"sit": "well", "back": "well"}, "comfort": "comfortable"}),
                Tried(1, "alter", "Right in heels, and she plays in flats.", {"hem": 0.6}, {"checks": {"length": "as_said"}},
                      due=("Hem it by 3 cm.", "inseam_cm", -3.0, 5)),
                Tried(5, "keep", "Covers the knees at the cello.", {"hem": 1.7}, {"moves": {"sit": "well"}}),
                Tried(14, "keep", "", {}, {"checks": {"bust": "as_said", "sleeve": "not_so"}, "moves": {"reach": "well"}}),
            ),
        ),
    ),
    "Marnie Dunmore": (
        (
            12,
            "wardrobe",
            "",
            (
                Tried(0, "keep", "Loose at the band by noon.", {"band": 1.8}, {"checks": {"band": "not_so"}}),
                Tried(6, "return", "The shaft stands off on the ladder.", {}, {"moves": {"walk": "not_well"}},
                      due=("Take the boots back to the shop.", "", 0.0, -2)),
            ),
        ),
    ),
}  # fmt: skip

CHARTS = """maker,product,of,piece,cut,rise,size,waist (cm),hip (cm),chest (cm),front rise (cm),inseam (cm),length (cm)
Alderlane,Weekday straight,garment,jeans,straight,high,38,77,97,,26.5,70,
Alderlane,Weekday straight,garment,jeans,straight,high,40,81,101,,27,70,
Alderlane,Weekday straight,garment,jeans,straight,high,42,85,105,,27.5,70,
Alderlane,Weekday straight,garment,jeans,straight,high,44,90,110,,28,70,
Twelve Looms,Blouses,body,blouse,,,S,68,94,86,,,62
Twelve Looms,Blouses,body,blouse,,,M,74,100,92,,,63
Twelve Looms,Blouses,body,blouse,,,L,81,107,99,,,64
Brigg & Daughter,Skirts,body,skirt,a_line,,38,74,102,,,,68
Brigg & Daughter,Skirts,body,skirt,a_line,,40,79,107,,,,69
Brigg & Daughter,Skirts,body,skirt,a_line,,42,84,112,,,,70
"""


def load_fittings(member: Member, client: Client, today: datetime) -> None:
    """Log a demo client's fittings as a stylist would."""
    rack = list(RackPiece.objects.filter(client=client))
    shopper = shopper_of(member, client.id)
    for days_ago, place, where, tried in FITTINGS.get(client.name, ()):
        began = today.replace(hour=11, minute=0, second=0, microsecond=0) - timedelta(days=days_ago)
        fitting = services.begin(member, client.id, uuid4(), place, where, began)
        for minute, one in enumerate(tried, start=1):
            services.log(member, fitting.id, _tried(one, rack, shopper, began + timedelta(minutes=minute), today))
        fitting.ended_at = began + timedelta(minutes=len(tried) + 1)
        fitting.save(update_fields=["ended_at"])


def _tried(one: Tried, rack: list[RackPiece], shopper: Shopper, when: datetime, today: datetime) -> services.Tried:
    hanging = rack[one.piece] if isinstance(one.piece, int) else None
    piece = Piece.of(hanging.piece) if hanging else read_line(str(one.piece))
    expected = services.expected_of(land_on(shopper, piece, 2.0))
    figures = {
        kind: {key: round(expected[kind][key] + by, 1) for key, by in one.off.items() if key in expected[kind]}
        for kind in ("edges", "eases")
    }
    errands: tuple[services.Due, ...] = ()
    if one.due is not None:
        text, figure, by, days = one.due
        kind: Any = one.decision
        errands = (services.Due(uuid4(), kind, text, figure, by, (today + timedelta(days=days)).date()),)
    return services.Tried(
        id=uuid4(),
        tried_at=when,
        seen=Seen.model_validate({**one.seen, **figures}),
        typed=services.Typed({}, "cm"),
        decision=one.decision,
        why=one.why,
        heel_cm=2.0,
        piece_id=hanging.id if hanging else None,
        line=one.piece if isinstance(one.piece, str) else "",
        maker=one.maker,
        errands=errands,
    )


def load_charts(member: Member) -> None:
    """The demo studio's size charts."""
    charts.keep(member, CHARTS)
