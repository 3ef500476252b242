"""Size charts as the screens read and write them."""

from __future__ import annotations

from typing import Any, Literal
from uuid import UUID

from ninja import Router, Status
from pydantic import BaseModel

from craft.cloth import Piece
from craft.cloth.words import said
from craft.fit.chart import SizeChart
from studio.charts import services
from studio.rack.naming import title_of
from studio.requests import MemberRequest
from studio.schemas import CSV, Added, Refusal, RefusedOut, Text, answer, attached, file_of
from studio.shopping import feed
from studio.shopping.api import Heel, ShelfOut, on_offer_out
from studio.shopping.services import shopper_of

router = Router()


class SizeOut(BaseModel):
    label: str
    figures: dict[str, float]


class ChartOut(BaseModel):
    """One chart: whose, of what, and its sizes, cm."""

    id: UUID | None
    maker: str
    product: str
    of: Literal["garment", "body"]
    title: str
    kind: str
    figures: list[str]
    sizes: list[SizeOut]
    #: In a preview: it takes the place of one that stands here.
    replaces: bool = False


class ChartsOut(BaseModel):
    charts: list[ChartOut]


class ChartTableOut(BaseModel):
    rows: list[ChartOut]
    refused: list[RefusedOut]


def chart_out(chart: SizeChart, chart_id: UUID | None = None, *, replaces: bool = False) -> ChartOut:
    piece = Piece.of(dict(chart.piece))
    return ChartOut(
        id=chart_id,
        maker=chart.maker,
        product=chart.product,
        of=chart.of,
        title=title_of(piece),
        kind=said(piece.kind),
        figures=list(dict.fromkeys(key for _, row in chart.sizes for key in row)),
        sizes=[SizeOut(label=label, figures=dict(row)) for label, row in chart.sizes],
        replaces=replaces,
    )


@router.get("/charts", response=ChartsOut)
def charts(request: MemberRequest) -> Any:
    """The studio's size charts."""
    held = services.listed(request.user)
    return answer(ChartsOut(charts=[chart_out(services.chart_of(row), row.id) for row in held]))


@router.get("/charts/table", response=str, openapi_extra=file_of(CSV))
def export_table(request: MemberRequest, unit: Literal["cm", "in"] = "cm") -> Any:
    """The charts as CSV."""
    return attached(services.table_of(request.user, unit), CSV, "size-charts.csv")


@router.post("/charts/table/preview", response={200: ChartTableOut, 422: Refusal})
def preview_table(request: MemberRequest, given: Text) -> Any:
    """Chart by chart what a table would keep, and which rows are refused and why; nothing is written."""
    table, held = services.preview(request.user, given.text)
    return ChartTableOut(
        rows=[chart_out(chart, replaces=(chart.maker, chart.product) in held) for chart in table.charts],
        refused=[RefusedOut.of(bad) for bad in table.refused],
    )


@router.post("/charts/table", response={200: Added, 422: Refusal})
def keep_table(request: MemberRequest, given: Text) -> Any:
    """Keep a table's charts."""
    return Added(added=services.keep(request.user, given.text))


@router.get("/charts/shop", response={200: Text, 503: Refusal})
def of_the_shops(request: MemberRequest) -> Any:
    """The size charts that the shops publish, as a table to be looked at and kept."""
    return Text(text=feed.charts_table())


@router.delete("/charts/{uuid:chart_id}", response={204: None})
def remove(request: MemberRequest, chart_id: UUID) -> Any:
    """Take a chart away; can be undone."""
    services.remove(request.user, chart_id)
    return Status(204, None)


@router.post("/charts/{uuid:chart_id}/restore", response={200: ChartOut})
def restore(request: MemberRequest, chart_id: UUID) -> Any:
    """Undo a removal."""
    row = services.restore(request.user, chart_id)
    return chart_out(services.chart_of(row), row.id)


@router.get("/clients/{uuid:client_id}/charts", response=ShelfOut)
def for_client(request: MemberRequest, client_id: UUID, heel_cm: Heel = 2.0) -> Any:
    """The size of each chart that fits this client, the best first."""
    shopper = shopper_of(request.user, client_id)
    rows, choices = services.ranked(request.user, shopper, heel_cm)
    offers = []
    for choice in choices:
        row = rows[choice.key]
        name = row.product or title_of(choice.landed.piece)
        offers.append(on_offer_out(choice, row.maker, name, "", len(row.sizes), shopper.unit))
    return answer(ShelfOut(offers=offers, unread=0))
