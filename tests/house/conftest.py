"""Databases of the tests' own on the test cluster, and what runs on them."""

from __future__ import annotations

import os
import subprocess
from collections.abc import Callable, Iterator

import psycopg
import pytest

from house import setup
from house.debian import ensure_postgres
from house.places import ROOT

#: What a database of the version before accounts held: the demo, and a row at least in every table.
BEFORE = ROOT / "tests" / "house" / "before-accounts.dump"
Env = dict[str, str]


def admin(*statements: str) -> None:
    held = {key: os.environ[f"BASILWOOD_DB_{key.upper()}"] for key in ("host", "port", "user", "password")}
    with psycopg.connect(dbname="postgres", autocommit=True, **held) as link:
        for statement in statements:
            link.execute(statement)  # type: ignore[arg-type]


def asked(env: Env, question: str) -> list[tuple[object, ...]]:
    """What a database answers, as the role that owns its tables."""
    held = {key: env[f"BASILWOOD_DB_{key.upper()}"] for key in ("host", "port", "user", "password")}
    with psycopg.connect(dbname=env["BASILWOOD_DB_NAME"], autocommit=True, **held) as link:
        answer = link.execute(question)  # type: ignore[arg-type]
        return answer.fetchall() if answer.description else []


def before_accounts(env: Env) -> None:
    """Bring the database of the version before accounts back into an empty one."""
    reach = ["-h", env["BASILWOOD_DB_HOST"], "-p", env["BASILWOOD_DB_PORT"], "-U", env["BASILWOOD_DB_USER"]]
    words = ["-d", env["BASILWOOD_DB_NAME"], "--no-owner", "--exit-on-error", str(BEFORE)]
    program = str(ensure_postgres() / "pg_restore")
    known = {**os.environ, "PGPASSWORD": env["BASILWOOD_DB_PASSWORD"]}
    subprocess.run([program, *reach, *words], env=known, check=True, capture_output=True)


@pytest.fixture
def database() -> Iterator[Callable[[str], Env]]:
    """Makes an empty database of that name; all are taken away afterwards."""
    made: list[str] = []

    def make(name: str) -> Env:
        admin(f"DROP DATABASE IF EXISTS {name}", f"CREATE DATABASE {name}")
        made.append(name)
        held = {key: text for key, text in os.environ.items() if key.startswith("BASILWOOD_")}
        return {**held, **setup.SETTINGS, "BASILWOOD_DB_NAME": name}

    yield make
    for name in made:
        for one in (name, f"{name}_failed", f"{name}_before"):
            admin(f"DROP DATABASE IF EXISTS {one} WITH (FORCE)")
