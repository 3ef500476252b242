"""What a stylist does, in a real browser, by keyboard; and what happens when it goes wrong."""

from __future__ import annotations

import pytest
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Stylist

pytestmark = pytest.mark.browser
FIVE = (("stature", "5ft 5"), ("bust", "92"), ("waist", "29in"), ("hip", "100"), ("crotch_height", "76"))


def test_the_whole_job_by_keyboard_and_it_is_there_after_reload_and_restart(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Jory")
    # Nobody measured yet: the desk opens at the first measure.
    stylist.find("#m-stature")
    stylist.press("1")
    stylist.tab_to("#m-stature")
    for name, typed in FIVE:
        stylist.wait(lambda name=name: stylist.focused.get_attribute("id") == f"m-{name}", f"focus on {name}")
        stylist.press(typed, Keys.ENTER)
        stylist.wait(lambda name=name: stylist.find(f"#m-{name}").get_attribute("data-settled") == "true")
    assert stylist.find("#m-waist").get_attribute("value") == "73.7"
    assert stylist.find("#m-stature").get_attribute("value") == "165.1"

    stylist.rest()
    stylist.press("2")
    stylist.wait(lambda: stylist.find("[data-testid=shape]").text.lower() in ("hourglass", "triangle"))

    stylist.press("3")
    stylist.tab_to("#say")
    stylist.press("wide navy trousers high rise; oversized white shirt; chunky ankle boots", Keys.ENTER)
    stylist.wait(lambda: stylist.verdict() == "against")
    stylist.sees("Bottom-heavy")
    assert "foot" in stylist.edge("leg_hem")
    stylist.kept()

    # Straight trousers to the ankle instead: stepping through words moves the figure without a page load.
    stylist.driver.execute_script("window.stayed = true")
    hem = stylist.edge("leg_hem")
    stylist.tab_to("[aria-labelledby=slot-bottom] [data-word=cut]")
    for _ in range(7):
        stylist.press(Keys.ARROW_LEFT)
    stylist.wait(lambda: "straight" in stylist.focused.text)
    stylist.tab_to("[aria-labelledby=slot-bottom] [data-word='ends at']")
    stylist.press(Keys.ENTER, "ankle", Keys.ENTER)
    stylist.wait(lambda: stylist.edge("leg_hem") != hem and "ankle" in stylist.edge("leg_hem"))
    assert stylist.driver.execute_script("return window.stayed") is True

    stylist.rest()
    stylist.press("n")
    stylist.press("Thursday, first try", Keys.ENTER)
    stylist.kept()
    told = (stylist.verdict(), stylist.edge("leg_hem"), stylist.edge("top_hem"))

    stylist.driver.refresh()
    stylist.wait(lambda: (stylist.verdict(), stylist.edge("leg_hem"), stylist.edge("top_hem")) == told)
    stylist.server.restart()
    stylist.open("Jory")
    stylist.wait(lambda: (stylist.verdict(), stylist.edge("leg_hem"), stylist.edge("top_hem")) == told)
    assert stylist.find("[placeholder='Unnamed look']").get_attribute("value") == "Thursday, first try"


def test_a_mend_is_one_key_and_undone_with_one(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.press("4")
    stylist.wait(lambda: "The jeans that never work" in stylist.find("main").text)
    before = stylist.verdict()
    trousers = stylist.edge("leg_hem")
    stylist.find("[role=img]").click()
    stylist.press("m")
    stylist.wait(lambda: stylist.edge("leg_hem") != trousers or stylist.verdict() != before)
    stylist.kept()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: stylist.edge("leg_hem") == trousers and stylist.verdict() == before)
    stylist.kept()


def test_slips_of_the_tape_are_asked_at_the_field_and_nothing_is_lost(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Sunniva")
    stylist.press("1")
    for typed, says in (("29", "read in inches"), ("-72", "negative"), ("tight", "not a length"), ("720", "cannot be")):
        stylist.tab_to("#m-waist")
        stylist.chord(Keys.CONTROL, "a")
        stylist.press(typed, Keys.ENTER)
        stylist.wait(lambda says=says: says in stylist.find("#d-waist").text, says)
        assert stylist.find("#m-waist").get_attribute("value") == typed
        assert stylist.find("#m-waist").get_attribute("aria-invalid") == "true"
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("29", Keys.ENTER)
    stylist.wait(lambda: "Use 73.7 cm" in stylist.find("#d-waist").text)
    stylist.tab_to("#d-waist button")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: stylist.find("#m-waist").get_attribute("value") == "73.7")
    stylist.rest()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: stylist.find("#m-waist").get_attribute("value") == "72")


def test_two_tabs_on_one_look_are_offered_both(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Constance")
    address = stylist.driver.current_url
    first = stylist.driver.current_window_handle
    stylist.driver.switch_to.new_window("tab")
    stylist.driver.get(address)
    stylist.find("[data-testid=verdict]")
    stylist.press("n", "s", Keys.END, " A", Keys.ENTER)
    stylist.kept()
    stylist.driver.switch_to.window(first)
    stylist.press("n", Keys.END, " B", Keys.ENTER)
    box = stylist.find("[data-testid=conflict]")
    assert "Maud Averill changed this meanwhile" in box.text
    assert " B" in box.text and " A" in box.text
    stylist.tab_to("[data-testid=conflict] button")
    stylist.press(Keys.ENTER)
    stylist.kept()
    assert stylist.find("[placeholder='Unnamed look']").get_attribute("value") == "Committee B"


def test_an_endless_name_is_refused_at_its_field_and_stays_there(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.driver.execute_script("document.querySelector('#name').focus()")
    stylist.driver.execute_script(
        "const i = document.querySelector('#name'); i.value = 'n'.repeat(10000); i.dispatchEvent(new Event('input', {bubbles: true}))"
    )
    stylist.press(Keys.ENTER)
    stylist.sees("too long: 120 letters at most")
    assert len(str(stylist.find("#name").get_attribute("value"))) == 10_000


def test_turned_screen_shows_no_girth_and_nothing_against(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.find("[data-stance]")
    stylist.press("t")
    stylist.wait(lambda: not stylist.all("[data-stance=against], [data-stance=caution]"))
    stylist.press("1")
    stylist.wait(lambda: not stylist.all("input[data-measure]"))
    assert not stylist.all("[data-testid=verdict]")
    stylist.press("t")
    stylist.wait(lambda: len(stylist.all("input[data-measure]")) > 20)


def test_inches_and_back(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Idris")
    stylist.sees(" cm")
    stylist.press("u")
    stylist.wait(lambda: " in · " in stylist.edge("leg_hem"))
    stylist.press("1")
    stylist.wait(lambda: stylist.find("#m-stature").get_attribute("value") == "71 1/4")
    stylist.rest()
    stylist.press("u")
    stylist.wait(lambda: " cm · " in stylist.edge("leg_hem"))


def test_axe_finds_nothing_on_any_screen(stylist: Stylist) -> None:
    stylist.go("/sign-in")
    stylist.find("#email")
    assert stylist.violations() == []
    stylist.sign_in()
    stylist.find("main ul li")
    assert stylist.violations() == []
    stylist.go("/nowhere/at/all")
    stylist.sees("nothing at this address")
    assert stylist.violations() == []
    stylist.open("Ottoline")
    stylist.find("[data-testid=verdict]")
    for key in "1234":
        stylist.rest()
        stylist.press(key)
        stylist.find("nav [aria-current=step]")
        assert stylist.violations() == [], f"step {key}"
    stylist.press("3")
    stylist.tab_to("[data-word=tuck]")
    stylist.press(Keys.ENTER)
    stylist.find("[role=listbox]")
    assert stylist.violations() == [], "open list"
    stylist.press(Keys.ESCAPE)
    stylist.rest()
    stylist.press("?")
    stylist.find("[role=dialog]")
    assert stylist.violations() == [], "keys"


@pytest.mark.parametrize(("width", "height"), [(1280, 800), (1024, 768), (820, 1180)])
def test_nothing_is_cut_off_at_the_sizes_we_promise(stylist: Stylist, width: int, height: int) -> None:
    size = {"width": width, "height": height, "deviceScaleFactor": 1, "mobile": False}
    stylist.driver.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", size)
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.find("[data-testid=verdict]")
    for step in "3142":
        stylist.press(step)
        stylist.rest()
        assert stylist.driver.execute_script("return document.documentElement.scrollWidth") <= width
        assert stylist.driver.execute_script("return document.documentElement.scrollHeight") <= height, step
    stage = stylist.find("svg[role=img]").rect
    assert stage["height"] > 300 and stage["width"] > 300
    assert stage["y"] + stage["height"] <= height
