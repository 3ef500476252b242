"""The client's body: measures in; landmarks, girths, breadths and shape out."""

from craft.body.body import Body
from craft.body.measures import Measures
from craft.body.quantity import Origin, Quantity
from craft.body.shape import ShapeReading, read_front, read_shape

__all__ = ["Body", "Measures", "Origin", "Quantity", "ShapeReading", "read_front", "read_shape"]
