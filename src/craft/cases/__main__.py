"""`./basilwood judge FILE...`: what the engine says of judged cases."""

from __future__ import annotations

import argparse
import json
import sys
from pathlib import Path

from craft.cases.read import Malformed, read_cases
from craft.cases.run import CannotJudge, Result, run_case


def main(argv: list[str] | None = None) -> int:
    """Judge the files; 0 when all could be read, 2 when a case or file could not."""
    parser = argparse.ArgumentParser(prog="basilwood judge", description="Hold the engine against judged cases.")
    parser.add_argument("files", nargs="+", type=Path, metavar="FILE")
    parser.add_argument("--json", action="store_true", help="one object a line instead of a table")
    asked = parser.parse_args(argv)
    results: list[Result] = []
    unknown: list[str] = []
    broken: list[str] = []
    for path in asked.files:
        try:
            text = path.read_text(encoding="utf-8")
        except (OSError, UnicodeDecodeError) as error:
            broken.append(f"{path}: cannot be read: {getattr(error, 'strerror', None) or error}")
            continue
        for case in read_cases(text):
            if isinstance(case, Malformed):
                broken.append(f"{path}: {case}")
                continue
            try:
                results.append(run_case(case))
            except CannotJudge as why:
                unknown.append(f"{case.id}: {why}")
    _print(results, unknown, as_json=asked.json)
    for line in broken:
        print(f"malformed: {line}", file=sys.stderr)
    return 2 if broken else 0


def _print(results: list[Result], unknown: list[str], *, as_json: bool) -> None:
    reasoned = [result for result in results if "reason_agrees" in result]
    agree = sum(result["agrees"] for result in results)
    last = {
        "cases": len(results),
        "agree": agree,
        "agreement": round(agree / len(results), 3) if results else None,
        "reason_agreement": round(sum(r["reason_agrees"] for r in reasoned) / len(reasoned), 3) if reasoned else None,
        "not_yet_judged": len(unknown),
    }
    if as_json:
        for result in results:
            print(json.dumps(result))
        print(json.dumps(last))
        return
    for result in results:
        if not result["agrees"] or not result.get("reason_agrees", True):
            got = {key: value for key, value in result.items() if key not in ("id", "form")}
            print(f"{result['id']:36} {result['form']:11} {json.dumps(got)}")
    for line in unknown:
        print(f"not yet judged: {line}")
    print(json.dumps(last))


if __name__ == "__main__":
    sys.exit(main())
