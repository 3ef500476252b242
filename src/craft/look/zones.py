"""The zones of a figure: where each lies, and from which side it is seen."""

from __future__ import annotations

#: The landmark at the middle of each zone.
ZONE_AT = {
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
#: Zones that are seen from behind.
BEHIND = ("seat",)
#: Zones that a detail of a piece can lie on.
DETAILED = ("shoulders", "bust", "middle", "hips", "seat", "thighs")
