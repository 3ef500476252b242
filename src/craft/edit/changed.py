"""What changed since last time: the whole rack landed anew on the body as it is now, beside how it landed then."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from craft.body import Body
from craft.edit.altering import saved_by
from craft.edit.counting import BREADTH
from craft.edit.gaps import outfits
from craft.edit.steps import Steps
from craft.search.crew import Asked, Progress
from craft.search.search import Search
from craft.search.wardrobe import Wardrobe, families_of, wearable
from craft.search.ways import Owned, misfit
from craft.search.wish import Wish


@dataclass(frozen=True, slots=True)
class ChangedPiece:
    """A piece that fits otherwise than it did: what is said against it then and now (empty: it fits), and the figure that a tailor
    changes to save it, by how many cm."""

    key: str
    then: str
    now: str
    saved_by: tuple[str, float] | None = None

    @property
    def is_lost(self) -> bool:
        """Whether it fitted and does not any more."""
        return not self.then and bool(self.now)


@dataclass(frozen=True)
class Changed:
    """What a change of body did to a wardrobe: the pieces that fit otherwise, and how many outfits work, then, now, and with what a
    tailor can save."""

    pieces: tuple[ChangedPiece, ...]
    then: int
    now: int
    saved: int


def changed(
    asked: Asked, before: Body, owned: Sequence[Owned], wish: Wish | None = None, progress: Progress | None = None
) -> Changed:
    """Land a wardrobe on the body of `asked` and on an earlier one, and tell the difference."""
    pieces, saved = [], []
    for one in owned:
        then, now = (_against(one, body, asked) for body in (before, asked.body))
        mended = saved_by(asked, one.piece) if now else None
        way, piece = mended or (None, one.piece)
        saved.append(replace(one, piece=piece))
        if then != now:
            pieces.append(ChangedPiece(one.key, then, now, way))
    steps = Steps(progress, (0.34, 0.33, 0.33))
    was = _works(replace(asked, body=before), owned, wish, steps)
    now_works = _works(asked, owned, wish, steps)
    return Changed(tuple(pieces), was, now_works, _works(asked, saved, wish, steps))


def _against(one: Owned, body: Body, asked: Asked) -> str:
    wrong = misfit(body, one.piece, schools=asked.schools)
    return wrong.title if wrong else ""


def _works(asked: Asked, owned: Sequence[Owned], wish: Wish | None, steps: Steps) -> int:
    kept, _ = wearable(asked.body, owned, asked.schools)
    families = tuple(
        families_of(asked.body, [one for one in kept if one.piece.slot != "extra"], asked.schools, BREADTH)
    )
    search = Search(asked, Wardrobe(families, BREADTH), steps.next())
    return sum(int((outfits(family, sums, wish or Wish())[0] > 0).sum()) for family, sums in search.families)
