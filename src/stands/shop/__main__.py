"""`python -m stands.shop --port N`: the simulated shops on loopback."""

from __future__ import annotations

import argparse
import contextlib
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer

from stands.shop.feed import products_json, size_charts_csv

PAGES = {"/products.json": ("application/json", products_json), "/size-charts.csv": ("text/csv", size_charts_csv)}


class Counter(BaseHTTPRequestHandler):
    """Answers for the feed, and for nothing else."""

    def do_GET(self) -> None:
        kind, made = PAGES.get(self.path, (None, None))
        if kind is None or made is None:
            self.send_error(404)
            return
        told = made().encode()
        self.send_response(200)
        self.send_header("Content-Type", f"{kind}; charset=utf-8")
        self.send_header("Content-Length", str(len(told)))
        self.end_headers()
        self.wfile.write(told)

    def log_message(self, *_args: object) -> None:
        """Nothing: a stand-in keeps quiet."""


def main() -> None:
    asked = argparse.ArgumentParser(prog="stands.shop", description="Simulated shops on loopback.")
    asked.add_argument("--port", type=int, required=True)
    told = asked.parse_args()
    with contextlib.suppress(KeyboardInterrupt):
        ThreadingHTTPServer(("127.0.0.1", told.port), Counter).serve_forever()


if __name__ == "__main__":
    main()
