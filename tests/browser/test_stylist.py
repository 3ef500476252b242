"""What a stylist does in a day, by keyboard, in a real browser."""

from __future__ import annotations

import pytest
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Stylist

pytestmark = pytest.mark.browser
QUICK = (
    ("stature", "5ft 5"),
    ("navel_height", "99"),
    ("crotch_height", "76"),
    ("hip", "100"),
    ("belly", "84"),
    ("waist", "29in"),
    ("bust", "92"),
    ("front_rise_navel", "28"),
)
NAME = "[placeholder='Unnamed look']"


def test_the_whole_job_by_keyboard_and_it_is_there_after_reload_and_restart(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Jory")
    # Nobody measured yet: it begins with the brief, as the job does.
    stylist.tab_to("[data-brief=clothes_should]")
    stylist.press("Look like more than a first try.")
    stylist.tab_to("button[aria-pressed]")
    stylist.kept()
    stylist.begin("quick", twice=False)
    for name, typed in QUICK:
        stylist.at_measure(name)
        stylist.press(typed, Keys.ENTER)
        stylist.wait(lambda name=name: "settled" in str(stylist.figure(name).get_attribute("class")), name)
    assert stylist.figure("waist").text == "73.7" and stylist.figure("stature").text == "165.1"
    stylist.sees("Everything on this list is taken")

    stylist.step("read")
    stylist.wait(lambda: stylist.find("[data-testid=shape]").text.lower() in ("hourglass", "triangle"))
    stylist.sees("How near the borders lie")

    stylist.step("dress")
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
    # The session is still open, so the desk is where it was left.
    stylist.find("[data-testid=progress]")
    stylist.step("dress")
    stylist.wait(lambda: (stylist.verdict(), stylist.edge("leg_hem"), stylist.edge("top_hem")) == told)
    assert stylist.find(NAME).get_attribute("value") == "Thursday, first try"


def test_a_mend_is_one_key_and_undone_with_one(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("looks")
    name = "The jeans that never work"
    stylist.click(name, "main li button", whole=False)
    stylist.wait(lambda: stylist.find(NAME).get_attribute("value") == name)
    before = stylist.verdict()
    trousers = stylist.edge("leg_hem")
    stylist.rest()
    stylist.press("m")
    stylist.wait(lambda: stylist.edge("leg_hem") != trousers or stylist.verdict() != before)
    stylist.kept()
    stylist.rest()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: stylist.edge("leg_hem") == trousers and stylist.verdict() == before)
    stylist.kept()


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
    assert stylist.find(NAME).get_attribute("value") == "Committee B"


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
    assert not stylist.all("[data-testid=verdict]")
    for step in ("measure", "read", "shop", "history"):
        stylist.step(step)
        stylist.find("svg[role=img]")
        assert not stylist.all("[data-figure], [data-number], caption + thead.sr-only, [data-testid=changed]"), step
        # No girth of hers is on the screen, nor the cm it would be said in; 100 stands on the rule.
        shown = stylist.find("main").text
        assert " cm" not in shown and not {"92", "84", "74"} & set(shown.split()), step
    stylist.step("measure")
    stylist.rest()
    stylist.press("t")
    stylist.wait(lambda: len(stylist.all("[data-figure]")) > 20)


def test_inches_and_back(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Idris")
    stylist.sees(" cm")
    stylist.press("u")
    stylist.wait(lambda: " in · " in stylist.edge("leg_hem"))
    stylist.step("measure")
    stylist.wait(lambda: stylist.figure("stature").text == "71 1/4")
    stylist.step("read")
    stylist.sees(" in more")
    stylist.chord(Keys.ALT, "u")
    stylist.sees(" cm more")
    stylist.step("dress")
    stylist.wait(lambda: " cm · " in stylist.edge("leg_hem"))


def test_axe_finds_nothing_on_any_screen(stylist: Stylist) -> None:
    found: dict[str, list[str]] = {}
    stylist.go("/sign-in")
    stylist.find("#email")
    found["sign in"] = stylist.violations()
    stylist.sign_in()
    stylist.find("main ul li")
    for details in stylist.all("main details summary"):
        details.click()
    stylist.find("#erased li, #erased p:not([role=status])")
    found["people"] = stylist.violations()
    stylist.go("/nowhere/at/all")
    stylist.sees("nothing at this address")
    found["nowhere"] = stylist.violations()
    stylist.open("Ottoline")
    stylist.find("[data-testid=verdict]")
    for step, shows in {
        "brief": "textarea",
        "measure": "button[data-main]",
        "read": "[data-testid=shape]",
        "shop": "[data-number]",
        "rack": "[data-piece]",
        "dress": "[data-testid=verdict]",
        "looks": "main li",
        "history": "[data-testid=changed] li",
        "records": "textarea",
    }.items():
        stylist.step(step)
        stylist.find(shows)
        for closed in stylist.all("[data-panel] details:not([open]) summary"):
            closed.click()
        found[step] = stylist.violations()
    stylist.step("dress")
    stylist.tab_to("[data-word=tuck]")
    stylist.press(Keys.ENTER)
    stylist.find("[role=listbox]")
    found["open list"] = stylist.violations()
    stylist.press(Keys.ESCAPE)
    stylist.rest()
    stylist.press("?")
    stylist.find("[role=dialog]")
    found["keys"] = stylist.violations()
    stylist.press(Keys.ESCAPE)
    # The desk in the middle of a session, with a doubt being asked.
    stylist.open("Idris")
    stylist.begin("quick")
    stylist.press("18.1", Keys.ENTER)
    stylist.find("[id^=d-][role=alert]")
    found["measuring"] = stylist.violations()
    assert {screen: said for screen, said in found.items() if said} == {}


@pytest.mark.parametrize(("width", "height"), [(1280, 800), (1024, 768), (820, 1180)])
def test_nothing_is_cut_off_at_the_sizes_we_promise(stylist: Stylist, width: int, height: int) -> None:
    size = {"width": width, "height": height, "deviceScaleFactor": 1, "mobile": False}
    stylist.driver.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", size)
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.find("[data-testid=verdict]")
    for step in ("brief", "read", "measure", "shop", "rack", "try", "looks", "history", "records", "dress"):
        stylist.step(step)
        assert stylist.driver.execute_script("return document.documentElement.scrollWidth") <= width
        assert stylist.driver.execute_script("return document.documentElement.scrollHeight") <= height, step
    stage = stylist.find("svg[role=img]").rect
    assert stage["height"] > 300 and stage["width"] > 300
    assert stage["y"] + stage["height"] <= height
