"""Reference proportions: what is expected of a body before the tape says otherwise.

Sources, named on each row:

- G89: Gordon et al. 1989, Anthropometric Survey of U.S. Army Personnel (NATICK/TR-89/044):
  means of women and men over mean stature, the two pooled and rounded.
- H03: Heinz, Peterson, Johnson and Kerk 2003, Exploring Relationships in Body Dimensions
  (Journal of Statistics Education 11/2): computed from the published table of 507 active adults.
- DC66: Drillis and Contini 1966, Body Segment Parameters: segment lengths over stature.
- W: our working figure, where we carry no published one. Its spread is set wide on purpose,
  and a measured value replaces it at once. docs/figures.md lists these.

The rows of G89 and DC66 were entered by hand from memory of the tables named; docs/figures.md
says so and what has to be checked against print. Those of H03 were computed.
"""

from __future__ import annotations

import math
from typing import NamedTuple

Source = str


class HeightRow(NamedTuple):
    """A landmark's height over stature, and the deviation of the segment below it over stature."""

    fraction: float
    segment_spread: float
    source: Source


class GirthRow(NamedTuple):
    """A girth over stature and its deviation (natural log), for bodies told in words."""

    fraction: float
    spread: float
    source: Source


class LinearRow(NamedTuple):
    """A measure as a sum of others times weights, plus cm, with the deviation of what is left, cm."""

    parents: dict[str, float]
    plus: float
    spread: float
    source: Source


#: From the floor upwards. The spreads are of independent segments; pinned to floor and
#: crown they give a crotch height a deviation of 2.2 cm at 168 cm (G89: about 2.2).
HEIGHT_ROWS: dict[str, HeightRow] = {
    "ankle_bone_height": HeightRow(0.040, 0.0031, "G89 (malleolus)"),
    "narrow_ankle_height": HeightRow(0.063, 0.0026, "W"),
    "calf_height": HeightRow(0.191, 0.0069, "W"),
    "knee_height": HeightRow(0.276, 0.0062, "G89 (mid-patella); DC66 knee joint 0.285"),
    "mid_thigh_height": HeightRow(0.375, 0.0085, "W: half way from knee to crotch"),
    "crotch_height": HeightRow(0.4735, 0.0085, "G89"),
    "hip_height": HeightRow(0.509, 0.0068, "W; DC66 hip joint 0.530"),
    "high_hip_height": HeightRow(0.563, 0.0070, "W"),
    "navel_height": HeightRow(0.602, 0.0070, "G89 (omphalion)"),
    "waist_height": HeightRow(0.634, 0.0067, "G89 (natural indentation 0.64)"),
    "under_bust_height": HeightRow(0.680, 0.0063, "W"),
    "bust_height": HeightRow(0.717, 0.0060, "W"),
    "shoulder_height": HeightRow(0.822, 0.0091, "G89 (acromion 0.82); DC66 0.818"),
    "stature": HeightRow(1.0, 0.0099, ""),
}

#: Over stature, women and men pooled.
GIRTH_ROWS: dict[str, GirthRow] = {
    "neck": GirthRow(0.203, 0.075, "G89"),
    "bust": GirthRow(0.562, 0.090, "G89 (chest)"),
    "under_bust": GirthRow(0.488, 0.085, "W"),
    "waist": GirthRow(0.468, 0.125, "G89 (natural indentation)"),
    "belly": GirthRow(0.508, 0.125, "G89 (omphalion)"),
    "high_hip": GirthRow(0.548, 0.100, "W"),
    "hip": GirthRow(0.592, 0.080, "G89 (buttock)"),
    "thigh": GirthRow(0.352, 0.090, "G89"),
    "knee": GirthRow(0.226, 0.070, "G89"),
    "calf": GirthRow(0.219, 0.072, "G89"),
    "ankle": GirthRow(0.132, 0.065, "G89"),
    "upper_arm": GirthRow(0.174, 0.105, "G89"),
    "wrist": GirthRow(0.094, 0.060, "G89"),
}

#: Stature of women and men pooled, cm: mean and deviation. G89 and H03 agree within 3 cm and 0.2 cm.
STATURE, STATURE_SPREAD = 171.0, 9.4

#: H03: mean and deviation, cm, of 507 adults, women and men pooled, and how they go together below.
#: `chest` is taken above a woman's breasts and is no measure of ours; `bust` follows from it.
#: `upper_arm` was bent in H03; relaxed it is 0.93 of that (W).
TOGETHER: dict[str, tuple[float, float]] = {
    "stature": (171.14, 9.41),
    "shoulder_breadth": (38.81, 3.06),
    "chest": (93.33, 10.03),
    "waist": (76.98, 11.01),
    "belly": (85.65, 9.42),
    "hip": (96.68, 6.68),
    "thigh": (56.86, 4.46),
    "upper_arm": (31.17 * 0.93, 4.25 * 0.93),
    "knee": (36.20, 2.62),
    "calf": (36.08, 2.85),
    "ankle": (22.16, 1.86),
    "wrist": (16.10, 1.38),
}
#: H03: correlations, each row with the rows above it and itself.
CORRELATIONS: tuple[tuple[float, ...], ...] = (
    (1.00,),
    (0.75, 1.00),
    (0.62, 0.72, 1.00),
    (0.55, 0.64, 0.88, 1.00),
    (0.31, 0.31, 0.62, 0.75, 1.00),
    (0.34, 0.34, 0.58, 0.69, 0.83, 1.00),
    (0.12, 0.12, 0.36, 0.42, 0.60, 0.83, 1.00),
    (0.59, 0.70, 0.91, 0.80, 0.56, 0.56, 0.41, 1.00),
    (0.53, 0.51, 0.61, 0.66, 0.61, 0.73, 0.64, 0.62, 1.00),
    (0.45, 0.51, 0.61, 0.63, 0.52, 0.67, 0.63, 0.64, 0.80, 1.00),
    (0.57, 0.60, 0.67, 0.66, 0.52, 0.58, 0.42, 0.67, 0.74, 0.76, 1.00),
    (0.69, 0.77, 0.82, 0.73, 0.44, 0.46, 0.24, 0.85, 0.64, 0.65, 0.75, 1.00),
)

#: The seam comes forward under the belly by a quarter circle: its length over its height, times
#: 0.75 of the belly's radius (W), is what a belly of one cm girth adds to the front rise.
RISE_PER_BELLY = (math.pi / 2 - 1) * 0.75 / (2 * math.pi)

#: The measures that H03 has not, from those before them. Order matters: parents come first.
LINEAR_ROWS: dict[str, LinearRow] = {
    "bust": LinearRow({"chest": 1.0}, 3.0, 3.0, "W"),
    "under_bust": LinearRow({"chest": 0.62, "waist": 0.26}, 2.5, 2.0, "W"),
    "high_hip": LinearRow({"belly": 0.5, "hip": 0.5}, 0.5, 2.2, "W"),
    "neck": LinearRow({"chest": 0.20, "stature": 0.06}, 6.7, 1.4, "W, means as G89"),
    "hip_breadth": LinearRow({"hip": 0.354}, 0.0, 1.1, "G89 (hip breadth over girth)"),
    "front_rise_navel": LinearRow(
        {"navel_height": 1.0, "crotch_height": -1.0, "belly": RISE_PER_BELLY}, 0.0, 1.6, "W, rise.py"
    ),
    "front_rise_waist": LinearRow(
        {"front_rise_navel": 1.0, "waist_height": 1.0, "navel_height": -1.0}, 0.0, 0.6, "W, rise.py"
    ),
    "back_rise": LinearRow({"waist_height": 1.0, "crotch_height": -1.0, "hip": 0.10}, 0.0, 1.8, "W"),
    "torso_girth": LinearRow({"shoulder_height": 2.0, "crotch_height": -2.0, "bust": 0.16, "hip": 0.14}, 4.0, 3.5, "W"),
    "elbow_length": LinearRow({"stature": 0.186}, 0.0, 1.1, "DC66 (upper arm)"),
    "arm_length": LinearRow({"elbow_length": 1.0, "stature": 0.146}, 0.0, 1.1, "DC66 (forearm)"),
    "foot_length": LinearRow({"stature": 0.152}, 0.0, 0.8, "DC66"),
}


class BreadthRow(NamedTuple):
    """Shoulder breadth over stature, and its deviation over stature."""

    fraction: float
    spread: float
    source: Source


#: Shoulder breadth (biacromial) over stature, by build: means and deviations of the women and of the men of H03; of the young
#: those about 12 years old in Snyder et al. 1977, Anthropometry of Infants, Children and Youths to Age 18 (UM-HSRI-77-17),
#: entered from memory of print (docs/figures.md).
SHOULDER_ROWS: dict[str, BreadthRow] = {
    "woman": BreadthRow(36.50 / 164.87, 0.0098, "H03"),
    "man": BreadthRow(41.24 / 177.75, 0.0105, "H03"),
    "young": BreadthRow(0.2165, 0.0105, "Snyder 1977"),
}

#: Front-view breadth over girth at each level. Bust, navel and hip: G89 (chest, waist and hip
#: breadth over the girth there); the rest W, set between their neighbours.
BREADTH_OVER_GIRTH: dict[str, float] = {
    "bust": 0.312,
    "under_bust": 0.335,
    "waist": 0.358,
    "belly": 0.362,
    "high_hip": 0.360,
    "hip": 0.354,
}
#: The same for one leg (W: a leg is nearly round, a little deeper than broad).
LEG_BREADTH_OVER_GIRTH = 0.295

#: Chin height over stature. DC66.
CHIN_FRACTION = 0.870
#: Head breadth over stature: 14.4 of 163 and 15.2 of 176. G89.
HEAD_BREADTH_FRACTION = 0.0875
