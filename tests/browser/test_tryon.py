"""A fitting by keyboard with an offline moment; what is due of it; a picture and its colour; size charts."""

from __future__ import annotations

from pathlib import Path

import pytest
from PIL import Image
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Stylist

pytestmark = pytest.mark.browser


def connection(stylist: Stylist, *, cut: bool) -> None:
    """Cut this browser's connection, or bring it back."""
    stylist.driver.execute_cdp_cmd("Network.enable", {})
    far = {"offline": cut, "latency": 0, "downloadThroughput": -1, "uploadThroughput": -1}
    stylist.driver.execute_cdp_cmd("Network.emulateNetworkConditions", far)


def logged(stylist: Stylist) -> dict[str, bool]:
    """The log of the fitting: each piece, and whether it has reached the server."""
    rows = stylist.all("[data-logged]")
    return {str(row.get_attribute("data-logged")): row.get_attribute("data-sent") == "true" for row in rows}


def put_on(stylist: Stylist, words: str, title: str) -> None:
    stylist.wait(lambda: stylist.focused.get_attribute("id") == "try", "the hand at the finder")
    stylist.press(words, Keys.ENTER)
    stylist.wait(lambda: stylist.find("[data-testid=on]").text.lower() == title, title)


def begin(stylist: Stylist, name: str) -> None:
    stylist.sign_in()
    stylist.open(name)
    stylist.step("try")
    stylist.tab_to("button[data-main]")
    stylist.press(Keys.ENTER)
    stylist.tab_to("#try")


def test_five_pieces_are_tried_by_keyboard_and_a_cut_connection_loses_and_doubles_nothing(stylist: Stylist) -> None:
    begin(stylist, "Idris")
    # As said, kept: two keys.
    put_on(stylist, "gilet", "navy gilet")
    stylist.rest()
    stylist.press("y", "k")
    stylist.chord(Keys.CONTROL, Keys.ENTER)
    stylist.wait(lambda: logged(stylist) == {"navy gilet": True}, "the first piece in the log")
    # Seen elsewhere than computed: what that says is offered, taken over, and undone.
    put_on(stylist, "charcoal trousers", "charcoal straight trousers")
    stylist.tab_to("[data-see=hem]")
    stylist.press("long", Keys.TAB)
    stylist.sees("“long” is not a length")
    stylist.tab_to("[data-see=hem]")
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("2in", Keys.TAB)
    stylist.rest()
    stylist.press("l")
    assert "Hem" in stylist.find("[aria-label='The piece that is on']").text
    assert stylist.violations() == []
    stylist.chord(Keys.CONTROL, Keys.ENTER)
    stylist.wait(lambda: logged(stylist).get("charcoal straight trousers"), "the second piece")
    stylist.sees("hem 5.1 cm above the ground")
    stylist.tab_to("[data-correct=inseam_cm]")
    stylist.press(Keys.ENTER)
    stylist.sees("The inseam is")
    stylist.rest()
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: stylist.all("[data-correct=inseam_cm]"), "the correction offered again")
    # The connection is cut: the fitting goes on with a piece of the rack and a new one.
    connection(stylist, cut=True)
    stylist.tab_to("#try")
    put_on(stylist, "loafers", "cognac loafers")
    stylist.rest()
    stylist.press("k")
    stylist.chord(Keys.CONTROL, Keys.ENTER)
    stylist.sees("No connection.")
    put_on(stylist, "red scarf, length 180", "red scarf, length 180")
    stylist.sees("Without a connection nothing can be computed")
    stylist.rest()
    stylist.press("g")
    stylist.tab_to("#why")
    stylist.press("Catches in the ladder", Keys.ENTER)
    stylist.wait(lambda: list(logged(stylist).values()).count(False) == 2, "two that wait")
    stylist.sees("2 entries wait here")
    connection(stylist, cut=False)
    stylist.wait(lambda: set(logged(stylist).values()) == {True} and len(logged(stylist)) == 4, "all sent")
    put_on(stylist, "olive sweat", "olive sweatshirt")
    stylist.rest()
    stylist.press("b")
    stylist.chord(Keys.CONTROL, Keys.ENTER)
    five = {"navy gilet", "charcoal straight trousers", "cognac loafers", "red scarf", "olive sweatshirt"}
    stylist.wait(lambda: set(logged(stylist)) == five, "five")
    assert stylist.violations() == []
    stylist.driver.refresh()
    stylist.wait(lambda: len(stylist.all("[data-logged]")) == 5 and set(logged(stylist)) == five, "five after a reload")
    # Two of them are due, to be seen by the whole studio; one is done.
    stylist.go("/due")
    stylist.wait(lambda: sum("Idris" in row.text for row in stylist.all("ul[aria-label=Due] li")) == 2, "two due")
    assert stylist.violations() == []


def test_an_alteration_that_is_done_changes_the_piece(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.open("Ottoline")
    stylist.step("try")
    stylist.sees("Hem it by 3 cm")
    stylist.tab_to("ul[aria-label=Due] button")
    stylist.press(Keys.ENTER)
    stylist.sees("the piece’s figure is changed")
    stylist.step("rack")
    stylist.find("[data-piece='mid blue wide jeans']").click()
    stylist.wait(lambda: stylist.find("[data-figure-of=inseam_cm]").get_attribute("value") == "76")
    # Not done after all: the figure goes back with it.
    stylist.step("try")
    stylist.find("details:has([aria-label=Due]) summary, ul[aria-label=Due] + details summary").click()
    stylist.click("Not yet")
    stylist.sees("Hem it by 3 cm")
    stylist.step("rack")
    stylist.wait(lambda: stylist.find("[data-figure-of=inseam_cm]").get_attribute("value") == "79")


def test_a_piece_is_measured_flat_with_the_tape_shown_and_gets_the_colour_of_its_picture(
    stylist: Stylist, tmp_path: Path
) -> None:
    Image.new("RGB", (400, 300), "#6b6a3a").save(tmp_path / "cloth.png")
    (tmp_path / "letter.jpg").write_text("not a picture at all")
    stylist.sign_in()
    stylist.open("Constance")
    stylist.step("rack")
    stylist.find("[data-piece='coral tee']").click()
    flat = "[data-testid=detail] label > input[type=checkbox]"
    stylist.tab_to(flat)
    stylist.press(Keys.SPACE)
    stylist.wait(lambda: stylist.find("[data-figure-of=chest_cm]").get_attribute("value") == "49")
    stylist.find("[data-figure-of=chest_cm]").click()
    stylist.sees("the figure is twice that")
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("52", Keys.ENTER)
    stylist.wait(lambda: "of ease at the bust" in stylist.find("[data-check=bust]").text)
    stylist.tab_to(flat, 200)
    stylist.press(Keys.SPACE)
    stylist.wait(lambda: stylist.find("[data-figure-of=chest_cm]").get_attribute("value") == "104")
    sent = stylist.find("[data-testid=detail] input[type=file]")
    sent.send_keys(str(tmp_path / "letter.jpg"))
    stylist.sees("This is not a picture that is read here")
    sent.send_keys(str(tmp_path / "cloth.png"))
    stylist.wait(lambda: stylist.find("[data-testid=detail] img").get_attribute("naturalWidth") != "0")
    stylist.find("[data-testid=detail] img").click()
    stylist.find("[data-shade=olive]").click()
    stylist.wait(lambda: str(stylist.find("[data-word-of=colour]").get_attribute("value")).startswith("#6"))
    assert stylist.violations() == []


def test_size_charts_are_brought_from_the_shops_and_name_a_size(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.go("/charts")
    stylist.wait(lambda: len(stylist.all("[data-chart]")) == 3)
    stylist.click("Bring the shops’ charts")
    stylist.wait(lambda: "maker,product,piece" in str(stylist.find("textarea").get_attribute("value")))
    stylist.find("form button").click()
    stylist.sees("Lark slip: black slip skirt")
    assert stylist.violations() == []
    stylist.click("Keep", whole=False)
    stylist.wait(lambda: len(stylist.all("[data-chart]")) == 17)
    stylist.open("Marnie")
    stylist.step("shop")
    stylist.tab_to("[aria-label='Beside the figure'] button:last-child")
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: len(stylist.all("[data-offer]")) == 17)
    stylist.tab_to("[data-offer]")
    stylist.press(Keys.ENTER)
    hang = "button[type=button]:last-child"
    stylist.tab_to(hang)
    stylist.press(Keys.ENTER)
    stylist.sees("hangs on the rack")
