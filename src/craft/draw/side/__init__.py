"""The dressed figure from the side."""

from craft.draw.side.body import side_of
from craft.draw.side.clothes import draw_profile

__all__ = ["draw_profile", "side_of"]
