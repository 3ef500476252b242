"""The reading: what the measures of a body say, in sentences that can be said aloud."""

from craft.read.reading import BodyReading, read_body

__all__ = ["BodyReading", "read_body"]
