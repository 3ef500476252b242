"""What the record calls an operation: what kind of thing it is, and to what. Every operation is told by its router; what a POST
does that changes nothing, or a GET that lets something out of the house, stands here by name."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Literal, get_args

Kind = Literal["look", "change", "export", "print", "share", "erase"]
KINDS: tuple[Kind, ...] = get_args(Kind)

#: By the module of an operation: to what it is done. A module that stands here with nothing is not recorded: it tells of nobody.
AREAS: Mapping[str, str] = {
    "people.api": "client",
    "members.api": "members",
    "bodies.api": "body",
    "looks.api": "looks",
    "looks.advice_api": "looks",
    "rack.api": "rack",
    "fittings.api": "fittings",
    "fittings.errands_api": "errands",
    "pictures.api": "pictures",
    "charts.api": "",
    "rules.api": "",
    "shopping.api": "numbers",
    "shopping.like_api": "rack",
    "outfits.api": "outfits",
    "edit.api": "edit",
    "edit.lists_api": "edit",
    "handover.api": "cards",
    "handover.links_api": "page",
    "plan.api": "plans",
    "diary.api": "diary",
    "records.api": "records",
    "audit.api": "audit",
}
#: What an area is called in a sentence.
CALLED: Mapping[str, str] = {
    "client": "the name, brief and aims",
    "reach": "how they are reached",
    "assigned": "to whom they are open",
    "members": "who works here",
    "house": "the house rules",
    "body": "the body",
    "looks": "the looks",
    "rack": "the rack",
    "fittings": "the fittings",
    "errands": "the alterations and returns",
    "pictures": "the pictures",
    "numbers": "the shopping numbers",
    "outfits": "the outfits found",
    "edit": "the edit",
    "cards": "the outfit cards",
    "book": "the book",
    "tailor": "the tailor’s sheet",
    "page": "the client’s page and letters",
    "letter": "a letter",
    "plans": "the plans",
    "diary": "the diary",
    "records": "the records",
    "file": "the whole file",
    "brought": "the record, brought in from a file",
    "table": "a table",
    "audit": "who saw what",
}
DID: Mapping[Kind, str] = {
    "look": "looked at",
    "change": "changed",
    "export": "took out",
    "print": "printed",
    "share": "shared",
    "erase": "erased",
}
#: Operations that are otherwise than their router and method say: (kind, area).
OTHERWISE: Mapping[str, tuple[Kind, str]] = {
    "people.api.change_studio": ("change", "house"),
    "people.api.change_desk": ("change", "house"),
    "members.api.reach": ("look", "reach"),
    "members.api.change_reach": ("change", "reach"),
    "members.api.assigned": ("look", "assigned"),
    "members.api.assign": ("change", "assigned"),
    "fittings.api.expect": ("look", "fittings"),
    "rack.api.preview_table": ("look", "rack"),
    "rack.api.export_table": ("export", "table"),
    "records.api.export_file": ("export", "file"),
    "records.api.export_table": ("export", "table"),
    "records.api.preview_table": ("look", "body"),
    "records.api.keep_table": ("change", "body"),
    "records.api.import_file": ("change", "brought"),
    "records.api.erase": ("erase", "file"),
    "looks.api.as_picture": ("export", "looks"),
    "pictures.api.archive": ("export", "pictures"),
    "shopping.api.sheet": ("print", "numbers"),
    "handover.api.as_svg": ("export", "cards"),
    "handover.api.as_png": ("export", "cards"),
    "handover.api.book_file": ("print", "book"),
    "handover.api.tailor": ("print", "tailor"),
    "handover.links_api.make": ("share", "page"),
    "handover.links_api.open_again": ("share", "page"),
    "handover.links_api.write": ("share", "letter"),
    "handover.links_api.letter_file": ("export", "letter"),
    "handover.links_api.post_again": ("share", "letter"),
    "plan.api.on_paper": ("print", "plans"),
    **dict.fromkeys(
        (f"looks.advice_api.{name}" for name in ("assess", "unsettled", "rail", "remedies", "views", "profile", "tuck", "compare")),
        ("look", "looks"),
    ),
    **dict.fromkeys((f"outfits.api.{name}" for name in ("search", "draw", "cancel")), ("look", "outfits")),
    **dict.fromkeys((f"edit.api.{name}" for name in ("sorting", "gaps", "capsule", "changed", "cancel")), ("look", "edit")),
    "edit.lists_api.verdict": ("look", "edit"),
    "shopping.api.placed": ("look", "numbers"),
    "handover.api.find_variants": ("look", "cards"),
    "plan.api.propose": ("look", "plans"),
    "diary.api.prepare": ("look", "client"),
}  # fmt: skip
#: What tells of nobody, or of no more than a name.
UNRECORDED = frozenset(
    {
        "people.api.who", "people.api.work_for", "people.api.schools", "people.api.clients", "people.api.brief_words",
        "people.api.colouring", "people.api.near_face", "bodies.api.measuring", "bodies.api.length", "looks.api.vocabulary",
        "looks.api.hear_words", "fittings.errands_api.studio_errands", "handover.links_api.studio_said", "edit.lists_api.kit",
        "edit.lists_api.carry", "edit.lists_api.leave_home", "edit.lists_api.carry_again", "diary.api.diary", "diary.api.free_time",
        "diary.api.preview", "diary.api.holiday_countries", "records.api.preview_file", "members.api.look", "members.api.join", "members.api.qr", "members.api.members",
        "members.api.standing", "audit.api.of_client",
    }
)  # fmt: skip


def called(module: str, name: str, method: str) -> tuple[Kind, str] | None:
    """What an operation is to the record: its kind and area; None where it is not recorded.

    >>> called("studio.pictures.api", "show", "GET")
    ('look', 'pictures')
    >>> called("studio.rules.api", "rules", "GET") is None
    True
    """
    short = module.removeprefix("studio.")
    whole = f"{short}.{name}"
    if whole in UNRECORDED or not AREAS[short]:
        return None
    if whole in OTHERWISE:
        return OTHERWISE[whole]
    return ("look" if method == "GET" else "change", AREAS[short])


def sentence(kind: Kind, area: str) -> str:
    """What was done, as it reads after somebody's name.

    >>> sentence("look", "body")
    'looked at the body'
    """
    return f"{DID[kind]} {CALLED.get(area, area)}"
