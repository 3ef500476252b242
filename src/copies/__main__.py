"""What `./basilwood backup`, `restore` and `check` run where the packages are. The database is told by variables
(BASILWOOD_DB_...), PostgreSQL's programs by BASILWOOD_PG_PROGRAMS.

    python -m copies backup FILE RECIPIENT
    python -m copies restore FILE IDENTITY
    python -m copies identity IDENTITY
"""

from __future__ import annotations

import os
import sys
import tempfile
from pathlib import Path

import psycopg

from copies.database import Manifest, NotCopied, Reach, bring_back, copy
from copies.sealed import NotSealed, new_identity, seal, unseal


def _said(manifest: Manifest) -> str:
    return f"{len(manifest.tables)} tables, {manifest.rows:,} rows, as of {manifest.taken_at}"


def main(word: str, path: Path, key: str = "") -> str:
    """Do it; what is to be said of it."""
    if word == "identity":
        return new_identity(path)
    with tempfile.TemporaryDirectory(dir=path.parent, prefix=".copy-") as folder:
        if word == "backup":
            manifest = copy(Reach.of(os.environ), Path(folder))
            seal(Path(folder), path, key)
            return _said(manifest)
        unseal(path, Path(folder), Path(key))
        return _said(bring_back(Reach.of(os.environ), Path(folder)))


if __name__ == "__main__":
    try:
        print(main(sys.argv[1], Path(sys.argv[2]).absolute(), *sys.argv[3:4]))
    except (NotSealed, NotCopied, psycopg.Error, OSError) as error:
        print(str(error), file=sys.stderr)
        sys.exit(1)
