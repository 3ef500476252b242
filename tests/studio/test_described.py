"""The whole interface under made-up requests, honest and not: nothing breaks, and every answer is one that is described.

Each operation is tried on rows that exist, all of it taken back afterwards.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from typing import Any

import pytest
import schemathesis
from django.db import transaction
from hypothesis import HealthCheck, settings
from schemathesis import checks

from studio.api import api
from studio.wsgi import application
from tests.studio.conftest import House, furnish, serving
from tests.studio.test_boundaries import filled, of_everything

schema = schemathesis.openapi.from_dict(api.get_openapi_schema())
schema.app = application
#: The test database is made for tests that say so; each is taken back within what the module holds.
pytestmark = pytest.mark.django_db
HELD = (
    checks.not_a_server_error,
    checks.status_code_conformance,
    checks.content_type_conformance,
    checks.response_schema_conformance,
)
#: Without a shop this is how a shop that does not answer is told.
NO_SHOP = 503


@pytest.fixture(scope="module")
def everything(django_db_setup: None, django_db_blocker: Any) -> Iterator[tuple[House, str]]:
    """A studio with one of everything, for all operations; taken back at the end."""
    with django_db_blocker.unblock(), transaction.atomic():
        house = furnish("Alder", "ada@alder.example")
        yield house, of_everything(house)
        transaction.set_rollback(True)


@schema.parametrize()
@settings(max_examples=10, deadline=None, suppress_health_check=list(HealthCheck))
def test_nothing_breaks_and_every_answer_is_described(case: Any, everything: tuple[House, str]) -> None:
    house, look = everything
    if case.path_parameters:
        own = re.findall(r"\{(\w+)\}", case.path)
        ids = (
            dict(zip(own, re.split(r"/", filled("/".join(f"{{{name}}}" for name in own), house, look)), strict=True))
            if own
            else {}
        )
        case.path_parameters = {name: ids.get(name, value) for name, value in case.path_parameters.items()}
    cookies = {name: morsel.value for name, morsel in house.api.browser.cookies.items()}
    with transaction.atomic(), serving():
        response = case.call(cookies=cookies, headers={"Host": "127.0.0.1"})
        transaction.set_rollback(True)
    case.validate_response(response, checks=HELD)
