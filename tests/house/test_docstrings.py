"""Whoever comes to the craft finds what each public thing means beside it."""

from __future__ import annotations

import ast
from collections.abc import Iterator
from pathlib import Path

CRAFT = Path(__file__).parents[2] / "src" / "craft"


def _silent(node: ast.Module | ast.ClassDef, before: str) -> Iterator[str]:
    for one in node.body:
        if not isinstance(one, ast.FunctionDef | ast.ClassDef) or one.name.startswith("_"):
            continue
        name = f"{before}.{one.name}"
        if ast.get_docstring(one) is None:
            yield name
        if isinstance(one, ast.ClassDef):
            yield from _silent(one, name)


def test_everything_public_in_the_craft_says_what_it_means() -> None:
    files = sorted(CRAFT.rglob("*.py"))
    assert len(files) > 50
    assert [name for path in files for name in _silent(ast.parse(path.read_text()), path.stem)] == []
