"""Days are typed day first, by keyboard; what cannot be read is said and stays as it was typed."""

from __future__ import annotations

import pytest
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Stylist

pytestmark = pytest.mark.browser


def test_a_due_day_is_typed_as_the_studio_writes_it(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.go("/due")
    field = "input[aria-label^='Due on']"
    was = stylist.find(field).get_attribute("value")

    def typed(text: str) -> None:
        stylist.tab_to(field, 200)
        stylist.chord(Keys.CONTROL, "a")
        stylist.press(text, Keys.TAB)

    typed("13/13/2026")
    stylist.sees("Type the day first")
    assert stylist.find(field).get_attribute("value") == "13/13/2026" and stylist.violations() == []
    # Far enough off that it is the last of the list, whichever was first.
    typed("3. december 2031")
    stylist.wait(
        lambda: "3 Dec 2031" in [one.get_attribute("value") for one in stylist.all(field)], "the day as it is written"
    )
    stylist.driver.refresh()
    stylist.wait(lambda: "3 Dec 2031" in [one.get_attribute("value") for one in stylist.all(field)], "kept")
    moved = next(one for one in stylist.all(field) if one.get_attribute("value") == "3 Dec 2031")
    moved.click()
    stylist.chord(Keys.CONTROL, "a")
    stylist.press(str(was), Keys.TAB)
    stylist.wait(lambda: stylist.all(field)[0].get_attribute("value") == was, "as it was")
