"""What differs between machines is typed and read once."""

from __future__ import annotations

import pytest
from pydantic import ValidationError

from studio.environment import read


def test_only_our_own_variables_are_read_and_as_what_they_are() -> None:
    here = read({"BASILWOOD_SECRET_KEY": "x", "BASILWOOD_TLS": "1", "BASILWOOD_DB_PORT": "6000", "TAPE": "ws://far"})
    assert (here.tls, here.db_port, here.tape) == (True, 6000, "")


@pytest.mark.parametrize(
    ("variables", "wrong"),
    [({}, "secret_key"), ({"BASILWOOD_SECRET_KEY": "x", "BASILWOOD_DB_PORT": "near"}, "db_port")],
)
def test_one_that_cannot_be_read_stops_the_start_and_is_named(variables: dict[str, str], wrong: str) -> None:
    with pytest.raises(ValidationError, match=wrong):
        read(variables)
