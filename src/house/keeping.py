"""Copies of a studio's rows, and upgrades that go back where they fail."""

from __future__ import annotations

import os
import shutil
import subprocess
from collections.abc import Mapping
from datetime import UTC, datetime
from pathlib import Path

from house import production, setup
from house.debian import ensure_postgres
from house.places import HOUSE, PYTHON, ROOT, SRC
from house.postgres import DATABASE, Cluster, temporary_cluster
from house.production import Place, place_of
from house.steps import Trouble, say

#: The identity that opens copies made here, unless a recipient elsewhere is named.
IDENTITY = HOUSE / "copies.identity"
COPIES = HOUSE / "copies"


def copies(env: Mapping[str, str], *words: str | Path) -> str:
    """Run the copier where the packages are; what it says. Raises Trouble."""
    whole = {**os.environ, **env, "PYTHONPATH": str(SRC), "BASILWOOD_PG_PROGRAMS": str(ensure_postgres())}
    command = [str(PYTHON), "-m", "copies", *map(str, words)]
    ended = subprocess.run(command, cwd=ROOT, env=whole, check=False, capture_output=True, text=True)
    if ended.returncode:
        raise Trouble(ended.stderr.strip()[-800:] or "The copy was not made.")
    return ended.stdout.strip()


def _writable(path: Path) -> Path:
    path = path.absolute()
    if path.exists():
        raise Trouble(f"{path.name} is there already: a copy never takes another's place. Name another file.")
    if not path.parent.is_dir():
        raise Trouble(f"The folder {path.parent} is not there.")
    return path


def backup(path: Path, settings: Path | None) -> None:
    """A sealed copy of everything, taken while people work."""
    path = _writable(path)
    place = place_of(settings)
    ran = _ran(place)
    try:
        say(f"  {_backup(path, place.env)}")
        say(f"  Sealed in {path.name}. Hold it against itself with: ./basilwood check {path.name}")
    finally:
        if not ran:
            place.stop()


def _ran(place: Place) -> bool:
    """Whether a server of ours looks after this cluster now, and will stop it."""
    return place.cluster is None or production.is_serving()


def _backup(path: Path, env: Mapping[str, str]) -> str:
    recipient = env.get("BASILWOOD_COPIES_FOR", "")
    if not recipient:
        fresh = not IDENTITY.exists()
        recipient = copies({}, "identity", IDENTITY)
        if fresh:
            say(f"  An identity was made that opens copies: {IDENTITY.relative_to(ROOT)}. Keep one of it elsewhere:")
            say("  without it a copy is lost with this machine.")
    return copies(env, "backup", path, recipient)


def restore(path: Path, settings: Path | None, identity: Path | None) -> None:
    """Bring a copy back into an empty place, and hold every row against the original."""
    _readable(path)
    place = place_of(settings)
    ran = _ran(place)
    try:
        say(f"  Brought back, row for row: {copies(place.env, 'restore', path.absolute(), identity or IDENTITY)}")
    finally:
        if not ran:
            place.stop()


def _readable(path: Path) -> None:
    if not path.is_file():
        raise Trouble(f"{path} is not there.")


def check(path: Path, identity: Path | None) -> None:
    """Bring a copy back into a cluster made for it and thrown away afterwards, and hold every row against the original."""
    _readable(path)
    setup.python_packages()
    cluster = temporary_cluster()
    try:
        env = cluster.environment(cluster.start())
        say(f"  It comes back, row for row: {copies(env, 'restore', path.absolute(), identity or IDENTITY)}")
    finally:
        cluster.stop()
        shutil.rmtree(cluster.data.parent, ignore_errors=True)


def upgrade(settings: Path | None) -> None:
    """Bring the database to this version: a copy first, then the changes; where one fails, all is as before."""
    if production.is_serving():
        raise Trouble("The studio is being served: stop it first, and every other server of it.")
    place = place_of(settings)
    ran = _ran(place)
    try:
        if not production.pending(place.env):
            say("  The database is up to date.")
            return
        no_server(place)
        upgraded(place)
    finally:
        if not ran:
            place.stop()


def no_server(place: Place) -> None:
    """Make sure that no server or worker, on whatever machine, is at work on this database. Raises Trouble."""
    name, serving = place.env.get("BASILWOOD_DB_NAME", DATABASE), place.env.get("BASILWOOD_DB_SERVE_USER", "")
    ask = f"SELECT count(*) FROM pg_stat_activity WHERE datname = '{name}' AND usename = '{serving}'"  # noqa: S608 (our own settings)
    if int(_admin(place, ask)):
        raise Trouble("A server or a worker of this studio runs on some machine: stop all of them first.")


def upgraded(place: Place) -> None:
    """Upgrade this place. Raises Trouble where it failed, and then it is as it was."""
    COPIES.mkdir(parents=True, exist_ok=True)
    path = _writable(COPIES / f"before-upgrade-{datetime.now(UTC):%Y%m%d-%H%M%S}.age")
    # Sealed for this machine, whoever other copies are for: going back must open it.
    say(f"  A copy first: {_backup(path, {**place.env, 'BASILWOOD_COPIES_FOR': ''})}")
    try:
        production.migrate(place.env)
    except Trouble as trouble:
        say(f"\n{trouble}\n\n  Going back to how it was ...")
        _go_back(place, path)
        raise Trouble("The upgrade failed and everything is as it was before. Go on with the version before.") from None
    say(f"  Upgraded. The copy from before lies in {path.relative_to(ROOT)}.")


def _go_back(place: Place, path: Path) -> None:
    """Bring the copy back beside the database that failed, and put it in its place."""
    name = place.env.get("BASILWOOD_DB_NAME", DATABASE)
    beside, failed = f"{name}_before", f"{name}_failed"
    try:
        owner = place.env["BASILWOOD_DB_USER"]
        _admin(place, f'DROP DATABASE IF EXISTS "{beside}"', f'CREATE DATABASE "{beside}" OWNER "{owner}"')
        copies({**place.env, "BASILWOOD_DB_NAME": beside}, "restore", path, IDENTITY)
        _admin(
            place,
            f'DROP DATABASE IF EXISTS "{failed}"',
            f'ALTER DATABASE "{name}" RENAME TO "{failed}"',
            f'ALTER DATABASE "{beside}" RENAME TO "{name}"',
        )
    except Trouble as trouble:
        raise Trouble(
            f"It could not be brought back by itself: {trouble}\nThe copy lies in {path}; docs/operating.md."
        ) from None


def _admin(place: Place, *statements: str) -> str:
    """Statements about whole databases: as the superuser of our own cluster, or as the role that owns the tables; what they answer."""
    user, password = place.env["BASILWOOD_DB_USER"], place.env.get("BASILWOOD_DB_PASSWORD", "")
    if isinstance(place.cluster, Cluster):
        user, password = "postgres", place.cluster.password
    reach = ["-h", place.env["BASILWOOD_DB_HOST"], "-p", str(place.port), "-U", user, "-d", "postgres", "-w"]
    words = [word for statement in statements for word in ("-c", statement)]
    ended = subprocess.run(
        ["psql", *reach, "-At", "-v", "ON_ERROR_STOP=1", *words],
        env={**os.environ, "PGPASSWORD": password},
        check=False,
        capture_output=True,
        text=True,
        cwd="/",
    )
    if ended.returncode:
        raise Trouble(ended.stderr.strip()[-300:])
    return ended.stdout.strip()
