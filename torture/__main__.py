"""Torture a server and print what became of the work; ends with 1 where anything was lost, half or broken."""

from __future__ import annotations

import argparse
import sys

from torture import hostile, kills
from torture.victim import victim


def main() -> int:
    parser = argparse.ArgumentParser(prog="./basilwood torture", description=__doc__)
    parser.add_argument(
        "--kills", type=int, default=30, help="how often a worker, the master or the database is killed"
    )
    asked = parser.parse_args()
    with victim() as held:
        waited = hostile.half_sent(held)
        print(f"{hostile.HALF_SENT} half-sent requests: an honest one took {waited * 1000:.0f} ms at most", flush=True)
        flood = hostile.pictures(held)
        taken = (flood.most - flood.before) / 1e6
        left = (flood.after - flood.before) / 1e6
        answers = ", ".join(f"{flood.answers.count(code)} x {code}" for code in sorted(set(flood.answers)))
        print(
            f"{hostile.PICTURES} huge pictures at once: {taken:.0f} MB at most, {left:.0f} MB kept; {answers}",
            flush=True,
        )
        found = kills.storm(held, asked.kills)
    told = ", ".join(f"{part} {count}" for part, count in found.kills.items())
    print(f"kills: {told}; {found.writes} acknowledged writes; asked again {found.asked_again} times")
    for part, times in found.away.items():
        if times:
            print(
                f"  after a killed {part} answered again within {max(times):.1f} s (median {sorted(times)[len(times) // 2]:.1f})"
            )
    for name in ("lost", "doubled", "half", "broken"):
        held_rows = getattr(found, name)
        print(f"  {name}: {len(held_rows)}{' ' + str(held_rows[:4]) if held_rows else ''}")
    return 0 if found.whole and waited < 1 else 1


if __name__ == "__main__":
    sys.exit(main())
