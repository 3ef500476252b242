"""`python -m stands.weather --port N`: a forecast over HTTP on loopback: /forecast.json?place=…&from=YYYY-MM-DD&days=N."""

from __future__ import annotations

import argparse
import contextlib
import json
from datetime import UTC, date, datetime
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from urllib.parse import parse_qs, urlsplit

from stands.weather.forecast import forecast


class Office(BaseHTTPRequestHandler):
    """Answers for the forecast, and for nothing else."""

    def do_GET(self) -> None:
        asked = urlsplit(self.path)
        words = {key: told[0] for key, told in parse_qs(asked.query).items()}
        try:
            if asked.path != "/forecast.json":
                raise KeyError(asked.path)
            place, first, days = words["place"], date.fromisoformat(words["from"]), int(words["days"])
        except (KeyError, ValueError):
            self.send_error(404)
            return
        told = json.dumps({"days": forecast(place, first, min(days, 31), datetime.now(UTC).date())}).encode()
        self.send_response(200)
        self.send_header("Content-Type", "application/json; charset=utf-8")
        self.send_header("Content-Length", str(len(told)))
        self.end_headers()
        self.wfile.write(told)

    def log_message(self, *_args: object) -> None:
        """Nothing: a stand-in keeps quiet."""


def main() -> None:
    asked = argparse.ArgumentParser(prog="stands.weather", description="A simulated forecast on loopback.")
    asked.add_argument("--port", type=int, required=True)
    told = asked.parse_args()
    with contextlib.suppress(KeyboardInterrupt):
        ThreadingHTTPServer(("127.0.0.1", told.port), Office).serve_forever()


if __name__ == "__main__":
    main()
