"""The tailor's sheet: each piece that is to be altered, its technical flat with the mark where, by how much, in which shoes, by
when. Of the client there is a name to collect under, and nothing else."""

from __future__ import annotations

from collections.abc import Iterable
from datetime import date
from typing import TYPE_CHECKING, Any

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.words import figure_name
from craft.draw.flat_lines import flat_lines
from craft.draw.flats import flat_of
from craft.draw.svg import bounds, painted
from craft.fit import land
from craft.units import format_length
from studio.bodies.known import measures_of
from studio.fittings.models import Errand
from studio.paper import laid_out
from studio.people.models import Client
from studio.stored import readable

if TYPE_CHECKING:
    from weasyprint.document import Document

#: The mark is drawn in this, so that it stands out in print in black and white as well: thick, and with a name.
MARK = "#9c2b27"
TALL = 620.0


def sheet_of(client: Client, today: date) -> Document:
    """Everything that lies with the tailor, or is to, laid out."""
    errands = Errand.objects.filter(client=client, removed_at=None, done_at=None, kind="alter").select_related(
        "rack_piece", "trial"
    )
    body = Body.of(measures_of(client))
    told = {
        "client": client.name,
        "studio": client.studio.name,
        "today": f"{today.day} {today:%B %Y}",
        "pieces": list(_pieces(body, errands, client)),
    }
    return laid_out("tailor.html", told)


def _pieces(body: Body, errands: Iterable[Errand], client: Client) -> Iterable[dict[str, Any]]:
    unit = client.studio.unit
    for errand in errands:
        row = errand.rack_piece
        piece = next(iter(readable([row.piece])), None) if row is not None else None
        change = format_length(abs(errand.by_cm), unit) if errand.by_cm else ""
        yield {
            "title": errand.title,
            "text": errand.text,
            "change": f"{figure_name(errand.figure).capitalize()}: {change} {'less' if errand.by_cm < 0 else 'more'}"
            if errand.figure and change
            else "",
            "now": _now(piece, errand, unit),
            "shoes": _shoes(errand, unit),
            "due": f"{errand.due_on.day} {errand.due_on:%B %Y}" if errand.due_on else "",
            "picture": marked(body, piece, errand.figure, errand.by_cm, f"t{errand.id.hex[:8]}") if piece else "",
        }


def _now(piece: Piece | None, errand: Errand, unit: Any) -> str:
    """What the tape reads on the piece now, and what it will read."""
    figure = piece.figure(errand.figure) if piece is not None and errand.figure else None
    if figure is None:
        return ""
    return f"{format_length(figure, unit)} now, {format_length(max(0.0, figure + errand.by_cm), unit)} after"


def _shoes(errand: Errand, unit: Any) -> str:
    if errand.trial is None:
        return ""
    heel = errand.trial.heel_cm
    return f"pinned in a heel of {format_length(heel, unit)}" if heel > 0 else "pinned barefoot"


def marked(body: Body, piece: Piece, figure: str, by: float, name: str) -> str:
    """The flat of a piece with the figure's line on it, and at its end how far it moves."""
    shapes = flat_of(body, piece).shapes
    left, low, right, top = bounds(shapes)
    margin = 0.04 * (top - low)
    scale = TALL / (10 * (top - low + 2 * margin))
    wide = (right - left + 2 * margin) * 10 * scale
    lines = [line for line in flat_lines(body, land(body, piece)) if line.key == figure]
    marks = "".join(_mark(line.points, by / 2 if line.half else by, scale) for line in lines)
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {wide:.0f} {TALL:.0f}" role="img">'
        f'<g transform="scale({scale:.5f}) translate({(margin - left) * 10:.1f} {(top + margin) * 10:.1f}) scale(1 -1)">'
        f"{painted(shapes, name)}{marks}</g></svg>"
    )


def _mark(points: tuple[tuple[float, float], tuple[float, float]], by: float, scale: float) -> str:
    """The line that is measured, mm of the piece, and where its end comes to lie: across it, dashed where it is now and solid
    where it will be."""
    (x0, y0), (x1, y1) = points
    length = max(((x1 - x0) ** 2 + (y1 - y0) ** 2) ** 0.5, 0.1)
    ux, uy = (x1 - x0) / length, (y1 - y0) / length
    pen = 2.2 / scale
    half = 5.0
    found = f'<path d="M{x0 * 10:.1f} {y0 * 10:.1f}L{x1 * 10:.1f} {y1 * 10:.1f}" stroke="{MARK}" stroke-width="{pen:.1f}" fill="none"/>'
    for at, dash in ((0.0, f' stroke-dasharray="{5 * pen:.1f} {4 * pen:.1f}"'), (by, "")):
        x, y = x1 + ux * at, y1 + uy * at
        ends = (x - uy * half, y + ux * half, x + uy * half, y - ux * half)
        start, end = f"{ends[0] * 10:.1f} {ends[1] * 10:.1f}", f"{ends[2] * 10:.1f} {ends[3] * 10:.1f}"
        found += f'<path d="M{start}L{end}" stroke="{MARK}" stroke-width="{1.6 * pen:.1f}" fill="none"{dash}/>'
    return found
