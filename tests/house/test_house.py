"""The house command: clear words for what is in the way, and repair of what was left half done."""

from __future__ import annotations

import contextlib
import os
import shutil
import socket
import subprocess
import sys
from collections.abc import Iterator
from pathlib import Path
from types import SimpleNamespace

import pytest

from house import debian, places, postgres, serve, setup, steps, supervise, testing

ROOT = Path(__file__).parents[2]


def test_a_taken_port_is_named_with_another_to_try() -> None:
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        port = taken.getsockname()[1]
        ran = subprocess.run(
            [ROOT / "basilwood", "demo", "--port", str(port)], capture_output=True, text=True, check=False, timeout=60
        )
    assert ran.returncode == 1
    assert f"Port {port} is taken" in ran.stdout and "Traceback" not in ran.stderr


def test_a_missing_tool_is_named_with_how_to_get_it(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(shutil, "which", lambda _name: None)
    with pytest.raises(steps.Trouble, match="apt-get install nodejs"):
        setup.node_packages()
    with pytest.raises(steps.Trouble, match="chromium-driver"):
        debian.ensure("Chromium", ["chromium", "chromium-driver"], present=False)


def test_no_python_that_will_do_says_so(tmp_path: Path) -> None:
    for tool in ("dirname", "sh"):
        (tmp_path / tool).symlink_to(shutil.which(tool) or "/bin/sh")
    old = tmp_path / "python3"
    old.write_text("#!/bin/sh\nexit 1\n")
    old.chmod(0o755)
    ran = subprocess.run(
        ["/bin/sh", ROOT / "basilwood", "demo"],
        env={"PATH": str(tmp_path)},
        capture_output=True,
        text=True,
        check=False,
    )
    assert ran.returncode == 1 and "Python 3.11 or newer" in ran.stderr


def test_a_full_disk_is_named(monkeypatch: pytest.MonkeyPatch, tmp_path: Path) -> None:
    monkeypatch.setattr(steps, "STAMPS", tmp_path / "none")
    monkeypatch.setattr(shutil, "disk_usage", lambda _path: shutil._ntuple_diskusage(10**9, 10**9, 10**6))  # type: ignore[attr-defined]
    with pytest.raises(steps.Trouble, match="GB left"):
        steps.check_room()


def test_a_failing_step_shows_the_end_of_its_log() -> None:
    with pytest.raises(steps.Trouble, match="oak and ash"):
        steps.run("test-step", "a step that fails", [sys.executable, "-c", "print('oak and ash'); raise SystemExit(3)"])


def test_a_half_made_cluster_is_made_again_and_never_as_root(monkeypatch: pytest.MonkeyPatch) -> None:
    whole = postgres.temporary_cluster()
    folder = whole.data.parent
    try:
        monkeypatch.setattr(postgres, "_home", lambda name: whole.data)
        (whole.data / postgres.READY).unlink()
        whole.stop()
        (whole.data / "PG_VERSION").unlink()
        repaired = postgres.own_cluster("a-made-up-word", "another")
        assert (repaired.data / postgres.READY).exists()
        port = repaired.start()
        assert repaired.start() == port == repaired.port()
        pid = int((repaired.data / "postmaster.pid").read_text().split()[0])
        assert Path(f"/proc/{pid}").stat().st_uid != 0 or os.geteuid() != 0
    finally:
        whole.stop()
        shutil.rmtree(folder)


def test_the_keys_are_made_once_and_for_the_owner_only(monkeypatch: pytest.MonkeyPatch, tmp_path: Path) -> None:
    monkeypatch.setattr(setup, "HOUSE", tmp_path)
    first = setup.keys()
    assert setup.keys() == first and len(set(first.values())) == 4
    assert (tmp_path / "keys.json").stat().st_mode & 0o077 == 0
    (tmp_path / "keys.json").write_text('{"secret_key": "cut sho')
    assert set(setup.keys()) == set(first)


def test_what_ends_is_started_again_until_that_helps_no_more() -> None:
    kept = supervise.Kept("A short one", lambda: subprocess.Popen([sys.executable, "-c", "pass"]))
    with pytest.raises(steps.Trouble, match="A short one ends again and again"):
        for _ in range(supervise.MOST_STARTS + 2):
            kept.process.wait()
            kept.look()
    assert kept.process.poll() is not None


def test_a_long_log_is_put_aside_and_written_on(tmp_path: Path) -> None:
    log = tmp_path / "server.log"
    with log.open("ab", buffering=0) as writing:
        writing.write(b"x" * (supervise.LONGEST_LOG + 1))
        (tmp_path / "short.log").write_text("short")
        supervise.shorten_logs(tmp_path)
        writing.write(b"later")
    assert log.read_bytes() == b"later" and (tmp_path / "short.log").read_text() == "short"
    assert (tmp_path / "server.log.1").stat().st_size == supervise.LONGEST_LOG + 1


def test_a_second_server_in_the_same_folder_says_where_the_first_is(
    monkeypatch: pytest.MonkeyPatch, tmp_path: Path
) -> None:
    monkeypatch.setattr(serve, "HOUSE", tmp_path)
    with serve._alone(4711), pytest.raises(steps.Trouble, match="4711"), serve._alone(4712):
        pass


def test_every_folder_of_tests_is_in_one_half() -> None:
    folders = {f"tests/{one.parent.name}" for one in (places.ROOT / "tests").glob("*/test_*.py")}
    assert folders <= {*testing.AT_THE_SCREEN, *testing.OTHERS}
    assert not set(testing.AT_THE_SCREEN) & set(testing.OTHERS)


@pytest.mark.parametrize(("ended", "whole"), [((0, 0), 0), ((0, 1), 1), ((-9, 0), 9), ((5, 0), 0), ((5, 5), 5)])
def test_the_tests_pass_where_both_halves_do(
    ended: tuple[int, int], whole: int, monkeypatch: pytest.MonkeyPatch
) -> None:
    codes = iter(reversed(ended))

    @contextlib.contextmanager
    def begun(command: list[str], told: object = None) -> Iterator[SimpleNamespace]:
        code = next(codes)
        yield SimpleNamespace(wait=lambda: code)

    monkeypatch.setattr(testing, "_set_up", lambda: None)
    monkeypatch.setattr(testing, "_begun", begun)
    assert testing.test([]) == whole
