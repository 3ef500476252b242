"""The steps of setting up, each skipped when nothing it depends on changed."""

from __future__ import annotations

import json
import os
import re
import secrets
import shutil
import subprocess
import sys
from collections.abc import Iterator, Mapping
from pathlib import Path

from house import debian
from house.places import HOUSE, PYTHON, ROOT, SRC, VENV, WEB
from house.steps import Trouble, done, fingerprint, is_done, run

NODE_AT_LEAST = 20
SETTINGS = {"DJANGO_SETTINGS_MODULE": "studio.settings", "PYTHONPATH": str(SRC)}


def keys() -> dict[str, str]:
    """Secrets of this machine, made once: the signing key, the passwords of the database's two roles and of the demo."""
    path = HOUSE / "keys.json"
    HOUSE.mkdir(exist_ok=True)
    try:
        held: dict[str, str] = json.loads(path.read_text())
    except (FileNotFoundError, json.JSONDecodeError):
        held = {}
    wanted = {"secret_key": 50, "database": 24, "serving": 24, "demo": 9}
    missing = {name: secrets.token_urlsafe(size) for name, size in wanted.items() if name not in held}
    if missing:
        held |= missing
        with os.fdopen(os.open(path, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600), "w") as file:
            json.dump(held, file)
    return held


def python_packages(*, tests: bool = False) -> None:
    """A local environment with the hash-locked packages, and what they need of Debian's."""
    debian.ensure_typesetting()
    name = "requirements-test" if tests else "requirements"
    lock = ROOT / f"{name}.txt"
    mark = fingerprint([lock], sys.version)
    works = PYTHON.exists() and subprocess.run([PYTHON, "-c", "pass"], check=False).returncode == 0
    if works and is_done(name, mark):
        return
    if not works or not is_done("venv", sys.version):
        have = (
            subprocess.run([sys.executable, "-c", "import ensurepip"], check=False, capture_output=True).returncode == 0
        )
        debian.ensure("Python's venv module", ["python3-venv"], have)
        run("venv", "making a local Python environment", [sys.executable, "-m", "venv", "--clear", VENV])
        done("venv", sys.version)
    words: list[str | Path] = ["install", "--disable-pip-version-check", "--require-hashes", "-r", lock]
    run(name, "installing the Python packages (hash-locked)", [PYTHON, "-m", "pip", *words])
    done(name, mark)


def _node() -> str:
    node, npm = shutil.which("node"), shutil.which("npm")
    how = "On Debian 13 and later: apt-get install nodejs npm. Else install Node.js 20 or newer and put it on the PATH."
    if not node or not npm:
        raise Trouble(f"Node.js and npm are missing. {how}")
    version = subprocess.run([node, "--version"], capture_output=True, text=True, check=False).stdout.strip()
    found = re.match(r"v(\d+)", version)
    if not found or int(found[1]) < NODE_AT_LEAST:
        raise Trouble(f"Node.js is {version or 'unknown'}; {NODE_AT_LEAST} or newer is needed. {how}")
    return version


def _web_sources() -> Iterator[Path]:
    skip = {"node_modules", "build", ".svelte-kit", "tests"}
    for path in WEB.rglob("*"):
        if path.is_file() and not skip & set(path.relative_to(WEB).parts):
            yield path


def node_packages() -> None:
    """The front end's packages, exactly as locked."""
    version = _node()
    mark = fingerprint([WEB / "package-lock.json", WEB / "package.json"], version)
    if not is_done("npm", mark) or not (WEB / "node_modules").is_dir():
        run("npm", "installing the front end's packages", ["npm", "ci", "--no-audit", "--no-fund"], cwd=WEB)
        done("npm", mark)


def front_end() -> None:
    """Packages and build of the front end."""
    node_packages()
    mark = fingerprint(_web_sources())
    if not is_done("web", mark) or not (WEB / "build" / "index.html").is_file():
        run("web", "building the front end", ["npm", "run", "build"], cwd=WEB)
        done("web", mark)


def front_end_types() -> None:
    """Make the front end's types anew from the interface's own document."""
    python_packages()
    node_packages()
    document = HOUSE / "openapi.json"
    env = environment({})
    run("openapi", "asking the interface for its document", [PYTHON, "-m", "studio.openapi", document], env=env)
    file_schema = ROOT / "docs" / "client-file.schema.json"
    run(
        "schema",
        "publishing the client file’s schema",
        [PYTHON, "-m", "studio.openapi", "--file", file_schema],
        env=env,
    )
    table = ROOT / "docs" / "permissions.md"
    words: list[str | Path] = [PYTHON, "-m", "studio.openapi", "--permissions", table]
    run("permissions", "writing down who may do what", words, env=env)
    target = WEB / "src" / "lib" / "api" / "schema.d.ts"
    run("types", "making the front end's types", ["npx", "openapi-typescript", document, "-o", target], cwd=WEB)


def environment(database: Mapping[str, str]) -> dict[str, str]:
    """What Django needs in its environment."""
    return {**SETTINGS, **database, "BASILWOOD_SECRET_KEY": keys()["secret_key"]}


def migrated(env: Mapping[str, str], where: Path) -> None:
    """Bring the database's tables up to date."""
    mark = fingerprint(SRC.glob("studio/*/migrations/*.py"), (ROOT / "requirements.txt").read_text())
    if not is_done("basilwood.migrated", mark, where):
        run("migrate", "bringing the database up to date", [PYTHON, "-m", "django", "migrate", "-v", "1"], env=env)
        done("basilwood.migrated", mark, where)


def demo_data(env: Mapping[str, str], where: Path) -> None:
    """Load the demo's studio once; what is done in it afterwards stays."""
    if not is_done("basilwood.demo", "1", where):
        run(
            "demo",
            "loading the demo studio",
            [PYTHON, "-m", "django", "load_demo"],
            env={**env, "BASILWOOD_DEMO_PASSWORD": keys()["demo"]},
        )
        done("basilwood.demo", "1", where)
