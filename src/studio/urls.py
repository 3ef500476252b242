"""Three addresses: the interface under /api/, pages for clients under /for/, and the application's one page for all others."""

from __future__ import annotations

from django.conf import settings
from django.db import transaction
from django.http import HttpRequest, HttpResponse
from django.urls import include, path, re_path
from django.views.decorators.http import require_safe

from studio.api import api
from studio.diary.feed import urlpatterns as feeds
from studio.handover.page import urlpatterns as pages_for_clients
from studio.pictures.api import BY_THEMSELVES


@require_safe
def page(request: HttpRequest) -> HttpResponse:
    """The front end's shell; it finds its own way from the address."""
    shell = settings.WEB_BUILD / "index.html"
    if not shell.is_file():
        return HttpResponse(
            "The front end has not been built. Run ./basilwood demo.", status=503, content_type="text/plain"
        )
    response = HttpResponse(shell.read_bytes())
    response["Cache-Control"] = "no-cache"
    return response


#: What broke is answered in words, by whether it comes back.
handler500 = "studio.gate.broken"
#: The interface, each operation one transaction but those that open their own.
interface = api.urls
for operation in interface[0]:
    if getattr(operation, "name", "") in BY_THEMSELVES:
        transaction.non_atomic_requests(operation.callback)
urlpatterns = [
    path("api/accounts/", include("allauth.headless.urls")),
    path("api/", interface),
    *pages_for_clients,
    *feeds,
    re_path(r"^(?!api/|_app/|static/).*$", page),
]
