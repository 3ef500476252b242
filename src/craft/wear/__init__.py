"""A piece on a body, worn: the one place where every edge lands above the floor, and the ease it leaves."""

from craft.wear.bottom import WornBottom
from craft.wear.landing import Landing
from craft.wear.layer import WornLayer, wear_layer
from craft.wear.lower import wear_bottom
from craft.wear.shoes import BAREFOOT, WornShoes, wear_shoes
from craft.wear.top import WornTop, wear_top

__all__ = [
    "BAREFOOT",
    "Landing",
    "WornBottom",
    "WornLayer",
    "WornShoes",
    "WornTop",
    "wear_bottom",
    "wear_layer",
    "wear_shoes",
    "wear_top",
]
