"""What was found, as it is kept: the looks with their reasons and what is new in them, and the counts."""

from __future__ import annotations

from collections import Counter
from time import perf_counter
from typing import Any

from django.db import transaction

from craft.judge import Judgement, Sentence
from craft.judge.finding import Finding
from craft.search.search import FoundLook, Search
from studio.looks.models import Look
from studio.outfits.situation import Situation
from studio.wall import tell_studio

#: So many looks are kept of a search; so many reasons of each, the second from among so many.
LOOKS, REASONS, AMONG = 60, 2, 6
#: Of what stands at these places it is worth saying that it was never worn together.
_BASE = ("bottom", "one_piece", "top")


def found_of(search: Search, situation: Situation) -> dict[str, Any]:
    """What a search comes to for what is asked of it."""
    began = perf_counter()
    counts = search.counts(situation.wish)
    looks = search.varied(LOOKS, situation.ask.dial, situation.wish)
    return {
        "looks": looks_of(looks, situation),
        "counts": [counts.looks, counts.works],
        "pieces": {key: [counts.looks_of[key], counts.works_of[key]] for key in (one.key for one in situation.owned)},
        "out": dict(search.wardrobe.out),
        "left_out": list(search.wardrobe.breadth.left_out),
        "seconds": round(perf_counter() - began, 2),
    }


def looks_of(looks: list[FoundLook], situation: Situation) -> list[dict[str, Any]]:
    """Looks as they are kept: each with its leading reason, and of the next ones the one that fewest of the others have."""
    worn = worn_together(situation)
    reasons = [look.judged(situation.asked) for look in looks]
    listed = [_weighed(judged)[:AMONG] for judged in reasons]
    common = Counter(finding.title for one in listed for finding in one)
    found = []
    for look, judged, among in zip(looks, reasons, listed, strict=True):
        first = judged.leading[:1]
        said = {one.title for one in first}
        rest = sorted((one for one in among if one.title not in said), key=lambda one: common[one.title])
        found.append(
            {
                "pieces": list(look.keys),
                "worn": look.worn,
                "score": round(look.score, 4),
                "verdict": look.verdict,
                "reasons": [[one.title, one.stance, *_kept(one.text)] for one in (*first, *rest[: REASONS - 1])],
                "new": list(new_in(look, worn)),
            }
        )
    return found


def _weighed(judged: Judgement) -> list[Finding]:
    """What speaks for a look that works, and against one that does not, the strongest first."""
    wanted = "for" if judged.verdict == "works" else "against"
    return [finding for finding in judged.findings if finding.stance == wanted and not finding.outranked]


def _kept(sentence: Sentence) -> tuple[str, list[list[Any]]]:
    return sentence.template, [list(length) for length in sentence.lengths]


def worn_together(situation: Situation) -> list[frozenset[str]]:
    """The sets of rack pieces in the looks that are kept for the client."""

    with transaction.atomic():
        tell_studio(situation.client.studio_id)
        links = Look.objects.filter(client=situation.client, removed_at=None).values_list("links", flat=True)
        return [frozenset(str(link["piece"]) for link in one.values()) for one in links]


def new_in(look: FoundLook, worn: list[frozenset[str]]) -> tuple[str, ...]:
    """Two pieces of a look that no kept look puts together: of the base first, then with what goes over and under it."""
    places = {way.piece.slot: way.key for way in reversed(look.ways)}
    base = [places[slot] for slot in _BASE if slot in places]
    pairs = [tuple(base)] if len(base) > 1 else []
    pairs += [(key, places[slot]) for slot in ("layer", "shoes") if slot in places for key in base[-1:]]
    return next((pair for pair in pairs if not any(set(pair) <= one for one in worn)), ())
