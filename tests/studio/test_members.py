"""Accounts, roles and invitations: who comes in, what each may do, and that a client is open to whom it should be."""

from __future__ import annotations

import json
import re
import uuid
from email.message import EmailMessage
from pathlib import Path
from typing import Any

import pytest
from allauth.mfa.totp.internal.auth import TOTP, generate_totp_secret
from django.test import Client as Browser
from django.utils import timezone

from studio.bodies.models import Reading
from studio.members.models import Account, Invitation
from studio.members.services import add_member
from studio.people.models import Client, Member
from studio.permissions import Operation, operations, table
from studio.policy import Role
from studio.post.models import Outgoing
from tests.authenticator import code_now
from tests.studio.conftest import PASSWORD, Api, House, MailServer, joined, serving

ACCOUNTS = "/api/accounts/browser/v1"
DOC = Path(__file__).parents[2] / "docs" / "permissions.md"


def post(browser: Browser, path: str, body: Any = None, method: str = "POST", **more: Any) -> Any:
    with serving():
        return browser.generic(method, path, data=_json(body), content_type="application/json", **more)


def _json(body: Any) -> str:
    return json.dumps(body if body is not None else {})


def text_of(letter: EmailMessage) -> str:
    return str(letter.get_payload(decode=True).decode())  # type: ignore[union-attr]


def link_in(letter: EmailMessage) -> str:
    return str(re.search(r"key=(\S+)", text_of(letter))[1])  # type: ignore[index]


def test_the_table_of_who_may_do_what_is_the_policys() -> None:
    assert DOC.read_text(encoding="utf-8") == table(), "Run ./basilwood types."


@pytest.mark.parametrize("role", list(Role))
def test_the_server_refuses_every_operation_that_a_role_has_no_right_to(role: Role, house: House) -> None:
    somebody = joined(house, f"{role}@alder.example", "Sol Reed", role)
    for one in operations():
        if one.right is None:
            continue
        told = somebody.api.ask(one.method, _address(one), {})
        refused = told.status_code == 403 and (told.told or {}).get("field") == "role"
        assert refused != one.open_to(role), (one, told.status_code)


def _address(one: Operation) -> str:
    path = re.sub(r"\{(uuid(str)?:)?\w+_id\}", str(uuid.uuid4()), re.sub(r"\{int:\w+\}", "1", one.path))
    return re.sub(r"\{\w+\}", "hip", path)


def test_an_invitation_brings_somebody_in_with_a_confirmed_account(house: House, mail_server: type[MailServer]) -> None:
    told = house.api.ask("POST", "/invitations", {"email": " New@Alder.example", "role": "apprentice"}).told
    (letter,) = mail_server.letters()
    assert told["sent"] and letter["To"] == "new@alder.example" and "Ada Stitch asks you" in text_of(letter)
    browser = Browser()
    key = link_in(letter)
    assert key in told["link"]
    # Nobody makes an account without an invitation.
    assert (
        post(browser, f"{ACCOUNTS}/auth/signup", {"email": "new@alder.example", "password": PASSWORD}).status_code
        == 403
    )
    look = post(browser, "/api/join/look", {"key": key}).json()
    assert look == {"studio": "Alder", "role": "apprentice", "email": "new@alder.example", "known": False}
    made = post(browser, f"{ACCOUNTS}/auth/signup", {"email": "new@alder.example", "password": PASSWORD})
    assert made.status_code == 200, made.content
    me = post(browser, "/api/join", {"name": "Nell Ash"}).json()
    assert (me["name"], me["role"], me["studio"]["name"]) == ("Nell Ash", "apprentice", "Alder")
    assert post(browser, "/api/join/look", {"key": key}).status_code == 404
    assert Member.objects.get(account__email="new@alder.example").studio == house.member.studio


def test_an_invitation_ends_is_taken_back_and_is_replaced(house: House) -> None:
    first = house.api.ask("POST", "/invitations", {"email": "new@alder.example"}).told
    second = house.api.ask("POST", "/invitations", {"email": "new@alder.example"}).told
    look = {"first": first, "second": second}
    opened = {
        name: post(Browser(), "/api/join/look", {"key": one["link"].split("key=")[1]}) for name, one in look.items()
    }
    assert (opened["first"].status_code, opened["second"].status_code) == (404, 200)
    assert [one["id"] for one in house.api.ask("GET", "/invitations").told] == [second["id"]]
    Invitation.objects.update(ends_at="2026-01-01T00:00Z")
    assert post(Browser(), "/api/join/look", {"key": second["link"].split("key=")[1]}).status_code == 404
    Invitation.objects.update(ends_at="2199-01-01T00:00Z")
    assert house.api.ask("DELETE", f"/invitations/{second['id']}").status_code == 204
    assert post(Browser(), "/api/join/look", {"key": second["link"].split("key=")[1]}).status_code == 404
    refused = house.api.ask("POST", "/invitations", {"email": "ada@alder.example"})
    assert refused.status_code == 422 and "works here already" in refused.told["message"]


def test_one_account_works_for_two_studios_and_two_windows_never_mix_them(house: House, other: House) -> None:
    add_member(other.member.studio, "ada@alder.example", "Ada at Birch", PASSWORD)
    me = house.api.ask("GET", "/session").told
    assert [one["studio"] for one in me["works_in"]] == ["Alder", "Birch"]
    assert [row["name"] for row in house.api.ask("GET", "/clients").told["rows"]] == ["Pia Reed"]
    Client.objects.filter(id=other.client.id).update(name="Una Birch")
    birch = me["works_in"][1]["member"]
    assert house.api.ask("POST", "/session/studio", {"member": birch}).told["name"] == "Ada at Birch"
    assert [row["name"] for row in house.api.ask("GET", "/clients").told["rows"]] == ["Una Birch"]
    with serving():
        stale = house.api.browser.get("/api/clients", headers={"Basilwood-Member": str(me["member"])})
    assert stale.status_code == 403 and "another window" in stale.json()["message"]
    # Nobody works where they are nobody.
    assert house.api.ask("POST", "/session/studio", {"member": other.member.pk}).status_code == 403


def test_who_left_sees_nothing_and_a_studio_keeps_an_owner(house: House) -> None:
    colleague = joined(house, "cy@alder.example", "Cy Loom", Role.STYLIST)
    assert colleague.api.ask("GET", "/clients").status_code == 200
    address = f"/members/{colleague.member.pk}"
    assert house.api.ask("PATCH", address, {"active": False}).told["active"] is False
    assert colleague.api.ask("GET", "/clients").status_code == 403
    assert house.api.ask("PATCH", address, {"active": True, "role": "front_desk"}).told["role"] == "front_desk"
    assert colleague.api.ask("GET", f"/clients/{house.client.id}/desk").status_code == 403
    for change in ({"role": "stylist"}, {"active": False}):
        refused = house.api.ask("PATCH", f"/members/{house.member.pk}", change)
        assert refused.status_code == 422 and "needs an owner" in refused.told["message"]
    assert house.api.ask("GET", "/members").told[0]["role"] == "owner"


def test_a_client_is_open_to_the_studio_or_to_those_assigned(house: House) -> None:
    stylist = joined(house, "cy@alder.example", "Cy Loom", Role.STYLIST)
    apprentice = joined(house, "jo@alder.example", "Jo Pell", Role.APPRENTICE)
    desk = joined(house, "de@alder.example", "De Lark", Role.FRONT_DESK)
    house.read("hip", "99")
    look = house.keep().told["id"]
    address = f"/clients/{house.client.id}"

    def reached(who: House) -> list[bool]:
        asked = (("GET", f"{address}/desk"), ("PUT", f"/looks/{look}"), ("GET", f"{address}/looks"))
        body = {"version": 0, "name": "Look", "pieces": [{"is": "jeans"}]}
        return [who.api.ask(method, path, body).status_code != 404 for method, path in asked]

    def listed(who: House) -> int:
        return int(who.api.ask("GET", "/clients").told["total"])

    assert all(reached(stylist)) and not any(reached(apprentice))
    assert (listed(stylist), listed(apprentice), listed(desk)) == (1, 0, 1)
    given = {"add": [apprentice.member.pk]}
    assert stylist.api.ask("PATCH", f"{address}/assigned", given).told["members"] == [apprentice.member.pk]
    assert all(reached(apprentice)) and all(reached(stylist))
    # An owner whose screen is older than that closes it to others, and takes nobody out by it.
    closed = house.api.ask("PATCH", f"{address}/assigned", {"restricted": True, "remove": [stylist.member.pk]}).told
    assert (closed["restricted"], closed["members"]) == (True, [apprentice.member.pk])
    assert all(reached(apprentice)) and not any(reached(stylist)) and all(reached(house))
    assert (listed(stylist), listed(apprentice), listed(desk)) == (0, 1, 1)
    # What lists of the whole studio tell is of open clients alone.
    assert str(house.client.id) not in str(stylist.api.ask("GET", "/errands").told)
    stranger = house.api.ask("PATCH", f"{address}/assigned", {"add": [10**6]})
    assert stranger.status_code == 422


def test_the_front_desk_has_names_and_how_to_reach_people_and_no_more(house: House) -> None:
    desk = joined(house, "de@alder.example", "De Lark", Role.FRONT_DESK)
    Client.objects.filter(id=house.client.id).update(note="Shy of her knees")
    house.read("hip", "99")
    listed = desk.api.ask("GET", "/clients").told["rows"][0]
    assert (listed["name"], listed["note"], listed["measures"]) == ("Pia Reed", "", 0)
    assert desk.api.ask("GET", "/clients?q=knees").told["total"] == 0
    address = f"/clients/{house.client.id}/reach"
    told = desk.api.ask("PUT", address, {"version": 1, "phone": " 0123 ", "email": "pia@reed.example"}).told
    assert (told["phone"], told["version"]) == ("0123", 2)
    assert desk.api.ask("PUT", address, {"version": 1, "phone": "5"}).status_code == 409
    assert "Shy" not in str(desk.api.ask("PUT", address, {"version": 1, "phone": "5"}).told)
    year = timezone.now().year + 1
    query = f"/diary?first={year}-10-01&last={year}-12-31&zone=UTC"
    assert [{due["kind"] for due in who.api.ask("GET", query).told["due"]} for who in (desk, house)] == [
        {"season"},
        {"season", "measure"},
    ]


def test_what_an_apprentice_measures_waits_for_a_second_pair_of_eyes(house: House) -> None:
    apprentice = joined(house, "jo@alder.example", "Jo Pell", Role.APPRENTICE)
    house.api.ask("PATCH", f"/clients/{house.client.id}/assigned", {"add": [apprentice.member.pk]})
    house.take("waist", "74")
    apprentice.take("hip", "99")
    assert {name: row["awaits"] for name, row in house.desk().items() if row["awaits"]} == {"hip": "Jo Pell"}
    address = f"/clients/{house.client.id}/measures/hip/confirm"
    assert apprentice.api.ask("POST", address).status_code == 403
    assert house.api.ask("POST", address).status_code == 200
    assert not any(row["awaits"] for row in house.desk().values())
    assert house.api.ask("DELETE", address).status_code == 200
    assert house.desk()["hip"]["awaits"] == "Jo Pell"
    # What a stylist takes on top of it is a measure of theirs; what waits is what is left of the apprentice's.
    assert Reading.objects.filter(awaits=True).count() == 1


def test_a_studio_can_require_a_second_factor(house: House) -> None:
    version = house.api.ask("GET", "/session").told["studio"]["version"]
    told = house.api.ask("PATCH", "/studio", {"version": version, "second_factor": True}).told
    assert told["second_factor"]
    refused = house.api.ask("GET", "/clients")
    assert refused.status_code == 403 and refused.told["field"] == "second_factor"
    assert house.api.ask("GET", "/session").told["needs_second_factor"]
    TOTP.activate(house.member.account, generate_totp_secret())
    assert house.api.ask("GET", "/clients").status_code == 200


def test_a_second_factor_is_asked_for_at_sign_in(house: House) -> None:
    secret = generate_totp_secret()
    TOTP.activate(house.member.account, secret)
    browser = Browser()
    given = {"email": "ada@alder.example", "password": PASSWORD}
    first = post(browser, f"{ACCOUNTS}/auth/login", given)
    assert first.status_code == 401
    assert [flow["id"] for flow in first.json()["data"]["flows"] if flow.get("is_pending")] == ["mfa_authenticate"]
    assert browser.get("/api/session").status_code == 401
    assert post(browser, f"{ACCOUNTS}/auth/2fa/authenticate", {"code": "000000"}).status_code == 400
    assert post(browser, f"{ACCOUNTS}/auth/2fa/authenticate", {"code": code_now(secret)}).status_code == 200
    assert browser.get("/api/session").json()["name"] == "Ada Stitch"


def test_a_forgotten_password_is_made_anew_by_a_letter(house: House, mail_server: type[MailServer]) -> None:
    browser = Browser()
    assert post(browser, f"{ACCOUNTS}/auth/password/request", {"email": "ada@alder.example"}).status_code == 200
    assert post(browser, f"{ACCOUNTS}/auth/password/request", {"email": "nobody@alder.example"}).status_code == 200
    letters = mail_server.letters()
    assert [letter["To"] for letter in letters] == ["ada@alder.example", "nobody@alder.example"]
    key = link_in(letters[0])
    reset = post(browser, f"{ACCOUNTS}/auth/password/reset", {"key": key, "password": "short"})
    assert reset.status_code == 400
    post(browser, f"{ACCOUNTS}/auth/password/reset", {"key": key, "password": "another-basket-43"})
    given = {"email": "ada@alder.example", "password": "another-basket-43"}
    assert post(Browser(), f"{ACCOUNTS}/auth/login", given).status_code == 200
    # It opens nothing a second time, and who was signed in elsewhere is so no more.
    again = post(Browser(), f"{ACCOUNTS}/auth/password/reset", {"key": key, "password": "third-basket-44"})
    assert again.status_code == 400
    assert house.api.browser.get("/api/session").status_code == 401


def test_a_new_device_is_told_by_letter_and_sessions_are_ended(house: House, mail_server: type[MailServer]) -> None:
    given = {"email": "ada@alder.example", "password": PASSWORD}
    firefox, chrome = "Mozilla/5.0 (Windows) Firefox/130.0", "Mozilla/5.0 (iPad) Chrome/130.0 Safari/5"
    desk, tablet = Browser(headers={"User-Agent": firefox}), Browser(headers={"User-Agent": chrome})
    for browser in (desk, tablet, Browser(headers={"User-Agent": firefox})):
        assert post(browser, f"{ACCOUNTS}/auth/login", given).status_code == 200
    (letter,) = mail_server.letters()
    assert "Chrome on iPad" in text_of(letter) and letter["Subject"] == "Signed in from a new device"
    held = desk.get(f"{ACCOUNTS}/auth/sessions").json()["data"]
    theirs = next(one for one in held if "iPad" in one["user_agent"])
    assert post(desk, f"{ACCOUNTS}/auth/sessions", {"sessions": [theirs["id"]]}, "DELETE").status_code == 200
    assert tablet.get("/api/session").status_code == 401 and desk.get("/api/session").status_code == 200


def test_letters_wait_for_a_mail_server_that_is_away(house: House, mail_server: type[MailServer]) -> None:
    mail_server.does = ConnectionRefusedError()
    assert post(Browser(), f"{ACCOUNTS}/auth/password/request", {"email": "ada@alder.example"}).status_code == 200
    assert house.api.ask("POST", "/invitations", {"email": "new@alder.example"}).told["sent"]
    assert mail_server.letters() == []
    # It is back a minute later: both arrive, and neither lies in the database any more.
    mail_server.does = None
    Outgoing.objects.update(next_at=timezone.now())
    assert [letter["To"] for letter in mail_server.letters()] == ["ada@alder.example", "new@alder.example"]
    assert {bytes(row.sealed) for row in Outgoing.objects.all()} == {b""}


def test_without_a_mail_server_an_invitation_is_given_by_hand(house: House) -> None:
    told = house.api.ask("POST", "/invitations", {"email": "new@alder.example"}).told
    assert not told["sent"] and "/join#key=" in told["link"] and not Outgoing.objects.exists()


def test_an_account_of_no_studio_is_told_so(db: None) -> None:
    account = Account.objects.create(email="lone@alder.example")
    browser = Browser()
    browser.force_login(account)
    told = Api(browser).ask("GET", "/session")
    assert told.status_code == 403 and "no studio" in told.told["message"]
