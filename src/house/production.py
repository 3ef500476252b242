"""Serving studios for real: configured by variables, on a cluster of its own or the studio's, as one server or several."""

from __future__ import annotations

import contextlib
import os
import re
import shutil
import subprocess
import tempfile
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from pathlib import Path

from house import setup
from house.places import HOUSE, LOGS, PYTHON, ROOT
from house.postgres import Cluster, own_cluster
from house.serve import check_port, gunicorn, tidy, wait_for, worker
from house.steps import Trouble, check_room, open_house, run, say
from house.supervise import Kept, keep_running, stop

#: The cluster of real studios lies beside the demo's, so that neither ever meets the other's rows.
CLUSTER = "studio"
#: Here a running server says which process it is.
SERVING = HOUSE / "serving"
_LINE = re.compile(r"^\s*(?:export\s+)?([A-Z][A-Z0-9_]*)\s*=\s*(.*?)\s*$")


@dataclass(frozen=True)
class Place:
    """Where a studio's rows lie: the variables that lead there, and the cluster where it is our own."""

    env: dict[str, str]
    cluster: Cluster | None

    @property
    def port(self) -> int:
        """The port of the database."""
        return int(self.env.get("BASILWOOD_DB_PORT", "5432"))

    def stop(self) -> None:
        """Stop our own cluster; another's goes on."""
        if self.cluster is not None:
            self.cluster.stop()


def read_settings(path: Path | None) -> dict[str, str]:
    """The variables of a file, `NAME=value` a line, as systemd and Compose read them. Raises Trouble for a line that is none."""
    if path is None:
        return {}
    try:
        lines = path.read_text(encoding="utf-8").splitlines()
    except OSError as error:
        raise Trouble(f"{path} cannot be read: {error.strerror}.") from None
    held = {}
    for at, line in enumerate(lines, 1):
        if not line.strip() or line.lstrip().startswith("#"):
            continue
        found = _LINE.match(line)
        if found is None:
            raise Trouble(f"Line {at} of {path} is not NAME=value.")
        held[found[1]] = found[2].strip("\"'")
    return held


def place_of(settings: Path | None, *, started: bool = True) -> Place:
    """Set up, and find the database: the one that the variables name, or our own."""
    open_house()
    check_room()
    setup.python_packages()
    given = {key: text for key, text in os.environ.items() if key.startswith("BASILWOOD_")} | read_settings(settings)
    if given.get("BASILWOOD_DB_HOST"):
        if not given.get("BASILWOOD_SECRET_KEY"):
            raise Trouble("BASILWOOD_SECRET_KEY is not set: every server of a studio needs the same.")
        return Place({**setup.SETTINGS, **given}, None)
    keys = setup.keys()
    cluster = own_cluster(keys["database"], keys["serving"], CLUSTER)
    database = cluster.environment(cluster.start() if started else cluster.port() or 0)
    return Place({**setup.environment(database), **given}, cluster)


def pending(env: Mapping[str, str]) -> bool:
    """Whether the database is not as this version wants it. Raises Trouble where it does not answer."""
    asked = django(env, "migrate", "--check", check=False)
    if asked.returncode not in (0, 1):
        raise Trouble("The database does not answer.\n" + asked.stderr[-400:])
    return asked.returncode == 1


def django(env: Mapping[str, str], *words: str, check: bool = True) -> subprocess.CompletedProcess[str]:
    """A command of the application, as the role that owns the tables. Raises Trouble where it fails."""
    ended = subprocess.run(
        [str(PYTHON), "-m", "django", *words],
        cwd=ROOT,
        env={**os.environ, **env},
        check=False,
        capture_output=True,
        text=True,
    )
    if check and ended.returncode:
        raise Trouble(ended.stderr.strip()[-600:] or f"django {words[0]} failed")
    return ended


def is_empty(env: Mapping[str, str]) -> bool:
    """Whether nothing has ever been made in the database."""
    told = django(env, "showmigrations", "--plan", check=False)
    return "[X]" not in told.stdout


def migrate(env: Mapping[str, str]) -> None:
    """Bring the database's tables up to date."""
    words: list[str | Path] = [PYTHON, "-m", "django", "migrate", "-v", "1"]
    run("migrate", "bringing the database up to date", words, env={**os.environ, **env})


def found(name: str, email: str, settings: Path | None, address: str | None) -> None:
    """Found a studio and ask its owner in."""
    place = place_of(settings)
    ran = place.cluster is not None and place.cluster.port() is not None
    try:
        if is_empty(place.env):
            migrate(place.env)
        words = ["--address", address] if address else []
        say(django(place.env, "found_studio", name, email, *words).stdout)
    finally:
        if not ran:
            place.stop()


@contextlib.contextmanager
def figures_folder() -> Iterator[dict[str, str]]:
    """Where the processes of one server put their figures together, emptied at each start."""
    folder = Path(tempfile.mkdtemp(prefix="basilwood-figures-"))
    try:
        yield {"PROMETHEUS_MULTIPROC_DIR": str(folder)}
    finally:
        shutil.rmtree(folder, ignore_errors=True)


@contextlib.contextmanager
def _marked() -> Iterator[None]:
    """While a server looks after our cluster, other commands leave it running."""
    SERVING.write_text(str(os.getpid()))
    try:
        yield
    finally:
        SERVING.unlink(missing_ok=True)


def is_serving() -> bool:
    """Whether a server runs here that looks after our cluster."""
    try:
        return Path(f"/proc/{int(SERVING.read_text())}").exists()
    except (OSError, ValueError):
        return False


def checked(env: Mapping[str, str], host: str) -> None:
    """Say what is missing before anybody is let in. Raises Trouble."""
    if not env.get("BASILWOOD_DB_SERVE_USER"):
        raise Trouble("BASILWOOD_DB_SERVE_USER is not set: the role that serves and owns nothing (SECURITY.md).")
    outside = host not in ("127.0.0.1", "localhost", "::1") or int(env.get("BASILWOOD_PROXIES", "0"))
    if outside and not env.get("BASILWOOD_HOSTS"):
        raise Trouble("BASILWOOD_HOSTS is not set: the names that this server answers to, parted by commas.")
    if outside and env.get("BASILWOOD_TLS", "").lower() not in ("1", "true", "yes"):
        say(
            "  Without BASILWOOD_TLS=true passwords travel in the clear: put a proxy with TLS in front (docs/operating.md)."
        )
    if not env.get("BASILWOOD_MAIL_HOST"):
        say("  No mail server is set (BASILWOOD_MAIL_HOST): invitations are shown, letters are taken away as files.")


def serve(settings: Path | None, listen: str, workers: int, queue: int) -> None:
    """Serve until Ctrl-C or SIGTERM: `workers` of the application at `listen`, and `queue` of the queue. Either may be none, so
    that a machine does one of the two alone."""
    host, _, port_said = listen.rpartition(":")
    if not port_said.isdigit():
        raise Trouble(f"{listen} is not an address: say it as 127.0.0.1:8420.")
    host, port = host or "127.0.0.1", int(port_said)
    if workers:
        check_port(port)
    setup_front_end(workers)
    place = place_of(settings)
    try:
        if is_empty(place.env):
            migrate(place.env)
        elif pending(place.env):
            raise Trouble("The database is of an earlier version. Run ./basilwood upgrade, then serve again.")
        checked(place.env, host)
        with figures_folder() as folder, _marked():
            _serve({"BASILWOOD_LOG": "json", **place.env, **folder}, place, host, port, workers, queue)
    finally:
        place.stop()


def setup_front_end(workers: int) -> None:
    """The front end, where it is served and not built yet."""
    if workers:
        open_house()
        setup.front_end()


def _serve(env: dict[str, str], place: Place, host: str, port: int, workers: int, queue: int) -> None:
    kept = []
    if workers:
        kept.append(Kept("The server", lambda: gunicorn(port, env, "--workers", str(workers), host=host)))
    kept += [Kept(f"Worker {at + 1}", lambda: worker(env)) for at in range(queue)]
    try:
        if workers:
            wait_for(port, kept[0].process)
            say(f"\n  Serving at http://{host}:{port}/, logs in {LOGS.relative_to(ROOT)}. Ctrl-C stops it.")
        keep_running(place.cluster, place.port, kept, lambda: tidy(env))
    finally:
        for one in kept:
            stop(one.process)
