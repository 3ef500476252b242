"""Drawing: the figure and its garments as paths in mm of the real thing, floor at nought, midline at nought."""

from craft.draw.back import draw_back
from craft.draw.figure import draw_figure
from craft.draw.garments import draw_dressed, draw_look
from craft.draw.shapes import Shape, Weave

__all__ = ["Shape", "Weave", "draw_back", "draw_dressed", "draw_figure", "draw_look"]
