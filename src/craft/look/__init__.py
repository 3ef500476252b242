"""A look: worn pieces together, as edges, parts, a leg line and volumes on one height axis."""

from craft.look.compose import Look, Outfit, compose
from craft.look.edges import Edge

__all__ = ["Edge", "Look", "Outfit", "compose"]
