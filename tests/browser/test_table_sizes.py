"""The look table on a small screen, under a finger, in inches, and with somebody else at the same look."""

from __future__ import annotations

import pytest
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Stylist
from tests.browser.test_mending import dress
from tests.browser.test_table import at

pytestmark = pytest.mark.browser
LONG = "The jeans that never work however often they are hemmed, for long rehearsals in the cold hall"
#: Text that ends right of the column it stands in, where that column cannot be moved sideways.
_OUTSIDE = """
const columns = [...document.querySelectorAll('[data-panel], .side, .under')];
const found = [];
for (const column of columns) {
  const edge = column.getBoundingClientRect().right + 1;
  for (const one of column.querySelectorAll('p, h2, h3, button, label, li, strong, textarea')) {
    const box = one.getBoundingClientRect();
    if (box.width > 1 && box.right > edge) found.push(one.outerHTML.slice(0, 120));
  }
}
return found;
"""


def outside(stylist: Stylist) -> list[str]:
    return list(stylist.driver.execute_script(_OUTSIDE))


@pytest.mark.parametrize(("width", "height"), [(1024, 768), (820, 1180)])
def test_every_panel_of_the_table_fits_its_column(stylist: Stylist, width: int, height: int) -> None:
    size = {"width": width, "height": height, "deviceScaleFactor": 1, "mobile": False}
    stylist.driver.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", size)
    dress(stylist, "Ottoline", "The jeans that never work")
    name = stylist.find("[placeholder='Unnamed look']")
    name.click()
    stylist.chord(Keys.CONTROL, "a")
    stylist.press(LONG)
    stylist.find("[data-testid=about-look]").click()
    stylist.find("[data-testid=about]")
    assert outside(stylist) == []
    stylist.rest()
    for key, shown in (("w", "[data-way]"), ("v", "[data-view]")):
        stylist.press(key)
        stylist.find(shown)
        assert outside(stylist) == [], shown
        stylist.press(Keys.ESCAPE)
    stylist.find("[data-rule]")
    # A hem on the floor is still taken hold of above it.
    stage, handle = stylist.find(".stage").rect, stylist.find("[data-handle=leg_hem]").rect
    assert handle["y"] + handle["height"] <= stage["y"] + stage["height"] + 1
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: name.get_attribute("value") == "The jeans that never work")
    stylist.kept()


def test_a_hem_is_dragged_with_a_finger_and_read_in_inches(stylist: Stylist) -> None:
    driver = stylist.driver
    driver.execute_cdp_cmd("Emulation.setTouchEmulationEnabled", {"enabled": True})
    dress(stylist, "Ottoline", "On stage")
    before = at(stylist, "leg_hem")
    box = stylist.find("[data-handle=leg_hem]").rect
    # A finger is less sure than a pointer: a little beside the handle will do.
    x, y = box["x"] + 12, box["y"] - 4

    def touch(kind: str, *up: float) -> None:
        points = [{"x": x, "y": y - by} for by in up]
        driver.execute_cdp_cmd("Input.dispatchTouchEvent", {"type": kind, "touchPoints": points})

    touch("touchStart", 0)
    for by in range(4, 44, 4):
        touch("touchMove", by)
    touch("touchEnd")
    stylist.wait(lambda: at(stylist, "leg_hem") > before + 8, "the hem higher")
    stylist.sees("The trousers hem: ends")
    stylist.rest()
    stylist.press("u")
    inches = stylist.wait(lambda: " in" in str(stylist.find("[data-handle=leg_hem]").get_attribute("aria-valuetext")))
    assert inches and "in · " in stylist.edge("leg_hem")
    stylist.press("u")
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: at(stylist, "leg_hem") == before, "the hem where it was")
    stylist.kept()


def test_two_who_say_other_things_of_one_look_are_offered_both(stylist: Stylist) -> None:
    dress(stylist, "Ottoline", "Reception")
    first, address = stylist.driver.current_window_handle, stylist.driver.current_url

    def write(text: str) -> None:
        stylist.find("[data-testid=about-look]").click()
        stylist.find("[data-testid=about] textarea").click()
        stylist.chord(Keys.CONTROL, "a")
        stylist.press(text)

    stylist.driver.switch_to.new_window("tab")
    stylist.driver.get(address)
    stylist.find("[data-testid=verdict]")
    stylist.step("looks")
    stylist.wait(lambda: stylist.find("[data-look='Reception'] button").click() is None)
    stylist.wait(lambda: stylist.find("[placeholder='Unnamed look']").get_attribute("value") == "Reception")
    stylist.step("dress")
    write("Bring the shawl.")
    stylist.kept()
    stylist.driver.switch_to.window(first)
    write("No shawl.")
    box = stylist.find("[data-testid=conflict]")
    assert "note: No shawl. / Bring the shawl." in box.text
    assert stylist.violations() == []
    stylist.click("theirs", "[data-testid=conflict] button", whole=False)
    note = stylist.find("[data-testid=about] textarea")
    stylist.wait(lambda: note.get_attribute("value") == "Bring the shawl.")
    stylist.rest()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: note.get_attribute("value") == "No shawl.", "mine brought back")
    stylist.kept()
    stylist.tab_to("[data-testid=about] textarea", 200)
    stylist.chord(Keys.CONTROL, "a")
    stylist.press(Keys.DELETE)
    stylist.kept()
