"""The verbs of size charts: read a table of them, keep it, rank them for a client."""

from __future__ import annotations

from typing import Any

from django.db import transaction

from craft.advise.choose import Choice, Offer, choose
from craft.cloth import Piece
from craft.fit.chart import SizeChart
from craft.formats.charts_csv import ChartTable, read_charts, write_charts
from craft.units import Unit
from craft.wear.shoes import barefoot_on
from studio.charts.models import Chart
from studio.errors import TooMany
from studio.people.models import Member
from studio.shopping.services import Shopper
from studio.stored import PieceRow, stored_piece

#: So many charts a studio keeps at most.
MOST_CHARTS = 2000


def chart_of(row: Chart) -> SizeChart:
    """A chart as the craft reads it."""
    of: Any = row.of
    return SizeChart(row.maker, row.product, of, row.piece, tuple((label, figures) for label, figures in row.sizes))


def listed(member: Member) -> list[Chart]:
    """The studio's charts that can be read, by maker and product."""
    rows = Chart.objects.of(member).not_removed()
    return [row for row in rows if stored_piece(PieceRow(row.id, row.version, row.piece))]


def table_of(member: Member, unit: Unit) -> str:
    """The studio's charts as a table."""
    return write_charts((chart_of(row) for row in listed(member)), unit)


def preview(member: Member, text: str) -> tuple[ChartTable, frozenset[tuple[str, str]]]:
    """What a table would keep, and which charts of it stand here already. Raises NotATable."""
    held = Chart.objects.of(member).not_removed().values_list("maker", "product")
    return read_charts(text), frozenset(held)


def keep(member: Member, text: str) -> int:
    """Keep a table's charts; one of the same maker and product takes the place of the one that was. How many."""
    charts = read_charts(text).charts
    with transaction.atomic():
        held = {
            (row.maker, row.product): row
            for row in Chart.objects.of(member).not_removed().select_for_update(of=("self",))
        }
        new = [chart for chart in charts if (chart.maker, chart.product) not in held]
        if len(held) + len(new) > MOST_CHARTS:
            raise TooMany(f"A studio keeps {MOST_CHARTS} charts at most.")
        for chart in charts:
            row = held.get((chart.maker, chart.product)) or Chart(
                studio_id=member.studio_id, maker=chart.maker, product=chart.product, version=0
            )
            row.of, row.piece, row.sizes = chart.of, dict(chart.piece), [[label, dict(f)] for label, f in chart.sizes]
            row.version += 1
            row.changed_by = member
            row.save()
    return len(charts)


def remove(member: Member, chart_id: Any) -> None:
    """Take a chart away; it can be brought back."""
    Chart.objects.soft_delete(member, id=chart_id)


def restore(member: Member, chart_id: Any) -> Chart:
    """Undo a removal; where the same product was kept anew meanwhile, that one stays. Raises Http404."""
    row: Chart = Chart.objects.of(member).get_or_404(id=chart_id)
    newer: Chart | None = Chart.objects.of(member).not_removed().filter(maker=row.maker, product=row.product).first()
    if newer is not None:
        return newer
    restored: Chart = Chart.objects.restore(member, id=chart_id)
    return restored


def ranked(member: Member, shopper: Shopper, heel: float) -> tuple[dict[str, Chart], tuple[Choice, ...]]:
    """The charts by identity, and the best size of each for a client, best first."""
    rows = {str(row.id): row for row in listed(member)}
    offers = [Offer(key, chart_of(row).pieces()) for key, row in rows.items()]
    body, schools = shopper.body, shopper.schools
    return rows, choose(body, offers, barefoot_on(heel), schools, seated=shopper.seated, heels=shopper.heels)


#: A figure that is off its label by less than this, cm, is as the chart says (W: what sewing allows).
SEWN_WITHIN = 1.0


def label_says(member: Member, piece: Piece, maker: str, label_size: str) -> tuple[tuple[str, float, float], ...]:
    """Where a piece is not what its maker's chart says of its label: figure, what the chart says, what it is, cm."""
    if not maker or not label_size:
        return ()
    rows = Chart.objects.of(member).not_removed().filter(maker=maker, of="garment", piece__contains={"is": piece.kind})
    found: dict[str, tuple[float, float]] = {}
    for row in rows:
        figures = dict(row.sizes).get(label_size, {})
        for key, cm in piece.figures:
            if key in figures and key.endswith("_cm"):
                found.setdefault(key, (figures[key], cm))
    return tuple((key, said, is_) for key, (said, is_) in found.items() if abs(said - is_) >= SEWN_WITHIN)
