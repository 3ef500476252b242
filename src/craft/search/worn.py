"""What a rack can be worn as: choices at each place, and all their looks on a body as one outfit of many values."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from functools import cached_property, lru_cache
from math import prod
from typing import Any, NamedTuple

import numpy as np

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.kinds import PLACES
from craft.judge import Rule
from craft.look import Look, Outfit
from craft.look.areas import Area
from craft.look.compose import hang_bottom, hang_top
from craft.look.readings import READINGS
from craft.schools import Schools
from craft.search.columns import Table
from craft.search.many import Garment, Thing, Worn, pick
from craft.search.runs import Block, Ints, Run
from craft.wear import BAREFOOT, WornShoes, wear_layer, wear_shoes

#: What may be chosen together at a place: no piece, one, or several (two layers, two things worn besides).
Choice = tuple[Piece, ...]
#: The axes of a rack: where what is worn is chosen for itself.
AXES = ("bottom", "one_piece", "top", "shoes", "layer", "besides")
NOTHING: Choice = ()


@dataclass(frozen=True)
class Rack:
    """What may be worn at each place of a look; a place that is not named stays empty."""

    choices: Mapping[str, tuple[Choice, ...]]

    def at(self, axis: str) -> tuple[Choice, ...]:
        """The choices of an axis."""
        return self.choices.get(axis) or (NOTHING,)

    @cached_property
    def shape(self) -> tuple[int, ...]:
        """How many choices there are on each axis."""
        return tuple(len(self.at(axis)) for axis in AXES)

    @property
    def size(self) -> int:
        """How many looks there are."""
        return prod(self.shape)

    def look(self, at: tuple[int, ...]) -> Look:
        """The look that is made of the choices at these numbers, axis by axis.

        >>> tee, jeans = (Piece.of({"is": "tee"}),), (Piece.of({"is": "jeans"}),)
        >>> [piece.kind for piece in Rack({"top": (tee,), "bottom": (jeans,)}).look((0, 0, 0, 0, 0, 0)).pieces]
        ['jeans', 'tee']
        """
        return in_order(piece for axis, number in zip(AXES, at, strict=True) for piece in self.at(axis)[number])


def in_order(pieces: Any) -> Look:
    """A look of these pieces from the body outwards; layers keep their order."""
    return Look(tuple(sorted(pieces, key=lambda piece: PLACES.index(piece.place))))


class Seen(NamedTuple):
    """A rack as rules see it: as a wardrobe on the body, which of its choices each choice of the whole rack is, and its looks in
    blocks."""

    wardrobe: Wardrobe
    which: tuple[Ints, ...]
    blocks: list[Block]


class Hung(dict[Any, tuple[Ints, Table]]):
    """What is worn, by what it is and the choices that it was hung for: numbers of the different ones, and these. Kept for one rack:
    how that is seen by rules that look at the same is kept here too."""

    def __init__(self) -> None:
        super().__init__()
        self.seen: dict[Any, Seen] = {}


class Wardrobe:
    """A rack as one rule sees it, on a body: what the rule cannot tell apart is one choice. `kept` is shared by the rules, so
    that each thing worn is hung once. How a thing hangs has nothing to do with its colour: pieces are hung without."""

    def __init__(self, body: Body, rack: Rack, schools: Schools, kept: Hung) -> None:
        self.body, self.rack, self.schools = body, rack, schools
        self._kept = kept
        self._hung: dict[Any, tuple[Ints, Table]] = {}
        self._plain = tuple(_without_colours(rack.at(axis)) for axis in AXES)

    def shoes(self, choice: Choice) -> WornShoes:
        """Shoes on the feet."""
        return wear_shoes(self.body, choice[0]) if choice else BAREFOOT

    def hung(self, what: Any, axes: tuple[int, ...], hang: Callable[..., Any]) -> tuple[Ints, Table]:
        """Something worn, numbered for every choice on the axes that it depends on; kept by what it is."""
        if what not in self._hung:
            self._hung[what] = self._spread(self._hung_plainly(what, axes, hang))
        return self._hung[what]

    def hung_top(
        self, axes: tuple[int, ...], hang_below: Callable[..., Any], hang: Callable[..., Any]
    ) -> tuple[Ints, Table]:
        """The tops over what is worn below (over bottom, one-piece and shoes). A top hangs from no more of that than its band,
        and from no more of the shoes than their lift: it is hung once for each that differ."""
        if "top" not in self._hung:
            bottom, one_piece, _, shoes = axes
            below = self._hung_plainly("bottom", (bottom, one_piece, shoes), hang_below)
            tops = self._once("top", self._chosen(axes), lambda chosen: self._hang_tops(chosen, below, hang))
            self._hung["top"] = self._spread(tops)
        return self._hung["top"]

    def pieces_at(self, axis: int, number: int) -> tuple[Ints, Table]:
        """The pieces that stand at so many from the body outwards in the choices of an axis."""

        def piece(choice: Choice) -> Piece | None:
            return choice[number] if number < len(choice) else None

        what = (axis, number)
        if what not in self._hung:
            chosen = (self.rack.at(AXES[axis]),)
            self._hung[what] = self._once(what, chosen, lambda chosen: self._hang((axis,), chosen, piece))
        return self._hung[what]

    def _hung_plainly(self, what: Any, axes: tuple[int, ...], hang: Callable[..., Any]) -> tuple[Ints, Table]:
        return self._once(what, self._chosen(axes), lambda chosen: self._hang(axes, chosen, hang))

    def _chosen(self, axes: tuple[int, ...]) -> tuple[tuple[Choice, ...], ...]:
        return tuple(self._plain[axis][0] for axis in axes)

    def _once(
        self,
        what: Any,
        chosen: tuple[tuple[Choice, ...], ...],
        make: Callable[[tuple[Any, ...]], tuple[Ints, Table]],
    ) -> tuple[Ints, Table]:
        if (what, chosen) not in self._kept:
            self._kept[what, chosen] = make(chosen)
        return self._kept[what, chosen]

    def _spread(self, hung: tuple[Ints, Table]) -> tuple[Ints, Table]:
        """What hangs, numbered for the choices with their colours."""
        numbers, table = hung
        for axis, (_, which) in enumerate(self._plain):
            if which is not None and numbers.shape[axis] > 1:
                numbers = numbers.take(which, axis)
        return numbers, table

    def _hang_tops(
        self, chosen: tuple[Any, ...], below: tuple[Ints, Table], hang: Callable[..., Any]
    ) -> tuple[Ints, Table]:
        bottoms, wholes, tops, shoes = chosen
        numbers, table = below
        numbers = numbers.reshape(len(bottoms), len(wholes), len(shoes))
        lifts = [self.shoes(choice).lift for choice in shoes]
        bands = [None if worn is None else worn.waistband for worn in table.values]
        keys: dict[Any, int] = {}
        first: list[tuple[int, int, int]] = []
        alike = np.empty(numbers.shape, dtype=np.intp)
        for at in np.ndindex(*numbers.shape):
            key = (bool(bottoms[at[0]]), at[1], lifts[at[2]], bands[numbers[at]])
            if key not in keys:
                keys[key] = len(first)
                first.append(at)
            alike[at] = keys[key]
        found: dict[int, int] = {}
        values: list[Any] = []
        hung = np.empty((len(first), len(tops)), dtype=np.intp)
        for row, (bottom, whole, shoe) in enumerate(first):
            for column, top in enumerate(tops):
                worn = hang(
                    bottoms[bottom], wholes[whole], top, lifts[shoe], table.values[numbers[bottom, whole, shoe]]
                )
                if id(worn) not in found:
                    found[id(worn)] = len(values)
                    values.append(worn)
                hung[row, column] = found[id(worn)]
        spread = np.moveaxis(hung[alike], -1, 2)
        return spread.reshape(len(bottoms), len(wholes), len(tops), len(shoes), 1, 1), Table(values)

    def _hang(self, axes: tuple[int, ...], chosen: tuple[Any, ...], hang: Callable[..., Any]) -> tuple[Ints, Table]:
        shape = [len(choices) for choices in chosen]
        numbers = np.empty(shape, dtype=np.intp)
        found: dict[int, int] = {}
        values: list[Any] = []
        for at in np.ndindex(*shape):
            worn = hang(*(choices[number] for choices, number in zip(chosen, at, strict=True)))
            if id(worn) not in found:
                found[id(worn)] = len(values)
                values.append(worn)
            numbers[at] = found[id(worn)]
        full = [1] * len(AXES)
        for axis, size in zip(axes, shape, strict=True):
            full[axis] = size
        return numbers.reshape(full), Table(values)


def _without_colours(choices: tuple[Choice, ...]) -> tuple[tuple[Choice, ...], Ints | None]:
    """The choices without their colours, and which of them each is; None where all differ without."""
    numbers: dict[Choice, int] = {}
    which = [numbers.setdefault(tuple(map(uncoloured, choice)), len(numbers)) for choice in choices]
    return tuple(numbers), None if len(numbers) == len(choices) else np.array(which, dtype=np.intp)


def seen_by(rule: Rule, body: Body, schools: Schools, rack: Rack, kept: Hung) -> Seen:
    """A rack as a rule sees it (`Rule.looks_at`, `Rule.reads`, `Rule.sees_colour`); kept for rules that see the same."""
    sees_shoes = "shoes" in rule.looks_at or any("shoes" in READINGS[name] for name in rule.reads if name != "heel")
    key = (rule.places, sees_shoes, rule.sees_colour)
    if key not in kept.seen:
        choices, which = _told_apart(*key, body, rack)
        seen = Rack(choices)
        kept.seen[key] = Seen(Wardrobe(body, seen, schools, kept), which, blocks(seen))
    return kept.seen[key]


def _told_apart(
    places: frozenset[str], sees_shoes: bool, sees_colour: bool, body: Body, rack: Rack
) -> tuple[dict[str, tuple[Choice, ...]], tuple[Ints, ...]]:
    choices, which = {}, []
    for axis in AXES:
        keys: dict[Any, int] = {}
        kept: list[Choice] = []
        numbers = []
        for choice in rack.at(axis):
            worn = tuple(piece if sees_colour else uncoloured(piece) for piece in choice if piece.place in places)
            key: Any = worn
            if axis == "shoes" and worn and not sees_shoes:
                shoes = wear_shoes(body, worn[0])
                key = (shoes.lift, shoes.rise_of_foot)
            if key not in keys:
                keys[key] = len(kept)
                kept.append(worn)
            numbers.append(keys[key])
        choices[axis] = tuple(kept)
        which.append(np.array(numbers, dtype=np.intp))
    return choices, tuple(which)


@lru_cache(maxsize=4096)
def uncoloured(piece: Piece) -> Piece:
    """A piece of which nobody says the ground colour: what of it a rule sees that sees no colour."""
    return Piece(piece.kind, tuple(one for one in piece.said if one[0] != "colour"), piece.figures)


class ManyLook:
    """The looks of a block as one: at each place the pieces of all of them."""

    def __init__(self, pieces: tuple[Garment, ...], slots: tuple[str, ...]) -> None:
        self.pieces = pieces
        self._slots = slots

    def piece(self, slot: str) -> Any:
        """The outermost pieces of a slot."""
        return next(
            (piece for piece, at in zip(reversed(self.pieces), reversed(self._slots), strict=True) if at == slot), None
        )

    def all(self, slot: str) -> tuple[Any, ...]:
        """All pieces of a slot, from the body outwards."""
        return tuple(piece for piece, at in zip(self.pieces, self._slots, strict=True) if at == slot)


class ManyOutfit(Outfit):
    """The looks of a block on a body, as an outfit whose figures stand for all of them. Every reading of an outfit is one of
    this too."""

    _run: Run
    _wardrobe: Wardrobe
    _garments: tuple[Garment, ...]

    def __init__(self, wardrobe: Wardrobe, run: Run) -> None:
        # An outfit is frozen: what it is made of is put where its readings are kept.
        hold = self.__dict__.__setitem__
        hold("_run", run)
        hold("_wardrobe", wardrobe)
        hold("body", wardrobe.body)
        hold("schools", wardrobe.schools)
        garments: dict[tuple[int, int], Any] = {}
        ordered: list[tuple[int, int, Garment, str]] = []
        for axis, name in enumerate(AXES):
            for number, piece in enumerate(wardrobe.rack.at(name)[run.block[axis][0]]):
                numbers, table = wardrobe.pieces_at(axis, number)
                garments[axis, number] = garment = Garment(run, numbers, table, whole=True)
                ordered.append((PLACES.index(piece.place), len(ordered), garment, piece.slot))
        ordered.sort(key=lambda one: one[:2])
        hold("_garments", tuple(one[2] for one in ordered))
        hold("look", ManyLook(tuple(one[2] for one in ordered), tuple(one[3] for one in ordered)))
        bottom, whole, top, shoes, layer = range(5)
        shod, lower = garments.get((shoes, 0)), garments.get((bottom, 0), garments.get((whole, 0)))
        hold("shoes", BAREFOOT if shod is None else self._worn("shoes", (shoes,), wardrobe.shoes, shod))
        hold(
            "bottom", None if lower is None else self._worn("bottom", (bottom, whole, shoes), self._hang_bottom, lower)
        )
        above = garments.get((top, 0), garments.get((whole, 0)))
        hold("top", None if above is None else self._top((bottom, whole, top, shoes), above, garments.get((whole, 0))))
        layers = sum(axis == layer for axis, _ in garments)
        hold("layers", tuple(self._layer(number, (shoes, layer), garments[layer, number]) for number in range(layers)))

    def is_about(self, what: str) -> bool:
        """Whether the looks have what a rule is about: legs, a skirt, a boot, a pattern."""
        return any(garment.seen_as_what(what) for garment in self._garments)

    def _worn(self, what: Any, axes: tuple[int, ...], hang: Callable[..., Any], piece: Garment) -> Thing:
        numbers, table = self._wardrobe.hung(what, axes, hang)
        return Worn(self._run, numbers, table, whole=True, piece=piece)

    def _layer(self, number: int, axes: tuple[int, ...], piece: Garment) -> Thing:
        house = self._wardrobe

        def hang(shoes: Choice, over: Choice) -> Any:
            return wear_layer(house.body, over[number], house.shoes(shoes).lift) if number < len(over) else None

        return self._worn(("layer", number), axes, hang, piece)

    def _hang_bottom(self, bottom: Choice, whole: Choice, shoes: Choice) -> Any:
        house = self._wardrobe
        return hang_bottom(house.body, in_order((*bottom, *whole)), house.shoes(shoes), house.schools)

    def _top(self, axes: tuple[int, ...], own: Garment, whole: Garment | None) -> Thing | None:
        """What is seen above: the top, or the upper part of what covers both."""
        house = self._wardrobe

        def hang(bottom: Choice, whole: Choice, top: Choice, lift: float, below: Any) -> Any:
            return hang_top(house.body, in_order((*bottom, *whole, *top)), lift, below)

        numbers, table = house.hung_top(axes, self._hang_bottom, hang)
        if whole is None:
            return Worn(self._run, numbers, table, whole=True, piece=own)
        seen = pick(self._run, self._run.of_block(numbers), table.column("slot", lambda worn: worn.piece.slot))
        if seen is None:
            return None
        return Worn(self._run, numbers, table, whole=True, piece=whole if str(seen) == "one_piece" else own)

    #: Said in a sentence only, which nobody reads of many looks at once.
    answers_shoe = ""

    @property
    def landmarks(self) -> Mapping[str, Any]:
        """Every landmark of the body above the ground, in these shoes, cm."""
        lift = self.lift
        return {name.removesuffix("_height"): figure.cm + lift for name, figure in self.body.heights.items()}

    def at(self, landmark: str) -> Any:
        """A landmark of the body above the ground, in these shoes, cm."""
        return (
            self.body.heights[f"{landmark}_height"].cm + self.lift
            if f"{landmark}_height" in self.body.heights
            else self.landmarks[landmark]
        )

    def seen_at(self, height: Any, *, behind: bool = False) -> Area | None:
        """The outermost closed cloth at a height above the ground, cm, from the front or from behind."""
        return self._outermost(height, behind=behind)


def blocks(rack: Rack) -> list[Block]:
    """A rack in blocks in which every look has as many layers as any other, and the same kinds of thing besides."""

    def alike(axis: str) -> list[Ints]:
        groups: dict[Any, list[int]] = {}
        for at, choice in enumerate(rack.at(axis)):
            groups.setdefault(tuple(piece.place for piece in choice), []).append(at)
        return [np.array(group, dtype=np.intp) for group in groups.values()]

    found: list[Block] = [()]
    for axis in AXES:
        found = [(*block, group) for block in found for group in alike(axis)]
    return found
