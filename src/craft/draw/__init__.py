"""Drawing: the figure and its garments as points in cm, floor at nought, midline at nought."""

from craft.draw.back import draw_back
from craft.draw.figure import draw_figure
from craft.draw.garments import draw_look
from craft.draw.shapes import Shape

__all__ = ["Shape", "draw_back", "draw_figure", "draw_look"]
