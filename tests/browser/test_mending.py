"""A look beyond its pieces: mended with one key, seen by another school, said where it is worn, varied, liked anyway."""

from __future__ import annotations

import pytest
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Stylist

pytestmark = pytest.mark.browser


def dress(stylist: Stylist, client: str, look: str) -> None:
    """Sign in and put a look of a client on the table."""
    stylist.sign_in()
    stylist.open(client)
    stylist.step("looks")
    stylist.wait(lambda: stylist.find(f"[data-look='{look}'] button").click() is None)
    stylist.wait(lambda: stylist.find("[placeholder='Unnamed look']").get_attribute("value") == look)
    stylist.step("dress")
    stylist.find("[data-testid=verdict]")
    stylist.rest()


def said(stylist: Stylist, rule: str) -> str:
    return str(stylist.find(f"[data-rule='{rule}']").get_attribute("data-stance"))


def test_a_way_to_mend_is_taken_with_one_key_and_taken_back_with_one(stylist: Stylist) -> None:
    dress(stylist, "Ottoline", "The jeans that never work")
    # The table shows what was on before until the look is judged.
    stylist.wait(lambda: stylist.verdict() == "against", "the look judged")
    stylist.press("w")
    stylist.wait(lambda: len(stylist.all("[data-way]")) >= 2, "ways to mend")
    first = stylist.find("[data-way]").text
    assert "then works" in first and {way.get_attribute("data-way") for way in stylist.all("[data-way]")} & {
        "rack",
        "free",
    }
    assert stylist.violations() == []
    stylist.press("m")
    stylist.wait(lambda: stylist.verdict() == "works", "the look mended")
    stylist.kept()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: stylist.verdict() == "against", "the look as it was")
    stylist.press(Keys.ESCAPE)
    stylist.find("[data-rule='volume.contrast']")
    stylist.kept()


def test_another_view_is_seen_and_taken_for_one_client_only(stylist: Stylist) -> None:
    dress(stylist, "Ottoline", "On stage")
    # A heavy flat sole under a wide leg is where two schools part.
    stylist.find("#say").send_keys("black loafers chunky", Keys.ENTER)
    stylist.wait(lambda: said(stylist, "feet.weight") == "against")
    stylist.rest()
    stylist.press("v")
    view = stylist.find("[data-view=wide_leg_shoe]")
    assert "there" in view.find_element("css selector", "[data-testid=turns]").text and "Turns for" in view.text
    assert stylist.violations() == []
    stylist.tab_to("[data-view=wide_leg_shoe] button", 200)
    stylist.press(Keys.ENTER)
    stylist.find("[data-own-view=wide_leg_shoe]")
    stylist.rest()
    stylist.press(Keys.ESCAPE)
    stylist.wait(lambda: said(stylist, "feet.weight") == "for", "judged her own way")
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: said(stylist, "feet.weight") == "against", "as the house judges")
    stylist.chord(Keys.CONTROL, "z")
    stylist.kept()


def test_where_it_is_worn_is_said_by_keyboard_and_judged(stylist: Stylist) -> None:
    dress(stylist, "Ottoline", "Reception")
    stylist.tab_to("[data-testid=about-look]")
    stylist.press(Keys.ENTER, Keys.TAB)
    assert stylist.focused.get_attribute("data-word") == "for"
    stylist.press(Keys.ARROW_RIGHT)
    stylist.press(Keys.TAB, Keys.TAB)
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("99", Keys.ENTER)
    stylist.sees("Air is between")
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("31", Keys.ENTER)
    stylist.wait(lambda: said(stylist, "register.weather") == "against", "too warm")
    stylist.press(Keys.TAB, Keys.TAB)
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("wedding, summer", Keys.TAB, "Shoes dyed to match.")
    stylist.sees("31 °C")
    assert stylist.violations() == []
    stylist.kept()
    stylist.driver.refresh()
    stylist.find("[data-testid=verdict]")
    stylist.step("looks")
    stylist.find("[aria-label='Find a look']").send_keys("summer reception")
    stylist.wait(lambda: [row.get_attribute("data-look") for row in stylist.all("[data-look]")] == ["Reception"])
    assert "wedding, summer" in stylist.find("[data-look]").text


def test_what_is_liked_all_the_same_no_longer_counts_and_is_on_record(stylist: Stylist) -> None:
    dress(stylist, "Ottoline", "The jeans that never work")
    stylist.click("Liked all the same", "[data-rule='volume.contrast'] button")
    stylist.wait(lambda: "it does not count" in stylist.find("[data-rule='volume.contrast']").text)
    stylist.find("[data-testid=about-look]").click()
    assert "Loose all over" in stylist.find("[data-liked='volume.contrast']").text
    stylist.rest()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: not stylist.all("[data-liked='volume.contrast']"), "the exception taken back")

    stylist.click("Never for Ottoline", "[data-rule='volume.contrast'] button")
    stylist.wait(lambda: not stylist.all("[data-rule='volume.contrast']"), "a rule left out for her")
    stylist.rest()
    stylist.press("v")
    stylist.find("[data-left-out='volume.contrast'] button")

    def taken_up() -> bool:
        # The list may be told anew under the pointer: press until nothing is left out.
        for button in stylist.all("[data-left-out='volume.contrast'] button"):
            button.click()
        return not stylist.all("[data-left-out]")

    stylist.wait(taken_up, "the rule taken up again")
    stylist.press(Keys.ESCAPE)
    stylist.find("[data-rule='volume.contrast']")
    stylist.kept()


def test_a_look_is_dressed_up_beside_itself_and_its_tuck_is_shown(stylist: Stylist) -> None:
    dress(stylist, "Ottoline", "On stage")
    stylist.find("[data-testid=about-look]").click()
    stylist.find("[data-vary=up]").click()
    stylist.wait(lambda: stylist.find("[placeholder='Unnamed look']").get_attribute("value") == "On stage, dressed up")
    stylist.kept()
    stylist.find("[data-testid=how-to-tuck]").click()
    stylist.wait(lambda: len(stylist.all("[data-tuck-step]")) == 4, "four steps")
    assert stylist.violations() == []
    stylist.press(Keys.ESCAPE)
    stylist.step("looks")
    variant = stylist.find("[data-look='On stage, dressed up']")
    assert variant.get_attribute("data-depth") == "1" and "dressed up" in variant.text
    variant.find_element("css selector", "[aria-label^=Remove]").click()
    stylist.wait(lambda: not stylist.all("[data-look='On stage, dressed up']"))


def test_a_piece_is_worn_as_it_comes_back_from_the_tailor_and_seen_turned(stylist: Stylist) -> None:
    dress(stylist, "Ottoline", "The jeans that never work")
    due = "[data-due=inseam_cm] input"
    stylist.find(due)
    before = stylist.edge("leg_hem")
    stylist.tab_to(due, 200)
    stylist.press(Keys.SPACE)
    stylist.wait(lambda: stylist.edge("leg_hem") != before, "the hem where it will be")
    assert not stylist.all("[data-rule='length.trailing']")
    stylist.rest()
    front = len(stylist.all("[aria-labelledby=figure-name] path[data-slot=bottom]"))
    stylist.press("s")
    stylist.wait(
        lambda: len(stylist.all("[aria-labelledby=figure-name] path[data-slot=bottom]")) > front,
        "the side beside the front",
    )
    assert stylist.violations() == []
    stylist.press("b")
    stylist.sees("from behind")
    stylist.wait(lambda: len(stylist.all("path.line")) > 2, "seams and pockets behind")
    assert stylist.violations() == []
    stylist.press("b")
    stylist.wait(lambda: len(stylist.all("[aria-labelledby=figure-name] path[data-slot=bottom]")) == front)
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: stylist.edge("leg_hem") == before)
    stylist.kept()


def test_a_border_is_moved_after_its_effect_was_seen_and_moved_back(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.go("/rules")
    row = "[data-house-rule='feet.weight']"
    stylist.find(row)
    stylist.tab_to(f"{row} button[aria-expanded]", 260)
    stylist.press(Keys.ENTER)
    border = f"{row} [data-border=heavy]"
    stylist.find(border)
    stylist.tab_to(f"{border} input")
    stylist.press(*[Keys.ARROW_RIGHT] * 8)
    stylist.wait(lambda: "1.90 of 4" in stylist.find(border).text)
    stylist.wait(
        lambda: "of" in stylist.find(f"{border} [data-testid=effect]").text and "looks" in stylist.find(border).text
    )
    assert stylist.violations() == []
    stylist.press(Keys.TAB, Keys.ENTER)
    stylist.sees("1 border moved")
    # The page is drawn anew as the border is kept: the button is looked for until it holds still.
    stylist.click("Undo")
    stylist.sees("0 borders moved")
