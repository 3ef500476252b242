"""Size charts as a table: CSV, one row a size, units in the header. docs/shop-feed.md describes it for readers."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from typing import Any

from craft.cloth.words import unit_of
from craft.errors import NotATable
from craft.fit.chart import Of, SizeChart
from craft.formats.cells import Refused, read_lines, write_lines
from craft.formats.rack_csv import (
    ALL_FIGURES,
    ALL_WORDS,
    VALUES,
    read_column,
    why_refused,
    word_reader,
    write_cell,
    write_header,
)
from craft.units import Unit

_PLAIN = ("maker", "product", "size", "of", "piece", *ALL_WORDS)
LONGEST_NAME, LONGEST_LABEL = 120, 40


@dataclass(frozen=True, slots=True)
class ChartTable:
    """The charts of a table, and the rows refused, each by its line."""

    charts: tuple[SizeChart, ...]
    refused: tuple[Refused, ...]


@dataclass(frozen=True, slots=True)
class _Row:
    maker: str
    product: str
    of: Of
    piece: dict[str, Any]
    size: str
    figures: dict[str, float]


def read_charts(text: str) -> ChartTable:
    """Read a table row by row; rows of one maker and product make one chart. Raises NotATable.

    >>> table = read_charts("maker,product,piece,size,hip (cm),inseam (in)\\nFenn,Lark,jeans,10,96,30\\nFenn,Lark,jeans,,96,30")
    >>> table.charts[0].sizes[0], table.refused[0].reason
    (('10', {'hip_cm': 96.0, 'inseam_cm': 76.2}), 'The size is missing.')
    """
    lines = read_lines(text)
    columns = [read_column(cell, _PLAIN) for cell in lines[0]]
    missing = {"maker", "piece", "size"} - {key for key, _ in columns}
    if missing:
        raise NotATable(f"The first line must name the columns maker, piece and size; {sorted(missing)[0]} is missing.")
    rows: dict[tuple[str, str], list[_Row]] = {}
    refused = []
    for number, cells in enumerate(lines[1:], start=2):
        if not any(cell.strip() for cell in cells):
            continue
        try:
            row = _row(columns, cells)
            _joins(rows.get((row.maker, row.product), []), row)
        except ValueError as wrong:
            refused.append(Refused(number, ",".join(cells)[:80], why_refused(wrong)))
            continue
        rows.setdefault((row.maker, row.product), []).append(row)
    return ChartTable(tuple(_chart(held) for held in rows.values()), tuple(refused))


def _row(columns: list[tuple[str, str]], cells: list[str]) -> _Row:
    piece: dict[str, Any] = {}
    figures: dict[str, float] = {}
    plain = dict.fromkeys(("maker", "product", "size", "of"), "")
    for (key, unit), cell in zip(columns, cells, strict=False):
        value = cell.strip()
        if not value:
            continue
        if key in plain:
            plain[key] = value
        elif key == "piece":
            piece["is"] = value.lower().replace(" ", "_")
        elif key in ALL_FIGURES:
            figures[key] = VALUES[unit](value)
        else:
            piece[key] = word_reader(key)(value)
    _complete(plain, figures)
    of: Of = "body" if plain["of"].lower() == "body" else "garment"
    row = _Row(plain["maker"], plain["product"], of, piece, plain["size"], figures)
    # Says what is unknown in the piece's words or figures.
    _chart([row]).pieces()
    return row


def _complete(plain: Mapping[str, str], figures: Mapping[str, float]) -> None:
    for key in ("maker", "size"):
        if not plain[key]:
            raise ValueError(f"The {key} is missing.")
    if plain["of"].lower() not in ("", "garment", "body"):
        raise ValueError(f"“{plain['of'][:40]}”: figures are of the garment or of the body.")
    if not figures:
        raise ValueError("No figure stands in this row.")
    if len(plain["size"]) > LONGEST_LABEL or max(len(plain["maker"]), len(plain["product"])) > LONGEST_NAME:
        raise ValueError("A name is too long.")


def _joins(held: list[_Row], row: _Row) -> None:
    """A row must go with those of its chart before it."""
    if any(other.size == row.size for other in held):
        raise ValueError(f"Size {row.size} stands in this chart already.")
    if held and (held[0].piece, held[0].of) != (row.piece, row.of):
        raise ValueError("This row says another piece than the rows of its chart before it.")


def _chart(rows: list[_Row]) -> SizeChart:
    first = rows[0]
    return SizeChart(first.maker, first.product, first.of, first.piece, tuple((row.size, row.figures) for row in rows))


def write_charts(charts: Iterable[SizeChart], unit: Unit) -> str:
    """The table of these charts, with the columns they need; read back it gives the same.

    >>> print(write_charts([SizeChart("Fenn", "Lark", "garment", {"is": "jeans"}, (("10", {"hip_cm": 96.0}),))], "cm"), end="")
    maker,product,of,piece,size,hip (cm)
    Fenn,Lark,garment,jeans,10,96
    """
    held = list(charts)
    used = {key for chart in held for key in chart.piece} | {key for c in held for _, row in c.sizes for key in row}
    keys = [key for key in (*ALL_WORDS, *ALL_FIGURES) if key in used]
    words = [key for key in keys if unit_of(key) is None]
    figures = [key for key in keys if unit_of(key)]
    said_in, measured_in = ([write_header(key, unit) for key in keys] for keys in (words, figures))
    lines = [["maker", "product", "of", "piece", *said_in, "size", *measured_in]]
    for chart in held:
        said = [write_cell(key, chart.piece.get(key), unit) for key in words]
        for label, row in chart.sizes:
            kind = str(chart.piece["is"]).replace("_", " ")
            told = [write_cell(key, row.get(key), unit) for key in figures]
            lines.append([chart.maker, chart.product, chart.of, kind, *said, label, *told])
    return write_lines(lines)
