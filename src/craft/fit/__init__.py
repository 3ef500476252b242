"""One piece alone on a body: where its edges land, what ease it leaves, what to alter by how much."""

from craft.fit.landed import Landed, land

__all__ = ["Landed", "land"]
