"""The measuring desk with the tape: a whole session by keyboard and tape, slips, and what gets in the way."""

from __future__ import annotations

import pytest
from selenium.webdriver.common.keys import Keys

from craft.body.measures import TOLERANCE, kind_of
from stands.tape.script import read_script
from tests.browser.conftest import Stylist

pytestmark = pytest.mark.browser


def new_client(stylist: Stylist, name: str) -> None:
    stylist.sign_in()
    stylist.tab_to("#name")
    stylist.press(name, Keys.ENTER)
    stylist.find("[data-brief=changed]")


def doubt(stylist: Stylist) -> str:
    found = stylist.all("[id^=d-][role=alert]")
    return found[0].text if found else ""


def situation(stylist: Stylist) -> tuple[object, ...]:
    """What an answer changes: the measure at hand, the readings taken, the doubt, the tape's state."""
    return (
        stylist.focused.get_attribute("data-measure"),
        stylist.find("[data-testid=which]").text,
        len(stylist.all("[data-active=true] li")),
        doubt(stylist),
        stylist.find("[data-testid=tape]").get_attribute("data-state"),
    )


def test_a_full_session_by_keyboard_and_tape_with_slips_and_a_drop_out(stylist: Stylist) -> None:
    script = read_script("full")
    stylist.server.fresh_tape("--session", "full", "--seed", "5")
    new_client(stylist, "Fern Sallow")
    stylist.begin("full")
    stylist.wait(lambda: stylist.find("[data-testid=tape]").get_attribute("data-state") == "connected", "the tape")
    doubts: list[str] = []
    lost = False
    for _ in range(120):
        if "36 of 36" in stylist.find("[data-testid=progress]").text:
            break
        before = situation(stylist)
        asked = doubt(stylist)
        if asked:
            doubts.append(asked)
            stylist.press("c" if "Correct to" in asked else "r")
        elif before[-1] == "connected":
            stylist.press(Keys.SPACE)
        lost = lost or before[-1] == "lost"
        stylist.wait(lambda before=before: situation(stylist) != before, "an answer to the tape")
        stylist.wait(lambda: stylist.find("[data-testid=saving]").get_attribute("data-saving") == "kept")
    assert "36 of 36" in stylist.find("[data-testid=progress]").text
    assert lost, "the drop-out of the script was seen"
    assert len(doubts) >= 2 and sum("inches" in asked for asked in doubts) == 1
    for measure in script.body:
        shown = float(stylist.figure(measure).text)
        assert abs(shown - script.truth(measure)) <= TOLERANCE[kind_of(measure)], measure
        assert "settled" in str(stylist.figure(measure).get_attribute("class"))
    assert "running low" in stylist.find("[data-testid=tape]").text
    finish = stylist.called("Finish", "main button")
    stylist.driver.execute_script("arguments[0].focus()", finish)
    stylist.press(Keys.ENTER)
    stylist.sees("The session is finished and kept")
    stylist.step("history")
    stylist.sees("Full, 36 measures")


def test_slips_are_asked_at_the_field_answered_with_one_key_and_undone(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Sunniva")
    stylist.begin("full", twice=False)
    stylist.go_to("waist")
    for typed, says in (("29", "read in inches"), ("-72", "negative"), ("tight", "not a length"), ("720", "cannot be")):
        stylist.chord(Keys.CONTROL, "a")
        stylist.press(typed, Keys.ENTER)
        stylist.wait(lambda says=says: says in stylist.find("#d-waist").text, says)
        assert stylist.find("#m-waist").get_attribute("value") == typed
        assert stylist.find("#m-waist").get_attribute("aria-invalid") == "true"
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("29", Keys.ENTER)
    stylist.wait(lambda: "Correct to 73.7 cm" in stylist.find("#d-waist").text)
    stylist.press("c")
    stylist.wait(lambda: stylist.figure("waist").text == "73.7")
    stylist.at_measure("under_bust")
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: stylist.figure("waist").text == "72")
    # An unusual reading is kept when the tape says so.
    stylist.go_to("neck")
    stylist.press("52", Keys.ENTER)
    stylist.wait(lambda: "Keep" in stylist.find("#d-neck").text)
    stylist.press("k")
    stylist.wait(lambda: stylist.figure("neck").text == "52")


def test_own_word_skip_and_again_are_one_key_each_and_a_minor_needs_a_guardian(stylist: Stylist) -> None:
    new_client(stylist, "Rowan Oakes")
    stylist.tab_to("section input[type=checkbox]")
    stylist.press(Keys.TAB, Keys.SPACE)
    stylist.kept()
    stylist.step("measure")
    for key in ("measure", "record"):
        stylist.tab_to(f"input[value={key}]")
        stylist.press(Keys.SPACE)
    stylist.tab_to("button[data-main]")
    stylist.press(Keys.ENTER)
    stylist.sees("name the guardian who is present")
    stylist.driver.execute_script("document.querySelector('[aria-invalid=true]').focus()")
    stylist.press("Hester Oakes")
    stylist.tab_to("button[data-main]")
    stylist.press(Keys.ENTER)
    stylist.at_measure("stature")
    stylist.press("w")
    stylist.sees("own word")
    stylist.press("158", Keys.ENTER)
    stylist.at_measure("shoulder_height")
    assert "settled" not in str(stylist.figure("stature").get_attribute("class"))
    stylist.press("s")
    stylist.at_measure("bust_height")
    stylist.press("r")
    stylist.at_measure("stature")
    stylist.click("Client stops", "main button")
    stylist.sees("Stopped, as wished")
    stylist.step("history")
    stylist.sees("stopped at the client’s wish")
    stylist.sees("guardian Hester Oakes")


def test_two_at_one_measure_are_told_and_both_readings_stand(stylist: Stylist) -> None:
    new_client(stylist, "Ash Bellweather")
    stylist.begin("quick")
    first = stylist.driver.current_window_handle
    address = stylist.driver.current_url
    stylist.driver.switch_to.new_window("tab")
    stylist.driver.get(address)
    stylist.at_measure("stature")
    stylist.press("170", Keys.ENTER)
    stylist.wait(lambda: stylist.figure("stature").text == "170")
    stylist.driver.switch_to.window(first)
    stylist.at_measure("stature")
    stylist.press("170.4", Keys.ENTER)
    stylist.wait(lambda: "took this measure meanwhile" in doubt(stylist))
    stylist.tab_to("#d-stature button")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: stylist.figure("stature").text == "170.2")


def test_a_server_that_goes_away_in_mid_session_loses_no_reading(stylist: Stylist) -> None:
    stylist.server.fresh_tape("--session", "full", "--seed", "9")
    new_client(stylist, "Linden Marsh")
    stylist.begin("quick")
    stylist.wait(lambda: stylist.find("[data-testid=tape]").get_attribute("data-state") == "connected")
    stylist.server.stop()
    try:
        stylist.press(Keys.SPACE)
        stylist.sees("One reading waits on this device")
    finally:
        stylist.server.start()
    stylist.wait(lambda: not stylist.all("[data-waiting]"), "the reading kept after all")
    stylist.wait(lambda: stylist.find("[data-testid=which]").text == "once more")
    assert len(stylist.all("[data-active=true] li")) == 1
    stylist.server.no_tape()
    stylist.wait(lambda: stylist.find("[data-testid=tape]").get_attribute("data-state") == "lost")
    # Without the tape the figure is typed, and the session goes on.
    stylist.press(str(stylist.figure("stature").text), Keys.ENTER)
    stylist.at_measure("navel_height")
