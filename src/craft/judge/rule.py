"""Rules declare themselves: what each is known by, where it comes from, and all that it may see of a look.

    rule = Subject("volume", "Volume (7)")

    @rule("volume.cling", looks_at=("top",), borders=(FULL_MIDDLE,))
    def cling(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
        '''Cloth with no ease over a full middle clings.'''

A rule may see the body, the client's aims and the pieces at the places that it looks at; of the rest of the look it may
read the readings that it names (look/readings.py), the schools and the borders. So a rule is a function of few things,
and can be tabulated over them. tests/craft/test_declared.py holds every rule to what it declares.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass
from typing import NamedTuple

from craft.body import Body
from craft.judge.aims import Aims
from craft.judge.borders import Border
from craft.judge.finding import Remark
from craft.look import Outfit
from craft.look.compose import shape_word
from craft.look.readings import READINGS
from craft.schools import Schools

Check = Callable[[Outfit, Aims], Iterator[Remark]]


class Client(NamedTuple):
    """Whom a look is for: a body, its aims, and the house that judges."""

    body: Body
    aims: Aims
    schools: Schools

    @property
    def shape(self) -> str:
        """The shape that the body reads as."""
        return shape_word(self.body)


def everybody(client: Client) -> bool:
    """Most rules speak to every client."""
    return True


@dataclass(frozen=True, slots=True, eq=False)
class Rule:
    """One rule of the trade: its id, its subject and source, what it looks at, and the function that finds it.

    The id is what a house mutes, a client likes and a mend answers; it outlives the function's name.
    """

    id: str
    subject: str
    source: str
    looks_at: frozenset[str]
    reads: tuple[str, ...]
    schools: tuple[str, ...]
    borders: tuple[Border, ...]
    speaks_to: Callable[[Client], bool]
    about: str | None
    check: Check
    #: The school whose view its findings are, where practitioners differ.
    school: str | None = None
    #: On what of the setting it depends, by the names of `Setting`: nothing where it says the same wherever a look is worn.
    by_setting: tuple[str, ...] = ()
    #: Whether the ground colour of what it looks at or reads can change what it says. What is alike but for its colour is one choice to a
    #: rule that does not see it.
    sees_colour: bool = True

    @property
    def says(self) -> str:
        """The rule in one sentence."""
        return (self.check.__doc__ or "").strip().split("\n")[0]

    def concerns(self, on: frozenset[str], client: Client) -> bool:
        """Whether it has anything to say to a client with these on."""
        sees = not self.looks_at or bool(self.looks_at & on)
        return sees and (self.about is None or self.about in on) and self.speaks_to(client)

    def said_of(self, outfit: Outfit, aims: Aims) -> tuple[Remark, ...]:
        """What it says of a look, muted or not."""
        on = frozenset[str]().union(*(piece.seen_as for piece in outfit.pieces))
        concerned = self.concerns(on, Client(outfit.body, aims, outfit.schools))
        return tuple(self.check(outfit, aims)) if concerned else ()

    @property
    def places(self) -> frozenset[str]:
        """Every place that what it says can depend on: those it looks at, and those behind its readings."""
        return self.looks_at.union(*(READINGS[name] for name in self.reads))


#: Every rule, in the order in which the subjects are asked.
_DECLARED: list[Rule] = []


@dataclass(frozen=True, slots=True)
class Subject:
    """A subject of the trade's working knowledge and where that stands; called, it declares one of its rules."""

    name: str
    source: str
    #: Whether its rules see colour, where they do not say otherwise.
    sees_colour: bool = True

    def __call__(
        self,
        id: str,
        *,
        looks_at: Iterable[str] = (),
        reads: tuple[str, ...] = (),
        schools: tuple[str, ...] = (),
        borders: tuple[Border, ...] = (),
        speaks_to: Callable[[Client], bool] = everybody,
        about: str | None = None,
        source: str | None = None,
        by_setting: tuple[str, ...] = (),
        sees_colour: bool | None = None,
    ) -> Callable[[Check], Check]:
        """Declare a rule. `looks_at` are the places it speaks of: with none of them on it is not asked, and a rule that
        looks at none is always asked. `speaks_to` tells the clients it has anything to say to, and `about` narrows it to looks with legs,
        a skirt or boots; `by_setting` names what of the setting it depends on, and `sees_colour` says whether it sees colour where that is
        other than in the rest of its subject. Raises ValueError for an
        id that is taken and for an unknown reading."""
        if any(rule.id == id for rule in _DECLARED):
            raise ValueError(f"two rules are called {id}")
        if unknown := set(reads) - READINGS.keys():
            raise ValueError(f"{id} reads {sorted(unknown)}, which is no reading")

        def declared(check: Check) -> Check:
            places = frozenset(looks_at)
            _DECLARED.append(
                Rule(
                    id,
                    self.name,
                    source or self.source,
                    places,
                    reads,
                    schools,
                    borders,
                    speaks_to,
                    about,
                    check,
                    schools[0] if schools else None,
                    by_setting,
                    self.sees_colour if sees_colour is None else sees_colour,
                )
            )
            return check

        return declared


def declared() -> tuple[Rule, ...]:
    """The rules of every module that was read."""
    return tuple(_DECLARED)


def asked(rules: Iterable[Rule], on: frozenset[str], client: Client) -> tuple[Rule, ...]:
    """The rules that have something to say to this client of a look with these on (`Piece.seen_as`): none that the house
    has muted, and none that looks only at places where nothing is."""
    return tuple(rule for rule in rules if rule.id not in client.schools.muted and rule.concerns(on, client))
