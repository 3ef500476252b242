"""What whoever runs the studio sees of it: whether it lives and is ready, figures, and a line for every request.

Nothing personal is in any of it: a request is told by its route, not its address, and by a number of its own, which stands in the
answer (`X-Request-Id`) and in every line of the log that came of it.
"""

from __future__ import annotations

import hmac
import logging
import re
import uuid
from collections.abc import Callable, Iterator
from time import perf_counter

from django.conf import settings
from django.db import Error, connection
from django.db.migrations.executor import MigrationExecutor
from django.http import HttpRequest, HttpResponse, JsonResponse
from prometheus_client import (
    CONTENT_TYPE_LATEST,
    CollectorRegistry,
    Histogram,
    Metric,
    Summary,
    generate_latest,
    multiprocess,
)
from prometheus_client.core import GaugeMetricFamily
from prometheus_client.registry import Collector

from studio.discreet import REQUEST_ID
from studio.security import place_of

Answer = Callable[[HttpRequest], HttpResponse]
_GIVEN_ID = re.compile(r"[A-Za-z0-9-]{8,64}")
#: Bounds of the histogram, s: fine where the aim lies (95 of 100 within 0.15, 99 within 0.5).
BOUNDS = (0.01, 0.025, 0.05, 0.1, 0.15, 0.25, 0.5, 1, 2.5, 5, 10, 30)
LASTED = Histogram("basilwood_request_seconds", "How long requests took", ["method", "route", "status"], buckets=BOUNDS)
RECORDED = Summary("basilwood_record_seconds", "How long entries of the record of who saw what took")
HERE = ("127.0.0.1", "::1")
_log = logging.getLogger("basilwood.request")


def observed(get_response: Answer) -> Answer:
    """Middleware, the outermost: answers what is asked about the server itself, and notes every other request."""

    def answer(request: HttpRequest) -> HttpResponse:
        about = ABOUT.get(request.path)
        if about is not None:
            return about(request)
        given = request.headers.get("X-Request-Id", "")
        named = given if _GIVEN_ID.fullmatch(given) else uuid.uuid4().hex
        token = REQUEST_ID.set(named)
        begun = perf_counter()
        try:
            response = get_response(request)
            _note(request, response.status_code, perf_counter() - begun)
        finally:
            REQUEST_ID.reset(token)
        response["X-Request-Id"] = named
        return response

    return answer


def _note(request: HttpRequest, status: int, seconds: float) -> None:
    method = request.method or ""
    route = _route_of(request)
    LASTED.labels(method, route, str(status)).observe(seconds)
    told = {"method": method, "route": route, "status": status, "ms": round(seconds * 1000, 1)}
    _log.info("request", extra={"told": told})


def _route_of(request: HttpRequest) -> str:
    """The pattern that the address fits: it holds no identity. What no view answered is a file, or nothing."""
    match = request.resolver_match
    return match.route.replace("uuidstr:", "uuid:") if match is not None else "file"


def alive(request: HttpRequest) -> HttpResponse:
    """This process answers."""
    return JsonResponse({"alive": True})


def ready(request: HttpRequest) -> HttpResponse:
    """This process can work: the database answers, and is as this version wants it."""
    try:
        if not _Known.up_to_date:
            executor = MigrationExecutor(connection)
            _Known.up_to_date = not executor.migration_plan(executor.loader.graph.leaf_nodes())
        with connection.cursor() as cursor:
            cursor.execute("SELECT 1")
    except Error:
        return JsonResponse({"ready": False, "why": "The database does not answer."}, status=503)
    finally:
        connection.close()
    why = "" if _Known.up_to_date else "The database is not up to date: run ./basilwood upgrade."
    return JsonResponse({"ready": not why, "why": why}, status=503 if why else 200)


class _Known:
    """What need not be asked twice: once up to date, a database stays so while this version runs."""

    up_to_date = False


def figures(request: HttpRequest) -> HttpResponse:
    """Figures as Prometheus reads them: to this machine, or to whoever has the token."""
    token = settings.METRICS_TOKEN
    told = request.headers.get("Authorization", "").removeprefix("Bearer ")
    if place_of(request) not in HERE and not (token and hmac.compare_digest(told, token)):
        return HttpResponse(status=404)
    registry = CollectorRegistry()
    if settings.PROMETHEUS_FOLDER:
        multiprocess.MultiProcessCollector(registry)  # type: ignore[no-untyped-call]
    else:
        registry.register(LASTED)
        registry.register(RECORDED)
    registry.register(Queue())
    return HttpResponse(generate_latest(registry), content_type=CONTENT_TYPE_LATEST)


class Queue(Collector):
    """How much waits in the queue, and for how long: asked when it is told, of the database that all servers share."""

    def collect(self) -> Iterator[Metric]:
        """The figures; none while the database is away."""
        try:
            with connection.cursor() as cursor:
                cursor.execute(
                    "SELECT count(*), COALESCE(EXTRACT(EPOCH FROM now() - min(e.at)), 0) FROM procrastinate_jobs j "
                    "LEFT JOIN procrastinate_events e ON e.job_id = j.id AND e.type = 'deferred' WHERE j.status = 'todo'"
                )
                count, seconds = cursor.fetchone()
        except Error:
            return
        finally:
            connection.close()
        yield GaugeMetricFamily("basilwood_queue_waiting", "Work that waits in the queue", count)
        yield GaugeMetricFamily(
            "basilwood_queue_oldest_seconds", "How long the oldest of it has waited", float(seconds)
        )


ABOUT: dict[str, Answer] = {"/healthz": alive, "/readyz": ready, "/metrics": figures}
