"""Advice: the same computations run backwards, or many at a time."""

from craft.advise.mends import Mend, mends_for

__all__ = ["Mend", "mends_for"]
