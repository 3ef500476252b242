"""Every error of the craft that somebody's input can raise. Each says what was wrong in a sentence, and at which field.

What the interface answers to each stands in studio/answers.py.
"""

from __future__ import annotations


class InvalidInput(ValueError):
    """Something said or sent that cannot be taken. `str()` is a sentence for the reader; `field` is where it was said."""

    #: The field where it was said, where the kind of error tells that by itself.
    field: str | None = None

    def __init__(self, message: str, field: str | None = None) -> None:
        super().__init__(message)
        if field is not None:
            self.field = field


class UnknownWord(InvalidInput):
    """A word that is not in the vocabulary; says which, and for what key.

    >>> str(UnknownWord("heel shape", "wavy", ("block", "wedge")))
    '“wavy” is not a known heel shape. Known: block, wedge.'
    """

    def __init__(self, key: str, word: object, choices: tuple[str, ...] = ()) -> None:
        self.word = str(word)[:40]
        near = f" Known: {', '.join(choices)}." if choices and len(choices) < 40 else ""
        super().__init__(f"“{self.word}” is not a known {key.replace('_', ' ')}.{near}", key)


class NotALength(InvalidInput):
    """A text that cannot be read as a length; the message says what would be."""


class NotUnderstood(InvalidInput):
    """Words of a description that mean nothing here; says which."""


class NothingRead(InvalidInput):
    """No figure was found in a text."""


class UnknownMeasure(InvalidInput):
    """A name that is not on the measure list."""


class UnknownSchool(InvalidInput):
    """A school or a position that is not known."""


class UnknownAim(InvalidInput):
    """A word that is not an aim, a zone, an occasion or a limit."""


class OutOfReach(InvalidInput):
    """A border of a rule that is not known, or moved further than makes sense."""


class NoTarget(InvalidInput):
    """A landing that cannot be solved backwards."""


class NotATable(InvalidInput):
    """A text that is no such table; the message says what is missing."""


class NotAClientFile(InvalidInput):
    """A text that is no client file, or one of another version; the message says which and where."""
