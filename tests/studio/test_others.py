"""No request reaches a row of another studio: every operation that names one, on one of everything."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

import pytest
from django.apps import apps

from tests.studio.conftest import House, furnish
from tests.studio.everything import BODIES, endpoints, filled, held_together, in_body, of_everything

pytestmark = pytest.mark.django_db
#: Addresses that name no row: a rule is everybody's, and test_rules holds whose looks it tells.
NO_ROW = ("/rules/{rule_id}/looks",)


@pytest.fixture(scope="module")
def theirs(django_db_setup: None, django_db_blocker: Any) -> Iterator[tuple[House, House, str, dict[str, list[Any]]]]:
    """Somebody of one studio; another studio with one of everything, its look, and how all of it is."""
    with held_together(django_db_blocker):
        house, other = furnish("Alder", "ada@alder.example"), furnish("Birch", "bo@birch.example")
        look = of_everything(other)
        yield house, other, look, state(other)


@pytest.mark.parametrize(("method", "path"), [e for e in endpoints() if "{" in e[1] and e[1] not in NO_ROW])
def test_no_request_reaches_another_studios_row(
    method: str, path: str, theirs: tuple[House, House, str, dict[str, list[Any]]]
) -> None:
    house, other, look, before = theirs
    address, body = filled(path, other, look), in_body(BODIES.get(path), look, other)
    answer = house.api.ask(method.upper(), address, body)
    assert answer.status_code == 404
    assert "Theirs" not in answer.content.decode() and other.client.name not in answer.content.decode()
    after = state(other)
    assert after == before and len(after) > 20
    # The same request by its owner is let in: the 404 above is for the studio, not the address.
    assert other.api.ask(method.upper(), address, body).status_code != 404


def state(house: House) -> dict[str, dict[str, list[Any]]]:
    """Every row of a studio."""
    of_studios = [model for model in apps.get_models() if any(field.name == "studio" for field in model._meta.fields)]
    rows = {
        model: model._base_manager.filter(studio=house.member.studio).order_by("pk").values() for model in of_studios
    }
    return {model._meta.label: list(held) for model, held in rows.items()}
