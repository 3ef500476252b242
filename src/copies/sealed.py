"""The sealed file: an age file (age-encryption.org/v1) around a tar of what the copy holds and the database's own dump.

Only whoever has the identity opens it; the machine that makes copies needs the recipient alone. Both are age's own, so that a copy
can be opened without this program: `age -d -i IDENTITY FILE | tar x`.
"""

from __future__ import annotations

import os
import tarfile
import tempfile
import threading
from pathlib import Path

import pyrage

#: What lies in the tar.
MANIFEST, DUMP = "manifest.json", "database.dump"


class NotSealed(ValueError):
    """A file that is no sealed copy, is not whole, or is not opened by this identity."""


def new_identity(path: Path) -> str:
    """Make an identity in a file that its owner alone reads; its recipient. One that is there already is kept."""
    if not path.exists():
        path.parent.mkdir(parents=True, exist_ok=True)
        made = pyrage.x25519.Identity.generate()
        with os.fdopen(os.open(path, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600), "w") as file:
            file.write(f"# recipient: {made.to_public()}\n{made}\n")
    return str(_identity(path).to_public())


def _identity(path: Path) -> pyrage.x25519.Identity:
    lines = [line.strip() for line in path.read_text(encoding="utf-8").splitlines()]
    for line in lines:
        if line.startswith("AGE-SECRET-KEY-"):
            return pyrage.x25519.Identity.from_str(line)
    raise NotSealed(f"{path.name} holds no identity.")


def seal(folder: Path, into: Path, recipient: str) -> None:
    """Seal a folder's manifest and dump into a file, which is there whole or not at all."""
    part = into.with_name(f"{into.name}.part")
    reading, writing = os.pipe()

    def pack() -> None:
        with os.fdopen(writing, "wb") as out, tarfile.open(fileobj=out, mode="w|") as tar:
            for name in (MANIFEST, DUMP):
                tar.add(folder / name, arcname=name)

    packer = threading.Thread(target=pack, daemon=True)
    packer.start()
    with os.fdopen(reading, "rb") as packed, part.open("wb") as sealed:
        part.chmod(0o600)
        pyrage.encrypt_io(packed, sealed, [pyrage.x25519.Recipient.from_str(recipient)])
        sealed.flush()
        os.fsync(sealed.fileno())
    packer.join()
    part.replace(into)


def unseal(sealed: Path, into: Path, identity: Path) -> None:
    """Open a sealed file into a folder. Raises NotSealed, and then nothing of it is trusted."""
    with tempfile.NamedTemporaryFile(dir=into) as packed:
        try:
            with sealed.open("rb") as file:
                pyrage.decrypt_io(file, packed, [_identity(identity)])
        except (pyrage.DecryptError, OSError) as error:
            raise NotSealed(f"{sealed.name} cannot be opened: {error}") from error
        packed.seek(0)
        try:
            with tarfile.open(fileobj=packed, mode="r:") as tar:
                for name in (MANIFEST, DUMP):
                    tar.extract(name, into, filter="data")
        except (tarfile.TarError, KeyError) as error:
            raise NotSealed(f"{sealed.name} holds no copy: {error}") from error
