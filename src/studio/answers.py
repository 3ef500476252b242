"""What the interface answers to each error: one table, a status and a sentence each."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from django.core.exceptions import RequestDataTooBig
from django.db import DataError, IntegrityError, connection, transaction
from django.db.models import Model
from django.http import Http404, HttpRequest, HttpResponse
from ninja import NinjaAPI
from ninja.errors import AuthenticationError, HttpError, ValidationError
from pydantic import BaseModel

from craft.errors import InvalidInput
from studio.bodies.shapes import reading_out
from studio.diary.api import appointment_out
from studio.diary.models import Appointment
from studio.edit.lists_api import sorted_out, to_buy_out
from studio.edit.models import Sorted, ToBuy
from studio.errors import (
    Again,
    Busy,
    Doubtful,
    NeedsSecondFactor,
    NoForecast,
    NoPost,
    NoShop,
    NoStudio,
    NotPermitted,
    Overtaken,
    Stale,
    Taken,
)
from studio.fittings.api import trial_out_of
from studio.fittings.errands_api import out as errand_out
from studio.fittings.models import Errand, Trial
from studio.gate import ASK_AGAIN
from studio.handover.api import card_out
from studio.handover.models import OutfitCard
from studio.looks.api import look_out
from studio.looks.models import Look
from studio.members.api import reach_out
from studio.people.api import client_out
from studio.people.models import Client, Studio
from studio.people.shapes import StudioOut
from studio.plan.api import plan_out
from studio.plan.models import Plan
from studio.policy import Right, may
from studio.rack.api import piece_out
from studio.rack.models import RackPiece
from studio.requests import MemberRequest

#: How a row that somebody else changed meanwhile is shown beside one's own.
SHOWN: dict[type[Model], Callable[[MemberRequest, Any], BaseModel]] = {
    Look: lambda request, look: look_out(look),
    RackPiece: lambda request, piece: piece_out(request, piece.id),
    Trial: trial_out_of,
    Errand: lambda request, errand: errand_out(errand),
    Client: lambda request, client: client_out(client) if may(request.user, Right.WORK) else reach_out(client),
    OutfitCard: lambda request, row: card_out(row),
    Appointment: lambda request, row: appointment_out(row),
    Plan: lambda request, row: plan_out(row),
    Sorted: lambda request, row: sorted_out(row),
    ToBuy: lambda request, row: to_buy_out(row),
    Studio: lambda request, studio: StudioOut.model_validate(studio),
}


def _stale(request: MemberRequest, error: Stale) -> dict[str, Any]:
    shown = SHOWN[type(error.current)](request, error.current)
    who = getattr(getattr(error.current, "changed_by", None), "name", None) or "Somebody"
    current = shown.model_dump(mode="json", by_alias=True, exclude_none=isinstance(error.current, Look | ToBuy | Plan))
    return {"message": f"{who} changed this meanwhile.", "current": current}


def _overtaken(request: HttpRequest, error: Overtaken) -> dict[str, Any]:
    current = reading_out(error.current) if error.current else None
    who = (current.taken_by if current else "") or "Somebody"
    shown = current.model_dump(mode="json") if current else None
    return {"message": f"{who} took this measure meanwhile.", "field": error.measure, "current": shown}


def _doubtful(request: HttpRequest, error: Doubtful) -> dict[str, Any]:
    doubt = error.doubt
    told = {"reason": doubt.reason, "refused": doubt.refused, "suggested_cm": doubt.suggested_cm}
    return {"message": str(error), "field": error.measure, **told}


def _malformed(request: HttpRequest, error: ValidationError) -> dict[str, Any]:
    """The first thing that is wrong, at its field, in words."""
    first = error.errors[0]
    place = [str(part) for part in first.get("loc", ()) if part not in ("body", "given", "change")]
    return {"message": _worded(first), "field": ".".join(place) or None}


def _worded(problem: dict[str, Any]) -> str:
    limits = problem.get("ctx", {})
    match problem.get("type"):
        case "string_too_long":
            return f"This is too long: {limits['max_length']} letters at most."
        case "string_too_short":
            return "Type something here."
        case "missing":
            return "This is missing."
        case "too_long":
            return f"Too many: {limits.get('max_length')} at most."
        case "less_than_equal" | "greater_than_equal":
            return "This figure cannot be: lengths here run from 0 to 220 cm."
        case _:
            return str(problem.get("msg", "This cannot be read."))


Told = Callable[[Any, Any], dict[str, Any]]
#: Error, status, and what is told: a sentence, and more where the screen needs it.
ANSWERS: tuple[tuple[type[Exception], int, Told], ...] = (
    (AuthenticationError, 401, lambda request, error: {"message": "Sign in to go on."}),
    (Http404, 404, lambda request, error: {"message": "This is not here, or not in your studio."}),
    (NotPermitted, 403, lambda request, error: {"message": str(error), "field": "role"}),
    (NeedsSecondFactor, 403, lambda request, error: {"message": str(error), "field": "second_factor"}),
    (NoStudio, 403, lambda request, error: {"message": str(error), "field": "studio"}),
    (Stale, 409, _stale),
    (Overtaken, 409, _overtaken),
    (Taken, 409, lambda request, error: {"message": TAKEN, "field": "id"}),
    (Again, 409, lambda request, error: {"message": str(error), "field": "again"}),
    (Doubtful, 422, _doubtful),
    (InvalidInput, 422, lambda request, error: {"message": str(error), "field": error.field}),
    (ValidationError, 422, _malformed),
    (RequestDataTooBig, 413, lambda request, error: {"message": "This is too large: 4 MB at most."}),
    (
        DataError,
        422,
        lambda request, error: {"message": "This cannot be kept: a text or a figure in it is out of bounds."},
    ),
    (
        IntegrityError,
        409,
        lambda request, error: {"message": "This does not go with what is kept here. Load the page again."},
    ),
    (NoShop, 503, lambda request, error: {"message": str(error)}),
    (NoForecast, 503, lambda request, error: {"message": str(error)}),
    (NoPost, 503, lambda request, error: {"message": str(error)}),
    (Busy, 503, lambda request, error: {"message": str(error)}),
)
TAKEN = "This was handed in before, for something else. Load the page and do it once more."


def _take_back(request: HttpRequest) -> None:
    """One request, one transaction: what is refused has written nothing, however far it came. One that opens its
    transactions itself has taken back what it began."""
    by_itself = getattr(getattr(request.resolver_match, "func", None), "_non_atomic_requests", None)
    if connection.in_atomic_block and not by_itself:
        transaction.set_rollback(True)


def answer_errors(api: NinjaAPI) -> None:
    """Have the interface answer every error as the table says."""

    def answering(status: int, told: Told) -> Callable[[HttpRequest, Any], HttpResponse]:
        def answer(request: HttpRequest, error: Any) -> HttpResponse:
            shown = {"field": None, **told(request, error)}
            _take_back(request)
            response = api.create_response(request, shown, status=status)
            if isinstance(error, Busy):
                response["Retry-After"] = str(ASK_AGAIN)
            return response

        return answer

    for kind, status, told in ANSWERS:
        api.add_exception_handler(kind, answering(status, told))

    def refused(request: HttpRequest, error: Any) -> HttpResponse:
        _take_back(request)
        # A body that cannot be read is told by ninja without saying why; the gate knows.
        why = error.__cause__ if isinstance(error.__cause__, InvalidInput) else error
        told = {"message": str(why), "field": getattr(why, "field", None)}
        return api.create_response(request, told, status=error.status_code)

    api.add_exception_handler(HttpError, refused)
