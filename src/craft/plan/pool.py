"""The looks that a plan chooses from: of each kind of occasion the best different ones, and all that a few pieces make."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import replace

from craft.cloth.register import insulation
from craft.edit.steps import Steps
from craft.judge import judge
from craft.judge.aims import Setting
from craft.judge.register import BEARABLE
from craft.look import compose
from craft.look.register import WALKING, at_ease_in
from craft.plan.occasion import Occasion, Option
from craft.search.best import best
from craft.search.crew import Asked, Progress
from craft.search.search import FoundLook, Search
from craft.search.wardrobe import Breadth, Wardrobe, families_of
from craft.search.ways import Owned, Way, layered
from craft.search.week import Day, by_day
from craft.search.wish import Wish
from craft.search.worn import in_order

#: Each piece as it hangs, tops tucked and untucked, one layer: what a plan weighs. What is worn besides is added afterwards.
BREADTH = Breadth(0, 1, every_way=False)
#: So many different looks of each kind of occasion are weighed, and how much likeness counts in choosing them (W).
VARIED, DIAL = 60, 0.35
#: Of so many pieces of each place a trip is packed, and so many of the best looks that they make are weighed for an occasion.
OF_A_TRIP = {"bottom": 7, "one_piece": 3, "top": 10, "layer": 5, "shoes": 5}
LOOKS_OF_A_TRIP = 700
#: What is put on to go out, by kind.
OUTDOORS = ("coat", "jacket", "duster", "cape", "poncho")
#: A thing worn besides is added where it raises the score by so much (W).
RAISES = 0.015


def rounded(setting: Setting) -> Setting:
    """The setting as looks are found for it: the air to two degrees, so that like days are asked once.

    >>> rounded(Setting.of("dinner", celsius=17.4)).celsius
    18.0
    """
    return setting if setting.celsius is None else replace(setting, celsius=2.0 * round(setting.celsius / 2))


def options_for(
    asked: Asked,
    kept: Sequence[Owned],
    occasions: Sequence[Occasion],
    wish: Wish | None = None,
    progress: Progress | None = None,
) -> dict[str, list[Option]]:
    """Looks for each occasion of a week, by its key: different ones, the best of each base."""
    wish = wish or Wish()
    found: dict[Setting, list[Option]] = {}
    for setting, search in _searched(asked, kept, occasions, progress):
        found[setting] = [_option(look) for look in search.varied(VARIED, DIAL, wish)]
    return {one.key: found[rounded(one.setting)] for one in occasions}


def options_of_few(
    asked: Asked,
    kept: Sequence[Owned],
    occasions: Sequence[Occasion],
    wish: Wish | None = None,
    must: frozenset[str] = frozenset(),
    progress: Progress | None = None,
) -> dict[str, list[Option]]:
    """Looks for each occasion of a trip, by its key: those that pieces make which work in most looks on most of its occasions. A look
    that is only to be watched is there where none works."""
    wish, steps = wish or Wish(), Steps(progress, (0.5, 0.5))
    worth: Counter[str] = Counter()
    many = Counter(rounded(one.setting) for one in occasions)
    for setting, search in _searched(asked, kept, occasions, steps.next()):
        works = search.counts(wish).works_of
        whole = sum(works.values()) or 1
        for key, count in works.items():
            # Each occasion has one voice: a warm day's many looks do not outvote a cold evening's few.
            worth[key] += round(1_000_000 * many[setting] * count / whole)
    few = _few(kept, worth, must)
    found: dict[Setting, list[Option]] = {}
    for setting, search in _searched(asked, few, occasions, steps.next()):
        places = best(search.families, wish, LOOKS_OF_A_TRIP)
        looks = [_option(look) for look in map(search.found, places)]
        # Where nothing works, what only just does is better than nothing.
        found[setting] = next(
            (of for word in ("works", "watch") if (of := [one for one in looks if one.verdict == word])), []
        )
    return {one.key: found[rounded(one.setting)] for one in occasions}


def _few(kept: Sequence[Owned], worth: Mapping[str, int], must: frozenset[str]) -> list[Owned]:
    taken: Counter[str] = Counter()
    found = []
    for one in sorted(kept, key=lambda one: (one.key not in must, -worth.get(one.key, 0), one.key)):
        if one.key in must or taken[one.piece.slot] < OF_A_TRIP.get(one.piece.slot, 0):
            taken[one.piece.slot] += 1
            found.append(one)
    return found


def _searched(
    asked: Asked, kept: Sequence[Owned], occasions: Sequence[Occasion], progress: Progress | None
) -> Iterable[tuple[Setting, Search]]:
    """A search for each kind of occasion among some."""
    settings = list(dict.fromkeys(rounded(one.setting) for one in occasions))
    plain = [one for one in kept if one.piece.slot != "extra"]
    families = families_of(asked.body, plain, asked.schools, BREADTH)
    # One base over another is a variation at most, and no reason to plan a day round it.
    wardrobe = Wardrobe(tuple(family for family in families if family.name != "dress_over_legs"), BREADTH)
    return zip(settings, by_day(asked, wardrobe, [Day(setting) for setting in settings], progress), strict=True)


def _option(look: FoundLook) -> Option:
    return Option(look.ways, look.score, look.verdict)


def finished(asked: Asked, option: Option, besides: Sequence[Owned], occasion: Occasion) -> Option:
    """A look with the one thing worn besides that raises it most on its occasion, or as it is."""
    aims = replace(asked.aims, setting=occasion.setting)
    of = replace(asked, aims=aims)

    def weighed(ways: tuple[Way, ...]) -> Option:
        look = in_order(way.piece for way in ways)
        judged = judge(compose(of.body, look, of.schools), of.aims_for(way.key for way in ways), of.rules)
        return Option(ways, judged.score, judged.verdict)

    plain = weighed(option.ways)
    tried = [weighed((*option.ways, Way(one.key, one.piece))) for one in besides if one.piece.slot == "extra"]
    leading = max((one for one in tried if one.verdict == plain.verdict), key=lambda one: one.score, default=plain)
    return leading if leading.score >= plain.score + RAISES else plain


def for_the_way(asked: Asked, option: Option, kept: Sequence[Owned], outside: float) -> Owned | None:
    """What is put on for the way there, where the look alone is too cold outside: of what is warm enough, walking, the one that goes
    best with it; the warmest where nothing is. None where the look is enough."""
    look = in_order(way.piece for way in option.ways)
    outfit = compose(asked.body, look, asked.schools)
    slack = BEARABLE.of(outfit)

    def enough(clo: float) -> bool:
        return at_ease_in(clo, WALKING) - slack <= outside

    if enough(outfit.insulation):
        return None
    layers = [way for way in option.ways if way.piece.slot == "layer" or way.piece.word("worn") == "over"]

    def goes_over(one: Owned) -> bool:
        way = Way(one.key, one.piece)
        return all(any(outer == way for _, outer in layered(asked.body, (layer, way))) for layer in layers)

    over = [one for one in kept if one.piece.kind in OUTDOORS and one.key not in option.keys and goes_over(one)]
    warm = [one for one in over if enough(outfit.insulation + insulation(one.piece))]
    if not warm:
        return max(over, key=lambda one: insulation(one.piece), default=None)

    def goes(one: Owned) -> float:
        worn = compose(asked.body, in_order((*look.pieces, one.piece)), asked.schools)
        return judge(worn, asked.aims, asked.rules).score

    return max(warm, key=goes)
