"""Every rule tabulated over what it declares, for all looks of a demo rack; and none may differ from judging by itself."""

from __future__ import annotations

import random
import time

import numpy as np

from craft.body import Body, Measures
from craft.cloth import Piece
from craft.judge import Aims, judge
from craft.look import compose
from craft.search import Rack, tabulate

#: Looks judged one by one and compared.
COMPARED = 2000
#: The rack, in words as quick entry hears them: 12 x 12 x 9 x 14 x 4 looks.
WORN: dict[str, tuple[str, ...]] = {
    "bottom": (
        *("slim jeans, dark denim, ankle", "straight jeans, high rise, mid blue", "skinny jeans, black"),
        *("wide trousers, navy", "slim trousers, charcoal", "straight trousers, olive", "flare jeans, dark denim"),
        *("leggings, black", "a line skirt, knee, navy", "slip skirt, lower calf, satin, olive"),
        *("pencil skirt, below knee, black", "shorts, navy"),
    ),
    "top": (
        *("white tee, full tuck", "relaxed white shirt, front tuck", "oversized cream knit", "black tank, full tuck"),
        *("cream blouse, v neck", "tight black tee", "grey sweatshirt", "navy tee, horizontal stripe, half tuck"),
        *(
            "burgundy knit, chunky, side tuck",
            "camisole, satin, full tuck",
            "black knit, polo neck",
            "camel knit, boxy, front tuck",
        ),
    ),
    "layer": (
        *("", "navy blazer, open", "camel coat, knee, open", "denim jacket, cropped", "grey cardigan, longline, open"),
        *("black blazer, oversized, seat", "cream duster, open", "navy gilet", "camel coat, skimming, knee"),
    ),
    "shoes": (
        *(
            "white trainers",
            "black loafers",
            "brown loafers, pointed",
            "nude pumps, kitten heel",
            "black pumps, high heel",
        ),
        *("black ankle boots, chunky", "brown ankle boots, close shaft", "black tall boots, slim shaft", "navy flats"),
        *(
            "brown sandals",
            "white trainers, chunky",
            "burgundy slingbacks",
            "camel mules",
            "black sock boots, close shaft",
        ),
    ),
    "belt": ("", "thin brown belt", "wide black belt", "medium camel belt"),
}


def demo_rack() -> Rack:
    """The demo's rack as choices at each place."""
    heard = {place: tuple(_heard(line) for line in lines) for place, lines in WORN.items()}
    return Rack(heard)


def _heard(line: str) -> Piece | None:
    from craft.cloth.quick import read_line

    return read_line(line) if line else None


def proof() -> None:
    """Tabulate, add up, compare, and say so."""
    body = Body.of(Measures.of({"stature": 165, "bust": 92, "waist": 74, "hip": 100, "crotch_height": 76}))
    aims = Aims.of({"wants": ["lengthen_legs"], "soften": ["hips"]}, {"depth": "light", "warmth": "warm"})
    rack = demo_rack()
    began = time.perf_counter()
    tables = tabulate(body, rack, aims=aims)
    tabulated = time.perf_counter() - began
    draw = random.Random(5)  # noqa: S311  (no secret)
    drawn = [tuple(draw.randrange(size) for size in rack.shape) for _ in range(COMPARED)]
    began = time.perf_counter()
    judged = [judge(compose(body, rack.look(at)), aims) for at in drawn]
    one_by_one = (time.perf_counter() - began) / COMPARED * rack.size
    differ = sum(tables.judged(at) != (one.score, one.verdict) for at, one in zip(drawn, judged, strict=True))
    best = np.argsort(1.25 * tables.bad - tables.good, axis=None, kind="stable")[:50]
    print(f"{rack.size} looks tabulated in {tabulated:.1f} s, {tables.asked} times a rule was asked; "
          f"one by one it would take {one_by_one:.1f} s; {len(best)} best found by adding up")  # fmt: skip
    print(f"verdict and score of {COMPARED} looks against judging one by one: {differ} differ (none may)", flush=True)
