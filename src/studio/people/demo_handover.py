"""Hand-over, diary and what was worn in the demo: all made up, all about today."""

from __future__ import annotations

from datetime import date, datetime, timedelta
from typing import Any
from uuid import uuid4

from craft.cloth import Piece
from craft.cloth.quick import read_line
from craft.diary.kinds import KINDS, VisitKind
from craft.formats.look_form import FiledSetting, LookFacts
from studio.bodies.known import today
from studio.diary.services import Content, put_down
from studio.handover import cards, links
from studio.handover.content import Parts
from studio.handover.models import Said
from studio.looks.services import Content as LookContent
from studio.looks.services import keep_look
from studio.people.demo_wardrobe import OWNER
from studio.people.models import Client, Member
from studio.plan.services import wear
from studio.rack.models import RackPiece

#: Rosalind's looks for the week: a name, where it is worn, and the pieces by their lines with how they are worn.
LOOKS: tuple[tuple[str, str, tuple[tuple[str, dict[str, Any]], ...]], ...] = (
    (
        "Monday, proofs and people", "relaxed_office",
        (
            ("olive straight trousers high rise linen, ankle", {}),
            ("cream blouse draping v neck", {"tuck": "front"}),
            ("cognac loafers almond", {}),
            ("camel cardigan longline", {"open": True}),
        ),
    ),
    (
        "The author comes to lunch", "relaxed_office",
        (
            ("navy wide trousers high rise draping, front rise 31, inseam 78, leg opening 60", {}),
            ("rust blouse draping v neck", {"tuck": "full"}),
            ("black loafers almond", {}),
        ),
    ),
    (
        "Straight on to dinner", "dinner",
        (
            ("black dress wrap v neck long sleeve, below knee", {}),
            ("black loafers almond", {}),
        ),
    ),
    (
        "Saturday market", "weekend",
        (
            ("dark denim straight jeans high rise, ankle", {}),
            ("navy tee skimming, horizontal stripe, white", {"tuck": "front"}),
            ("white trainers", {}),
            ("olive jacket skimming linen hip", {"open": True}),
        ),
    ),
)  # fmt: skip
#: The diary: kind, for whom (by name), in how many working days, at what hour, where, by which stylist (0 or 1), and more.
VISITS: tuple[tuple[VisitKind, str, int, float, str, int, dict[str, Any]], ...] = (
    ("hand_over", OWNER, 0, 10, "Hollin Row", 0, {"note": "Cards, the tailor’s bag, the buying list."}),
    ("edit", "Constance Ebbing", 1, 9.5, "4 Ferry Steps", 0, {}),
    ("tailor", "Ottoline Brae", 1, 13.5, "Twelve Looms, Corn Street", 0, {"note": "Two pairs to pin."}),
    ("shops", "Marnie Dunmore", 2, 14, "Corn Street", 1, {}),
    ("measuring", "Tamsin Roe", 3, 16, "Hollin Row", 0, {"along": "Hester Roe, her guardian"}),
    ("first_talk", "Jory Penhallow", 3, 10, "Hollin Row", 1, {}),
    ("check", "Idris Calloway", 5, 11, "Tillenbrook Court", 1, {}),
    ("other", "", 0, 8.5, "Hollin Row", 1, {"title": "Look over the week", "rule": "FREQ=WEEKLY", "minutes": 30}),
    ("away", "", 9, 0, "", 1, {"title": "Fabric fair, Port Ansel", "minutes": 2 * 1440}),
)
ZONE = "Europe/London"


def load_handover(members: list[Member]) -> None:
    """Looks of the week with their cards, a page with what was said through it, what was worn, and the diary."""
    maud = members[0]
    for client in Client.objects.filter(studio=maud.studio, name__in=(OWNER, "Ottoline Brae")):
        if client.name == OWNER:
            _looks(maud, client)
        for look in client.looks.order_by("created_at"):
            cards.make(maud, client.id, uuid4(), look.id)
    owner = Client.objects.get(studio=maud.studio, name=OWNER)
    made = [row.id for row in cards.rows_of(owner)]
    share, _ = links.make(
        maud, owner.id, uuid4(), made, Parts(buying=True, care=True), today() + timedelta(60), "",
        "These four carry your week. The olive trousers are your foundation: wear them twice.",
    )  # fmt: skip
    whose: dict[str, Any] = {"studio_id": maud.studio_id, "share": share}
    Said.objects.create(**whose, says="loved", about=made[0], title=LOOKS[0][0])
    Said.objects.create(**whose, says="question", text="Can the loafers go with the navy wide trousers in the rain?")
    links.note_opening(share, let_in=True)
    _visits(members)


def _looks(member: Member, client: Client) -> None:
    hung = {line_of(row): row for row in RackPiece.objects.filter(client=client)}
    for number, (name, occasion, pieces) in enumerate(LOOKS):
        rows = [(hung[read_line(line)], read_line(line).with_(**how)) for line, how in pieces]
        facts = LookFacts(setting=FiledSetting(occasion=occasion), standing="chosen" if number == 0 else "")
        from_rack = {piece.place: row.id for row, piece in rows}
        keep_look(
            member, client.id, LookContent(name, [piece.described() for _, piece in rows], facts, None, from_rack)
        )
        for back in (3 + number, 10 + 2 * number):
            on = today() - timedelta(back)
            wear(member, client.id, uuid4(), on, list(from_rack.values()), seen_by=["colleagues"], title=name)


def line_of(row: RackPiece) -> Piece:
    """A piece of the rack, to be found by."""
    return Piece.of(row.piece)


def _visits(members: list[Member]) -> None:
    maud = members[0]
    names = dict(Client.objects.filter(studio=maud.studio).values_list("name", "id"))
    for kind, who, ahead, hour, place, which, more in VISITS:
        usual, told = KINDS[kind], dict(more)
        day = _working(ahead)
        local = datetime(day.year, day.month, day.day, int(hour), round(60 * (hour % 1)))
        put_down(
            maud, uuid4(),
            Content(
                kind, names.get(who), told.pop("title", ""), local, told.pop("minutes", usual.minutes), ZONE, (members[which].pk,),
                place, usual.travel, usual.buffer, told.pop("along", ""), told.pop("note", ""), told.pop("rule", ""),
            ),
        )  # fmt: skip


def _working(ahead: int) -> date:
    """The day so many working days ahead; today whatever day it is, so that the week that is shown is never empty."""
    day = today()
    for _ in range(ahead):
        day += timedelta({4: 3, 5: 2}.get(day.weekday(), 1))
    return day
