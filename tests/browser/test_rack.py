"""The rack by keyboard: ten pieces hung in lines, one measured flat, changed, taken off and brought back."""

from __future__ import annotations

import pytest
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Stylist

pytestmark = pytest.mark.browser
TEN = (
    *(
        "black slim jeans high rise",
        "white boxy tee",
        "navy wrap dress v neck",
        "camel coat knee",
        "grey blazer relaxed",
    ),
    *(
        "brown tall boots chunky",
        "thin black belt",
        "silver necklace long",
        "red swimsuit underwire",
        "olive pleated skirt",
    ),
)


def pieces(stylist: Stylist) -> list[str]:
    return [str(found.get_attribute("data-piece")) for found in stylist.all("[data-piece]")]


def test_ten_pieces_are_hung_from_the_keyboard_and_one_is_measured_flat(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Perpetua")
    stylist.step("rack")
    stylist.sees("Nothing hangs here yet")
    stylist.tab_to("#hang")
    for at, line in enumerate(TEN, start=1):
        stylist.press(line, Keys.ENTER)
        stylist.wait(lambda at=at: len(pieces(stylist)) == at, f"piece {at}")
    assert "black slim jeans" in pieces(stylist)
    stylist.press("something glittering", Keys.ENTER)
    stylist.sees("names no piece")
    assert stylist.find("#hang").get_attribute("value") == "something glittering"
    assert stylist.violations() == []
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("glittering tee", Keys.ENTER)
    stylist.sees("What was not understood is its note: Ask: glittering")
    stylist.wait(lambda: len(pieces(stylist)) == 11)
    stylist.tab_to("[data-piece='black slim jeans']")
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: len(pieces(stylist)) == 10)
    # Measured flat: a figure typed in the other unit, and at once it says how it fits.
    stylist.tab_to("[data-piece='black slim jeans']")
    stylist.press(Keys.ENTER)
    stylist.sees("Ends at the ankle")
    # Described, its silhouette is basted; with a figure it is whole. Its back is drawn on demand.
    basted = "[data-testid=detail] path.cloth[stroke-dasharray]"
    stylist.find(basted)
    stylist.tab_to("[data-figure-of=inseam_cm]")
    stylist.press("33in", Keys.ENTER)
    stylist.wait(lambda: "Bunches at the ankle" in stylist.find("[data-testid=detail]").text)
    assert stylist.find("[data-figure-of=inseam_cm]").get_attribute("value") == "83.8"
    stylist.wait(lambda: not stylist.all(basted), "a whole silhouette")
    stylist.click("From behind")
    stylist.find("[data-behind] path.cloth")
    assert stylist.violations() == []
    stylist.driver.refresh()
    stylist.wait(lambda: len(pieces(stylist)) == 10)


def test_filters_narrow_the_rack_and_a_removal_is_undone(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("rack")
    stylist.wait(lambda: len(pieces(stylist)) == 24)
    stylist.tab_to("input[type=search]")
    stylist.press("black trousers")
    stylist.wait(lambda: set(pieces(stylist)) == {"black wide trousers", "black slim trousers"})
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("skirt tailor")
    stylist.wait(lambda: pieces(stylist) == ["black slip skirt"])
    stylist.tab_to("[data-piece]")
    stylist.press(Keys.ENTER)
    stylist.sees("Ends on the fullest calf")
    off = stylist.called("Take it off")
    stylist.driver.execute_script("arguments[0].focus()", off)
    stylist.press(Keys.ENTER)
    stylist.sees("is off the rack")
    stylist.wait(lambda: pieces(stylist) == [])
    stylist.rest()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: pieces(stylist) == ["black slip skirt"])


def test_another_heel_changes_what_a_floor_length_does(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("rack")
    stylist.find("[data-piece='mid blue wide jeans']").click()
    stylist.wait(lambda: stylist.find("[data-check=length]").get_attribute("data-stance") == "caution")
    stylist.tab_to("fieldset label:last-of-type select", 250)
    stylist.press(*[Keys.ARROW_DOWN] * 2)
    stylist.wait(lambda: stylist.find("[data-check=length]").get_attribute("data-stance") == "fits")
