"""Copies come back row for row or are refused, and an upgrade that fails leaves all as it was."""

from __future__ import annotations

import threading
import time
from collections.abc import Callable
from pathlib import Path

import psycopg
import pytest

from copies.__main__ import main
from copies.database import NotCopied, Reach, copy, counted
from copies.sealed import NotSealed, new_identity, seal, unseal
from house import keeping, production
from house.debian import ensure_postgres
from house.production import Place
from house.steps import Trouble
from tests.house.conftest import Env, asked, before_accounts

Make = Callable[[str], Env]


def reach(env: Env) -> Reach:
    return Reach.of({**env, "BASILWOOD_PG_PROGRAMS": str(ensure_postgres())})


@pytest.fixture
def kept(monkeypatch: pytest.MonkeyPatch, tmp_path: Path) -> Path:
    """Copies and identity of the test's own."""
    monkeypatch.setattr(keeping, "COPIES", tmp_path / "copies")
    monkeypatch.setattr(keeping, "IDENTITY", tmp_path / "copies.identity")
    monkeypatch.setattr(keeping, "ROOT", tmp_path)
    return tmp_path


def test_a_copy_taken_while_people_write_is_of_one_moment_and_comes_back(database: Make, tmp_path: Path) -> None:
    env = database("copies_from")
    before_accounts(env)
    going = threading.Event()
    written: list[int] = []

    def write() -> None:
        while not going.is_set():
            asked(env, "INSERT INTO people_studio (name, unit, schools, muted, borders, own_list, version) "
                       "VALUES ('Fresh', 'cm', '{}', '[]', '{}', '[]', 1) RETURNING id")  # fmt: skip
            written.append(1)

    writer = threading.Thread(target=write)
    writer.start()
    try:
        ends = time.monotonic() + 30
        while len(written) < 5 and time.monotonic() < ends:
            time.sleep(0.01)
        manifest = copy(reach(env), tmp_path)
    finally:
        going.set()
        writer.join()
    assert len(written) > 5
    sealed, identity = tmp_path / "studio.age", tmp_path / "identity"
    seal(tmp_path, sealed, new_identity(identity))
    assert b"Ottoline" not in sealed.read_bytes() and identity.stat().st_mode & 0o077 == 0
    (tmp_path / "into").mkdir()
    unseal(sealed, tmp_path / "into", identity)
    back = database("copies_into")
    from copies.database import bring_back

    assert bring_back(reach(back), tmp_path / "into") == manifest
    with reach(back).connect() as connection:
        assert manifest.differing(counted(connection)) == []
    # The walls came back too: the role that serves sees nobody's rows before a studio is told.
    assert asked(back, "SELECT count(*) > 20 FROM pg_policies") == [(True,)]
    with pytest.raises(NotCopied, match="not empty"):
        bring_back(reach(back), tmp_path / "into")
    asked(back, "UPDATE people_client SET note = note || '.' RETURNING id")
    with reach(back).connect() as connection:
        assert manifest.differing(counted(connection)) == ["people_client"]


def test_a_copy_that_was_touched_or_is_anothers_is_refused(database: Make, tmp_path: Path) -> None:
    env = {**database("copies_from"), "BASILWOOD_PG_PROGRAMS": str(ensure_postgres())}
    identity, other = tmp_path / "identity", tmp_path / "other"
    recipient = new_identity(identity)
    assert new_identity(identity) == recipient
    new_identity(other)
    sealed = tmp_path / "studio.age"
    with pytest.MonkeyPatch.context() as patch:
        for key, text in env.items():
            patch.setenv(key, text)
        assert "0 tables" in main("backup", sealed, recipient)
        whole = sealed.read_bytes()
        for what in (whole[:-40], whole[:400] + b"x" + whole[401:], b"no copy at all"):
            sealed.write_bytes(what)
            with pytest.raises(NotSealed):
                main("restore", sealed, str(identity))
        sealed.write_bytes(whole)
        with pytest.raises(NotSealed):
            main("restore", sealed, str(other))
    assert not list(tmp_path.glob(".copy-*")) and not list(tmp_path.glob("*.part"))


def test_a_database_of_the_version_before_is_upgraded_with_all_that_it_held(database: Make, kept: Path) -> None:
    env = database("upgraded")
    before_accounts(env)
    count = "SELECT count(*) FROM {}"
    tables = ["people_client", "bodies_reading", "rack_rackpiece", "looks_look", "diary_appointment", "records_erasure"]
    before = {table: asked(env, count.format(table)) for table in tables}
    members = asked(env, "SELECT id, email, password FROM people_member ORDER BY id")
    assert production.pending(env)
    keeping.upgraded(Place(env, None))
    assert not production.pending(env)
    assert {table: asked(env, count.format(table)) for table in tables} == before
    joined = (
        "SELECT m.id, a.email, a.password FROM people_member m JOIN members_account a ON a.id = m.account_id ORDER BY 1"
    )
    assert asked(env, joined) == members
    assert asked(env, 'SELECT count(*) FROM account_emailaddress WHERE verified AND "primary"') == [(len(members),)]
    owners = "SELECT count(DISTINCT studio_id), count(*) FROM people_member WHERE role = 'owner'"
    studios = asked(env, "SELECT count(DISTINCT studio_id) FROM people_member")[0][0]
    assert asked(env, owners) == [(studios, studios)]
    assert asked(env, "SELECT count(DISTINCT subject) = count(*) FROM people_client") == [(True,)]
    assert asked(env, "SELECT count(*) FROM pg_tables WHERE tablename LIKE 'axes%'") == [(0,)]
    assert len(list((kept / "copies").glob("before-upgrade-*.age"))) == 1


def test_an_upgrade_waits_until_no_server_of_the_studio_runs_anywhere(database: Make) -> None:
    env = database("served_elsewhere")
    before_accounts(env)
    role = {"user": env["BASILWOOD_DB_SERVE_USER"], "password": env["BASILWOOD_DB_SERVE_PASSWORD"]}
    at = {"host": env["BASILWOOD_DB_HOST"], "port": env["BASILWOOD_DB_PORT"], "dbname": env["BASILWOOD_DB_NAME"]}
    with psycopg.connect(**at, **role), pytest.raises(Trouble, match="stop all of them"):
        keeping.no_server(Place(env, None))
    keeping.no_server(Place(env, None))


def test_an_upgrade_that_fails_leaves_everything_as_it_was(database: Make, kept: Path) -> None:
    # Other copies are for somebody elsewhere; this one has to be opened here.
    elsewhere = new_identity(kept / "elsewhere")
    env = {**database("failing"), "BASILWOOD_COPIES_FOR": elsewhere}
    before_accounts(env)
    # Somebody's own change stands in the way of ours: the changes before it are made already when it is met.
    asked(env, "CREATE TABLE audit_entry AS SELECT 1 AS id")
    with reach(env).connect() as connection:
        before = counted(connection)
    with pytest.raises(Trouble, match="everything is as it was before"):
        keeping.upgraded(Place(env, None))
    with reach(env).connect() as connection:
        assert before.differing(counted(connection)) == []
    assert asked({**env, "BASILWOOD_DB_NAME": "failing_failed"}, "SELECT count(*) FROM members_account")[0][0]
