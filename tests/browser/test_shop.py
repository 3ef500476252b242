"""Shopping numbers on the rule, on a phone and on paper, and a description from a shop placed on the body."""

from __future__ import annotations

import base64
import re

import pytest
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Stylist

pytestmark = pytest.mark.browser
JEANS = "High-rise straight jeans, 2 % elastane. Front rise 25 cm, inseam 30in, leg opening 19 cm"


def number(stylist: Stylist, name: str) -> str:
    return str(stylist.find(f"[data-number='{name}']").text)


def test_a_description_is_pasted_placed_and_tried_with_another_heel_by_keyboard(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("shop")
    assert number(stylist, "front rise, mid") == "27 – 29 cm"
    stylist.tab_to("textarea")
    stylist.press("a lovely pair", Keys.ENTER)
    stylist.sees("No figure was found")
    stylist.chord(Keys.CONTROL, "a")
    stylist.press(JEANS, Keys.ENTER)
    stylist.sees("Not the rise on the label")
    stylist.sees("flat, doubled")
    assert stylist.find("[data-testid=stance]").get_attribute("data-stance") == "against"
    assert "Hem it by" in stylist.find("[data-check=length]").text
    hem = stylist.find("[data-placed=hem]").text
    stylist.tab_to("select")
    stylist.press(Keys.ARROW_DOWN, Keys.ARROW_DOWN)
    stylist.wait(lambda: stylist.find("[data-placed=hem]").text != hem, "the hem above another floor")
    assert stylist.violations() == []
    stylist.tab_to("button[type=button]")
    stylist.press(Keys.ENTER)
    assert number(stylist, "front rise, mid") == "27 – 29 cm"
    stylist.chord(Keys.ALT, "u")
    stylist.wait(lambda: number(stylist, "front rise, mid").endswith(" in"))
    stylist.chord(Keys.ALT, "u")
    stylist.wait(lambda: number(stylist, "front rise, mid").endswith(" cm"))


def test_who_wears_no_heels_is_offered_none(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Wilf")
    stylist.step("shop")
    stylist.find("[data-number]")
    assert "heel" not in stylist.find("select").text
    said = stylist.find("section[aria-label='Shopping numbers']").text
    assert "Inseam, wide to the foot, flat shoes" in said.replace("inseam", "Inseam")
    assert not [heel for heel in ("kitten", "mid heel", "high heel") if heel in said]


def test_the_numbers_fit_a_phone_and_one_sheet_of_paper(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("shop")
    stylist.tab_to("a[href$='/numbers']")
    stylist.press(Keys.ENTER)
    stylist.sees("Shopping numbers for Ottoline Brae")
    phone = {"width": 390, "height": 844, "deviceScaleFactor": 1, "mobile": True}
    stylist.driver.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", phone)
    assert stylist.driver.execute_script("return document.documentElement.scrollWidth") <= 390
    assert stylist.violations() == []
    stylist.driver.execute_cdp_cmd("Emulation.clearDeviceMetricsOverride", {})
    told = stylist.driver.execute_cdp_cmd("Page.printToPDF", {"paperWidth": 8.27, "paperHeight": 11.69})
    printed = base64.b64decode(told["data"])
    assert len(re.findall(rb"/Type /Page\b(?!s)", printed)) == 1
    stylist.driver.back()
    stylist.find("[data-number]")


def test_the_shops_are_asked_which_of_theirs_fit_and_one_is_placed(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("shop")
    stylist.tab_to("[aria-label='Beside the figure'] button:nth-child(2)")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: len(stylist.all("[data-offer]")) >= 12, "the shelf")
    assert stylist.violations() == []
    name = str(stylist.all("[data-offer]")[0].get_attribute("data-offer"))
    stylist.tab_to("[data-offer]")
    stylist.press(Keys.ENTER)
    stylist.sees(f"Read as {name}, size")
    assert stylist.all("[data-placed]")
    stylist.tab_to("button[type=button]")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: stylist.all("[data-offer]"), "the shelf again")
