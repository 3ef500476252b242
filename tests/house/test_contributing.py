"""CONTRIBUTING.md is true: one of each is added to a copy of the house, in the files that it lists and no others."""

from __future__ import annotations

import os
import re
import shutil
import subprocess
import sys
from pathlib import Path

import pytest

ROOT = Path(__file__).parents[2]
GUIDE = (ROOT / "CONTRIBUTING.md").read_text()

RULE = '''

@rule("feet.trial", about="shoes", looks_at=("shoes",){schools})
def trial(outfit: Outfit, aims: Aims) -> Iterator[Remark]:
    """A heel on trial."""
    if outfit.shoes.piece is not None and outfit.shoes.heel > 1{asks}:
        yield pro(0.1, "trial", ("foot", 1.0), "On trial", "It is on trial.", Figure("heel", outfit.shoes.heel, 1.0))
'''
JUDGED = """
from craft.body import Body, Measures
from craft.judge import RULES, judge
from craft.look import Look, compose
from craft.schools import Schools
body = Body.of(Measures.of({"stature": 168}))
def said(pieces, **schools):
    outfit = compose(body, Look.of(pieces), Schools.of(schools))
    return [finding.rule for finding in judge(outfit).findings]
"""

#: What is added: its section, what is put before which text in which file, and what then holds.
ADDED = {
    "A kind": (
        [
            (
                "src/craft/cloth/kinds.py",
                '    Kind("duster", ',
                '    Kind("shrug", "layer", "shoulder", _TRUNK, hem="hip", sleeve="none", colour="navy",'
                " formality=2.2, clo=(0.3, 0.4)),\n",
            )
        ],
        JUDGED
        + """
from craft.cloth.quick import read_line
from craft.draw import draw_look
assert read_line("navy shrug").kind == "shrug"
outfit = compose(body, Look.of([{"is": "jeans"}, {"is": "tee"}, {"is": "shrug"}]))
assert any(edge.slot == "layer" for edge in outfit.edges)
assert any(shape.slot == "layer" for shape in draw_look(outfit))
assert judge(outfit).verdict
""",
    ),
    "A word": (
        [
            ("src/craft/cloth/words.py", '    *("bootcut", ', '    *("tapered",),\n'),
            (
                "src/craft/wear/cuts.py",
                '    "girlfriend": CutRow(',
                '    "tapered": CutRow(9.0, 6.0, -1.0, False, 0.6, "ankle"),\n',
            ),
        ],
        JUDGED
        + """
jeans, slim = (compose(body, Look.of([{"is": "jeans", "cut": cut}])).bottom for cut in ("tapered", "slim"))
assert jeans.cut == "tapered" and jeans.volume > slim.volume
""",
    ),
    "A rule": (
        [("src/craft/judge/feet.py", "", RULE.format(schools="", asks=""))],
        JUDGED
        + """
assert "feet.trial" in {rule.id for rule in RULES}
assert "feet.trial" in said([{"is": "pumps"}]) and "feet.trial" not in said([{"is": "flats"}])
""",
    ),
    "A school": (
        [
            ("src/craft/schools.py", '    "rules_weight": ("guide"', '    "heels": ("wear", "leave"),\n'),
            (
                "src/craft/schools.py",
                '    "rules_weight": (\n',
                '    "heels": ("Heels?", {"wear": "Wear them.", "leave": "Leave them."}),\n',
            ),
            (
                "src/craft/judge/feet.py",
                "",
                RULE.format(schools=', schools=("heels",)', asks=' and outfit.schools.position("heels") == "wear"'),
            ),
        ],
        JUDGED
        + """
assert "feet.trial" in said([{"is": "pumps"}]) and "feet.trial" not in said([{"is": "pumps"}], heels="leave")
""",
    ),
    "An endpoint": (
        [
            (
                "src/studio/charts/api.py",
                "",
                '\n\n@router.get("/charts/count", response=int)\n'
                "def count(request: MemberRequest) -> Any:\n"
                '    """How many charts the studio has."""\n'
                "    return len(services.listed(request.user))\n",
            )
        ],
        """
import json
from studio.openapi import document
assert "/api/charts/count" in json.loads(document())["paths"]
""",
    ),
}


def _listed(section: str) -> set[str]:
    """The files that a section says are touched."""
    text = GUIDE.split(f"## {section}\n")[1].split("\n## ")[0]
    return set(re.findall(r"^- `([^`]+)`", text, re.MULTILINE))


def _insert(path: Path, before: str, text: str) -> None:
    was = path.read_text()
    if before:
        assert was.count(before) == 1, f"{path.name} has {was.count(before)} of {before!r}"
    path.write_text(was.replace(before, text + before) if before else was + text)


def test_every_file_that_the_guide_names_is_there() -> None:
    named = re.findall(r"`((?:src|web|tests|docs)/[^`]*)`", GUIDE)
    assert len(named) > 20
    assert [name for name in named if not (ROOT / name).exists()] == []


@pytest.mark.parametrize("section", ADDED)
def test_one_is_added_in_the_files_that_the_guide_lists(section: str, tmp_path: Path) -> None:
    edits, holds = ADDED[section]
    assert {path for path, _, _ in edits} <= _listed(section)
    shutil.copytree(ROOT / "src", tmp_path / "src", ignore=shutil.ignore_patterns("__pycache__"))
    for path, before, text in edits:
        _insert(tmp_path / path, before, text)
    env = {**os.environ, "PYTHONPATH": "src", "DJANGO_SETTINGS_MODULE": "studio.settings"}
    ran = subprocess.run(
        [sys.executable, "-c", holds], cwd=tmp_path, env=env, capture_output=True, text=True, check=False
    )
    assert ran.returncode == 0, ran.stderr[-2000:]


def test_a_step_is_added_to_the_screen(tmp_path: Path) -> None:
    steps, screen = "web/src/lib/client/steps.ts", "web/src/lib/client/Screen.svelte"
    assert {steps, screen} <= _listed("A screen")
    skip = shutil.ignore_patterns("node_modules", "build", ".svelte-kit")
    shutil.copytree(ROOT / "web", tmp_path / "web", ignore=skip)
    (tmp_path / "web" / "node_modules").symlink_to(ROOT / "web" / "node_modules")
    check = ["npm", "--prefix", str(tmp_path / "web"), "run", "check"]
    _insert(tmp_path / screen, '  {:else if step === "shop"}', '  {:else if step === "week"}\n    <p>The week</p>\n')
    _insert(tmp_path / steps, '  ["shop", "Shop"],', '  ["week", "Week"],\n')
    ran = subprocess.run(check, capture_output=True, text=True, check=False)
    assert ran.returncode == 0, ran.stdout[-2000:]
