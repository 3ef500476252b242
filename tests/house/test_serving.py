"""Served for real: two servers and three workers of the queue behind a proxy with TLS, on one database."""

from __future__ import annotations

import contextlib
import json
import ssl
import subprocess
import time
import urllib.error
import urllib.request
from collections import Counter
from collections.abc import Callable, Iterator
from dataclasses import dataclass, field
from http.cookiejar import CookieJar
from pathlib import Path
from typing import Any

import pytest

from house import production, serve
from house.debian import ensure_proxy
from house.places import LOGS
from house.postgres import free_port
from house.steps import Trouble
from studio.people.demo import STYLISTS
from tests.house.conftest import Env, asked

PASSWORD = "willow-basket-42"
LOGIN = "/api/accounts/browser/v1/auth/login"


@dataclass
class Visitor:
    """Somebody at the proxy's address, with cookies and the certificate made for the test."""

    address: str
    trusted: ssl.SSLContext
    jar: CookieJar = field(default_factory=CookieJar)

    def ask(self, method: str, path: str, body: Any = None, **headers: str) -> tuple[int, Any, Any]:
        """Status, what was told, and the head of the answer."""
        opener = urllib.request.build_opener(
            urllib.request.HTTPCookieProcessor(self.jar), urllib.request.HTTPSHandler(context=self.trusted), Stay()
        )
        token = next((one.value for one in self.jar if one.name == "csrftoken"), "") or ""
        head = {"Content-Type": "application/json", "X-CSRFToken": token, "Referer": f"{self.address}/", **headers}
        data = None if body is None else json.dumps(body).encode()
        request = urllib.request.Request(self.address + path, data=data, method=method, headers=head)
        try:
            with opener.open(request, timeout=30) as answer:
                return answer.status, _told(answer.read()), answer.headers
        except urllib.error.HTTPError as error:
            return error.code, _told(error.read()), error.headers

    def sign_in(self, email: str) -> int:
        self.ask("GET", "/api/session")
        return self.ask("POST", LOGIN, {"email": email, "password": PASSWORD})[0]


class Stay(urllib.request.HTTPRedirectHandler):
    """Tells of a redirect and does not follow it."""

    def redirect_request(self, *given: Any) -> None:
        return None


def _told(content: bytes) -> Any:
    try:
        return json.loads(content or b"null")
    except ValueError:
        return content.decode(errors="replace")


@dataclass
class Studio:
    """Two servers and three workers behind the proxy."""

    env: Env
    ports: list[int]
    servers: list[Any]
    workers: list[Any]
    plain: int
    secure: int
    trusted: ssl.SSLContext

    def visitor(self) -> Visitor:
        return Visitor(f"https://localhost:{self.secure}", self.trusted)


def certificate(folder: Path) -> tuple[Path, Path]:
    """A certificate for localhost, made for this test."""
    key, made = folder / "key.pem", folder / "cert.pem"
    words = ["-x509", "-newkey", "rsa:2048", "-nodes", "-days", "2", "-subj", "/CN=localhost"]
    more = ["-addext", "subjectAltName=DNS:localhost", "-keyout", str(key), "-out", str(made)]
    subprocess.run(["openssl", "req", *words, *more], check=True, capture_output=True)
    return key, made


def configured(folder: Path, ports: list[int], plain: int, secure: int) -> Path:
    """The proxy's configuration as it is shipped, with the test's ports and certificate."""
    key, made = certificate(folder)
    shipped = (Path(__file__).parents[2] / "deploy" / "nginx.conf").read_text()
    upstream = " ".join(f"server 127.0.0.1:{port};" for port in ports)
    for ours, theirs in {
        "server 127.0.0.1:8420;": upstream,
        "listen 80;": f"listen 127.0.0.1:{plain};",
        "listen 443 ssl;": f"listen 127.0.0.1:{secure} ssl;",
        "https://$host$request_uri": f"https://$host:{secure}$request_uri",
        "studio.example.invalid": "localhost",
        "/etc/ssl/private/basilwood.pem": str(key),
        "/etc/ssl/certs/basilwood.pem": str(made),
    }.items():
        assert ours in shipped, ours
        shipped = shipped.replace(ours, theirs)
    # The proxy tells the port along, for this test's is not the usual one.
    shipped = shipped.replace("proxy_set_header Host $host;", "proxy_set_header Host $host:$server_port;")
    path = folder / "nginx.conf"
    path.write_text(
        f"pid {folder}/pid; error_log {folder}/error.log; worker_processes 1; events {{ worker_connections 64; }}\n"
        f"http {{ access_log off; client_body_temp_path {folder}/b; proxy_temp_path {folder}/p; fastcgi_temp_path {folder}/f;"
        f" uwsgi_temp_path {folder}/u; scgi_temp_path {folder}/s;\n{shipped}\n}}\n"
    )
    return path


@pytest.fixture
def studio(database: Callable[[str], Env], tmp_path: Path) -> Iterator[Studio]:
    ensure_proxy()
    plain, secure, ports = free_port(), free_port(), [free_port(), free_port()]
    hosts = {"BASILWOOD_HOSTS": "localhost", "BASILWOOD_TLS": "true", "BASILWOOD_PROXIES": "1"}
    where = {
        "BASILWOOD_DEMO_PASSWORD": PASSWORD,
        "BASILWOOD_LOG": "json",
        "BASILWOOD_ADDRESS": f"https://localhost:{secure}",
    }
    env = {**database("served"), **hosts, **where}
    production.migrate(env)
    production.django(env, "load_demo")
    with contextlib.ExitStack() as stack:
        figures = [stack.enter_context(production.figures_folder()) for _ in ports]
        begun = LOGS / "gunicorn.log"
        begun.unlink(missing_ok=True)
        servers = [
            serve.gunicorn(port, {**env, **folder}, "--workers", "2")
            for port, folder in zip(ports, figures, strict=True)
        ]
        workers = [serve.worker(env) for _ in range(3)]
        proxy = subprocess.Popen(["nginx", "-c", str(configured(tmp_path, ports, plain, secure)), "-g", "daemon off;"])
        try:
            trusted = ssl.create_default_context(cafile=str(tmp_path / "cert.pem"))
            running = Studio(env, ports, servers, workers, plain, secure, trusted)
            for port in ports:
                _until(lambda port=port: _plain(port, "/readyz")[0] == 200)
            _until(lambda: running.visitor().ask("GET", "/api/session")[0] == 401)
            yield running
        finally:
            proxy.terminate()
            proxy.wait()
            for one in (*servers, *workers):
                serve.stop(one)


def _until(what: Callable[[], bool], seconds: float = 40) -> None:
    ends = time.monotonic() + seconds
    while time.monotonic() < ends:
        with contextlib.suppress(OSError):
            if what():
                return
        time.sleep(0.1)
    raise AssertionError("it never came")


def _plain(port: int, path: str, **headers: str) -> tuple[int, str]:
    request = urllib.request.Request(f"http://127.0.0.1:{port}{path}", headers=headers)
    try:
        with urllib.request.urlopen(request, timeout=10) as answer:
            return answer.status, answer.read().decode()
    except urllib.error.HTTPError as error:
        return error.code, error.read().decode()


def test_two_servers_and_three_workers_behind_a_proxy_are_one_studio(studio: Studio) -> None:
    visitor = studio.visitor()
    # Who comes without TLS is sent to it, and not in a circle.
    status, _, head = Visitor(f"http://localhost:{studio.plain}", studio.trusted).ask("GET", "/people")
    assert (status, head["Location"]) == (301, f"https://localhost:{studio.secure}/people")
    status, _, head = visitor.ask("GET", "/people")
    assert status == 200 and "max-age" in head["Strict-Transport-Security"]
    assert visitor.sign_in(STYLISTS[0][0]) == 200
    assert all(one.secure for one in visitor.jar)
    # A session made at one server is good at the other: requests go round.
    clients = [visitor.ask("GET", "/api/clients")[1]["total"] for _ in range(6)]
    assert set(clients) == {clients[0]} and clients[0] > 5
    # The place on record is the visitor's, as the proxy heard it, and nobody makes up another.
    client = visitor.ask("GET", "/api/clients?q=Idris")[1]["rows"][0]["id"]
    visitor.ask("GET", f"/api/clients/{client}/desk", **{"X-Forwarded-For": "10.66.66.66"})
    assert {row["place"] for row in visitor.ask("GET", "/api/seen")[1]["rows"]} == {"127.0.0.1"}
    _queue_is_shared(studio, visitor, client)
    _misses_are_counted_together(studio)
    _figures_and_lines(studio)
    # One server goes away: the other goes on.
    serve.stop(studio.servers[0])
    assert [visitor.ask("GET", f"/api/clients/{client}/desk")[0] for _ in range(4)] == [200] * 4


def _queue_is_shared(studio: Studio, visitor: Visitor, client: str) -> None:
    """Searches of several clients are done by several workers, each once."""
    rows = visitor.ask("GET", "/api/clients?limit=50")[1]["rows"]
    for row in [row for row in rows if row["measures"]][:6]:
        visitor.ask("POST", f"/api/clients/{row['id']}/outfits", {})
    todo = "SELECT count(*) FROM procrastinate_jobs WHERE status IN ('todo', 'doing')"
    _until(lambda: asked(studio.env, todo) == [(0,)], 90)
    done = asked(studio.env, "SELECT status, attempts FROM procrastinate_jobs WHERE task_name = 'outfits.search'")
    assert done and {status for status, _ in done} == {"succeeded"} and {attempts for _, attempts in done} == {1}


def _misses_are_counted_together(studio: Studio) -> None:
    """Whichever server hears them."""
    stranger = studio.visitor()
    stranger.ask("GET", "/api/session")
    told = [
        stranger.ask("POST", LOGIN, {"email": STYLISTS[1][0], "password": "wrong"})[1]["errors"][0]["code"]
        for _ in range(7)
    ]
    assert Counter(told) == {"email_password_mismatch": 5, "too_many_login_attempts": 2}


def _figures_and_lines(studio: Studio) -> None:
    """Both servers tell figures of all their processes, to this machine alone; the log holds routes and nobody's name."""
    for port in studio.ports:
        status, told = _plain(port, "/metrics")
        assert status == 200 and 'basilwood_request_seconds_count{method="GET",route="api/' in told
        assert "basilwood_queue_waiting 0.0" in told
        assert _plain(port, "/metrics", **{"X-Forwarded-For": "10.1.1.1"})[0] == 404
        assert _plain(port, "/healthz") == (200, '{"alive": true}')
    lines = [json.loads(line) for line in (LOGS / "gunicorn.log").read_text().splitlines() if line.startswith("{")]
    asked_for = [line for line in lines if line["from"] == "basilwood.request"]
    assert len(asked_for) > 10 and all(len(line["request"]) == 32 for line in asked_for)
    assert "Idris" not in str(lines) and "hollinrow" not in str(lines)


def test_a_server_whose_database_is_away_or_old_is_not_ready(database: Callable[[str], Env]) -> None:
    env = database("unready")
    port = free_port()
    server = serve.gunicorn(port, env, "--workers", "1")
    try:
        _until(lambda: _plain(port, "/healthz")[0] == 200)
        status, told = _plain(port, "/readyz")
        assert status == 503 and "upgrade" in told
        production.migrate(env)
        assert _plain(port, "/readyz")[0] == 200
    finally:
        serve.stop(server)


def test_settings_are_read_as_others_read_them_and_what_is_missing_is_said(tmp_path: Path) -> None:
    path = tmp_path / "basilwood.env"
    path.write_text("# ours\n\nexport BASILWOOD_HOSTS='a.example,b.example'\nBASILWOOD_TLS=true\n")
    assert production.read_settings(path) == {"BASILWOOD_HOSTS": "a.example,b.example", "BASILWOOD_TLS": "true"}
    path.write_text("BASILWOOD_TLS true\n")
    with pytest.raises(Trouble, match="Line 1"):
        production.read_settings(path)
    with pytest.raises(Trouble, match="BASILWOOD_HOSTS"):
        production.checked({"BASILWOOD_DB_SERVE_USER": "x", "BASILWOOD_PROXIES": "1"}, "127.0.0.1")
