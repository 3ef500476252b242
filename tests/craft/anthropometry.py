"""Bodies drawn from published distributions, women and men each with their own, to hold estimates against.

H03: Heinz, Peterson, Johnson and Kerk 2003, Exploring Relationships in Body Dimensions (Journal of
Statistics Education 11/2): moments computed from the published table, 260 women and 247 men.
G89: Gordon and others 1989 (NATICK/TR-89/044): landmark heights, entered from memory and not yet
compared with print (docs/figures.md). What neither has is drawn by the engine's own relation (W).
"""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from craft.body.estimate import NAMES, PLACE
from craft.body.proportions import LINEAR_ROWS, TOGETHER

Array = NDArray[np.float64]

H03_MEANS = (
    (164.87, 36.50, 86.06, 69.80, 83.75, 95.65, 57.20, 26.13, 35.26, 35.01, 21.21, 15.06),
    (177.75, 41.24, 100.99, 84.53, 87.66, 97.76, 56.50, 31.99, 37.20, 37.21, 23.16, 17.19),
)
H03_DEVIATIONS = (
    (6.54, 1.78, 6.17, 7.59, 9.96, 6.94, 4.64, 2.52, 2.58, 2.61, 1.44, 0.85),
    (7.18, 2.09, 7.21, 8.78, 8.38, 6.23, 4.25, 2.77, 2.27, 2.65, 1.73, 0.91),
)
H03_SKEWNESS = (
    (0.07, 0.18, 0.76, 1.25, 0.70, 0.67, 0.80, 0.84, 1.00, 0.53, 0.34, 0.37),
    (0.10, -0.22, -0.15, 0.64, 0.39, 0.42, 0.51, -0.04, 0.32, 0.14, 0.28, 0.17),
)
H03_CORRELATIONS = (
    """1
    .47 1
    .20 .41 1
    .14 .37 .86 1
    .23 .28 .77 .84 1
    .30 .39 .74 .81 .83 1
    .23 .33 .68 .73 .70 .90 1
    .12 .31 .82 .80 .75 .77 .75 1
    .40 .43 .62 .63 .61 .76 .76 .68 1
    .32 .43 .58 .58 .52 .69 .73 .67 .80 1
    .31 .41 .51 .49 .49 .60 .58 .57 .70 .74 1
    .36 .53 .64 .55 .49 .62 .57 .68 .70 .65 .67 1""",
    """1
    .48 1
    .25 .29 1
    .21 .18 .71 1
    .26 .19 .68 .88 1
    .35 .32 .68 .80 .81 1
    .24 .25 .60 .56 .55 .79 1
    .20 .26 .78 .47 .47 .57 .66 1
    .41 .33 .48 .57 .56 .70 .66 .43 1
    .24 .30 .48 .52 .46 .65 .70 .47 .73 1
    .36 .33 .47 .48 .51 .59 .52 .43 .69 .70 1
    .34 .35 .55 .37 .39 .45 .38 .61 .50 .54 .63 1""",
)
#: Height over stature, women and men, and the deviation at one stature, cm (G89; those without an
#: equal there, W, lie between their neighbours).
LANDMARKS = {
    "ankle_bone_height": (0.0395, 0.0405, 0.52),
    "narrow_ankle_height": (0.0625, 0.0635, 0.70),
    "calf_height": (0.190, 0.193, 1.25),
    "knee_height": (0.275, 0.279, 1.45),
    "mid_thigh_height": (0.3735, 0.3770, 1.75),
    "crotch_height": (0.4720, 0.4750, 2.15),
    "hip_height": (0.5090, 0.5110, 2.15),
    "high_hip_height": (0.5630, 0.5640, 2.15),
    "navel_height": (0.6030, 0.6020, 2.05),
    "waist_height": (0.6380, 0.6340, 2.00),
    "under_bust_height": (0.680, 0.680, 1.90),
    "bust_height": (0.7160, 0.7200, 1.75),
    "shoulder_height": (0.8190, 0.8220, 1.60),
}
#: How far apart two landmarks must lie, cm, for what is peculiar to them to be nearly unrelated.
REACH = 45.0


def _girths(sex: int, count: int, chance: np.random.Generator) -> Array:
    rows = [[float(cell) for cell in line.split()] for line in H03_CORRELATIONS[sex].splitlines()]
    lower = np.array([row + [0.0] * (len(rows) - len(row)) for row in rows])
    loose = chance.multivariate_normal(np.zeros(len(rows)), lower + lower.T - np.eye(len(rows)), count, method="eigh")
    # Girths lean towards the full side: a shifted log-normal margin with the published skewness.
    lean = np.where(np.abs(skew := np.array(H03_SKEWNESS[sex]) / 3) < 0.02, 0.02, skew)
    leant = (np.exp(lean * loose) - np.exp(lean**2 / 2)) / np.sqrt(np.exp(lean**2) * (np.exp(lean**2) - 1))
    return np.asarray(np.array(H03_MEANS[sex]) + np.array(H03_DEVIATIONS[sex]) * leant * np.sign(lean))


def _heights(sex: int, stature: Array, chance: np.random.Generator) -> dict[str, Array]:
    share = np.array([row[sex] for row in LANDMARKS.values()])
    spread = np.array([row[2] for row in LANDMARKS.values()])
    apart = np.abs(np.subtract.outer(share, share)) * 170 / REACH
    loose = chance.multivariate_normal(np.zeros(len(share)), np.exp(-apart) * np.outer(spread, spread), len(stature))
    return dict(zip(LANDMARKS, (np.outer(stature, share) + loose).T, strict=True))


def drawn_bodies(count: int, seed: int) -> Array:
    """Bodies, half women and half men: one row each, columns as the engine's NAMES, cm."""
    chance = np.random.default_rng(seed)
    halves = []
    for sex in (0, 1):
        held = dict(zip(TOGETHER, _girths(sex, count // 2, chance).T, strict=True))
        held |= _heights(sex, held["stature"], chance)
        for name, row in LINEAR_ROWS.items():
            rest = sum((weight * held[parent] for parent, weight in row.parents.items()), start=np.zeros(count // 2))
            held[name] = rest + row.plus + chance.normal(0, row.spread, count // 2)
        halves.append(np.stack([held[name] for name in NAMES], axis=1))
    return np.concatenate(halves)


def column(bodies: Array, name: str) -> Array:
    return np.asarray(bodies[:, PLACE[name]])
