"""Shoes: from the front on the foot, from the side on the rack. One row a kind; toe, heel, vamp and strap by their words."""

from __future__ import annotations

from typing import NamedTuple

from craft.body import Body
from craft.draw.figure import leg_inside, leg_outside
from craft.draw.shapes import Role, Run, Shape, area, flip, lines, steps
from craft.draw.weave import mixed, thread
from craft.look import Outfit
from craft.wear import WornShoes

#: How a toe ends, over the shoe's half breadth: how broad a little above the sole, and how broad at its tip (W).
TOES = {"round": (0.97, 0.66), "square": (0.98, 0.92), "almond": (0.84, 0.40), "pointed": (0.66, 0.10)}
#: How far a toe reaches beyond the foot, cm.
REACHES = {"pointed": 2.4, "almond": 1.1, "square": 0.4, "round": 0.0}


class Last(NamedTuple):
    """How a kind is made (W): how deep its throat is cut, 0 (closed) to 1 (down to the toes); a saddle, laces, straps over
    the foot; open behind; open at the toe; a band of rubber round its sole."""

    throat: float = 0.0
    saddle: bool = False
    laces: bool = False
    bands: int = 0
    open_back: bool = False
    open_toe: bool = False
    rubber: bool = False
    tall: bool = False


LASTS = {
    "trainers": Last(0.15, laces=True, rubber=True),
    "flats": Last(0.82),
    "loafers": Last(0.42, saddle=True),
    "mules": Last(0.3, open_back=True),
    "slingbacks": Last(0.86, open_back=True),
    "pumps": Last(0.84),
    "sandals": Last(1.0, bands=2, open_back=True, open_toe=True),
    "ankle_boots": Last(tall=True),
    "sock_boots": Last(tall=True),
    "tall_boots": Last(tall=True),
    "over_knee_boots": Last(tall=True),
}


def draw_shoes(outfit: Outfit, *, back: bool = False) -> tuple[Shape, ...]:
    """Both shoes, standing on the floor: nothing where none are worn. Points in cm, x from the middle, y from the floor."""
    shoes = outfit.shoes
    if shoes.piece is None:
        return ()
    found: list[Shape] = []
    for key, role, runs, colour in (_behind if back else _front)(outfit.body, outfit.lift, shoes):
        for side, mirrored in (("right", False), ("left", True)):
            own = [flip(run) for run in runs] if mirrored else runs
            # What stands behind the foot is painted before the figure.
            name = f"{key}_{side}_behind" if key in ("heel", "counter") and not back else f"{key}_{side}"
            if role in ("seam", "edge"):
                found.append(lines(name, "shoes", role, own, colour))
            elif role == "bare":
                found.append(area(name, "shoes", own, role="bare"))
            else:
                found.append(area(name, "shoes", own, colour, role=role, light="leather" if role == "cloth" else None))
    return tuple(found)


_Part = tuple[str, Role, list[Run], str]


def _front(body: Body, lift: float, shoes: WornShoes) -> list[_Part]:
    """The right shoe as it is seen from the front: what stands behind first."""
    kind = shoes.piece.kind if shoes.piece else ""
    last = LASTS.get(kind, Last())
    centre, half, sole = body.leg_centre(0.0) + 1.0, shoes.breadth / 2, max(shoes.platform, 0.5)
    broad, tip = TOES[shoes.toe]
    bone = body.height("ankle_bone") + lift
    ankle = body.leg_centre(max(bone - lift, 0.0))
    wide = body.leg_half_breadth(body.height("ankle_bone")) + 0.5
    # Seen from the front a foot on a heel slopes towards us: its top stands higher above the ground.
    low = min(shoes.cover.cm, bone + 1.0)
    instep = max(sole + 4.2, 0.55 * bone + 0.35 * shoes.heel)
    dark = mixed(shoes.colour, "#1d1712", 0.45)
    found: list[_Part] = []
    if shoes.heel - shoes.platform > 1.5:
        found.append(("heel", "sole", _heel_front(centre, half, shoes), dark))
    top = bone + 0.6 if last.tall or not last.throat else low
    side: Run = [
        (ankle + wide, top),
        (centre + half * 0.93, instep * 0.72),
        (centre + half * 1.02, sole + 2.2),
        (centre + half * broad, sole),
    ]
    foot: Run = [
        (centre + half * broad, sole),
        (centre + half * tip, sole - 0.12 * (1 if sole > 0.6 else 0)),
        (centre - half * tip, sole),
        (centre - half * broad, sole),
    ]
    inner: Run = [
        (centre - half * broad, sole),
        (centre - half * 1.0, sole + 2.2),
        (centre - half * 0.9, instep * 0.72),
        (ankle - wide, top),
    ]
    if last.tall:
        found.append(("upper", "cloth", _shaft(body, lift, shoes, side, foot, inner), shoes.colour))
    elif last.bands:
        found += _bands(centre, half, sole, instep, shoes)
    else:
        deep = last.throat > 0.6
        if deep:
            # A shoe cut deep shows the instep; its sides run back, low along the foot, to the counter behind the ankle.
            back_top = lift + 4.6
            counter: list[Run] = [
                [(ankle - wide * 0.96, back_top), (ankle, back_top - 0.6), (ankle + wide * 0.96, back_top)],
                [(ankle + wide * 0.96, back_top), (centre + half * 0.8, sole + 2.0)],
                [(centre + half * 0.8, sole + 2.0), (centre - half * 0.8, sole + 2.0)],
                [(centre - half * 0.8, sole + 2.0), (ankle - wide * 0.96, back_top)],
            ]
            if not last.open_back:
                found.append(("counter", "sole", counter, mixed(shoes.colour, "#1d1712", 0.2)))
            top, edge = sole + 3.4, half * 0.94
            side = [(centre + edge, top), (centre + half * 1.02, sole + 2.0), (centre + half * broad, sole)]
            inner = [(centre - half * broad, sole), (centre - half * 1.02, sole + 2.0), (centre - edge, top)]
            dip = min(sole + 2.4, top - 0.7)
            cut: Run = [
                (centre - edge, top),
                (centre - half * 0.55, dip + 0.2),
                (centre, dip),
                (centre + half * 0.55, dip + 0.2),
                (centre + edge, top),
            ]
            found.append(("upper", "cloth", [cut, side, foot, inner], shoes.colour))
            found.append(("sole", "sole", _base(centre, half * broad, sole), dark))
            return found + _strap_front(body, lift, shoes)
        # The throat dips from both sides to the vamp.
        dip = sole + 2.6 + (1 - last.throat) * (low - sole - 2.6)
        throat: Run = [
            (ankle - wide, top),
            (centre - half * 0.6, dip + (top - dip) * 0.36),
            (centre, dip),
            (centre + half * 0.6, dip + (top - dip) * 0.36),
            (ankle + wide, top),
        ]
        found.append(("upper", "cloth", [throat, side, foot, inner], shoes.colour))
    found.append(("sole", "sole", _base(centre, half * broad, sole), "#efe9dc" if last.rubber else dark))
    found += _on_the_vamp(last, shoes, centre, half, sole, low, instep)
    return found + _strap_front(body, lift, shoes)


def _base(centre: float, half: float, sole: float) -> list[Run]:
    return [
        [(centre - half, sole), (centre + half, sole)],
        [(centre + half, sole), (centre + half * 0.97, 0.0)],
        [(centre + half * 0.97, 0.0), (centre - half * 0.97, 0.0)],
        [(centre - half * 0.97, 0.0), (centre - half, sole)],
    ]


def _strap_front(body: Body, lift: float, shoes: WornShoes) -> list[_Part]:
    """A strap round the ankle."""
    if shoes.strap is None:
        return []
    leg, at = shoes.strap - lift, body.leg_centre(shoes.strap - lift)
    wide, y = body.leg_half_breadth(leg) + 0.25, shoes.strap
    strap: list[Run] = [
        [(at - wide, y + 0.7), (at, y + 0.3), (at + wide, y + 0.7)],
        [(at + wide, y + 0.7), (at + wide, y - 0.5)],
        [(at + wide, y - 0.5), (at, y - 0.9), (at - wide, y - 0.5)],
    ]
    return [("strap", "cloth", strap, shoes.colour)]


def _behind(body: Body, lift: float, shoes: WornShoes) -> list[_Part]:
    """The right shoe as it is seen from behind: counter or shaft, and the heel before all else."""
    last = LASTS.get(shoes.piece.kind if shoes.piece else "", Last())
    if last.tall:
        front = _front(body, lift, shoes)
        return [part for part in front if part[0] not in ("heel", "vamp")] + [
            part for part in front if part[0] == "heel"
        ]
    centre, half = body.leg_centre(0.0) + 0.5, shoes.breadth / 2
    dark = mixed(shoes.colour, "#1d1712", 0.45)
    seat, top = max(shoes.heel, 0.8), shoes.heel + (6.2 if last.laces else 5.4)
    wide = body.leg_half_breadth(body.height("ankle_bone")) + 0.5
    found: list[_Part] = []
    if shoes.heel > 2.5:
        # The front of the shoe stands on the ground beyond the heel.
        fore: list[Run] = [[(centre - half * 0.7, seat * 0.55), (centre + half * 0.7, seat * 0.55)], [(centre + half * 0.7, seat * 0.55), (centre + half * 0.95, 1.4), (centre + half * 0.8, 0.0)],
                           [(centre + half * 0.8, 0.0), (centre - half * 0.8, 0.0)], [(centre - half * 0.8, 0.0), (centre - half * 0.95, 1.4), (centre - half * 0.7, seat * 0.55)]]  # fmt: skip
        found.append(("fore", "sole", fore, mixed(shoes.colour, "#1d1712", 0.25)))
    if not last.open_back:
        counter: list[Run] = [[(centre - wide, top), (centre, top - 0.7), (centre + wide, top)], [(centre + wide, top), (centre + half * 0.8, seat + 2.0), (centre + half * 0.74, seat)],
                              [(centre + half * 0.74, seat), (centre - half * 0.74, seat)], [(centre - half * 0.74, seat), (centre - half * 0.8, seat + 2.0), (centre - wide, top)]]  # fmt: skip
        found.append(("upper", "cloth", counter, shoes.colour))
        found.append(("counter", "seam", [[(centre, top - 0.7), (centre, seat)]], thread(shoes.colour, 0.6)))
    elif shoes.piece is not None and shoes.piece.kind == "slingbacks":
        sling: list[Run] = [[(centre - wide, top - 0.6), (centre, top - 1.2), (centre + wide, top - 0.6)], [(centre + wide, top - 0.6), (centre + wide, top - 1.7)],
                            [(centre + wide, top - 1.7), (centre, top - 2.3), (centre - wide, top - 1.7)]]  # fmt: skip
        found.append(("sling", "cloth", sling, shoes.colour))
    word = shoes.piece.word("heel_shape") if shoes.piece else None
    thin = 0.74 if seat < 2.6 else {"stiletto": 0.15, "wedge": 0.74}.get(word or "", 0.2 if shoes.heel > 8 else 0.5)
    heel: list[Run] = [[(centre - half * 0.74, seat), (centre + half * 0.74, seat)], [(centre + half * 0.74, seat), (centre + half * (thin + 0.1), seat * 0.6), (centre + half * thin, 0.0)],
                       [(centre + half * thin, 0.0), (centre - half * thin, 0.0)], [(centre - half * thin, 0.0), (centre - half * (thin + 0.1), seat * 0.6), (centre - half * 0.74, seat)]]  # fmt: skip
    return [*found, ("heel", "sole", heel, "#efe9dc" if last.rubber else dark)]


def _heel_front(centre: float, half: float, shoes: WornShoes) -> list[Run]:
    """The heel behind the foot, seen between sole and ground."""
    word = shoes.piece.word("heel_shape") if shoes.piece else None
    thin = {"stiletto": 0.16, "wedge": 0.8, "platform": 0.62}.get(word or "", 0.22 if shoes.heel > 8 else 0.5)
    high = shoes.heel * 0.95
    return [[(centre - half * 0.6, high), (centre + half * 0.6, high)], [(centre + half * 0.6, high), (centre + half * thin * 1.15, high * 0.4), (centre + half * thin, 0.0)],
            [(centre + half * thin, 0.0), (centre - half * thin, 0.0)], [(centre - half * thin, 0.0), (centre - half * thin * 1.15, high * 0.4), (centre - half * 0.6, high)]]  # fmt: skip


def _shaft(body: Body, lift: float, shoes: WornShoes, side: Run, foot: Run, inner: Run) -> list[Run]:
    """A boot's shaft about the leg, with its ease."""
    top, bone = shoes.cover.cm, body.height("ankle_bone") + lift
    ease = max(0.35, 0.17 * (shoes.shaft_ease or 0.0))
    rises = steps(top, bone + 1.5, 6.0) if top > bone + 4.0 else [top]

    def off(height: float) -> float:
        return ease * (0.5 + 0.5 * max(0.0, min(1.0, (height - bone) / max(top - bone, 1.0)))) + 0.15

    right = [(leg_outside(body, h - lift) + off(h), h) for h in rises]
    left = [(leg_inside(body, h - lift) - off(h), h) for h in rises]
    # Two shafts do not pass through each other.
    left = [(max(x, 0.25), y) for x, y in left]
    outer, within = [*right, *side[1:]], [*inner[:-1], *reversed(left)]
    mouth: Run = [left[0], ((left[0][0] + right[0][0]) / 2, top - 0.7), right[0]]
    return [mouth, outer, foot, within]


def _bands(centre: float, half: float, sole: float, instep: float, shoes: WornShoes) -> list[_Part]:
    """Bands over a bare foot: one over the toes, one over the instep."""
    found: list[_Part] = []
    for at, (y, tall, reach) in enumerate(((sole + 1.6, 1.9, 1.0), (instep * 0.8, 1.7, 0.86))):
        a, b = centre - half * reach, centre + half * reach
        band: list[Run] = [
            [(a, y + tall), (centre, y + tall + 0.9), (b, y + tall)],
            [(b, y + tall), (b, y)],
            [(b, y), (centre, y + 0.9), (a, y)],
            [(a, y), (a, y + tall)],
        ]
        found.append((f"upper{at}" if at else "upper", "cloth", band, shoes.colour))
    return found


def _on_the_vamp(
    last: Last, shoes: WornShoes, centre: float, half: float, sole: float, low: float, instep: float
) -> list[_Part]:
    """What is sewn on: a saddle, laces, a toe cap, the seam of a shaft."""
    ink = thread(shoes.colour, 0.6)
    found: list[Run] = []
    if last.saddle:
        y = sole + 0.52 * (low - sole)
        found += [[(centre - half * 0.94, y - 0.6), (centre, y + 0.9), (centre + half * 0.94, y - 0.6)], [(centre - half * 0.9, y + 1.0), (centre, y + 2.4), (centre + half * 0.9, y + 1.0)],
                  [(centre - half * 0.66, sole + 0.9), (centre - half * 0.4, y - 1.2), (centre, y - 0.5), (centre + half * 0.4, y - 1.2), (centre + half * 0.66, sole + 0.9)],
                  [(centre - 0.9, y + 1.0), (centre + 0.9, y + 1.0)]]  # fmt: skip
    if last.laces:
        found += [
            [(centre - half * 0.34, y), (centre, y + 0.35), (centre + half * 0.34, y)]
            for y in (sole + 2.6, sole + 3.9, sole + 5.2)
        ]
        found.append(
            [
                (centre - half * 0.8, sole + 0.4),
                (centre - half * 0.4, sole + 2.2),
                (centre + half * 0.4, sole + 2.2),
                (centre + half * 0.8, sole + 0.4),
            ]
        )
    if last.tall and shoes.piece is not None and shoes.piece.kind == "ankle_boots":
        found.append([(centre + half * 0.4, low + 2.0), (centre + half * 0.5, instep * 0.9)])
        found.append([(centre + half * 0.74, low + 2.0), (centre + half * 0.72, instep * 0.9)])
    return [("vamp", "seam", found, ink)] if found else []
