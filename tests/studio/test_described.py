"""The whole interface under made-up requests, honest and not: nothing breaks, and every answer is one that is described.

Each operation is tried on rows that exist, all of it taken back afterwards.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from typing import Any

import pytest
import schemathesis
from django.core.signals import request_finished, request_started
from django.db import close_old_connections, transaction
from hypothesis import HealthCheck, settings
from schemathesis import checks

from studio.api import api
from studio.wsgi import application
from tests.studio.conftest import House, furnish, serving
from tests.studio.everything import filled, held_together, of_everything

schema = schemathesis.openapi.from_dict(api.get_openapi_schema())
schema.app = application
# Made-up requests, honest and not, and not every case that the document could be made to yield: those are ten thousand.
schema.config.phases.coverage.enabled = False
#: The test database is made for tests that say so; each is taken back within what the module holds.
pytestmark = pytest.mark.django_db


def nothing_breaks(ctx: Any, response: Any, case: Any) -> None:
    """No answer is a break. A shop that is away, or a studio that is busy, is described."""
    assert response.status_code < 500 or response.status_code == 503, response.content


HELD = (
    nothing_breaks,
    checks.status_code_conformance,
    checks.content_type_conformance,
    checks.response_schema_conformance,
)
TOKEN = "k" * 32


@pytest.fixture(scope="module")
def everything(django_db_setup: None, django_db_blocker: Any) -> Iterator[tuple[House, str]]:
    """A studio with one of everything, for all operations; taken back at the end."""
    ends = (request_started, request_finished)
    with held_together(django_db_blocker):
        house = furnish("Alder", "ada@alder.example")
        look = of_everything(house)
        for end in ends:
            # A server lets go of its connection between two requests; here they share one transaction.
            end.disconnect(close_old_connections)
        yield house, look
        for end in ends:
            end.connect(close_old_connections)


@schema.parametrize()
@settings(max_examples=7, derandomize=True, deadline=None, suppress_health_check=list(HealthCheck))
def test_nothing_breaks_and_every_answer_is_described(case: Any, everything: tuple[House, str]) -> None:
    house, look = everything
    own = [name for name in re.findall(r"\{(\w+)\}", case.path) if name != "rule_id"]
    if own:
        held = filled(" ".join(f"{{{name}}}" for name in own), house, look).split(" ")
        case.path_parameters = {**case.path_parameters, **dict(zip(own, held, strict=True))}
    session = {name: morsel.value for name, morsel in house.api.browser.cookies.items()}
    case.cookies = {**session, "csrftoken": TOKEN}
    with transaction.atomic():
        with serving():
            response = case.call(headers={"X-CSRFToken": TOKEN})
        transaction.set_rollback(True)
    case.validate_response(response, checks=HELD)
