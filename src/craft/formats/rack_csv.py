"""A table of pieces: CSV, one row a piece, units in the header. docs/measure-table.md describes it for readers."""

from __future__ import annotations

import re
from collections.abc import Callable, Container, Iterable, Mapping
from dataclasses import dataclass
from typing import Any

from pydantic import ValidationError

from craft.cloth import Piece
from craft.cloth.kinds import FIGURES
from craft.cloth.words import FLAGS, ONE_OF, SOME_OF, UNITS, figure_name, said, unit_of
from craft.errors import NotATable
from craft.formats.cells import Refused, read_lines, write_lines
from craft.formats.rack_form import Facts, FiledPiece
from craft.units import CM_PER_INCH, Unit, parse_length

ALL_FIGURES = tuple(dict.fromkeys(key for keys in FIGURES.values() for key in keys))
_FACTS = tuple(Facts.model_fields)
ALL_WORDS = ("colour", *ONE_OF, *SOME_OF, *FLAGS)
_HEADED = re.compile(r"^(?P<name>.+?) \((?P<unit>cm|in|%|g/m²)\)$")
_ENDING = {"cm": "_cm", "in": "_cm", **{unit: ending for ending, unit in UNITS.items()}}
YES = "yes"


@dataclass(frozen=True, slots=True)
class PieceRow:
    """One piece of the table and the line it stands on."""

    line: int
    filed: FiledPiece


@dataclass(frozen=True, slots=True)
class PieceTable:
    """The rows that can be hung and those refused, each by its line."""

    rows: tuple[PieceRow, ...]
    refused: tuple[Refused, ...]


def read_pieces(text: str) -> PieceTable:
    """Read a table row by row; nothing but the header can refuse the whole. Raises NotATable.

    >>> table = read_pieces("piece,colour,inseam (in)\\njeans,navy,30\\ntoga,white,1")
    >>> table.rows[0].filed.piece["inseam_cm"], table.refused[0].reason[:6]
    (76.2, '“toga”')
    """
    lines = read_lines(text)
    columns = [read_column(cell, ("piece", "name", *ALL_WORDS, *_FACTS)) for cell in lines[0]]
    if "piece" not in (key for key, _ in columns):
        raise NotATable("The first line must name the columns, “piece” among them.")
    rows, refused = [], []
    for number, cells in enumerate(lines[1:], start=2):
        if not any(cell.strip() for cell in cells):
            continue
        try:
            rows.append(PieceRow(number, _row(columns, cells)))
        except ValueError as wrong:
            refused.append(Refused(number, ",".join(cells)[:80], why_refused(wrong)))
    return PieceTable(tuple(rows), tuple(refused))


def why_refused(wrong: ValueError) -> str:
    """What is wrong with a row, in words."""
    if not isinstance(wrong, ValidationError):
        return str(wrong)
    first = wrong.errors()[0]
    return f"{said(str(first['loc'][-1]))}: {first['msg'].removeprefix('Value error, ')}"


def read_column(cell: str, plain: Container[str]) -> tuple[str, str]:
    """What a column holds and in which unit: (key, unit), where `plain` are the columns without one.
    Raises NotATable."""
    name = " ".join(cell.strip().lower().split())
    headed = _HEADED.match(name)
    if headed:
        key = headed["name"].replace(" ", "_") + _ENDING[headed["unit"]]
        if key in ALL_FIGURES:
            return key, headed["unit"]
    key = name.replace(" ", "_")
    if key in plain:
        return key, ""
    raise NotATable(f"“{cell.strip()[:40]}” is not a column here; figures name their unit: inseam (cm).")


def _row(columns: list[tuple[str, str]], cells: list[str]) -> FiledPiece:
    piece: dict[str, Any] = {}
    facts: dict[str, Any] = {}
    name = ""
    for (key, unit), cell in zip(columns, cells, strict=False):
        value = cell.strip()
        if not value:
            continue
        if key == "name":
            name = value
        elif key == "piece":
            piece["is"] = value.lower().replace(" ", "_")
        elif key in _FACTS:
            facts[key] = [part.strip() for part in value.split(";")] if key == "seasons" else _fact(key, value)
        else:
            piece[key] = VALUES.get(unit, word_reader(key))(value)
    Piece.of(piece)
    return FiledPiece(name=name, piece=piece, facts=Facts.model_validate(facts))


def _fact(key: str, value: str) -> str:
    return value.lower().replace(" ", "_") if key in ("state", "formality") else value


def word_reader(key: str) -> Callable[[str], Any]:
    """How a column's cell is read into the word, words or yes of a piece."""

    def read(value: str) -> Any:
        low = value.lower().strip()
        if key in FLAGS:
            return low in (YES, "true", "1")
        if key in SOME_OF:
            return [part.strip().replace(" ", "_") for part in low.split(";")]
        return low.replace(" ", "_")

    return read


VALUES: Mapping[str, Callable[[str], Any]] = {
    "cm": lambda value: round(parse_length(value, "cm"), 2),
    "in": lambda value: round(parse_length(value, "in"), 2),
    "%": lambda value: float(value.replace(",", ".")),
    "g/m²": lambda value: float(value.replace(",", ".")),
}


def write_pieces(pieces: Iterable[FiledPiece], unit: Unit) -> str:
    """The table of these pieces, with the columns they need; read back it gives the same.

    >>> print(write_pieces([FiledPiece(piece={"is": "jeans", "cut": "slim", "inseam_cm": 70})], "cm"), end="")
    name,piece,cut,inseam (cm),state
    ,jeans,slim,70,in use
    """
    held = list(pieces)
    used = {key for one in held for key in one.piece}
    facts = {key for one in held for key, value in one.facts.model_dump(mode="json").items() if value}
    keys = [key for key in (*ALL_WORDS, *ALL_FIGURES) if key in used]
    named = [key for key in _FACTS if key in facts]
    lines: list[list[str]] = [["name", "piece", *(write_header(key, unit) for key in keys), *map(said, named)]]
    for one in held:
        told = one.facts.model_dump(mode="json")
        cells = [write_cell(key, one.piece.get(key), unit) for key in keys]
        lines.append([one.name, said(one.piece["is"]), *cells, *(_told(key, told[key]) for key in named)])
    return write_lines(lines)


def write_header(key: str, unit: Unit) -> str:
    """A column's heading, with its unit where it is a figure."""
    own = unit_of(key)
    return f"{figure_name(key)} ({unit if own == 'cm' else own})" if own else said(key)


def write_cell(key: str, value: Any, unit: Unit) -> str:
    """A value as it stands in its column's cell, lengths in the unit asked for."""
    if value is None:
        return ""
    if isinstance(value, bool):
        return YES if value else ""
    if isinstance(value, list):
        return "; ".join(map(said, value))
    if isinstance(value, int | float):
        figure = value / CM_PER_INCH if unit == "in" and key.endswith("_cm") else value
        return f"{figure:.4f}".rstrip("0").rstrip(".")
    return said(value) if key != "colour" else value


def _told(key: str, value: Any) -> str:
    if isinstance(value, list):
        return "; ".join(value)
    return "" if value is None else said(str(value)) if key in ("state", "formality") else str(value)
