"""Every operation and which roles may do it, as one table to read: docs/permissions.md. The policy itself is studio/policy.py."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from ninja.operation import PathView

from studio.access import Requires
from studio.api import api
from studio.policy import MAY, Right, Role

HEAD = """# Who may do what

Made from the policy (`src/studio/policy.py`) and the operations by `./basilwood types`; a test asks the server every one of these
as every role. A stylist and an apprentice reach only clients who are open to them. `●` may, `·` may not.

| Operation | Right | Owner | Stylist | Apprentice | Front desk |
|---|---|---|---|---|---|
"""


@dataclass(frozen=True)
class Operation:
    """An operation: how it is asked for, and the right it asks for; None where no studio is asked about."""

    method: str
    path: str
    right: Right | None

    def open_to(self, role: Role) -> bool:
        """Whether the role has its right."""
        return self.right is None or self.right in MAY[role]


def operations() -> Iterator[Operation]:
    """Every operation of the interface."""
    for path, view in _views():
        for operation in view.operations:
            asked = [one for one in operation.auth_callbacks if isinstance(one, Requires)]
            for method in operation.methods:
                yield Operation(method, path, asked[0].right if asked else None)


def _views() -> Iterator[tuple[str, PathView]]:
    for bound in api._get_bound_routers():
        yield from bound.path_operations.items()


def table() -> str:
    """The table, in Markdown."""
    rows = [
        f"| {one.method} {_plain(one.path)} | {one.right or 'none'} | "
        + " | ".join("●" if one.open_to(role) else "·" for role in Role)
        + " |"
        for one in sorted(operations(), key=lambda one: (_plain(one.path), one.method))
    ]
    return HEAD + "\n".join(rows) + "\n"


def _plain(path: str) -> str:
    return path.replace("uuidstr:", "").replace("uuid:", "").replace("int:", "")
