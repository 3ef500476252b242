"""Reference proportions: what is expected of a body before the tape says otherwise.

Sources, named on each row:

- G89: Gordon et al. 1989, Anthropometric Survey of U.S. Army Personnel (NATICK/TR-89/044):
  means of women and men over mean stature, the two pooled and rounded.
- DC66: Drillis and Contini 1966, Body Segment Parameters: segment lengths over stature.
- W: our working figure, where we carry no published one. Its spread is set wide on purpose,
  and a measured value replaces it at once. docs/figures.md lists these.

The rows were entered by hand from memory of the tables named; docs/figures.md says so and
what has to be checked against print.
"""

from __future__ import annotations

from typing import NamedTuple

Source = str


class HeightRow(NamedTuple):
    """A landmark's height over stature, and the deviation of the segment below it over stature."""

    fraction: float
    segment_spread: float
    source: Source


class GirthRow(NamedTuple):
    """A girth over stature; its deviation (natural log), and how much of that is overall size."""

    fraction: float
    spread: float
    with_size: float
    source: Source


#: From the floor upwards. The spreads are of independent segments; pinned to floor and
#: crown they give a crotch height a deviation of 2.0 cm at 163 cm (G89: about 2.1).
HEIGHT_ROWS: dict[str, HeightRow] = {
    "ankle_bone_height": HeightRow(0.040, 0.0033, "G89 (malleolus)"),
    "narrow_ankle_height": HeightRow(0.063, 0.0035, "W"),
    "calf_height": HeightRow(0.191, 0.0065, "W"),
    "knee_height": HeightRow(0.276, 0.0060, "G89 (mid-patella); DC66 knee joint 0.285"),
    "crotch_height": HeightRow(0.470, 0.0120, "G89"),
    "hip_height": HeightRow(0.509, 0.0080, "W; DC66 hip joint 0.530"),
    "high_hip_height": HeightRow(0.563, 0.0070, "W"),
    "navel_height": HeightRow(0.601, 0.0070, "G89 (omphalion)"),
    "waist_height": HeightRow(0.634, 0.0070, "G89 (natural indentation 0.64)"),
    "under_bust_height": HeightRow(0.680, 0.0080, "W"),
    "bust_height": HeightRow(0.717, 0.0065, "W"),
    "shoulder_height": HeightRow(0.822, 0.0080, "G89 (acromion 0.82); DC66 0.818"),
    "stature": HeightRow(1.0, 0.0070, ""),
}

#: Over stature, women and men pooled.
GIRTH_ROWS: dict[str, GirthRow] = {
    "neck": GirthRow(0.203, 0.075, 0.70, "G89"),
    "bust": GirthRow(0.562, 0.090, 0.88, "G89 (chest)"),
    "under_bust": GirthRow(0.488, 0.085, 0.90, "W"),
    "waist": GirthRow(0.468, 0.125, 0.92, "G89 (natural indentation)"),
    "belly": GirthRow(0.508, 0.125, 0.93, "G89 (omphalion)"),
    "high_hip": GirthRow(0.548, 0.100, 0.93, "W"),
    "hip": GirthRow(0.592, 0.080, 0.90, "G89 (buttock)"),
    "thigh": GirthRow(0.352, 0.090, 0.86, "G89"),
    "knee": GirthRow(0.226, 0.070, 0.80, "G89"),
    "calf": GirthRow(0.219, 0.072, 0.78, "G89"),
    "ankle": GirthRow(0.132, 0.065, 0.66, "G89"),
    "upper_arm": GirthRow(0.174, 0.105, 0.86, "G89"),
    "wrist": GirthRow(0.094, 0.060, 0.62, "G89"),
}

#: Shoulder breadth (biacromial) over stature, and its deviation over stature. G89.
SHOULDER_FRACTION, SHOULDER_SPREAD = 0.226, 0.0095

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

#: Arm over stature: shoulder point to wrist. DC66 (upper arm 0.186 and forearm 0.146).
ARM_FRACTION, ARM_SPREAD = 0.332, 0.010
#: Foot length over stature. DC66.
FOOT_FRACTION, FOOT_SPREAD = 0.152, 0.005
#: Chin height over stature. DC66.
CHIN_FRACTION = 0.870
#: Head breadth over stature: 14.4 of 163 and 15.2 of 176. G89.
HEAD_BREADTH_FRACTION = 0.0875
