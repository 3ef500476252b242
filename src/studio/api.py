"""The interface: routers put together, and how every refusal is worded. OpenAPI at /api/openapi.json."""

from __future__ import annotations

from typing import Any

from django.http import Http404, HttpRequest, HttpResponse
from ninja import NinjaAPI
from ninja.errors import AuthenticationError, HttpError, ValidationError
from ninja.security import django_auth

from craft.body.measures import UnknownMeasure
from craft.cloth import UnknownWord
from craft.cloth.description import NothingRead
from craft.cloth.spoken import NotUnderstood
from craft.formats.client_file import NotAClientFile
from craft.formats.measures_csv import NotATable
from craft.judge.aims import UnknownAim
from craft.judge.borders import OutOfReach
from craft.schools import UnknownSchool
from craft.units import NotALength
from studio.bodies.api import router as bodies
from studio.bodies.services import NotAllowed
from studio.charts.api import router as charts
from studio.charts.services import TooMany
from studio.concurrency import Stale
from studio.fittings.api import router as fittings
from studio.fittings.api import trial_out_of
from studio.fittings.errands_api import out as errand_out
from studio.fittings.errands_api import router as errands
from studio.fittings.models import Errand, Trial
from studio.fittings.services import NotTried
from studio.looks.advice_api import router as advice
from studio.looks.api import look_out
from studio.looks.api import router as looks
from studio.looks.models import Look
from studio.people.api import StudioOut, client_out
from studio.people.api import router as people
from studio.people.models import Client, Studio
from studio.pictures.api import router as pictures
from studio.pictures.harmless import NotAPicture
from studio.rack.api import rack_piece_out
from studio.rack.api import router as rack
from studio.rack.models import RackPiece
from studio.rack.services import landed_piece
from studio.records.api import router as records
from studio.rules.api import router as rules
from studio.rules.services import UnknownRule
from studio.shopping.api import router as shopping

#: No page of documentation: it would load scripts from elsewhere. The document itself is public.
api = NinjaAPI(title="Basilwood", version="1", auth=django_auth, docs_url=None)
api.add_router("", people, tags=["people"])
api.add_router("", bodies, tags=["bodies"])
api.add_router("", looks, tags=["looks"])
api.add_router("", advice, tags=["looks"])
api.add_router("", rack, tags=["rack"])
api.add_router("", fittings, tags=["fittings"])
api.add_router("", errands, tags=["fittings"])
api.add_router("", pictures, tags=["pictures"])
api.add_router("", charts, tags=["charts"])
api.add_router("", rules, tags=["rules"])
api.add_router("", shopping, tags=["shopping"])
api.add_router("", records, tags=["records"])


def _refuse(request: HttpRequest, status: int, message: str, field: str | None = None, **more: Any) -> HttpResponse:
    return api.create_response(request, {"message": message, "field": field, **more}, status=status)


@api.exception_handler(AuthenticationError)
def not_signed_in(request: HttpRequest, error: AuthenticationError) -> HttpResponse:
    return _refuse(request, 401, "Sign in to go on.")


@api.exception_handler(Http404)
def not_found(request: HttpRequest, error: Http404) -> HttpResponse:
    return _refuse(request, 404, "This is not here, or not in your studio.")


@api.exception_handler(HttpError)
def refused(request: HttpRequest, error: HttpError) -> HttpResponse:
    return _refuse(request, error.status_code, str(error))


@api.exception_handler(Stale)
def stale(request: HttpRequest, error: Stale) -> HttpResponse:
    current = error.current
    shown: Any = None
    if isinstance(current, Look):
        shown = look_out(current).model_dump(mode="json", by_alias=True, exclude_none=True)
    elif isinstance(current, RackPiece):
        shopper, row, landed = landed_piece(request.user, current.id, 2.0)
        shown = rack_piece_out(row, landed, shopper.body).model_dump(mode="json")
    elif isinstance(current, Trial):
        shown = trial_out_of(request, current).model_dump(mode="json")
    elif isinstance(current, Errand):
        shown = errand_out(current).model_dump(mode="json")
    elif isinstance(current, Client):
        shown = client_out(current).model_dump(mode="json")
    elif isinstance(current, Studio):
        shown = StudioOut.model_validate(current).model_dump(mode="json")
    who = getattr(getattr(current, "changed_by", None), "name", None) or "Somebody"
    return _refuse(request, 409, f"{who} changed this meanwhile.", current=shown)


@api.exception_handler(ValidationError)
def malformed(request: HttpRequest, error: ValidationError) -> HttpResponse:
    """The first thing that is wrong, at its field, in words."""
    first = error.errors[0]
    place = [str(part) for part in first.get("loc", ()) if part not in ("body", "given", "change")]
    field = ".".join(place) or None
    return _refuse(request, 422, _worded(first), field)


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


def _wrong_word(request: HttpRequest, error: Exception) -> HttpResponse:
    field = getattr(error, "key", None) or getattr(error, "field", None)
    return _refuse(request, 422, str(error), field)


_IN_WORDS = (
    *(UnknownWord, UnknownMeasure, UnknownSchool, NotALength, NotUnderstood),
    *(
        NotAllowed,
        NotATable,
        NotAClientFile,
        NothingRead,
        NotTried,
        NotAPicture,
        TooMany,
        UnknownRule,
        UnknownAim,
        OutOfReach,
    ),
)
for problem in _IN_WORDS:
    api.add_exception_handler(problem, _wrong_word)
