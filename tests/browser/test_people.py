"""The people screen, and what happens when the server, the network or another stylist is in the way."""

from __future__ import annotations

import pytest
from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.keys import Keys

from studio.people.demo import OTHER_STYLIST, STYLISTS
from tests.browser.conftest import PASSWORD, Stylist

pytestmark = pytest.mark.browser
NAME = "[placeholder='Unnamed look']"


def names(stylist: Stylist) -> list[str]:
    return [link.text.splitlines()[0] for link in stylist.all("main ul li a")]


def test_add_find_rename_remove_and_undo(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.tab_to("#name")
    stylist.press("Bartholomew Featherstonehaugh-Wetherington of Upper Tillenbrook", Keys.ENTER)
    stylist.find("[data-brief=changed]")
    assert stylist.driver.execute_script("return document.documentElement.scrollWidth <= innerWidth")
    stylist.go("/people")
    stylist.find("main ul li a")
    stylist.press("/")
    stylist.press("barthol")
    stylist.wait(lambda: len(names(stylist)) == 1)
    stylist.tab_to("[aria-label^=Rename]")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: stylist.focused.get_attribute("id") == "new-name")
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("Bart Holm", Keys.ENTER)
    stylist.wait(lambda: not stylist.all("#new-name"))
    stylist.press("/")
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("Holm")
    stylist.wait(lambda: names(stylist) == ["Bart Holm"])
    stylist.tab_to("[aria-label='Remove Bart Holm']")
    stylist.press(Keys.ENTER)
    stylist.sees("Bart Holm is off the list")
    stylist.sees("Nobody matches")
    stylist.click("Undo")
    stylist.wait(lambda: names(stylist) == ["Bart Holm"])


def test_another_studio_sees_none_of_them_and_starts_with_an_empty_list(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.find("main ul li a")
    address = stylist.all("main ul li a")[0].get_attribute("href")
    stylist.click("Sign out", "header button")
    stylist.find("#email")
    stylist.press(Keys.TAB)
    stylist.sign_in(OTHER_STYLIST[0])
    stylist.sees("Nobody here yet")
    stylist.driver.get(str(address))
    stylist.sees("not on your list")


def test_a_wrong_password_is_said_at_the_field_and_a_guest_is_sent_back_afterwards(stylist: Stylist) -> None:
    stylist.sign_in()
    address = stylist.all("main ul li a")[1].get_attribute("href")
    stylist.driver.delete_all_cookies()
    stylist.driver.get(str(address))
    stylist.find("#email")
    stylist.tab_to("#email")
    stylist.press(STYLISTS[1][0], Keys.TAB, "not the password", Keys.ENTER)
    stylist.sees("do not go together")
    assert stylist.find("#email").get_attribute("value") == STYLISTS[1][0]
    stylist.tab_to("#password")
    stylist.chord(Keys.CONTROL, "a")
    stylist.press(PASSWORD, Keys.ENTER)
    stylist.find("[data-panel]")
    assert stylist.driver.current_url == address


def test_a_server_that_goes_away_loses_nothing(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Perpetua")
    stylist.find("[data-testid=verdict]")
    stylist.server.stop()
    try:
        stylist.press("n", Keys.END, " and after", Keys.ENTER)
        stylist.wait(lambda: stylist.find("[data-testid=saving]").get_attribute("data-saving") == "failed")
        stylist.sees("The server does not answer")
        assert str(stylist.find(NAME).get_attribute("value")).endswith("and after")
    finally:
        stylist.server.start()
    # It tries again by itself.
    stylist.kept()
    stylist.driver.refresh()
    stylist.wait(lambda: str(stylist.find(NAME).get_attribute("value")).endswith("and after"))


def test_looks_are_begun_opened_removed_and_brought_back(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Idris")
    stylist.step("looks")
    stylist.wait(lambda: [b.text.splitlines()[0] for b in stylist.all("main li button.grow")] != [])
    kept = sorted(button.text.splitlines()[0] for button in stylist.all("main li button.grow"))
    assert kept == ["Quote at the client's", "Yard"]
    stylist.click("New look", "main button")
    stylist.sees("Nothing on yet")
    stylist.tab_to("#say")
    stylist.press("glittering jeans", Keys.ENTER)
    stylist.sees("“glittering” is not understood for jeans")
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("bootcut jeans; grey knit front tuck; pointed ankle boots", Keys.ENTER)
    stylist.kept()
    stylist.rest()
    stylist.step("looks")
    stylist.wait(lambda: len(stylist.all("main li button.grow")) == 3)
    stylist.tab_to("[aria-label='Remove unnamed look']")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: len(stylist.all("main li button.grow")) == 2)
    stylist.rest()
    stylist.chord(Keys.CONTROL, "z")
    stylist.step("looks")
    stylist.wait(lambda: len(stylist.all("main li button.grow")) == 3)


def test_the_pointer_chooses_a_garment_and_a_school_changes_the_reasons(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("looks")
    stylist.click("On stage", "main li button", whole=False)
    stylist.wait(lambda: stylist.find(NAME).get_attribute("value") == "On stage")
    stylist.step("dress")
    top = stylist.find("path[data-key=top]")
    # Near its hem: the middle of a deep neckline is skin.
    ActionChains(stylist.driver).move_to_element_with_offset(top, 0, round(0.4 * top.size["height"])).click().perform()
    stylist.wait(lambda: "text-leaf" in str(stylist.find("#slot-top").get_attribute("class")))
    band = stylist.edge("waistband")
    stylist.step("read")
    stylist.tab_to("[data-word='rise naming']")
    stylist.press(Keys.ARROW_RIGHT)
    stylist.step("dress")
    stylist.wait(lambda: stylist.edge("waistband") != band)
    stylist.rest()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: stylist.edge("waistband") == band)


def test_labels_and_reasons_never_lie_on_each_other(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("looks")
    stylist.click("never work", "main li button", whole=False)
    stylist.sees("Hem on the ground")
    stylist.wait(lambda: stylist.driver.execute_script("return document.fonts.status") == "loaded")

    def overlaps(css: str) -> int:
        return int(
            stylist.driver.execute_script(
                """const boxes = [...document.querySelectorAll(arguments[0])].map((e) => e.getBoundingClientRect());
                boxes.sort((a, b) => a.top - b.top);
                return boxes.filter((box, i) => i && box.top < boxes[i - 1].bottom - 1).length""",
                css,
            )
        )

    assert len(stylist.all("[data-rule]")) >= 6
    stylist.wait(lambda: overlaps("[data-rule]") == 0, "reasons apart")
    stylist.wait(lambda: overlaps("[data-edge]") == 0, "edges apart")
