"""Cells of a table: read from any spreadsheet's CSV, and written so that none runs them.

A spreadsheet takes a cell that begins with `=`, `+`, `-`, `@`, a tab or a return for a formula, and a name or a note may
begin so. Such a cell is written behind an apostrophe, as one would type it, and read back without.
"""

from __future__ import annotations

import csv
import io
import re
from collections.abc import Iterable
from dataclasses import dataclass

from craft.errors import NotATable

MOST_ROWS = 2000
#: What would be run, behind however many apostrophes; the wide forms of the signs are run by some spreadsheets too.
_RUN = re.compile(r"^'*[=+\-@\t\r\n＝＋－＠]")
_FIGURE = re.compile(r"^-?\d+(?:\.\d+)?$")


@dataclass(frozen=True, slots=True)
class Refused:
    """A line that cannot be taken, and why."""

    line: int
    text: str
    reason: str


def guarded(cell: object) -> str:
    """A cell's text as it is written.

    >>> guarded("=1+1"), guarded("'=1"), guarded("-2.5"), guarded("wool")
    ("'=1+1", "''=1", '-2.5', 'wool')
    """
    text = str(cell)
    return f"'{text}" if _RUN.match(text) and not _FIGURE.match(text) else text


def unguarded(text: str) -> str:
    """A cell's text as it was before it was written.

    >>> [unguarded(guarded(text)) for text in ("=1+1", "'=1", "'tis", "-2.5")]
    ['=1+1', "'=1", "'tis", '-2.5']
    """
    return text[1:] if text.startswith("'") and _RUN.match(text) else text


def read_lines(text: str) -> list[list[str]]:
    """The cells of a table, line by line. Raises NotATable where it is empty, too long, or no table.

    >>> read_lines("name;note\\r'=1;2")
    [['name', 'note'], ['=1', '2']]
    """
    told = io.StringIO(text.lstrip("\ufeff"), newline="")
    try:
        lines = [[unguarded(cell) for cell in line] for line in csv.reader(told, delimiter=_delimiter(text))]
    except csv.Error as wrong:
        raise NotATable("This is not a table that can be read: a cell of it does not end, or is endless.") from wrong
    if not lines:
        raise NotATable("The file is empty.")
    if len(lines) > MOST_ROWS + 1:
        raise NotATable(f"The table has {len(lines) - 1} rows; {MOST_ROWS} at most are read at once.")
    return lines


def _delimiter(text: str) -> str:
    """What parts the cells: the comma, semicolon or tab that the first line has most of."""
    first = re.split(r"[\r\n]", text.lstrip("\ufeff\r\n"), maxsplit=1)[0]
    return max(",;\t", key=first.count)


def write_lines(lines: Iterable[Iterable[object]]) -> str:
    """A table of these cells."""
    out = io.StringIO()
    plain, quoted = (csv.writer(out, lineterminator="\n", quoting=how) for how in (csv.QUOTE_MINIMAL, csv.QUOTE_ALL))
    for line in lines:
        cells = [guarded(cell) for cell in line]
        # A return within a cell would end the line where it is not quoted, which the writer does not see.
        (quoted if any("\r" in cell for cell in cells) else plain).writerow(cells)
    return out.getvalue()
