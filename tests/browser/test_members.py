"""Accounts, roles and who saw what, as an owner, an apprentice and the front desk meet them."""

from __future__ import annotations

import email
import re
import time
from collections.abc import Iterator
from email.message import EmailMessage
from pathlib import Path

import pytest
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.common.virtual_authenticator import VirtualAuthenticatorOptions

from house.places import HOUSE
from studio.people.demo import STYLISTS
from tests.authenticator import code_now
from tests.browser.conftest import PASSWORD, Server, Stylist, at_the_screen
from tests.browser.test_edit import come_in

pytestmark = pytest.mark.browser
APPRENTICE, DESK = STYLISTS[2][0], STYLISTS[3][0]


def leave(stylist: Stylist) -> None:
    stylist.driver.delete_all_cookies()


@pytest.fixture(autouse=True, scope="module")
def worker(server: Server) -> Iterator[None]:
    """Letters are taken to the mail server by a worker."""
    server.work()
    yield
    server.no_worker()


def letter_to(address: str, since: float) -> str:
    """The text of the newest letter to an address."""
    for path in sorted((HOUSE / "outbox").glob("*.eml"), key=lambda one: -one.stat().st_mtime):
        letter = email.message_from_bytes(Path(path).read_bytes(), _class=EmailMessage)
        if path.stat().st_mtime >= since and address in str(letter["To"]):
            return str(letter.get_payload(decode=True).decode())  # type: ignore[union-attr]
    return ""


def link_to(stylist: Stylist, address: str, since: float) -> str:
    """The address in the newest letter to somebody, when it has come."""
    stylist.wait(lambda: "key=" in letter_to(address, since), "the letter")
    found = re.search(r"http\S+key=\S+", letter_to(address, since))
    assert found
    return found[0]


def invite(stylist: Stylist, address: str) -> str:
    """Ask somebody in; the address that accepts it, as the letter brings it."""
    since = time.time() - 1
    stylist.sign_in()
    stylist.go("/studio")
    stylist.tab_to("#invite-email")
    stylist.press(address, Keys.ENTER)
    stylist.find("[data-invited]")
    return link_to(stylist, address, since)


def join(stylist: Stylist, address: str, name: str) -> None:
    link = invite(stylist, address)
    leave(stylist)
    stylist.driver.get(link)
    stylist.sees("asks you to work with them, as stylist")
    stylist.tab_to("#password")
    stylist.press(PASSWORD, Keys.TAB, name, Keys.ENTER)
    stylist.find("#search")


def test_somebody_is_invited_comes_in_forgets_the_password_and_chooses_a_new_one(stylist: Stylist) -> None:
    address = "wren@hollinrow.example"
    join(stylist, address, "Wren Ash")
    stylist.sees("Wren Ash, Hollin Row")
    # What a stylist has no right to is not there.
    assert not any(link.text == "Studio" for link in stylist.all("header nav a"))
    leave(stylist)
    since = time.time() - 1
    stylist.go("/sign-in")
    stylist.tab_to("a[href='/forgotten']")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: stylist.driver.current_url.endswith("/forgotten"))
    stylist.tab_to("#email")
    stylist.press(address, Keys.ENTER)
    stylist.sees("a letter is on its way")
    link = link_to(stylist, address, since)
    stylist.driver.get(link)
    stylist.tab_to("#password")
    stylist.press("a quite new password", Keys.ENTER)
    stylist.sees("The new password holds")
    stylist.sign_in(address, "a quite new password")
    stylist.driver.get(link)
    stylist.tab_to("#password")
    stylist.press("yet another password", Keys.ENTER)
    stylist.sees("has run out")


def test_an_authenticator_app_is_set_up_and_asked_for_and_its_recovery_code_lets_in_once(stylist: Stylist) -> None:
    address = "fen@hollinrow.example"
    join(stylist, address, "Fen Marl")
    stylist.go("/account")
    stylist.tab_to("[data-app]")
    stylist.press(Keys.ENTER)
    secret = stylist.find("[data-secret]").text
    stylist.wait(lambda: stylist.focused.get_attribute("id") == "app-code")
    stylist.press("123", Keys.ENTER)
    stylist.sees("This code is not right")
    stylist.chord(Keys.CONTROL, "a")
    stylist.press(code_now(secret), Keys.ENTER)
    prove(stylist)
    codes = [one.text for one in stylist.find("[data-codes]").find_elements("css selector", "li")]
    assert len(codes) == 10
    leave(stylist)
    for right in (False, True):
        stylist.go("/sign-in")
        stylist.tab_to("#email")
        stylist.press(address, Keys.TAB, PASSWORD, Keys.ENTER)
        stylist.sees("One more thing")
        stylist.wait(lambda: stylist.focused.get_attribute("id") == "code")
        stylist.press(codes[0] if right else "000000", Keys.ENTER)
        if right:
            stylist.find("#search")
        else:
            stylist.sees("This code is not right")
            leave(stylist)


def test_an_account_takes_another_address_and_ends_what_is_open_elsewhere(stylist: Stylist, server: Server) -> None:
    first, second = "ivy@hollinrow.example", "ivy.moss@hollinrow.example"
    join(stylist, first, "Ivy Moss")
    with at_the_screen(server) as tablet:
        tablet.sign_in(first)
        stylist.go("/account")
        stylist.wait(lambda: len(stylist.all("[data-current]")) == 2)
        stylist.tab_to("[data-current=false] button")
        stylist.press(Keys.ENTER)
        stylist.wait(lambda: len(stylist.all("[data-current]")) == 1)
        tablet.go("/people")
        tablet.find("#email")
    since = time.time() - 1
    stylist.tab_to("input[type=email]")
    stylist.press(second, Keys.ENTER)
    stylist.sees("a letter to it waits to be answered")
    link = link_to(stylist, second, since)
    stylist.driver.get(link)
    stylist.sees("Your address is confirmed")
    stylist.go("/account")
    stylist.click("Sign in with this one")
    stylist.wait(lambda: "you sign in with this one" in stylist.called(second, "li", whole=False).text)
    leave(stylist)
    stylist.sign_in(second)
    stylist.sees("Ivy Moss, Hollin Row")


def test_an_owner_changes_a_role_lets_somebody_leave_and_takes_that_and_an_invitation_back(stylist: Stylist) -> None:
    address = "asa@hollinrow.example"
    join(stylist, address, "Asa Fell")
    leave(stylist)
    invite(stylist, "nobody.yet@hollinrow.example")
    row = f"tr[data-member='{address}']"
    stylist.tab_to(f"{row} select")
    stylist.press("a")
    stylist.driver.refresh()
    stylist.wait(lambda: stylist.find(f"{row} select").get_attribute("value") == "apprentice", "an apprentice")
    stylist.tab_to(f"{row} button")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: "has left" in stylist.find(row).text)
    stylist.click("Undo")
    stylist.wait(lambda: stylist.find(f"{row} select").get_attribute("value") == "apprentice", "there again")
    stylist.sees("nobody.yet@hollinrow.example, stylist")
    stylist.click("Take back")
    stylist.wait(lambda: "nobody.yet@hollinrow.example, stylist" not in stylist.find("main").text)


def test_an_owner_says_how_long_clients_are_kept_and_searches_the_record_by_client(stylist: Stylist) -> None:
    come_in(stylist, "Tilda Wray")
    stylist.open("Ottoline")
    stylist.go("/studio#keeping")
    stylist.tab_to("[aria-label='Years without a visit']")
    stylist.press("7")
    stylist.driver.refresh()
    years = "[aria-label='Years without a visit']"
    stylist.wait(lambda: stylist.find(years).get_attribute("value") == "7", "seven years")
    stylist.go("/studio#seen")
    stylist.find("[data-seen]")
    stylist.tab_to("[aria-label='Of whom']")
    stylist.press("tilda w")
    stylist.find("[role=option]")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: {one.text for one in stylist.all("[data-seen] a")} == {"Tilda Wray"}, "of her alone")
    assert stylist.violations() == []
    stylist.click("×")
    stylist.wait(lambda: len({one.text for one in stylist.all("[data-seen] a")}) > 1, "of everybody")


def prove(stylist: Stylist) -> None:
    """Before something that matters the password is asked for."""
    stylist.wait(lambda: stylist.focused.get_attribute("id") == "prove")
    stylist.press(PASSWORD, Keys.ENTER)


def test_a_passkey_signs_in_without_a_password(stylist: Stylist) -> None:
    join(stylist, "rue@hollinrow.example", "Rue Sedge")
    # A passkey is bound to a name, and an address in figures is none.
    named = stylist.server.address.replace("127.0.0.1", "localhost")
    stylist.driver.add_virtual_authenticator(
        VirtualAuthenticatorOptions(has_resident_key=True, has_user_verification=True, is_user_verified=True)
    )
    try:
        stylist.driver.get(f"{named}/sign-in")
        stylist.tab_to("#email")
        stylist.press("rue@hollinrow.example", Keys.TAB, PASSWORD, Keys.ENTER)
        stylist.find("#search")
        stylist.driver.get(f"{named}/account")
        stylist.tab_to("[aria-label='What to call the passkey']")
        stylist.press("Studio tablet", Keys.ENTER)
        prove(stylist)
        stylist.sees("Studio tablet, since")
        leave(stylist)
        stylist.driver.get(f"{named}/sign-in")
        stylist.click("With a passkey")
        stylist.find("#search")
        stylist.sees("Rue Sedge")
    finally:
        stylist.driver.remove_virtual_authenticator()


def test_what_an_apprentice_measures_is_confirmed_and_a_client_is_theirs_alone(stylist: Stylist) -> None:
    come_in(stylist, "Orla Vance")
    stylist.step("records")
    stylist.find("[data-seen]")
    stylist.sees("Open to")
    for wanted in ("Juno Pell", "those ticked alone"):
        stylist.called(wanted, "label", whole=False).find_element("css selector", "input").click()
    stylist.wait(lambda: len([one for one in stylist.all("main input[type=checkbox]") if one.is_selected()]) == 1)
    stylist.wait(lambda: not stylist.all("[aria-busy=true]"), "it is kept")
    address = stylist.driver.current_url.split("#")[0]
    leave(stylist)
    stylist.sign_in(STYLISTS[1][0])
    stylist.driver.get(address)
    stylist.sees("not on your list")
    leave(stylist)
    stylist.sign_in(APPRENTICE)
    assert {one.text.splitlines()[0] for one in stylist.all("main ul li a")} >= {"Orla Vance", "Idris Calloway"}
    assert "Ottoline Brae" not in stylist.find("main").text
    stylist.open("Orla Vance")
    stylist.begin("quick", twice=False)
    stylist.go_to("stature")
    stylist.press("168.2", Keys.ENTER)
    stylist.sees("Waits for a second pair of eyes")
    assert not stylist.all("[data-confirm]")
    stylist.step("records")
    stylist.sees("Who saw what")
    assert "Take it with you" not in stylist.find("main").text and "Erase for good" not in stylist.find("main").text
    leave(stylist)
    stylist.sign_in()
    stylist.open("Orla Vance")
    stylist.step("measure")
    stylist.find("[data-confirm=stature]").click()
    stylist.wait(lambda: not stylist.all("[data-awaiting]"))
    stylist.chord(Keys.CONTROL, "z")
    stylist.find("[data-awaiting]")
    stylist.step("records")
    stylist.wait(lambda: "Juno Pell changed the body" in " ".join(stylist.find("[data-seen]").text.split()))


def test_the_front_desk_reaches_people_and_sees_no_body(stylist: Stylist) -> None:
    come_in(stylist, "Pell Harrow")
    leave(stylist)
    stylist.sign_in(DESK)
    assert [link.text for link in stylist.all("header nav a")] == ["People", "Diary"]
    stylist.press("/")
    stylist.press("Pell Harrow")
    stylist.wait(lambda: len(stylist.all("main ul li")) == 1)
    stylist.tab_to("main ul li a")
    stylist.press(Keys.ENTER)
    stylist.tab_to("#reach-phone")
    stylist.press("01632 960 001", Keys.TAB)
    stylist.find("[data-reach=true]")
    stylist.driver.refresh()
    stylist.wait(lambda: stylist.find("#reach-phone").get_attribute("value") == "01632 960 001")
    leave(stylist)
    stylist.sign_in()
    stylist.go("/studio#seen")
    stylist.find("[data-seen]")
    stylist.wait(
        lambda: (
            "Lark Denby changed how they are reached of Pell Harrow"
            in " ".join(stylist.find("[data-seen]").text.split())
        )
    )


def test_one_account_works_for_two_studios(stylist: Stylist) -> None:
    stylist.sign_in(STYLISTS[1][0])
    stylist.find("main ul li a")
    stylist.go("/account")
    stylist.sees("Quay Street")
    stylist.click("Work here")
    stylist.sees("Nobody here yet")
    stylist.sees("Tobin Hale, Quay Street")
    # Another window is still loaded for the first studio: it is told so, and nothing is mixed.
    stylist.go("/account")
    stylist.click("Work here")
    stylist.find("main ul li a")


@pytest.mark.parametrize("path", ["/sign-in", "/forgotten", "/account", "/studio", "/studio#seen", "/studio#keeping"])
def test_axe_finds_nothing(stylist: Stylist, path: str) -> None:
    if path not in ("/sign-in", "/forgotten"):
        stylist.sign_in()
    stylist.go(path)
    stylist.find("h1")
    stylist.wait(lambda: "Looking" not in stylist.find("body").text)
    assert stylist.violations() == []
