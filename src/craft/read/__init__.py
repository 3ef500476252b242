"""The reading: what the measures of a body say, in sentences that can be said aloud."""

from craft.read.reading import Reading, read_body

__all__ = ["Reading", "read_body"]
