"""`./basilwood outfits FILE`: every look of a wardrobe, best first, with how many work and with which pieces.

FILE is judged wardrobes (YAML, docs/judged-cases.md) or a client file (docs/client-file.schema.json). A line a look, a line a
piece and a last line a wardrobe, each a JSON object.
"""

from __future__ import annotations

import argparse
import json
import sys
import time
from collections.abc import Iterator
from dataclasses import dataclass, replace
from pathlib import Path
from typing import Any

from craft.body import Body, Measures
from craft.cases.people import aims_of, body_of
from craft.cases.read import Malformed, read_cases
from craft.cases.wardrobes import days_of, rack_of
from craft.cloth import Piece
from craft.errors import InvalidInput
from craft.formats.client_file import ClientFile, read_file
from craft.judge import Aims
from craft.judge.finding import Finding
from craft.schools import Schools
from craft.search.crew import Asked
from craft.search.search import FoundLook, Search, one_by_one
from craft.search.wardrobe import wardrobe_of
from craft.search.ways import Owned

#: What a piece that is not in use is away for.
AWAY = {"lent": "Lent", "at_the_tailor": "At the tailor", "to_let_go": "To let go"}


@dataclass(frozen=True)
class _Told:
    """One wardrobe of a file: whose, what hangs there, and how it is judged."""

    name: str
    asked: Asked
    owned: tuple[Owned, ...]


def main(argv: list[str] | None = None) -> int:
    """Search the wardrobes of a file; 0 when it could be read, 2 when it or one of its cases could not."""
    parser = argparse.ArgumentParser(prog="basilwood outfits", description="Every look that a wardrobe can make.")
    parser.add_argument("file", type=Path, metavar="FILE", help="judged wardrobes (YAML) or a client file (JSON)")
    parser.add_argument("--top", type=int, default=10, metavar="N", help="so many of the best looks (10)")
    parser.add_argument("--one-by-one", action="store_true", help="judge each look by itself: slow, and the same")
    parser.add_argument("--json", action="store_true", help="JSON lines (they are so in any case, with names without)")
    asked = parser.parse_args(argv)
    try:
        text = asked.file.read_text(encoding="utf-8")
        told = list(_read(text))
    except (OSError, UnicodeDecodeError, InvalidInput) as error:
        print(f"{asked.file}: cannot be read: {getattr(error, 'strerror', None) or error}", file=sys.stderr)
        return 2
    broken = False
    for one in told:
        if isinstance(one, Malformed):
            print(f"malformed: {asked.file}: {one}", file=sys.stderr)
            broken = True
            continue
        if not asked.json and len(told) > 1:
            print(f"# {one.name}")
        for line in search(one, asked.top, alone=asked.one_by_one):
            print(json.dumps(line, ensure_ascii=False), flush=True)
    return 2 if broken else 0


def search(one: _Told, top: int, *, alone: bool) -> Iterator[dict[str, Any]]:
    """The lines of one wardrobe: looks, pieces, and the whole."""
    began = time.perf_counter()
    wardrobe = wardrobe_of(one.asked.body, one.owned, one.asked.schools)
    if alone:
        looks, counts = one_by_one(one.asked, wardrobe, top)
    else:
        found = Search(one.asked, wardrobe)
        looks, counts = found.best(top), found.counts()
    seconds = time.perf_counter() - began
    for rank, look in enumerate(looks, start=1):
        yield {"rank": rank, **_look(look, one.asked)}
    for owned in one.owned:
        line: dict[str, Any] = {
            "piece": owned.key,
            "looks": counts.looks_of[owned.key],
            "works": counts.works_of[owned.key],
        }
        if owned.key in wardrobe.out:
            line["stays_out"] = wardrobe.out[owned.key]
        yield line
    last: dict[str, Any] = {"looks": counts.looks, "works": counts.works, "seconds": round(seconds, 3)}
    if wardrobe.breadth.left_out:
        last["left_out"] = list(wardrobe.breadth.left_out)
    yield last


def _look(look: FoundLook, asked: Asked) -> dict[str, Any]:
    judged = look.judged(asked)
    return {
        "score": round(look.score, 4),
        "verdict": look.verdict,
        "pieces": list(look.keys),
        "worn": look.worn,
        "reasons": [_reason(finding) for finding in judged.leading],
    }


def _reason(finding: Finding) -> dict[str, Any]:
    return {"code": finding.code, "stance": finding.stance, "title": finding.title, "text": finding.text.say()}


def _read(text: str) -> Iterator[_Told | Malformed]:
    if text.lstrip().startswith("{"):
        yield _of_client(read_file(text))
        return
    for case in read_cases(text):
        if isinstance(case, Malformed):
            yield case
        elif case.form == "wardrobe":
            day = days_of(case.body.get("week", []))[0]
            aims = replace(aims_of(case.client), setting=day.setting)
            owned = tuple(Owned(key, piece) for key, piece in rack_of(case.body["rack"]).items())
            yield _Told(case.id, Asked(body_of(case.client), case.school, aims), owned)


def _of_client(file: ClientFile) -> _Told:
    """The wardrobe of a client file. The newest reading of each measure counts; pieces are called by name and number."""
    taken: dict[str, float] = {}
    for session in sorted(file.sessions, key=lambda one: one.started_at):
        for reading in session.readings:
            if not (reading.withdrawn or reading.set_aside):
                taken[reading.measure] = reading.cm
    body = Body.of(Measures.of(taken or {"stature": 165.0}, file.brief.build))
    colouring = file.brief.colouring.model_dump(exclude={"clarity"})
    aims = Aims.of(file.aims.model_dump(), colouring)
    owned = []
    for number, one in enumerate(file.rack, start=1):
        piece = Piece.of(one.piece)
        away = AWAY.get(one.facts.state, "")
        owned.append(Owned(f"{number} {one.name or piece.name}", piece, away))
    return _Told(file.name, Asked(body, Schools.of(file.ways.schools, file.ways.muted), aims), tuple(owned))


if __name__ == "__main__":
    sys.exit(main())
