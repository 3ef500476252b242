"""A member's diary for her other calendars, at a secret address."""

from __future__ import annotations

from django.http import HttpRequest, HttpResponse
from django.urls import path
from django.views.decorators.http import require_safe

from studio.diary.calendars import calendar_of
from studio.diary.exchange import read_feed
from studio.diary.services import title_of


@require_safe
def feed(request: HttpRequest, token: str) -> HttpResponse:
    """The calendar, or nothing."""
    read = read_feed(token)
    if read is None:
        return HttpResponse("There is nothing here.", status=404, content_type="text/plain; charset=utf-8")
    member, rows = read
    told = calendar_of([(row, title_of(row)) for row in rows], f"{member.name}, Basilwood")
    response = HttpResponse(told, content_type="text/calendar; charset=utf-8")
    response["Cache-Control"] = "no-store"
    response["X-Robots-Tag"] = "noindex"
    response["Referrer-Policy"] = "no-referrer"
    return response


urlpatterns = [path("diary/<str:token>.ics", feed)]
