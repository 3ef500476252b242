"""A nominal body from words, for when nothing has been measured yet.

A word moves the average body by about one standard deviation of the measure it speaks of;
any measured figure replaces what the word said.
"""

from __future__ import annotations

from collections.abc import Mapping

from craft.body.measures import Measures
from craft.body.proportions import GIRTH_ROWS, HEIGHT_ROWS, SHOULDER_ROWS

#: Brief, section 3: petite is below about 163 cm, tall above 173.
STATURE = {"petite": 157.0, "average": 168.0, "tall": 177.0}

#: Girths of a nominal body over the average body's, by shape. W: each lies well inside its
#: shape's borders (shape.py).
SHAPES: dict[str, dict[str, float]] = {
    "rectangle": {"bust": 1.00, "waist": 1.04, "belly": 1.01, "hip": 0.96},
    "triangle": {"bust": 0.96, "waist": 0.97, "belly": 0.99, "hip": 1.07, "thigh": 1.07},
    "inverted_triangle": {"bust": 1.09, "waist": 1.03, "belly": 0.99, "hip": 0.94, "shoulder_breadth": 1.08},
    "hourglass": {"bust": 1.03, "waist": 0.93, "belly": 0.94, "hip": 0.99},
    "oval": {"bust": 1.16, "waist": 1.38, "belly": 1.31, "hip": 1.08, "thigh": 0.99},
}
_LEVELS = {"small": -1.0, "slim": -1.0, "flat": -1.0, "average": 0.0, "full": 1.0}
_ABOUT = {"bust": "bust", "middle": "belly", "calves": "calf"}


def nominal_measures(words: Mapping[str, str], measured: Mapping[str, float]) -> Measures:
    """The measures that a client's words stand for, with any measured figures in their place.

    >>> nominal_measures({"stature": "petite"}, {}).get("stature")
    157.0
    """
    stature = measured.get("stature", STATURE[words.get("stature", "average")])
    shape = SHAPES[words.get("shape", "rectangle")]
    average = {name: row.fraction * stature for name, row in GIRTH_ROWS.items()}
    build = words.get("build")
    average["shoulder_breadth"] = (SHOULDER_ROWS[build].fraction if build else 0.226) * stature
    taken = {"stature": stature}
    for name in ("bust", "waist", "belly", "hip", "thigh", "calf", "shoulder_breadth"):
        taken[name] = average[name] * shape.get(name, 1.0)
    for word, girth in _ABOUT.items():
        taken[girth] *= 1 + _LEVELS[words.get(word, "average")] * GIRTH_ROWS[girth].spread
    if "middle" in words and words["middle"] == "full":
        taken["waist"] = max(taken["waist"], taken["belly"] * 0.93)
    taken |= _torso_heights(words.get("torso", "even"), stature)
    return Measures.of(taken | dict(measured), words.get("build"))


def _torso_heights(word: str, stature: float) -> dict[str, float]:
    """A short or long torso moves crotch, navel and waist by about a deviation and a half."""
    move = {"short": 0.018, "even": 0.0, "long": -0.018}[word]
    share = {"crotch_height": 1.0, "navel_height": 0.8, "waist_height": 0.6}
    return {name: (HEIGHT_ROWS[name].fraction + move * part) * stature for name, part in share.items()} if move else {}
