"""Programs from Debian's packages: found, or installed where we may, or named exactly."""

from __future__ import annotations

import ctypes
import os
import shutil
from pathlib import Path

from house.steps import Trouble, run

_refreshed = False


def ensure(what: str, packages: list[str], present: bool) -> None:
    """Install packages unless what they bring is there already."""
    if present:
        return
    wanted = " ".join(packages)
    if shutil.which("apt-get") is None:
        raise Trouble(f"{what} is missing. Install it; on Debian its packages are: {wanted}")
    prefix = _as_root(what, wanted)
    global _refreshed
    quiet = {"DEBIAN_FRONTEND": "noninteractive"}
    if not _refreshed:
        run("apt-update", "asking Debian for its list of packages", [*prefix, "apt-get", "update", "-q"], env=quiet)
        _refreshed = True
    command = [*prefix, "apt-get", "install", "-y", "-q", "--no-install-recommends", *packages]
    run(f"apt-{packages[0]}", f"installing {what} from Debian's packages", command, env=quiet)


def _as_root(what: str, wanted: str) -> list[str]:
    if os.geteuid() == 0:
        return []
    if shutil.which("sudo"):
        return ["sudo", "-n"]
    raise Trouble(f"{what} is missing. Ask whoever runs this machine to do: apt-get install {wanted}")


def postgres_programs() -> Path | None:
    """The folder of initdb and pg_ctl, newest version first."""
    found = sorted(Path("/usr/lib/postgresql").glob("*/bin/initdb"), key=lambda path: -int(path.parts[-3]))
    new_enough = [path.parent for path in found if int(path.parts[-3]) >= 15]
    return new_enough[0] if new_enough else None


def ensure_postgres() -> Path:
    ensure("PostgreSQL", ["postgresql"], postgres_programs() is not None)
    programs = postgres_programs()
    if programs is None:
        raise Trouble("PostgreSQL 15 or newer is needed; Debian 12 and later have it as: postgresql")
    return programs


def ensure_typesetting() -> None:
    """The libraries that lay out the printed sheets."""
    packages = ["libpango-1.0-0", "libpangoft2-1.0-0", "libharfbuzz-subset0"]
    ensure("Pango", packages, all(_loads(name) for name in ("libpango-1.0.so.0", "libpangoft2-1.0.so.0")))


def _loads(library: str) -> bool:
    try:
        ctypes.CDLL(library)
    except OSError:
        return False
    return True


def ensure_browser() -> None:
    there = all(shutil.which(program) for program in ("chromium", "chromedriver"))
    ensure("Chromium and ChromeDriver", ["chromium", "chromium-driver"], there)


def ensure_proxy() -> None:
    """The proxy that the tests put in front, and what makes its certificate."""
    there = all(shutil.which(program) for program in ("nginx", "openssl"))
    ensure("nginx", ["nginx-light", "openssl"], there)
