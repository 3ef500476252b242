"""The zones a client may want to soften or show: where each lies, and what of the look covers it."""

from __future__ import annotations

from functools import lru_cache

from craft.facts import least
from craft.judge.aims import Aims
from craft.judge.rule import Client
from craft.look import Outfit
from craft.look.areas import Area
from craft.look.zones import BEHIND, ZONE_AT

#: The zones a shape leads with, to be kept quiet where the client says nothing else (brief, sections 3 and 10).
LEADS = {"triangle": ("hips", "thighs"), "inverted_triangle": ("shoulders", "bust"), "oval": ("middle",)}


def height_of(outfit: Outfit, zone: str) -> float:
    """The middle of a zone above the ground, cm."""
    return outfit.at(ZONE_AT[zone])


def area_over(outfit: Outfit, zone: str, *, behind: bool | None = None) -> Area | None:
    """The cloth that is seen over a zone, from behind where the zone lies there; reads what is seen of each piece (`areas`)."""
    height = least(height_of(outfit, zone), outfit.at("shoulder") - 1.0)
    return outfit.seen_at(height, behind=zone in BEHIND if behind is None else behind)


def quiet(of: Client) -> tuple[str, ...]:
    """Zones to keep quiet: those the client softens, then those that the shape leads with, but none they show."""
    return _quiet(of.shape, of.aims.soften, of.aims.show)


def keeps_quiet(of: Client) -> bool:
    """Whether there is any zone to keep quiet."""
    return bool(quiet(of))


def quiet_on(outfit: Outfit, aims: Aims) -> tuple[str, ...]:
    """The zones to keep quiet on the client that a look is for."""
    return _quiet(outfit.shape, aims.soften, aims.show)


@lru_cache(maxsize=1024)
def _quiet(shape: str, soften: frozenset[str], show: frozenset[str]) -> tuple[str, ...]:
    leads = LEADS.get(shape, ())
    wanted = [*sorted(soften), *(zone for zone in leads if zone not in soften)]
    return tuple(zone for zone in wanted if zone in ZONE_AT and zone not in show)
