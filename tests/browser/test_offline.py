"""The application without a connection: it opens, measures, sorts and shows the day, and what was done arrives afterwards."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

import pytest
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Stylist
from tests.browser.test_edit import come_in, done

pytestmark = pytest.mark.browser
#: A small wardrobe: its sorting is computed in a moment.
PIECES = (
    {"is": "jeans", "cut": "wide", "colour": "navy"},
    {"is": "trousers", "colour": "black"},
    {"is": "shirt", "colour": "white"},
    {"is": "tee", "colour": "navy"},
    {"is": "loafers", "colour": "black"},
)


@pytest.fixture
def away(stylist: Stylist) -> Iterator[Any]:
    """Takes the server away; it is there again afterwards, whatever happened."""
    stopped = []

    def stop() -> None:
        stylist.server.stop()
        stopped.append(True)

    def start() -> None:
        stylist.server.start()
        stopped.clear()

    stop.back = start  # type: ignore[attr-defined]
    yield stop
    if stopped:
        stylist.server.start()


def at_hand(stylist: Stylist) -> None:
    """The application is kept on this device: its worker serves this page."""
    stylist.wait(
        lambda: stylist.driver.execute_script("return navigator.serviceWorker?.controller != null"), "the worker"
    )


def heard(stylist: Stylist, *paths: str) -> None:
    """Answers of these addresses are kept here."""
    script = """const done = arguments[1];
        caches.open("basilwood-heard").then((cache) => cache.keys())
          .then((keys) => done(arguments[0].every((path) => keys.some((key) => new URL(key.url).pathname.endsWith(path)))))"""
    stylist.wait(lambda: stylist.driver.execute_async_script(script, list(paths)), f"{paths} at hand")


def test_measuring_begins_and_goes_on_without_a_connection_and_arrives(stylist: Stylist, away: Any) -> None:
    come_in(stylist, "Una Fell")
    at_hand(stylist)
    stylist.driver.refresh()
    stylist.find("[data-panel]")
    stylist.step("measure")
    stylist.sees("Begin measuring")
    heard(stylist, "/desk", "/measuring", "/session")
    away()
    stylist.driver.refresh()
    stylist.sees("Without a connection")
    stylist.begin("quick", twice=False)
    stylist.go_to("hip")
    stylist.press("101.2", Keys.ENTER)
    stylist.go_to("waist")
    stylist.press("77.3", Keys.ENTER)
    # One that nobody would take without asking: said when somebody is asked.
    stylist.go_to("bust")
    stylist.press("9.4", Keys.ENTER)
    stylist.sees("3 readings wait")
    # Closed and opened again, they are there still.
    stylist.driver.refresh()
    stylist.sees("3 readings wait")
    away.back()
    stylist.wait(lambda: not stylist.all("[data-waiting]"), "what waited has gone")
    stylist.find("[data-refused]")
    stylist.sees("bust 9.4")
    stylist.click("Let it go", "[data-refused] button")
    stylist.driver.refresh()
    stylist.wait(lambda: stylist.figure("hip").text == "101.2")
    stylist.wait(lambda: stylist.figure("waist").text == "77.3")
    assert not stylist.all("[data-testid=without]")


def test_the_day_and_the_cards_are_there_without_a_connection_and_gone_after_signing_out(
    stylist: Stylist, away: Any
) -> None:
    stylist.sign_in()
    at_hand(stylist)
    stylist.go("/diary")
    stylist.find("[data-appointment]")
    heard(stylist, "/diary")
    shown = len(stylist.all("[data-appointment]"))
    away()
    stylist.driver.refresh()
    stylist.sees("Without a connection")
    stylist.wait(lambda: len(stylist.all("[data-appointment]")) == shown)
    away.back()
    stylist.driver.refresh()
    stylist.wait(lambda: not stylist.all("[data-testid=without]"))
    stylist.click("Sign out", "header button")
    stylist.find("#email")
    held = "const done = arguments[0]; caches.has('basilwood-heard').then(done)"
    stylist.wait(lambda: stylist.driver.execute_async_script(held) is False, "nothing at hand")


def test_sorting_goes_on_without_a_connection_and_arrives(stylist: Stylist, away: Any) -> None:
    stylist.server.work()
    rack = [{"piece": piece} for piece in PIECES]
    try:
        come_in(stylist, "Wilma Dene", rack=rack)
        stylist.step("edit")
        done(stylist, "sorting")
        stylist.sees(f"0 of {len(PIECES)} decided")
        stylist.rest()
        away()
        for number in (1, 2, 3):
            stylist.press(Keys.ENTER)
            stylist.sees(f"{number} of {len(PIECES)} decided")
        stylist.sees("3 decisions wait on this device")
        away.back()
        stylist.wait(lambda: not stylist.all("[data-waiting]"), "what waited has gone")
        stylist.driver.refresh()
        stylist.sees(f"3 of {len(PIECES)} decided")
    finally:
        stylist.server.no_worker()
