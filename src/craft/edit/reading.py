"""A wardrobe read for its edit: what is proposed for each piece and why, its orphans, twins, colours and shape."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

from craft.cloth import Piece
from craft.edit.candidates import Candidate
from craft.edit.colours import Colours, colours
from craft.edit.counting import counted_by_day
from craft.edit.orphans import Orphan, adoptions_of, stands_in_the_way
from craft.edit.shape import Shape, shape_of
from craft.edit.sorting import Known, Proposal, in_order, propose
from craft.edit.steps import Steps
from craft.search.best import Counts
from craft.search.crew import Asked, Progress
from craft.search.search import Search
from craft.search.wardrobe import wearable
from craft.search.ways import Owned
from craft.search.week import Day, twins_of
from craft.search.wish import Wish


@dataclass(frozen=True)
class Hanging:
    """A wardrobe as it hangs: whose, its pieces, the kinds of day of the week, what is brought along, and what is known besides."""

    asked: Asked
    owned: tuple[Owned, ...]
    days: tuple[Day, ...]
    day_names: tuple[str, ...] = ()
    kit: tuple[Owned, ...] = ()
    notes: Mapping[str, str] = field(default_factory=dict)
    seasons: Mapping[str, Sequence[str]] = field(default_factory=dict)
    wish: Wish = field(default_factory=Wish)

    @property
    def pieces(self) -> dict[str, Piece]:
        """Every piece by its key."""
        return {one.key: one.piece for one in self.owned}


@dataclass(frozen=True)
class WardrobeRead:
    """What was read: a proposal for each piece and the order to go through them, and the whole."""

    proposals: Mapping[str, Proposal]
    order: tuple[str, ...]
    orphans: tuple[Orphan, ...]
    twins: tuple[tuple[str, str], ...]
    colours: Colours
    shape: Shape
    works_on: tuple[Mapping[str, int], ...]


def read_wardrobe(
    hanging: Hanging,
    whole: Search,
    candidates: Sequence[Candidate] = (),
    progress: Progress | None = None,
) -> WardrobeRead:
    """Read a wardrobe, of which `whole` is the search on any day."""
    asked, wish = hanging.asked, hanging.wish
    counts, out = whole.counts(wish), whole.wardrobe.out
    kept, _ = wearable(asked.body, hanging.owned, asked.schools)
    steps = Steps(progress, (0.3, 0.7))
    works_on, twins = _by_day(hanging, kept, steps.next())
    for one in hanging.owned:
        if one.piece.slot == "extra":
            # What is worn besides is counted over all looks, on any day.
            for day in works_on:
                day[one.key] = counts.works_of[one.key]
    found = _orphans(hanging, whole, counts, kept, candidates, steps.next())
    read = colours(
        {one.key: one.piece for one in hanging.owned},
        _on_its_best_day(works_on, kept),
        dict(asked.aims.colouring),  # type: ignore[arg-type]
    )
    by_face = {key: cluster.by_face for cluster in read.clusters for key in cluster.pieces}
    # Two that never work are alike too: that makes no twins.
    twins = [pair for pair in twins if any(counts.works_of[key] for key in pair)]
    proposals = {}
    for one in hanging.owned:
        if one.piece.slot == "swim":
            continue
        orphan = found.get(one.key)
        misfit = "" if one.away and out.get(one.key) == one.away else out.get(one.key, "")
        twin = next((other for pair in twins if one.key in pair for other in pair if other != one.key), "")
        proposals[one.key] = propose(
            Known(
                one.key,
                max((day.get(one.key, 0) for day in works_on), default=0) if counts.works_of[one.key] else 0,
                counts.works_of[one.key] / max(1, counts.looks_of[one.key]),
                misfit=misfit,
                away=one.away if not misfit else "",
                note=hanging.notes.get(one.key, ""),
                why=orphan.why if orphan else "",
                adoptions=orphan.adoptions if orphan else (),
                twin=twin if twin and _outdone(one.key, twin, counts.works_of) else "",
                by_face=by_face.get(one.key, "") if one.piece.slot in ("top", "one_piece", "layer") else "",
            )
        )
    slots = {one.key: one.piece.slot for one in hanging.owned}
    return WardrobeRead(
        proposals,
        tuple(in_order(proposals, [one.key for one in hanging.owned], slots)),
        tuple(orphan for orphan in found.values() if orphan.key not in out),
        tuple(twins),
        read,
        shape_of(hanging.pieces, out, works_on, hanging.seasons, hanging.day_names),
        tuple(works_on),
    )


def _on_its_best_day(works_on: Sequence[Mapping[str, int]], kept: Sequence[Owned]) -> dict[str, int]:
    """In how many outfits each garment works on the kind of day that it serves most."""
    garments = [one.key for one in kept if one.piece.slot != "extra"]
    return {key: max(day.get(key, 0) for day in works_on) for key in garments}


def _outdone(key: str, twin: str, works_of: Mapping[str, int]) -> bool:
    """Whether a piece is the one of two twins that is not needed: that in fewer looks, of two alike the later."""
    return (works_of.get(twin, 0), key) > (works_of.get(key, 0), twin)


def _by_day(
    hanging: Hanging, kept: list[Owned], progress: Progress | None
) -> tuple[list[dict[str, int]], list[tuple[str, str]]]:
    """In how many outfits each piece works on each kind of day, and which pieces are twins."""
    works_on: list[dict[str, int]] = []
    twins: list[tuple[str, str]] = []
    for search, counted in counted_by_day(hanging.asked, kept, hanging.days, hanging.wish, progress):
        twins = twins if works_on else twins_of(search)
        works_on.append(counted)
    return works_on, twins


def _orphans(
    hanging: Hanging,
    whole: Search,
    counts: Counts,
    kept: list[Owned],
    candidates: Sequence[Candidate],
    progress: Progress | None,
) -> dict[str, Orphan]:
    """Pieces in no look that works, and pieces that do not fit: why, and what would adopt or save each."""
    alone = [
        one
        for one in hanging.owned
        if not counts.works_of[one.key] and not one.away and one.piece.slot not in ("swim",)
    ]
    asked_of = [one for one in alone if one.piece.slot != "extra"]
    first = Steps(progress, (0.8, 0.2))
    adopted = adoptions_of(
        hanging.asked, asked_of, kept, hanging.days, candidates, hanging.kit, hanging.wish, first.next()
    )
    found = {}
    for number, one in enumerate(alone):
        why = ""
        if one.key not in whole.wardrobe.out:
            why = stands_in_the_way(hanging.asked, whole, one.key, hanging.wish)
        found[one.key] = Orphan(one.key, why, adopted.get(one.key, ()))
        if progress is not None:
            progress(0.8 + 0.2 * (number + 1) / len(alone))
    return found
