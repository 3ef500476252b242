"""A PostgreSQL cluster of our own, on loopback and a free port; never as root."""

from __future__ import annotations

import hashlib
import os
import pwd
import secrets
import shutil
import socket
import subprocess
import tempfile
import time
from dataclasses import dataclass
from pathlib import Path

from house.debian import ensure_postgres
from house.places import HOUSE, LOGS, ROOT
from house.steps import Trouble, run, say

#: The role that owns and migrates, and the one that serves and owns nothing (src/studio/wall.py).
ROLE = DATABASE = "basilwood"
SERVING = "basilwood_serve"
READY = "basilwood.ready"
PASSWORD, SERVING_PASSWORD = "BASILWOOD_DB_PASSWORD", "BASILWOOD_DB_SERVE_PASSWORD"


#: Its log keeps no statement and no value, for those are people's measures, and is written over after a week.
_DISCREET = (
    "-c log_min_messages=fatal",
    "-c log_min_error_statement=panic",
    "-c log_error_verbosity=terse",
    "-c logging_collector=on",
    "-c log_filename=server-%a.log",
    "-c log_truncate_on_rotation=on",
    "-c log_rotation_age=1d",
)


def free_port() -> int:
    """A port nobody listens on."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


def server_user() -> str | None:
    """PostgreSQL refuses to run as root: then its own system user runs it."""
    return "postgres" if os.geteuid() == 0 else None


def _may_enter(folder: Path, user: str) -> bool:
    """Whether a user can reach into a folder."""
    return (
        subprocess.run(["test", "-x", str(folder)], user=user, check=False, stderr=subprocess.DEVNULL).returncode == 0
    )


@dataclass(frozen=True)
class Cluster:
    """A cluster's folder and the passwords of our two roles in it."""

    data: Path
    password: str
    serving: str
    programs: Path

    def _control(self, *words: str) -> list[str]:
        return [str(self.programs / "pg_ctl"), "-D", str(self.data), *words]

    def port(self) -> int | None:
        """The port it runs on, or None when it does not run."""
        status = subprocess.run(self._control("status"), user=server_user(), check=False, capture_output=True, cwd="/")
        if status.returncode:
            return None
        return int((self.data / "postmaster.pid").read_text().splitlines()[3])

    def alive(self) -> bool:
        """Whether its first process runs: looked up, not asked, for it is looked up four times a second."""
        try:
            pid = int((self.data / "postmaster.pid").read_text().split()[0])
            state = Path(f"/proc/{pid}/stat").read_text().rpartition(")")[2].split()[0]
        except (OSError, ValueError, IndexError):
            return False
        return state != "Z"

    def start_again(self, port: int) -> None:
        """Start it where it ran, after it ended by itself. Raises Trouble."""
        for attempt in range(1, 101):
            # What is left of the one before goes within a moment; until then it holds the memory they share.
            time.sleep(0.05)
            if self.port() is not None:
                continue
            try:
                self.start(port)
            except Trouble:
                if attempt == 100:
                    raise
            else:
                return

    def start(self, port: int | None = None) -> int:
        """Start it unless it runs (a killed demo leaves it running); its port."""
        running = self.port()
        if running:
            return running
        port = port or free_port()
        options = f"-p {port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' {' '.join(_DISCREET)}"
        log = self.data / "server.log"
        words = ("start", "-w", "-t", "60", "-l", str(log), "-o", options)
        run("postgres-start", "starting PostgreSQL", self._control(*words), user=server_user(), cwd=Path("/"))
        return port

    def stop(self) -> None:
        """Stop it; what it holds stays."""
        words = ("stop", "-m", "fast", "-w", "-t", "30")
        subprocess.run(self._control(*words), user=server_user(), check=False, capture_output=True, cwd="/")

    def environment(self, port: int) -> dict[str, str]:
        """What the application needs to know of it."""
        return {
            "BASILWOOD_DB_HOST": "127.0.0.1",
            "BASILWOOD_DB_PORT": str(port),
            "BASILWOOD_DB_USER": ROLE,
            "BASILWOOD_DB_NAME": DATABASE,
            PASSWORD: self.password,
            "BASILWOOD_DB_SERVE_USER": SERVING,
            SERVING_PASSWORD: self.serving,
        }


def _home(name: str) -> Path:
    """The folder for the cluster: the project's own, unless PostgreSQL's user cannot get there."""
    user = server_user()
    HOUSE.mkdir(exist_ok=True)
    if user is None or _may_enter(HOUSE, user):
        return HOUSE / name
    mark = hashlib.sha256(str(ROOT).encode()).hexdigest()[:12]
    elsewhere = Path("/var/lib/basilwood") / mark
    elsewhere.mkdir(parents=True, exist_ok=True)
    say(f"  PostgreSQL's user cannot enter this folder; the database lies in {elsewhere}")
    return elsewhere / name


def own_cluster(password: str, serving: str, name: str = "postgres") -> Cluster:
    """A cluster of our own, the demo's or a studio's, started; made on the first start and repaired when that was cut short."""
    programs = ensure_postgres()
    data = _home(name)
    cluster = Cluster(data, password, serving, programs)
    if not (data / READY).exists():
        if data.exists():
            cluster.stop()
            shutil.rmtree(data)
        _make(cluster)
    _make_roles(cluster, cluster.start())
    return cluster


def temporary_cluster(*, durable: bool = False) -> Cluster:
    """A cluster for one test run; remove its folder after `stop`. `durable` where it is going to be killed: the others
    are quicker for what they may forget."""
    programs = ensure_postgres()
    folder = Path(tempfile.mkdtemp(prefix="basilwood-test-"))
    _give(folder)
    cluster = Cluster(folder / "data", secrets.token_urlsafe(24), secrets.token_urlsafe(24), programs)
    _make(cluster, durable=durable)
    return cluster


def _give(folder: Path) -> None:
    user = server_user()
    if user:
        entry = pwd.getpwnam(user)
        os.chown(folder, entry.pw_uid, entry.pw_gid)


def _make(cluster: Cluster, *, durable: bool = True) -> None:
    user = server_user()
    cluster.data.mkdir(parents=True, mode=0o700)
    _give(cluster.data)
    LOGS.mkdir(parents=True, exist_ok=True)
    quick = [] if durable else ["--no-sync"]
    with tempfile.NamedTemporaryFile("w", prefix="basilwood-", delete=True) as secret:
        secret.write(cluster.password)
        secret.flush()
        if user:
            entry = pwd.getpwnam(user)
            os.chown(secret.name, entry.pw_uid, entry.pw_gid)
        words = [
            "-U",
            "postgres",
            "--auth=scram-sha-256",
            "--encoding=UTF8",
            "--locale=C.UTF-8",
            f"--pwfile={secret.name}",
        ]
        command: list[str | Path] = [cluster.programs / "initdb", "-D", cluster.data, *words, *quick]
        run("initdb", "making a database cluster of our own", command, user=user, cwd=Path("/"))
    if not durable:
        with (cluster.data / "postgresql.conf").open("a") as settings:
            settings.write("\nfsync = off\nsynchronous_commit = off\nfull_page_writes = off\n")
    port = cluster.start()
    try:
        _make_roles(cluster, port)
    except Trouble:
        cluster.stop()
        raise
    (cluster.data / READY).write_text("made\n")


#: Both roles and the database, made where they are missing. The one that owns may make databases (the tests do) and may
#: act as the one that serves; neither is a superuser. A question that serves takes no longer than this.
_ROLES = f"""
\\getenv password {PASSWORD}
\\getenv serving {SERVING_PASSWORD}
SELECT 'CREATE ROLE {ROLE} LOGIN CREATEDB' WHERE NOT EXISTS (SELECT FROM pg_roles WHERE rolname = '{ROLE}')\\gexec
SELECT 'CREATE ROLE {SERVING} LOGIN' WHERE NOT EXISTS (SELECT FROM pg_roles WHERE rolname = '{SERVING}')\\gexec
ALTER ROLE {ROLE} PASSWORD :'password';
ALTER ROLE {SERVING} PASSWORD :'serving';
GRANT {SERVING} TO {ROLE};
ALTER ROLE {SERVING} SET statement_timeout = '30s';
ALTER ROLE {SERVING} SET lock_timeout = '10s';
ALTER ROLE {SERVING} SET idle_in_transaction_session_timeout = '60s';
SELECT 'CREATE DATABASE {DATABASE} OWNER {ROLE}'
  WHERE NOT EXISTS (SELECT FROM pg_database WHERE datname = '{DATABASE}')\\gexec
"""  # noqa: S608 (our own constants)


def _make_roles(cluster: Cluster, port: int) -> None:
    """Both of our roles and our database, unless they are there."""
    command = ["psql", "-h", "127.0.0.1", "-p", str(port), "-U", "postgres", "-d", "postgres", "-v", "ON_ERROR_STOP=1"]
    # By the environment and not as words of the command: those are for everybody on the machine to read.
    known = {"PGPASSWORD": cluster.password, PASSWORD: cluster.password, SERVING_PASSWORD: cluster.serving}
    asked = subprocess.run(
        command,
        input=_ROLES,
        text=True,
        capture_output=True,
        env={**os.environ, **known},
        check=False,
        cwd="/",
    )
    if asked.returncode:
        raise Trouble(f"The database roles could not be made: {asked.stderr.strip()[-300:]}")
