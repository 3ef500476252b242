"""A table of measures: CSV, one row a measure, units in the header.

Columns: `measure` (a name of the measure list, spaces or underscores) and `value (cm)` or
`value (in)`; optional `taken on` (YYYY-MM-DD) and `origin` (measured, checked, said): a checked
row was asked about and confirmed. Several rows of one measure are several readings. docs/measure-table.md describes it for readers.
"""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date
from typing import Literal

from craft.body.measures import MEASURES, Measures, label
from craft.errors import NotALength, NotATable
from craft.formats.cells import Refused, read_lines, write_lines
from craft.formats.moments import EARLIEST, is_past
from craft.measuring.checks import check
from craft.units import Unit, parse_length

ReadingOrigin = Literal["measured", "checked", "said"]
ORIGINS: tuple[ReadingOrigin, ...] = ("measured", "checked", "said")
HEADER = {"cm": "value (cm)", "in": "value (in)"}


@dataclass(frozen=True, slots=True)
class Row:
    """One reading of the table: its line, measure, cm, the cell as typed, when and how it was taken."""

    line: int
    measure: str
    cm: float
    typed: str
    taken_on: date | None
    origin: ReadingOrigin


@dataclass(frozen=True, slots=True)
class Table:
    """What a table holds: rows to take and rows refused, each by its line."""

    unit: Unit
    rows: tuple[Row, ...]
    refused: tuple[Refused, ...]


def read_table(text: str, today: date, known: Measures | None = None) -> Table:
    """Read a table row by row; nothing but the header can refuse the whole. Raises NotATable.

    >>> table = read_table("measure,value (in)\\nhip,40\\nhip,forty", date(2026, 1, 1))
    >>> [round(row.cm, 1) for row in table.rows], [bad.line for bad in table.refused]
    ([101.6], [3])
    """
    lines = read_lines(text)
    header = [" ".join(cell.strip().lower().split()) for cell in lines[0]]
    unit: Unit | None = next((unit for unit, name in HEADER.items() if name in header), None)  # type: ignore[misc]
    if "measure" not in header or unit is None:
        raise NotATable("The first line must name the columns “measure” and “value (cm)” or “value (in)”.")
    rows: list[Row] = []
    refused: list[Refused] = []
    for number, cells in enumerate(lines[1:], start=2):
        if not any(cell.strip() for cell in cells):
            continue
        held = {name: cells[at].strip() if at < len(cells) else "" for at, name in enumerate(header)}
        try:
            rows.append(_row(number, held, unit, today, rows, known or Measures()))
        except ValueError as wrong:
            refused.append(Refused(number, ",".join(cells)[:80], str(wrong)))
    return Table(unit, tuple(rows), tuple(refused))


def _row(line: int, held: dict[str, str], unit: Unit, today: date, before: list[Row], known: Measures) -> Row:
    measure = held["measure"].lower().replace(" ", "_").replace("-", "_")
    by_label = {label(name).replace(" ", "_"): name for name in MEASURES}
    measure = by_label.get(measure, measure)
    if measure not in MEASURES:
        raise ValueError(f"“{held['measure'][:40]}” is not on the measure list.")
    typed = held[HEADER[unit]]
    cm = parse_length(typed, unit)
    taken = held.get("taken on", "")
    try:
        taken_on = date.fromisoformat(taken) if taken else None
    except ValueError:
        raise ValueError(f"“{taken[:40]}” is not a date like 2026-05-31.") from None
    if taken_on and taken_on > today:
        raise ValueError(f"{taken_on} has not come yet.")
    if taken_on and not is_past(taken_on):
        raise ValueError(f"{taken_on} is too long ago: a date lies after {EARLIEST.year - 1}.")
    origin = held.get("origin", "") or "measured"
    if origin not in ORIGINS:
        raise ValueError(f"“{origin[:40]}” is not an origin: measured, checked or said.")
    others = Measures.of(dict(known) | {row.measure: row.cm for row in before if row.measure != measure})
    doubt = check(measure, round(cm, 2), others)
    if doubt and (doubt.refused or origin != "checked"):
        meant = f" Likely {doubt.suggested_cm:.1f} cm." if doubt.suggested_cm else ""
        keep = "" if doubt.refused else " If it is so, write checked as its origin."
        raise ValueError(doubt.text.say(unit) + meant + keep)
    return Row(line, measure, round(cm, 2), typed[:40], taken_on, origin)


def write_table(rows: Iterable[Row], unit: Unit) -> str:
    """The table of these readings, in a unit; read back it gives the same.

    >>> print(write_table([Row(2, "hip", 101.6, "40in", None, "measured")], "in"), end="")
    measure,value (in),taken on,origin
    hip,40,,measured
    """
    lines: list[list[object]] = [["measure", HEADER[unit], "taken on", "origin"]]
    for row in rows:
        value = row.cm if unit == "cm" else row.cm / 2.54
        figure = f"{value:.2f}" if unit == "cm" else f"{value:.4f}"
        lines.append([row.measure, figure.rstrip("0").rstrip("."), row.taken_on or "", row.origin])
    return write_lines(lines)


__all__ = ["NotALength", "NotATable", "Refused", "Row", "Table", "read_table", "write_table"]
