"""Paper and screen are painted by two hands: what they hold in numbers is the same."""

from __future__ import annotations

import re

from craft.draw.svg import DARKENS, FADE, LIGHTS, LINE
from house.places import ROOT

PAINT = ROOT / "web" / "src" / "lib" / "figure"
_STOP = re.compile(r'\[([\d.]+), "(#\w+)", ([\d.]+)\]')


def _stops(text: str) -> list[tuple[float, str, float]]:
    return [(float(at), colour, float(much)) for at, colour, much in _STOP.findall(text)]


def test_both_painters_take_the_light_alike() -> None:
    text = (PAINT / "paint.ts").read_text()
    for light, stops in LIGHTS.items():
        (held,) = re.findall(rf"\n  {light}: \[(.*?)\n  \],", text, re.DOTALL)
        assert _stops(held) == list(stops)
    assert [(at, much) for at, _, much in _stops(text[text.index("export const FADE") :])] == list(FADE)


def test_both_painters_draw_lines_as_broad() -> None:
    text = (PAINT / "Paint.svelte").read_text()
    (held,) = re.findall(r"const LINE = \{(.*?)\}", text, re.DOTALL)
    widths = {name: float(wide) for name, wide in re.findall(r"(\w+): ([\d.]+)", held)}
    assert widths == {role: wide for role, (_, wide, _, _) in LINE.items()}
    assert f'opacity="{DARKENS["fold"]}"' in text
