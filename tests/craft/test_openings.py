"""A neck or sleeve that was measured is drawn where it lands."""

from __future__ import annotations

from craft.body import Body, Measures
from craft.draw import draw_look
from craft.look import Look, compose

BODY = Body.of(Measures.of({"stature": 168}))


def _drawn(key: str, **figures: float) -> list[float]:
    outfit = compose(BODY, Look.of([{"is": "tee", "neck": "v", "sleeve": "long", **figures}]))
    return [height for shape in draw_look(outfit) if shape.key == key for _, height in shape.points]


def test_a_measured_neck_is_drawn_as_deep() -> None:
    high = BODY.height("shoulder")
    assert any(abs(height - (high - 11)) < 0.1 for height in _drawn("top", neck_depth_cm=11))
    assert not any(abs(height - (high - 11)) < 0.1 for height in _drawn("top", neck_depth_cm=15))


def test_a_measured_sleeve_is_drawn_as_long() -> None:
    assert min(_drawn("sleeve_right", sleeve_cm=20)) > min(_drawn("sleeve_right", sleeve_cm=50)) + 15
