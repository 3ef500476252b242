"""Outfits by keyboard: found, walked, kept, varied, asked for, rejected; stopped, lost by its worker, looked at by two."""

from __future__ import annotations

from collections.abc import Iterator

import pytest
from selenium.webdriver.common.keys import Keys

from studio.people.demo import STYLISTS
from tests.browser.conftest import Server, Stylist, at_the_screen

pytestmark = pytest.mark.browser


@pytest.fixture
def working(server: Server) -> Iterator[Server]:
    """A server with a worker, which is gone afterwards."""
    server.work()
    yield server
    server.no_worker()


def state(stylist: Stylist) -> str:
    return str(stylist.find("[data-testid=search]").get_attribute("data-state"))


def looks(stylist: Stylist) -> list[str]:
    return [str(found.get_attribute("data-look")) for found in stylist.all(".caption[data-look]")]


def chosen(stylist: Stylist) -> str:
    return str(stylist.find("[data-testid=chosen]").get_attribute("data-look"))


def begin(stylist: Stylist, name: str) -> None:
    stylist.sign_in()
    stylist.open(name)
    stylist.step("outfits")
    stylist.wait(lambda: looks(stylist), "first looks")


def found(stylist: Stylist) -> None:
    """Wait until the whole wardrobe is searched; a small one takes seconds."""
    for _ in range(4):
        try:
            stylist.wait(lambda: state(stylist) == "done", "the search is done")
        except AssertionError:
            continue
        else:
            return
    raise AssertionError("the search was never done")


def test_looks_are_found_walked_kept_varied_and_opened_on_the_table(working: Server, stylist: Stylist) -> None:
    begin(stylist, "Ottoline")
    found(stylist)
    assert "looks work" in stylist.find("[data-testid=counted]").text
    assert stylist.violations() == []
    first = chosen(stylist)
    stylist.press(Keys.ARROW_RIGHT)
    stylist.wait(lambda: chosen(stylist) != first, "the next look")
    kept = chosen(stylist)
    stylist.press("k")
    stylist.wait(lambda: "kept" in stylist.find(f".caption[data-look='{kept}']").text, "it is kept")
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: "kept" not in stylist.find(f".caption[data-look='{kept}']").text, "undone")
    # One place in every way: all else stays on.
    on = [piece.text for piece in stylist.all("[data-testid=chosen] li span:first-child")]
    stylist.find("[data-testid=chosen] [aria-label$='try every other in its place']").click()
    stylist.sees("must be on")
    found(stylist)
    stylist.wait(lambda: on[1] in stylist.find("[data-testid=chosen]").text, "the rest stayed on")
    stylist.rest()
    stylist.press("d")
    stylist.wait(lambda: stylist.driver.current_url.endswith("#dress"), "the table")
    stylist.wait(lambda: stylist.verdict() == "works", "it works there too")
    stylist.kept()
    stylist.find("[data-testid=finish]").click()
    stylist.wait(lambda: stylist.driver.current_url.endswith("#outfits"), "finished from the wardrobe")
    found(stylist)


def test_pieces_are_rejected_together_and_that_is_taken_back(working: Server, stylist: Stylist) -> None:
    begin(stylist, "Marnie")
    found(stylist)
    all_of_them = stylist.find("[data-testid=counted]").text
    stylist.rest()
    stylist.press("x")
    stylist.press("too loud", Keys.ENTER)
    stylist.sees("Rejected together: 1")
    stylist.wait(lambda: state(stylist) == "done" and stylist.find("[data-testid=counted]").text != all_of_them)
    stylist.find("[data-testid=apart] summary").click()
    stylist.sees("too loud")
    stylist.find("[aria-label$='may be together again']").click()
    stylist.wait(lambda: state(stylist) == "done" and stylist.find("[data-testid=counted]").text == all_of_them)


def test_the_rack_counts_good_looks_and_opens_them(working: Server, stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Constance")
    stylist.step("rack")
    stylist.wait(lambda: stylist.all("[data-works]"), "the rack is counted")
    count = next(one for one in stylist.all("[data-works]") if one.get_attribute("data-works") != "0")
    count.click()
    stylist.wait(lambda: stylist.driver.current_url.endswith("#outfits"), "its looks")
    stylist.sees("must be on")
    found(stylist)
    assert stylist.violations() == []


def test_a_search_is_stopped_and_one_whose_worker_was_killed_waits_for_the_next(
    server: Server, stylist: Stylist
) -> None:
    server.no_worker()
    begin(stylist, "Rosalind")
    assert state(stylist) == "waiting"
    stylist.find("[data-testid=search] button").click()
    stylist.wait(lambda: state(stylist) == "cancelled", "stopped")
    assert looks(stylist)
    server.work()
    stylist.find("[data-testid=search] button").click()
    stylist.wait(lambda: state(stylist) == "running", "begun")
    server.no_worker()
    found_waiting = False
    for _ in range(3):
        try:
            stylist.wait(lambda: state(stylist) == "waiting", "handed over once more")
        except AssertionError:
            continue
        found_waiting = True
        break
    assert found_waiting
    server.work()
    stylist.wait(lambda: state(stylist) == "running", "begun anew")
    stylist.find("[data-testid=search] button").click()
    stylist.wait(lambda: state(stylist) == "cancelled")
    server.no_worker()


def test_two_stylists_share_what_was_found(working: Server, stylist: Stylist) -> None:
    begin(stylist, "Idris")
    found(stylist)
    with at_the_screen(working) as other:
        other.go("/")
        other.sign_in(STYLISTS[1][0])
        other.open("Idris")
        other.step("outfits")
        # Nothing is searched twice: what the one found stands at once for the other.
        other.wait(lambda: state(other) == "done", "found before")
        assert looks(other) == looks(stylist)
        other.rest()
        other.press("x")
        other.press(Keys.ENTER)
        other.sees("Rejected together: 1")
    stylist.go("/")
    stylist.find("main ul li")
    stylist.open("Idris")
    stylist.step("outfits")
    stylist.sees("Rejected together: 1")
