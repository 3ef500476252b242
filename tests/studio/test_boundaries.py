"""Nobody reaches another studio's rows, nor anything without signing in; and the doors are shut."""

from __future__ import annotations

import re
import uuid
from collections import Counter
from collections.abc import Iterator
from typing import Any

import pytest
from django.test import Client as Browser
from pydantic import BaseModel

from tests.studio.conftest import PASSWORD, House
from tests.studio.everything import A_VISIT, endpoints
from tests.studio.test_charts import keep as keep_charts
from tests.studio.test_fittings import begin, errand, log

OPEN = {("get", "/session"), ("post", "/join/look")}
SIGN_IN = "/api/accounts/browser/v1/auth/login"


@pytest.mark.parametrize("path", [path for method, path in endpoints() if method == "get" and "{" not in path])
def test_lists_hold_only_the_own_studio(path: str, house: House, other: House) -> None:
    other.keep("Theirs")
    keep_charts(other)
    log(other, begin(other), line="white tee", errands=[errand()])
    other.api.ask("POST", "/kit", {"id": str(uuid.uuid4()), "line": "white tee"})
    visit = {**A_VISIT, "id": str(uuid.uuid4()), "title": "white tee", "members": [other.member.pk]}
    assert other.api.ask("POST", "/appointments", visit).status_code == 201
    told = house.api.ask("GET", f"{path}?first=2026-11-01&last=2026-12-31&zone=UTC" if path == "/diary" else path)
    # Without a shop there is nothing of anybody's to see.
    assert told.status_code == (503 if path == "/charts/shop" else 200), told.content
    assert "Fenn" not in told.content.decode() and "white tee" not in told.content.decode()
    assert str(other.client.id) not in told.content.decode() and "bo@birch.example" not in told.content.decode()


@pytest.mark.django_db
@pytest.mark.parametrize(("method", "path"), [e for e in endpoints() if e not in OPEN])
def test_nothing_without_signing_in(method: str, path: str) -> None:
    address = re.sub(r"\{\w+\}", str(uuid.uuid4()), re.sub(r"\{(session|before|member)_id\}", "1", path))
    answer = Browser().generic(method.upper(), f"/api{address}", data="{}", content_type="application/json")
    assert answer.status_code in (401, 403)


def test_a_write_without_its_token_is_refused(house: House) -> None:
    strict = Browser(enforce_csrf_checks=True)
    strict.force_login(house.member.account)
    for path, body in (("/api/clients", {"name": "X"}), (SIGN_IN, {"email": "a@b.example", "password": "x"})):
        assert strict.post(path, body, content_type="application/json").status_code == 403
    token = strict.get("/api/session").cookies["csrftoken"].value
    made = strict.post("/api/clients", {"name": "X"}, content_type="application/json", headers={"X-CSRFToken": token})
    assert made.status_code == 201


def test_sign_in_is_slowed_after_misses_and_says_so(house: House) -> None:
    browser = Browser()

    def sign_in(password: str, **more: Any) -> Any:
        given = {"email": " Ada@Alder.example ", "password": password}
        return browser.post(SIGN_IN, given, content_type="application/json", **more)

    assert sign_in(PASSWORD).status_code == 200
    assert browser.get("/api/session").json()["name"] == "Ada Stitch"
    browser.delete("/api/accounts/browser/v1/auth/session")
    assert browser.get("/api/session").status_code == 401
    missed = [sign_in("wrong").json()["errors"][0]["code"] for _ in range(5)]
    assert missed == ["email_password_mismatch"] * 5
    # The right one is not looked at any more; from another place it is.
    assert sign_in(PASSWORD).json()["errors"][0]["code"] == "too_many_login_attempts"
    assert sign_in(PASSWORD, REMOTE_ADDR="10.1.2.3").status_code == 200


def test_every_answer_carries_the_headers(house: House) -> None:
    for path in ("/people", "/api/clients"):
        headers = house.api.browser.get(path).headers
        policy = headers["Content-Security-Policy"]
        assert "default-src 'none'" in policy and "unsafe-inline" not in policy and "unsafe-eval" not in policy
        assert headers["X-Frame-Options"] == "DENY"
        assert headers["X-Content-Type-Options"] == "nosniff"
        assert headers["Referrer-Policy"] == "same-origin"
    assert house.api.browser.get("/api/clients").headers["Cache-Control"] == "no-store"


def test_no_two_shapes_share_a_name() -> None:
    """In the interface's document the later of two would silently take the place of the earlier."""

    def below(shape: type[BaseModel]) -> Iterator[type[BaseModel]]:
        for one in shape.__subclasses__():
            yield one
            yield from below(one)

    ours = {one for one in below(BaseModel) if one.__module__.startswith(("studio.", "craft."))}
    count = Counter(one.__name__ for one in ours if not one.__name__.startswith("_"))
    assert [name for name, times in count.items() if times > 1] == []
