"""The look table: pieces from the rail by keyboard, a hem dragged and nudged, looks held up, a rule muted."""

from __future__ import annotations

import pytest
from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Stylist

pytestmark = pytest.mark.browser


def at(stylist: Stylist, edge: str) -> float:
    """The height of an edge as its handle tells it, cm."""
    return float(str(stylist.find(f"[data-handle={edge}]").get_attribute("aria-valuetext")).split()[0])


def worn(stylist: Stylist) -> list[str]:
    return [str(heading.text) for heading in stylist.all("section[aria-labelledby^=slot-] h2")]


def test_a_look_is_composed_from_the_rail_by_keyboard_and_undone(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("looks")
    stylist.click("New look")
    stylist.step("dress")
    stylist.wait(lambda: len(stylist.all("[data-rail]")) >= 20, "the rail")
    stylist.wait(lambda: len(stylist.all("[data-rail] [data-drawn=true] path")) >= 20, "its flats")
    # A dress takes the place of top and bottom.
    stylist.tab_to("[aria-label='Find on the rack']", 200)
    stylist.press("wrap dress")
    stylist.wait(lambda: [b.get_attribute("data-rail") for b in stylist.all("[data-rail]")] == ["black wrap dress"])
    stylist.tab_to("[data-rail]")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: worn(stylist) == ["Dress", "Shoes"], "a dress alone")
    assert stylist.violations() == []
    stylist.tab_to("[aria-label='Find on the rack']", 200)
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("camel coat")
    stylist.wait(lambda: [b.get_attribute("data-rail") for b in stylist.all("[data-rail]")] == ["camel coat"])
    stylist.tab_to("[data-rail]")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: worn(stylist) == ["Layer", "Dress", "Shoes"])
    stylist.wait(lambda: stylist.verdict() in ("works", "watch", "against"))
    stylist.kept()
    stylist.rest()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: worn(stylist) == ["Dress", "Shoes"])
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: worn(stylist) == ["Top", "Bottom", "Shoes"])


def test_a_second_layer_goes_over_the_first_and_both_are_kept(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Rosalind")
    stylist.step("looks")
    stylist.click("New look")
    stylist.step("dress")
    stylist.wait(lambda: len(stylist.all("[data-rail]")) >= 20, "the rail")
    stylist.find("[data-rail='navy cardigan']").click()
    stylist.wait(lambda: worn(stylist)[0] == "Layer" and stylist.all("[data-over]"), "the cardigan")
    stylist.tab_to("[data-over]", 200)
    stylist.find("[data-over='camel coat']").send_keys(Keys.ENTER)
    stylist.wait(lambda: worn(stylist)[:2] == ["Layer", "Under it"], "the coat over it")
    stylist.wait(lambda: stylist.all("[data-handle=layer_hem][aria-label*=coat]"), "the coat's hem")
    assert stylist.all("[data-handle=under_layer_hem][aria-label*=cardigan]") and not stylist.all("[data-over]")
    assert stylist.violations() == []
    stylist.kept()
    stylist.driver.refresh()
    stylist.wait(lambda: worn(stylist)[:2] == ["Layer", "Under it"], "both, after coming back")
    stylist.click("Wear it over the coat")
    stylist.wait(lambda: stylist.all("[data-handle=layer_hem][aria-label*=cardigan]"), "turned round")
    stylist.kept()
    stylist.rest()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: stylist.all("[data-handle=layer_hem][aria-label*=coat]"), "the coat outside again")


def test_a_hem_is_dragged_and_nudged_and_the_reasons_move_with_it(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("looks")
    stylist.click("Day in town", "main li button", whole=False)
    stylist.step("dress")
    stylist.wait(lambda: stylist.find("[placeholder='Unnamed look']").get_attribute("value") == "Day in town")
    before = at(stylist, "leg_hem")
    handle = stylist.find("[data-handle=leg_hem]")
    ActionChains(stylist.driver).click_and_hold(handle).move_by_offset(0, -20).move_by_offset(
        0, -14
    ).release().perform()
    stylist.wait(lambda: at(stylist, "leg_hem") > before + 6, "the hem higher")
    stylist.sees("The skirt hem: ends")
    dragged = at(stylist, "leg_hem")
    stylist.tab_to("[data-handle=leg_hem]", 200)
    stylist.press(Keys.ARROW_DOWN)
    stylist.wait(lambda: at(stylist, "leg_hem") == dragged - 0.5, "half a cm lower")
    stylist.chord(Keys.SHIFT, Keys.ARROW_DOWN)
    stylist.wait(lambda: at(stylist, "leg_hem") == dragged - 2.5, "two cm lower")
    assert stylist.violations() == []
    stylist.rest()
    for expected in (dragged - 0.5, dragged, before):
        stylist.chord(Keys.CONTROL, "z")
        stylist.wait(lambda expected=expected: at(stylist, "leg_hem") == expected, f"back at {expected}")


def test_four_looks_are_held_up_on_one_floor_with_why(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("looks")
    for name in ("Rehearsal", "On stage", "Reception", "The jeans that never work"):
        stylist.tab_to(f"[data-hold='{name}']", 200)
        stylist.press(Keys.ENTER)
    stylist.wait(lambda: len(stylist.all("[data-held]")) == 4, "four side by side")
    verdicts = {
        str(one.get_attribute("data-held")): one.get_attribute("data-verdict") for one in stylist.all("[data-held]")
    }
    assert verdicts["On stage"] == "works" and verdicts["The jeans that never work"] == "against"
    assert len(stylist.find("[data-testid=because]").text) > 80
    assert stylist.violations() == []
    stylist.click("Put them down")
    stylist.find("[data-testid=verdict]")


def test_a_rule_is_muted_and_followed_again(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.go("/rules")
    row = "[data-house-rule='length.trailing']"
    stylist.find(row)
    stylist.tab_to(f"{row} button[aria-expanded]", 200)
    stylist.press(Keys.ENTER)
    stylist.sees("The jeans that never work")
    stylist.wait(lambda: "looks" in stylist.find("[data-testid=effect]").text)
    assert stylist.violations() == []
    stylist.press(Keys.TAB, Keys.ENTER)
    stylist.wait(lambda: stylist.find(row).get_attribute("data-muted") == "true", "muted")
    stylist.sees("1 muted")
    stylist.click("Undo")
    stylist.wait(lambda: stylist.find(row).get_attribute("data-muted") == "false", "followed again")
