"""The client's page: opened by a link, read on a phone, without an account and without a script.

What is shown was frozen when the link was made (content.py). Forms carry what she says; each opening is on record. A link that
ended says so and no more; one that never was looks like any other address that leads nowhere.
"""

from __future__ import annotations

from collections.abc import Callable
from functools import wraps
from typing import Any

from django.core import signing
from django.http import HttpRequest, HttpResponse, HttpResponseRedirect
from django.middleware.csrf import get_token
from django.urls import path
from django.views.decorators.http import require_http_methods, require_POST, require_safe

from studio.handover.book import air_said, for_said
from studio.handover.links import Opened, TooMany, find, hear, note_opening, said_by, try_word
from studio.handover.models import Share
from studio.paper import font_files, rendered
from studio.security import place_of
from studio.settings import HERE

#: Whoever said the word need not say it again for so long, s.
REMEMBERED = 24 * 3600
#: How what a client says of a card is asked.
ABOUT_A_CARD = (("wore", "Wore it"), ("loved", "Loved it"), ("not_me", "Not me"))
View = Callable[..., HttpResponse]


def _shown(view: View) -> View:
    """Answers of this page are kept by nobody and found by no search."""

    @wraps(view)
    def answered(request: HttpRequest, *more: Any, **named: Any) -> HttpResponse:
        response = view(request, *more, **named)
        response["Cache-Control"] = "no-store"
        response["X-Robots-Tag"] = "noindex, nofollow, noarchive"
        # No other place hears of the address; our own forms need to say whence they come.
        response["Referrer-Policy"] = "same-origin"
        return response

    return answered


def _page(request: HttpRequest, template: str, status: int = 200, **told: Any) -> HttpResponse:
    return HttpResponse(rendered(template, {"csrf": get_token(request), **told}), status=status)


def _message(request: HttpRequest, status: int, message: str) -> HttpResponse:
    return HttpResponse(rendered("said.html", {"message": message}), status=status)


def _found(request: HttpRequest, token: str) -> Opened | HttpResponse:
    """The link, or why there is none to see."""
    try:
        opened = find(token, place_of(request))
    except TooMany:
        return _message(request, 429, "Too many addresses were tried from here. Wait a quarter of an hour.")
    if opened is None:
        return _message(request, 404, "There is nothing here. Look whether the whole address was copied.")
    if opened.state == "over":
        note_opening(opened.share, let_in=False)
        return _message(request, 410, "This page has ended. Your stylist can make you a new one.")
    if opened.state == "paused":
        note_opening(opened.share, let_in=False)
        return _message(request, 429, "The word was missed too often. Wait a quarter of an hour, then try again.")
    return opened


def _knows(request: HttpRequest, share: Share) -> bool:
    """Whether the word was said here before. The mark holds for this word alone."""
    told = request.COOKIES.get("page", "")
    try:
        return bool(signing.loads(told, salt=share.word, max_age=REMEMBERED) == str(share.id))
    except signing.BadSignature:
        return False


@_shown
@require_safe
def show(request: HttpRequest, token: str) -> HttpResponse:
    """The page, or the question for the word."""
    opened = _found(request, token)
    if isinstance(opened, HttpResponse):
        return opened
    share = opened.share
    if opened.state == "asks" and not _knows(request, share):
        return _page(request, "word.html", token=token, missed=False)
    note_opening(share, let_in=True)
    return _page(request, "page.html", **_told(share, token))


@_shown
@require_POST
def word(request: HttpRequest, token: str) -> HttpResponse:
    """Hear the word agreed on."""
    opened = _found(request, token)
    if isinstance(opened, HttpResponse):
        return opened
    share = opened.share
    if opened.state == "asks" and not try_word(share, request.POST.get("word", "")):
        note_opening(share, let_in=False)
        return _page(request, "word.html", 403, token=token, missed=True)
    response = HttpResponseRedirect(f"/for/{token}/")
    told = signing.dumps(str(share.id), salt=share.word)
    response.set_cookie(
        "page", told, max_age=REMEMBERED, path=f"/for/{token}/", httponly=True, samesite="Strict", secure=HERE.tls
    )
    return response


@_shown
@require_POST
def say(request: HttpRequest, token: str) -> HttpResponse:
    """Keep what she says, and show the page where she was."""
    opened = _found(request, token)
    if isinstance(opened, HttpResponse):
        return opened
    share = opened.share
    if opened.state == "asks" and not _knows(request, share):
        return HttpResponseRedirect(f"/for/{token}/")
    about = request.POST.get("about", "")
    hear(share, request.POST.get("says", ""), about, request.POST.get("text", ""))
    return HttpResponseRedirect(f"/for/{token}/#{about or 'question'}")


def _told(share: Share, token: str) -> dict[str, Any]:
    """The page's content, with what was said before."""
    said = said_by(share)
    content = share.content
    cards = [
        {
            **card,
            "for": for_said(card["occasions"]),
            "weather": air_said(card["air"]),
            "marks": [
                {"says": says, "name": name, "on": says in said.get(card["id"], ())} for says, name in ABOUT_A_CARD
            ],
        }
        for card in content["cards"]
    ]
    by_number = {card["number"]: card for card in cards}
    return {
        **content,
        "token": token,
        "week": [
            {"title": part["occasion"].capitalize(), "cards": [by_number[number] for number in part["cards"]]}
            for part in content["week"]
        ],
        "buying": [{**one, "on": "ticked" in said.get(one["id"], ())} for one in content["buying"]],
        "ends": f"{share.ends_on.day} {share.ends_on:%B %Y}",
        "asked": [{"text": one.text} for one in share.said.filter(says="question", removed_at=None)],
    }


@require_safe
def style(request: HttpRequest) -> HttpResponse:
    """The page's style sheet, with the application's own fonts."""
    faces = [{"family": family, "url": f"/_app/immutable/assets/{path.name}"} for family, path in font_files()]
    response = HttpResponse(rendered("page.css", {"faces": faces}), content_type="text/css; charset=utf-8")
    response["Cache-Control"] = "max-age=3600"
    return response


@require_http_methods(["GET", "HEAD"])
def robots(request: HttpRequest) -> HttpResponse:
    """Nothing here is for searching."""
    return HttpResponse("User-agent: *\nDisallow: /\n", content_type="text/plain")


urlpatterns = [
    path("for/page.css", style),
    path("for/<str:token>/", show),
    path("for/<str:token>/word", word),
    path("for/<str:token>/say", say),
    path("robots.txt", robots),
]
