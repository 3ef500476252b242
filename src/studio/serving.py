"""How gunicorn serves: it waits for heads and bodies of requests without holding anything up for them.

A worker is a gevent loop. One who sends half a request, or sends it a letter at a time, costs a socket and no more, and
that only until the time for heads or bodies is up. A request reaches Django when it is there whole. Sizes, times and
connections are bounded here; a proxy before it may bound them further.
"""

from __future__ import annotations

import ctypes
import gc
import os
import signal
import tempfile
from collections.abc import Callable, Iterable
from typing import Any

import gevent
from gevent.baseserver import BaseServer
from gunicorn.workers.base_async import AsyncWorker
from gunicorn.workers.ggevent import GeventWorker
from prometheus_client import multiprocess

#: How long a head may take to come, and a connection may rest between two requests, s. Longer than a stylist's pause
#: between two touches, so that the next one need not connect anew.
HEAD_WITHIN = 30
#: How long a whole body may take to come, and the largest: a picture and its head.
BODY_WITHIN, LARGEST_BODY = 60, 16_000_000
#: Bodies longer than this wait in a file.
IN_MEMORY = 1_000_000
#: How long one who reads an answer may stand still, s; longer than the two above, which answer for themselves.
READS_WITHIN = 90

# What gunicorn reads as its configuration.
worker_class = "studio.serving.PatientWorker"
worker_connections = 500
keepalive = HEAD_WITHIN
graceful_timeout = 3
limit_request_line = 4000
limit_request_fields = 60
limit_request_field_size = 8000

#: So many values kept since the last sweep call for the next one.
SWEEP_FROM = 150_000

Application = Callable[[dict[str, Any], Callable[..., Any]], Iterable[bytes]]


def post_fork(server: Any, worker: Any) -> None:
    """Gunicorn's hook: a worker whose master is killed goes at once, and the port is free."""
    set_death_signal = 1  # PR_SET_PDEATHSIG, linux/prctl.h
    ctypes.CDLL(None).prctl(set_death_signal, signal.SIGKILL)


def post_request(worker: Any, request: Any, environ: dict[str, Any], response: Any) -> None:
    """Gunicorn's hook: memory is swept when an answer has gone out, not while somebody waits for it."""
    if gc.get_count()[0] > SWEEP_FROM:
        gc.collect(1)


def child_exit(server: Any, worker: Any) -> None:
    """Gunicorn's hook: what a worker that ended had counted is put with the rest."""
    if os.environ.get("PROMETHEUS_MULTIPROC_DIR"):
        multiprocess.mark_process_dead(worker.pid)  # type: ignore[no-untyped-call]


class PatientWorker(GeventWorker):  # type: ignore[misc]
    """A gevent worker whose sockets do not wait for ever for one who reads nothing."""

    def init_process(self) -> None:
        # One connection at a time, so that they fall evenly on the workers: who wakes first would take them all.
        BaseServer.max_accept = 1
        super().init_process()

    def handle(self, listener: Any, client: Any, addr: Any) -> None:
        client.settimeout(READS_WITHIN)
        AsyncWorker.handle(self, listener, client, addr)


def whole_bodies(application: Application) -> Application:
    """Have the body of a request come whole before it is worked on: until then it holds nothing, afterwards it cannot
    stop. One that is too large or takes too long is answered here."""

    def serve(environ: dict[str, Any], start_response: Callable[..., Any]) -> Iterable[bytes]:
        length = environ.get("CONTENT_LENGTH") or "0"
        if not length.isascii() or not length.isdigit() or int(length) > LARGEST_BODY:
            return _refused(start_response, "413 Content Too Large", "This is too large.")
        if int(length):
            body: Any = None
            with gevent.Timeout(BODY_WITHIN, False):
                body = _read(environ["wsgi.input"], int(length))
            if body is None:
                return _refused(start_response, "408 Request Timeout", "This took too long to arrive. Send it again.")
            environ["wsgi.input"] = body
        return application(environ, start_response)

    return serve


def _read(source: Any, length: int) -> Any:
    kept = tempfile.SpooledTemporaryFile(IN_MEMORY)  # noqa: SIM115 (it is closed with the request that reads it)
    left = length
    while left and (part := source.read(min(left, 65_536))):
        kept.write(part)
        left -= len(part)
    kept.seek(0)
    return kept


def _refused(start_response: Callable[..., Any], status: str, message: str) -> Iterable[bytes]:
    told = f'{{"message": "{message}", "field": null}}'.encode()
    headers = [("Content-Type", "application/json"), ("Content-Length", str(len(told)))]
    start_response(status, headers)
    return [told]
