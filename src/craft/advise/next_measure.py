"""What to measure next: the measure that would settle most of what is still open.

Bodies are drawn from the belief that the readings leave; each is landed and read by the same
engine as everything else. A measure is worth taking when knowing it tells which word would be
read: the shape, a waistband's rise, a hem, what a leg reads as.
"""

from __future__ import annotations

import itertools
import math
from collections import Counter
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from craft.body import Body, Measures
from craft.body.estimate import NAMES, PLACE, believe
from craft.body.measures import HEIGHTS, MEASURES
from craft.body.quantity import Quantity
from craft.body.shape import shape_of
from craft.cloth import Piece
from craft.read.balance import stature_word
from craft.schools import Schools
from craft.wear.lower import wear_bottom_once
from craft.wear.shoes import BAREFOOT

#: Bodies drawn, and the groups they are sorted into by a measure's value.
DRAWS, GROUPS = 180, 6
#: No measure is drawn smaller, cm (W); and the measures in the order in which a set holds them.
LEAST, IN_ORDER = 3.0, sorted(MEASURES)
#: A question is open while another answer is at least this likely.
OPEN_FROM = 0.10
#: A measure decides a question when it takes away this share of what is open about it.
DECIDES = 0.30

#: Asked where a client has no bottoms with figures yet: the usual run of the shops, cm (W).
USUAL: tuple[Mapping[str, object], ...] = (
    {"is": "jeans", "cut": "straight", "front_rise_cm": 24.5, "inseam_cm": 66.5, "leg_opening_cm": 42},
    {"is": "jeans", "cut": "straight", "front_rise_cm": 28.0, "inseam_cm": 71.0, "leg_opening_cm": 46},
    {"is": "trousers", "cut": "wide", "front_rise_cm": 31.0, "inseam_cm": 76.0},
)

Labels = list[str]


@dataclass(frozen=True, slots=True)
class Question:
    """One word that is still open: what it is about and the answers that are likely, most likely first."""

    kind: str
    about: str
    answers: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class Worth:
    """A measure and the questions it would decide. `score` only ranks."""

    measure: str
    decides: tuple[Question, ...]
    of: int
    score: float
    #: Whether the questions are about the client's own pieces, or the usual run of the shops.
    own_pieces: bool = True

    @property
    def text(self) -> str:
        """Why, in a sentence: “Decides between mid and high for 3 of 5 pieces.”"""
        kinds = Counter(question.kind for question in self.decides)
        if not kinds:
            return "Nothing hangs on it at the moment."
        kind, count = kinds.most_common(1)[0]
        likely = Counter(answer for q in self.decides if q.kind == kind for answer in q.answers[:2])
        words = " and ".join(answer.replace("_", " ") for answer, _ in likely.most_common(2))
        told = {
            "shape": "the shape",
            "stature": "the frame",
            "rise": "the rise",
            "hem": "where the hem ends",
            "leg": "how the leg reads",
        }[kind]
        pieces = "" if kind in ("shape", "stature") else f" for {count} of {self.of} {self._things}"
        return f"Decides {told}, between {words}{pieces}."

    @property
    def _things(self) -> str:
        return "pieces" if self.own_pieces else "usual cuts of the shops"


def next_measures(
    measures: Measures, bottoms: Sequence[Piece] = (), schools: Schools | None = None, among: Iterable[str] = MEASURES
) -> tuple[Worth, ...]:
    """What to measure next, most telling first; what is measured twice already is left out.

    >>> known = Measures.of({"stature": 165, "bust": 92, "waist": 74, "hip": 100})
    >>> "front_rise_navel" in [worth.measure for worth in next_measures(known)[:4]]
    True
    """
    own = tuple(p for p in bottoms if p.figure("front_rise_cm") or p.figure("inseam_cm"))
    pieces = own or tuple(Piece.of(words) for words in USUAL)
    taken = {n for n, figure in measures.figures.items() if figure.origin in ("measured", "repeated", "carried")}
    open_ = tuple(name for name in among if name not in taken)
    worths = (replace(worth, own_pieces=bool(own)) for worth in _worths(measures, pieces, schools or Schools(), open_))
    return tuple(sorted((w for w in worths if w.decides), key=lambda worth: -worth.score))


@lru_cache(maxsize=1024)
def _worths(
    measures: Measures, pieces: tuple[Piece, ...], schools: Schools, among: tuple[str, ...]
) -> tuple[Worth, ...]:
    """What each of these measures would settle; kept, for a client's desk is looked at again and again."""
    bodies = believe(measures).draw(DRAWS)
    opened = [one for asked in _questions(bodies, pieces, schools) if (one := _opened(*asked))]
    return tuple(_worth(name, bodies[:, PLACE[name]], opened, len(pieces)) for name in among)


def _questions(bodies: NDArray[np.float64], pieces: Sequence[Piece], schools: Schools) -> list[tuple[str, str, Labels]]:
    """What every drawn body would be told: kind of question, what it is about, an answer a body."""
    shape: Labels = []
    stature: Labels = []
    landed: dict[tuple[str, int], Labels] = {}
    for row in np.maximum(bodies, LEAST).tolist():
        body = _body(row)
        shape.append(shape_of(body))
        stature.append(stature_word(body.stature))
        for at, piece in enumerate(pieces):
            worn = wear_bottom_once(body, piece, BAREFOOT, schools)
            if piece.figure("front_rise_cm"):
                landed.setdefault(("rise", at), []).append(worn.rise)
            if piece.figure("inseam_cm"):
                landed.setdefault(("hem", at), []).append(worn.hem_at)
            if piece.figure("leg_opening_cm"):
                landed.setdefault(("leg", at), []).append(worn.reads_as)
    about = [("shape", "the whole", shape), ("stature", "the whole", stature)]
    return about + [(kind, pieces[at].kind, labels) for (kind, at), labels in landed.items()]


def _body(row: list[float]) -> Body:
    """A drawn body: landmarks kept in order."""
    drawn = dict(zip(NAMES, row, strict=True))
    for below, above in itertools.pairwise(HEIGHTS):
        drawn[above] = max(drawn[above], drawn[below] + 0.2)
    return Body.whole(Measures(tuple((name, Quantity(drawn[name], 0.1, "measured")) for name in IN_ORDER)))


class _Open(NamedTuple):
    """A question that the drawn bodies answer differently: its answers, most likely first, which of them each body gives, and
    how open it is."""

    kind: str
    about: str
    answers: tuple[str, ...]
    given: NDArray[np.int64]
    nats: float


def _opened(kind: str, about: str, labels: Labels) -> _Open | None:
    """A question as far as it is open; None where nearly every body answers the same."""
    ranked = Counter(labels).most_common()
    if len(ranked) < 2 or ranked[1][1] / len(labels) < OPEN_FROM:
        return None
    places = {answer: at for at, (answer, _) in enumerate(ranked)}
    given = np.array([places[label] for label in labels])
    return _Open(kind, about, tuple(places), given, _entropy(given))


def _worth(measure: str, values: NDArray[np.float64], questions: Sequence[_Open], pieces: int) -> Worth:
    groups = np.array_split(np.argsort(values), GROUPS)
    score, decides = 0.0, []
    for question in questions:
        left = sum(len(group) * _entropy(question.given[group]) for group in groups) / len(values)
        settled = max(0.0, question.nats - left)
        score += settled
        if settled >= DECIDES * question.nats:
            decides.append(Question(question.kind, question.about, question.answers))
    return Worth(measure, tuple(decides), pieces, score)


def _entropy(given: NDArray[np.int64]) -> float:
    """How open a question is, in nats, with Miller and Madow's correction for few draws."""
    counts = [count for count in np.bincount(given).tolist() if count]
    total = len(given)
    return float(sum(-n / total * math.log(n / total) for n in counts) + (len(counts) - 1) / (2 * total))
