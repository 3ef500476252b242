"""Two layers: the inner one stands at a place of its own, and is read, moved, mended and drawn by itself."""

from __future__ import annotations

import pytest

from craft.advise.figures import figures_worn
from craft.advise.rail import with_piece
from craft.body import Body, Measures
from craft.cloth import Piece
from craft.draw.back import draw_back
from craft.draw.garments import draw_look
from craft.draw.side import draw_profile
from craft.look import Look, compose

BODY = Body.of(Measures.of({"stature": 168, "bust": 94, "waist": 76, "hip": 100}))
TWO = Look.of(
    [
        {"is": "jeans"},
        {"is": "tee"},
        {"is": "cardigan", "hem": "hip"},
        {"is": "coat", "hem": "knee", "open": True},
        {"is": "belt"},
    ]
)


def kinds(look: Look) -> list[str]:
    return [piece.kind for piece in look.pieces]


def test_each_layer_is_found_and_changed_at_its_own_place() -> None:
    assert TWO.places == ("bottom", "top", "under_layer", "layer", "belt")
    inner, outer = TWO.piece("under_layer"), TWO.piece("layer")
    assert inner and outer and (inner.kind, outer.kind) == ("cardigan", "coat")
    changed = TWO.changed("under_layer", hem="waist")
    assert [piece.word("hem") for piece in changed.all("layer")] == ["waist", "knee"]
    one = Look(tuple(piece for piece in TWO.pieces if piece.kind != "cardigan"))
    assert one.piece("under_layer") is None and one.changed("under_layer", hem="waist") == one


def test_its_hem_and_its_figures_are_told_apart() -> None:
    outfit = compose(BODY, TWO)
    hems = {edge.key: (edge.slot, edge.at) for edge in outfit.edges if edge.key.endswith("layer_hem")}
    assert hems == {"layer_hem": ("layer", "knee"), "under_layer_hem": ("under_layer", "hip")}
    figures = figures_worn(outfit)
    assert dict(figures["under_layer"])["length_cm"] < dict(figures["layer"])["length_cm"]


def test_another_layer_takes_the_place_of_the_outer_one() -> None:
    blazer = Piece.of({"is": "blazer"})
    assert kinds(with_piece(TWO, blazer)) == ["jeans", "tee", "cardigan", "blazer", "belt"]
    one = Look(tuple(piece for piece in TWO.pieces if piece.kind != "coat"))
    assert kinds(with_piece(one, blazer)) == ["jeans", "tee", "blazer", "belt"]


@pytest.mark.parametrize("draw", [draw_look, draw_back, draw_profile])
def test_both_are_drawn_each_to_be_chosen_by_itself(draw) -> None:  # type: ignore[no-untyped-def]
    def layers(look: Look) -> dict[str, set[str]]:
        found: dict[str, set[str]] = {}
        for shape in draw(compose(BODY, look)):
            if shape.key.startswith("layer"):
                found.setdefault(shape.slot, set()).add(shape.key[:6])
        return found

    assert layers(TWO) == {"under_layer": {"layer0"}, "layer": {"layer1"}}
    assert layers(TWO.changed("layer", colour="navy")) == layers(TWO)
    assert layers(Look(TWO.pieces[:3])) == {"layer": {"layer0"}}


def test_an_open_layer_shows_inside_the_open_one_over_it() -> None:
    def nearest(look: Look, key: str) -> float:
        (front,) = (shape for shape in draw_look(compose(BODY, look)) if shape.key == key)
        return min(x for x, y in front.points if y < BODY.height("bust"))

    both = TWO.changed("under_layer", open=True)
    alone = Look(tuple(piece for piece in both.pieces if piece.kind != "coat"))
    assert nearest(both, "layer0_right") < nearest(both, "layer1_right")
    assert nearest(both, "layer0_right") < nearest(alone, "layer0_right")
