"""The zones a client may want to soften or show: where each lies, and what of the look covers it."""

from __future__ import annotations

from craft.judge.aims import Aims
from craft.look import Outfit
from craft.look.areas import Area

#: The landmark at the middle of each zone.
_AT = {
    "bust": "bust",
    "middle": "navel",
    "waist": "waist",
    "hips": "hip",
    "seat": "hip",
    "thighs": "mid_thigh",
    "legs": "knee",
    "calves": "calf",
    "shoulders": "shoulder",
    "upper_arms": "under_bust",
}
#: The zones a shape leads with, to be kept quiet where the client says nothing else (brief, sections 3 and 10).
LEADS = {"triangle": ("hips", "thighs"), "inverted_triangle": ("shoulders", "bust"), "oval": ("middle",)}


def height_of(outfit: Outfit, zone: str) -> float:
    """The middle of a zone above the ground, cm."""
    return outfit.body.height(_AT[zone]) + outfit.lift


def area_over(outfit: Outfit, zone: str) -> Area | None:
    """The cloth that is seen over a zone."""
    at = height_of(outfit, zone)
    return outfit.seen_at(min(at, outfit.body.height("shoulder") + outfit.lift - 1.0))


def quiet(outfit: Outfit, aims: Aims) -> tuple[str, ...]:
    """Zones to keep quiet: those the client softens, then those that the shape leads with, but none they show."""
    leads = LEADS.get(outfit.shape, ())
    wanted = [*sorted(aims.soften), *(zone for zone in leads if zone not in aims.soften)]
    return tuple(zone for zone in wanted if zone in _AT and zone not in aims.show)
