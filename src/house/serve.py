"""demo and dev: start what is needed, keep it running until Ctrl-C, stop all of it."""

from __future__ import annotations

import contextlib
import ctypes
import fcntl
import os
import signal
import socket
import subprocess
import time
import urllib.error
import urllib.request
from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field

from house import setup
from house.places import HOUSE, LOGS, PYTHON, ROOT, WEB
from house.postgres import Cluster, free_port, own_cluster
from house.steps import Trouble, check_room, open_house, say
from house.supervise import Kept, keep_running, stop

DEMO_EMAIL = "maud@hollinrow.example"
DEFAULT_PORT = 8420
WORKERS = 2
#: One that was killed a moment ago lets go of its port within this, s.
LETS_GO_WITHIN = 6.0


@contextlib.contextmanager
def _alone(port: int) -> Iterator[None]:
    """One server a project folder: a second start says where the first one is."""
    open_house()
    with (HOUSE / "lock").open("a+") as lock:
        try:
            fcntl.flock(lock, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            lock.seek(0)
            where = lock.read().strip() or "in another window"
            raise Trouble(f"Basilwood is running already, {where}. Stop it there with Ctrl-C first.") from None
        lock.seek(0)
        lock.truncate()
        lock.write(f"at http://127.0.0.1:{port}/")
        lock.flush()
        yield


def check_port(port: int) -> None:
    if not 1 <= port <= 65535:
        raise Trouble(f"{port} is not a port. Choose one from 1024 to 65535.")
    ends = time.monotonic() + LETS_GO_WITHIN
    while not _is_free(port):
        if time.monotonic() > ends:
            another = min(port + 1, 65535)
            raise Trouble(f"Port {port} is taken. Choose another: ./basilwood demo --port {another}")
        time.sleep(0.2)


def _is_free(port: int) -> bool:
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", port))
        except PermissionError:
            raise Trouble(f"Port {port} is not open to you. Choose one from 1024 up.") from None
        except OSError:
            return False
    return True


def _prepare(*, build: bool = True) -> tuple[Cluster, dict[str, str]]:
    """All set-up; the running cluster and the environment for Django."""
    check_room()
    setup.python_packages()
    if build:
        setup.front_end()
    else:
        setup.node_packages()
    cluster = own_cluster(setup.keys()["database"], setup.keys()["serving"])
    env = setup.environment(cluster.environment(cluster.start()))
    try:
        where = HOUSE / "stamps" if not os.access(cluster.data, os.W_OK) else cluster.data
        setup.migrated(env, where)
        setup.demo_data(env, where)
    except BaseException:
        cluster.stop()
        raise
    return cluster, env


def _ends_with_us() -> None:
    """Run in the child: were this command killed outright, the server must not outlive it."""
    set_death_signal = 1  # PR_SET_PDEATHSIG, linux/prctl.h
    ctypes.CDLL(None).prctl(set_death_signal, signal.SIGTERM)


def as_serving(env: Mapping[str, str]) -> dict[str, str]:
    """The environment of the role that serves: it owns no table, so that the second wall holds for it."""
    role = {"BASILWOOD_DB_USER": env["BASILWOOD_DB_SERVE_USER"]}
    return {**env, **role, "BASILWOOD_DB_PASSWORD": env["BASILWOOD_DB_SERVE_PASSWORD"]}


def gunicorn(port: int, env: Mapping[str, str], *more: str, host: str = "127.0.0.1") -> subprocess.Popen[bytes]:
    """Start the application server as the role that serves; its words go into a log."""
    LOGS.mkdir(parents=True, exist_ok=True)
    words = ["--bind", f"{host}:{port}", "--config", "python:studio.serving", "--no-control-socket"]
    log = (LOGS / "gunicorn.log").open("ab")
    with log:
        return subprocess.Popen(
            [str(PYTHON), "-m", "gunicorn", "studio.wsgi", *words, *more],
            cwd=ROOT,
            env=as_serving({**os.environ, **env}),
            stdout=log,
            stderr=log,
            start_new_session=True,
            preexec_fn=_ends_with_us,
        )


def worker(env: Mapping[str, str]) -> subprocess.Popen[bytes]:
    """Start a worker of the queue, as the role that serves: it does the long searches and sends the letters. More may run beside
    it, here or on other machines, by the same command and environment."""
    LOGS.mkdir(parents=True, exist_ok=True)
    with (LOGS / "worker.log").open("ab") as log:
        return subprocess.Popen(
            [str(PYTHON), "-m", "django", "work"],
            cwd=ROOT,
            env=as_serving({**os.environ, **env}),
            stdout=log,
            stderr=log,
            start_new_session=True,
            preexec_fn=_ends_with_us,
        )


def tape(port: int, env: Mapping[str, str], *more: str) -> subprocess.Popen[bytes]:
    """Start the simulated measuring tape; the desk finds it through BASILWOOD_TAPE."""
    return _stand("tape", port, env, *more)


def _stand(name: str, port: int, env: Mapping[str, str], *more: str) -> subprocess.Popen[bytes]:
    LOGS.mkdir(parents=True, exist_ok=True)
    with (LOGS / f"{name}.log").open("ab") as log:
        return subprocess.Popen(
            [str(PYTHON), "-m", f"stands.{name}", "--port", str(port), *more],
            cwd=ROOT,
            env={**os.environ, **env},
            stdout=log,
            stderr=log,
            start_new_session=True,
            preexec_fn=_ends_with_us,
        )


def shop(port: int, env: Mapping[str, str]) -> subprocess.Popen[bytes]:
    """Start the simulated shops; the studio finds them through BASILWOOD_SHOP."""
    return _stand("shop", port, env)


def outbox(port: int, env: Mapping[str, str]) -> subprocess.Popen[bytes]:
    """Start the simulated mail server; letters lie in .house/outbox."""
    return _stand("outbox", port, env, "--folder", str(HOUSE / "outbox"))


def weather(port: int, env: Mapping[str, str]) -> subprocess.Popen[bytes]:
    """Start the simulated forecast; the studio finds it through BASILWOOD_WEATHER."""
    return _stand("weather", port, env)


@dataclass(frozen=True)
class Stands:
    """The ports of the stand-ins, and what is told to the application of them."""

    tape: int = field(default_factory=free_port)
    shop: int = field(default_factory=free_port)
    outbox: int = field(default_factory=free_port)
    weather: int = field(default_factory=free_port)

    def addresses(self) -> dict[str, str]:
        """What the application needs to know to find them."""
        return {
            **tape_address(self.tape),
            "BASILWOOD_SHOP": f"http://127.0.0.1:{self.shop}",
            "BASILWOOD_MAIL_HOST": "127.0.0.1",
            "BASILWOOD_MAIL_PORT": str(self.outbox),
            "BASILWOOD_WEATHER": f"http://127.0.0.1:{self.weather}",
        }

    def kept(self, env: Mapping[str, str], *pressed: str) -> list[Kept]:
        """All of them, kept running."""
        return [
            Kept("The tape", lambda: tape(self.tape, env, *pressed)),
            Kept("The shop", lambda: shop(self.shop, env)),
            Kept("The outbox", lambda: outbox(self.outbox, env)),
            Kept("The weather", lambda: weather(self.weather, env)),
        ]


def tape_address(port: int) -> dict[str, str]:
    """What the application needs to know to hear the tape."""
    return {"BASILWOOD_TAPE": f"ws://127.0.0.1:{port}"}


def wait_for(port: int, server: subprocess.Popen[bytes], seconds: float = 60) -> None:
    """Wait until the server answers, or say why it does not."""
    ends = time.monotonic() + seconds
    while time.monotonic() < ends:
        if server.poll() is not None:
            tail = (LOGS / "gunicorn.log").read_text(errors="replace").splitlines()[-8:]
            raise Trouble("The server stopped while starting:\n" + "\n".join(f"    {line}" for line in tail))
        try:
            with urllib.request.urlopen(f"http://127.0.0.1:{port}/api/session", timeout=5):
                return
        except urllib.error.HTTPError:
            # Nobody is signed in: that is an answer, and a quick one.
            return
        except (urllib.error.URLError, OSError):
            time.sleep(0.1)
    raise Trouble(f"The server did not answer within {seconds:.0f} s; see .house/logs/gunicorn.log")


def tidy(env: Mapping[str, str]) -> subprocess.Popen[bytes]:
    """Clear away expired sessions and what was noted of sign-ins, beside what goes on."""
    with (LOGS / "tidy.log").open("ab") as log:
        return subprocess.Popen(
            [str(PYTHON), "-m", "django", "tidy"], cwd=ROOT, env={**os.environ, **env}, stdout=log, stderr=log
        )


def demo(port: int, hand: float | None = None) -> None:
    """Set up, serve with demo data, stop on Ctrl-C. `hand` lets the tape be pressed by itself, seconds."""
    check_port(port)
    with _alone(port):
        say("Basilwood")
        cluster, env = _prepare()
        stands = Stands()
        pressed = ("--auto", str(hand)) if hand is not None else ()
        whole = {**env, **stands.addresses()}
        server = Kept("The server", lambda: gunicorn(port, whole, "--workers", str(WORKERS)))
        kept = [
            server,
            Kept("The worker", lambda: worker(whole)),
            *stands.kept(env, *pressed),
        ]
        try:
            wait_for(port, server.process)
            say(f"\n  Open      http://127.0.0.1:{port}/")
            say(f"  Sign in   {DEMO_EMAIL}")
            say(f"  Password  {setup.keys()['demo']}\n\n  Ctrl-C stops it; data stays.")
            keep_running(cluster, int(env["BASILWOOD_DB_PORT"]), kept, lambda: tidy(env))
        finally:
            for one in kept:
                stop(one.process)
            cluster.stop()


def dev(port: int) -> None:
    """Django and Vite, both reloading on change."""
    check_port(port)
    with _alone(port):
        say("Basilwood, for its developers")
        cluster, env = _prepare(build=False)
        stands = Stands()
        whole = {**env, **stands.addresses()}
        server = Kept("The server", lambda: gunicorn(port + 1, whole, "--workers", "1", "--reload"))
        kept = [
            server,
            Kept("The worker", lambda: worker(whole)),
            *stands.kept(env),
        ]
        try:
            wait_for(port + 1, server.process)
            kept.append(Kept("Vite", lambda: _vite(port)))
            say(
                f"\n  Open      http://127.0.0.1:{port}/\n  Sign in   {DEMO_EMAIL}\n  Password  {setup.keys()['demo']}\n"
            )
            keep_running(cluster, int(env["BASILWOOD_DB_PORT"]), kept, lambda: None)
        finally:
            for one in kept:
                stop(one.process)
            cluster.stop()


def _vite(port: int) -> subprocess.Popen[bytes]:
    words = ["dev", "--host", "127.0.0.1", "--port", str(port), "--strictPort"]
    return subprocess.Popen(
        [str(WEB / "node_modules" / ".bin" / "vite"), *words],
        cwd=WEB,
        env={**os.environ, "BASILWOOD_API": f"http://127.0.0.1:{port + 1}"},
        start_new_session=True,
        preexec_fn=_ends_with_us,
    )
