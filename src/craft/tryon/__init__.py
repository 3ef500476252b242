"""The try-on: what was seen against what was computed, and what that says of the piece, the body and the maker."""

from craft.tryon.explain import Correction, explain
from craft.tryon.frames import Frame, frame_of
from craft.tryon.makers import Learned, Sample, learned

__all__ = ["Correction", "Frame", "Learned", "Sample", "explain", "frame_of", "learned"]
