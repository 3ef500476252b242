"""What whoever runs the studio sees: numbers of requests, lines of JSON without a name, figures for those who may."""

from __future__ import annotations

import io
import json
import logging
from typing import Any

import pytest
from prometheus_client import REGISTRY

from studio.discreet import JsonLines, logging_config
from tests.studio.conftest import House


@pytest.fixture
def lines() -> Any:
    """The lines that a server with `BASILWOOD_LOG=json` writes."""
    written = io.StringIO()
    handler = logging.StreamHandler(written)
    handler.setFormatter(JsonLines())
    log = logging.getLogger("basilwood.request")
    before = log.level
    log.addHandler(handler)
    log.setLevel(logging.INFO)
    yield lambda: [json.loads(line) for line in written.getvalue().splitlines()]
    log.removeHandler(handler)
    log.setLevel(before)


def test_a_request_has_a_number_and_a_line_that_names_nobody(house: House, lines: Any) -> None:
    path = f"/api/clients/{house.client.id}/desk"
    given = house.api.browser.get(path, headers={"X-Request-Id": "a1b2c3d4-from-proxy"})
    assert given["X-Request-Id"] == "a1b2c3d4-from-proxy"
    made = house.api.browser.get("/api/clients?q=Pia", headers={"X-Request-Id": "<script>"})
    assert len(made["X-Request-Id"]) == 32
    first, second = lines()
    assert (first["request"], first["route"], first["status"]) == (
        "a1b2c3d4-from-proxy", "api/clients/<uuid:client_id>/desk", 200,
    )  # fmt: skip
    assert second["route"] == "api/clients" and second["ms"] > 0
    assert "Pia" not in str(lines()) and str(house.client.id) not in str(lines())


def test_what_breaks_is_told_by_its_kind_and_its_way(house: House, monkeypatch: pytest.MonkeyPatch) -> None:
    try:
        raise ValueError("Pia Reed, waist 74")
    except ValueError as error:
        record = logging.LogRecord("x", logging.ERROR, "", 1, "broke", (), (ValueError, error, error.__traceback__))
    told = json.loads(JsonLines().format(record))
    assert told["level"] == "error" and "ValueError" in told["broke"] and "Pia" not in told["broke"].splitlines()[-1]
    assert logging_config(True)["loggers"]["basilwood.request"]["level"] == "INFO"
    assert logging_config()["loggers"]["basilwood.request"]["level"] == "CRITICAL"


def recorded(metrics: str) -> float:
    """How many entries the record was asked for."""
    (line,) = (line for line in metrics.splitlines() if line.startswith("basilwood_record_seconds_count "))
    return float(line.split()[-1])


def test_figures_are_for_this_machine_or_for_whoever_has_the_token(house: House, settings: Any) -> None:
    browser = house.api.browser
    before = REGISTRY.get_sample_value("basilwood_record_seconds_count") or 0.0
    browser.get(f"/api/clients/{house.client.id}/looks")
    told = browser.get("/metrics").content.decode()
    # What the record of who saw what takes of it stands beside: that look was one.
    assert recorded(told) >= before + 1
    assert 'route="api/clients/<uuid:client_id>/looks",status="200"' in told and "basilwood_queue_waiting" in told
    assert browser.get("/metrics", REMOTE_ADDR="10.1.1.1").status_code == 404
    settings.METRICS_TOKEN = "a-token-of-ours"
    for token, status in (("a-token-of-ours", 200), ("another", 404), ("", 404)):
        asked = browser.get("/metrics", REMOTE_ADDR="10.1.1.1", headers={"Authorization": f"Bearer {token}"})
        assert asked.status_code == status, token


def test_alive_and_ready_are_answered_whatever_name_was_asked(house: House, settings: Any) -> None:
    settings.ALLOWED_HOSTS, settings.SECURE_SSL_REDIRECT = ["studio.example"], True
    assert house.api.browser.get("/healthz", headers={"Host": "10.0.0.1"}).json() == {"alive": True}
    assert house.api.browser.get("/healthz").status_code == 200
