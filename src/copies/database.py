"""The database, copied and compared: one snapshot is dumped and counted while everybody works on, and what comes back is held
against it, table by table, row for row."""

from __future__ import annotations

import json
import os
import subprocess
from collections.abc import Mapping
from dataclasses import asdict, dataclass
from datetime import UTC, datetime
from pathlib import Path

import psycopg
from psycopg import sql

from copies.sealed import DUMP, MANIFEST


class NotCopied(RuntimeError):
    """A copy that was not made, or did not come back as it was; the message says what."""


@dataclass(frozen=True)
class Reach:
    """How the database is reached, as the role that owns its tables; `programs` is where PostgreSQL's own programs lie."""

    host: str
    port: str
    user: str
    password: str
    name: str
    programs: Path

    @staticmethod
    def of(env: Mapping[str, str]) -> Reach:
        """As the variables say."""
        held = {key: env.get(f"BASILWOOD_DB_{key.upper()}", "") for key in ("host", "port", "user", "password", "name")}
        return Reach(**held, programs=Path(env.get("BASILWOOD_PG_PROGRAMS", "")))

    def connect(self) -> psycopg.Connection[tuple[object, ...]]:
        """A connection."""
        return psycopg.connect(host=self.host, port=self.port, user=self.user, password=self.password, dbname=self.name)

    def run(self, program: str, *words: str) -> None:
        """One of PostgreSQL's programs. Raises NotCopied with what it said."""
        reach = ["-h", self.host, "-p", self.port, "-U", self.user, "-d", self.name, "-w"]
        ended = subprocess.run(
            [str(self.programs / program), *reach, *words],
            env={**os.environ, "PGPASSWORD": self.password},
            capture_output=True,
            text=True,
            check=False,
        )
        if ended.returncode:
            raise NotCopied(f"{program} failed: {ended.stderr.strip()[-500:]}")


@dataclass(frozen=True)
class Manifest:
    """What a copy holds: when it was taken, how many rows each table had, and a sum over all of their contents."""

    taken_at: str
    tables: dict[str, tuple[int, str]]

    @property
    def rows(self) -> int:
        """All rows together."""
        return sum(count for count, _ in self.tables.values())

    def differing(self, other: Manifest) -> list[str]:
        """Tables that are not the same in both."""
        names = self.tables.keys() | other.tables.keys()
        return sorted(name for name in names if self.tables.get(name) != other.tables.get(name))

    @staticmethod
    def read(folder: Path) -> Manifest:
        """As it lies in an opened copy."""
        told = json.loads((folder / MANIFEST).read_text(encoding="utf-8"))
        return Manifest(told["taken_at"], {name: (held[0], held[1]) for name, held in told["tables"].items()})


def counted(connection: psycopg.Connection[tuple[object, ...]]) -> Manifest:
    """Every table of the database, counted and summed. The sum does not hang on the order of the rows."""
    tables: dict[str, tuple[int, str]] = {}
    with connection.cursor() as cursor:
        cursor.execute("SELECT tablename FROM pg_tables WHERE schemaname = 'public' ORDER BY 1")
        for name in [str(row[0]) for row in cursor.fetchall()]:
            summed = sql.SQL("SELECT count(*), COALESCE(sum(hashtextextended(held::text, 0)), 0)::text FROM {} AS held")
            cursor.execute(summed.format(sql.Identifier(name)))
            row = cursor.fetchone()
            if row is not None:
                tables[name] = (int(str(row[0])), str(row[1]))
    return Manifest(datetime.now(UTC).isoformat(timespec="seconds"), tables)


def copy(reach: Reach, folder: Path) -> Manifest:
    """Dump one snapshot of the database into a folder, with what it holds. Everybody works on meanwhile."""
    with reach.connect() as connection:
        connection.isolation_level = psycopg.IsolationLevel.REPEATABLE_READ
        row = connection.execute("SELECT pg_export_snapshot()").fetchone()
        snapshot = str(row[0]) if row else ""
        manifest = counted(connection)
        reach.run("pg_dump", "--format=custom", f"--snapshot={snapshot}", f"--file={folder / DUMP}")
    (folder / MANIFEST).write_text(json.dumps(asdict(manifest)), encoding="utf-8")
    return manifest


def is_empty(reach: Reach) -> bool:
    """Whether the database has no table."""
    with reach.connect() as connection:
        return connection.execute("SELECT 1 FROM pg_tables WHERE schemaname = 'public' LIMIT 1").fetchone() is None


def bring_back(reach: Reach, folder: Path) -> Manifest:
    """Restore an opened copy into an empty database, whole or not at all, and hold every table against the original.
    Raises NotCopied."""
    if not is_empty(reach):
        raise NotCopied(f"The database {reach.name} is not empty. A copy is brought back into an empty place only.")
    reach.run("pg_restore", "--no-owner", "--exit-on-error", "--single-transaction", str(folder / DUMP))
    wanted = Manifest.read(folder)
    with reach.connect() as connection:
        differing = wanted.differing(counted(connection))
    if differing:
        raise NotCopied(f"These tables did not come back as they were: {', '.join(differing)}.")
    return wanted
