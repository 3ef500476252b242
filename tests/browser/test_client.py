"""Brief, history and records: kept as it is filled, brought in and out, erased with proof."""

from __future__ import annotations

import json

import pytest
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Stylist

pytestmark = pytest.mark.browser
TABLE = "measure,value (cm),taken on\nwaist,93.5,2026-11-01\nhip,1130,2026-11-01\nelbow grease,4,2026-11-01\n"


def value(stylist: Stylist, css: str) -> str:
    return str(stylist.find(css).get_attribute("value"))


def test_the_brief_is_filled_in_any_order_kept_undone_and_there_after_reload(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Sunniva")
    stylist.step("brief")
    stylist.tab_to("[data-brief=will_not_wear]")
    stylist.press("Another tracksuit.")
    stylist.click("+ weekend", whole=False)
    stylist.click("nickel", whole=False)
    stylist.sees("check buttons, zips, buckles")
    stylist.click("lengthen legs", whole=False)
    stylist.click("cool", whole=False)
    stylist.sees("Good near the face")
    stylist.kept()
    stylist.rest()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: "Good near the face" not in stylist.find("main").text)
    stylist.kept()
    stylist.driver.refresh()
    stylist.wait(lambda: value(stylist, "[data-brief=will_not_wear]") == "Another tracksuit.")
    pressed = {found.text for found in stylist.all("button[aria-pressed=true]")}
    assert {"nickel", "lengthen legs"} <= pressed and "cool" not in pressed
    assert value(stylist, "[aria-label='weekend, per cent of the week']") == "20"


def test_two_on_one_brief_are_offered_both(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Wilf")
    stylist.step("brief")
    first = stylist.driver.current_window_handle
    address = stylist.driver.current_url
    stylist.driver.switch_to.new_window("tab")
    stylist.driver.get(address)
    stylist.tab_to("[data-brief=clothes_should]")
    stylist.press("Be warm.")
    stylist.kept()
    stylist.driver.switch_to.window(first)
    stylist.tab_to("[data-brief=clothes_should]")
    stylist.press("Be dry.")
    box = stylist.find("[data-testid=conflict]")
    assert "Be dry." in box.text and "Be warm." in box.text
    # It stands above all the fields, so Tab goes once round the screen.
    stylist.tab_to("[data-testid=conflict] button:last-child", most=200)
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: value(stylist, "[data-brief=clothes_should]") == "Be warm.")
    stylist.kept()


def test_swatches_tell_the_colouring(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Tamsin")
    stylist.step("brief")
    stylist.find("details summary").click()
    for swatch in stylist.all("[aria-label='cool or warm: the second']"):
        swatch.click()
    stylist.wait(lambda: "warm" in {found.text for found in stylist.all("button[aria-pressed=true]")})
    stylist.kept()


def test_history_shows_what_changed_between_any_two_sessions(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("history")
    changed = stylist.find("[data-testid=changed]").text
    assert "waist" in changed.lower() and "+1.4 cm" in changed and "Stature" not in changed
    stylist.driver.execute_script("document.querySelectorAll('input[name=then]')[3].click()")
    stylist.wait(lambda: "+3.5 cm" in stylist.find("[data-testid=changed]").text)
    plots = [found.get_attribute("aria-label") for found in stylist.all("figure svg[role=img]")]
    assert any(str(plot).startswith("waist:") and str(plot).count(";") == 3 for plot in plots)


def test_a_table_is_previewed_row_by_row_and_kept_when_confirmed(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Marnie")
    stylist.step("records")
    stylist.tab_to("textarea")
    stylist.driver.execute_script("arguments[0].value = arguments[1]", stylist.focused, TABLE)
    stylist.press(" ")
    stylist.tab_to("form button")
    stylist.press(Keys.ENTER)
    preview = stylist.find("[data-testid=preview]").text
    assert "Refused: 2" in preview and "line 3" in preview and "not on the measure list" in preview
    assert "Good: 1" in preview
    stylist.click("Keep this row, leave the others", whole=False)
    stylist.sees("One reading is kept")
    stylist.step("history")
    stylist.sees("From a table, 1 measure")


def test_a_client_goes_out_as_a_file_comes_in_again_and_is_erased_with_proof(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Constance")
    stylist.step("records")
    href = stylist.find("a[href$='/file']").get_attribute("href")
    text = stylist.driver.execute_async_script(
        "const done = arguments[1]; fetch(arguments[0]).then((told) => told.text()).then(done)", href
    )
    file = {**json.loads(text), "name": "Constance Ebbing the Second"}
    stylist.go("/people")
    stylist.find("main details summary").click()
    stylist.driver.execute_script(
        "const t = document.querySelector('textarea'); t.value = arguments[0]; t.dispatchEvent(new Event('input', {bubbles: true}))",
        json.dumps(file),
    )
    stylist.click("Read the file", whole=False)
    stylist.sees("Constance Ebbing the Second: 1 session")
    stylist.click("Bring them in", whole=False)
    stylist.wait(lambda: "the Second" in stylist.find("h1").text)
    stylist.step("measure")
    stylist.wait(lambda: stylist.figure("hip").text == "92")
    stylist.step("records")
    stylist.tab_to("input[autocomplete=off]")
    stylist.press("Constance", Keys.ENTER)
    stylist.sees("exactly as it stands here")
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("Constance Ebbing the Second", Keys.ENTER)
    stylist.sees("0 found afterwards in the whole database")
    assert "the Second" not in stylist.find("main").text
