"""An afternoon at a wardrobe: sixty lines pasted, pieces sorted by one key each, an orphan adopted, a gap found and listed."""

from __future__ import annotations

import json
from collections.abc import Iterator

import pytest
from selenium.webdriver.common.keys import Keys

from studio.people.demo_wardrobe import BESIDES, BOTTOMS, LAYERS, SHOES, TOPS
from tests.browser.conftest import Stylist

pytestmark = pytest.mark.browser

#: A client of this file's own: what other tests do to the demo's people is no part of an afternoon.
CLIENT = {
    "format": "basilwood-client",
    "version": 2,
    "aims": {"wants": ["lengthen_legs"]},
    "brief": {"week": [{"occasion": "relaxed_office", "share": 70}, {"occasion": "weekend", "share": 30}]},
}
MEASURES = {"stature": 168, "bust": 94, "waist": 77, "hip": 101, "crotch_height": 77}
BEGAN = "2026-05-04T10:00:00+00:00"
#: Sixty pieces; one line is no piece, and one is too long for any shoe of hers.
LINES = (
    *BOTTOMS[:9], "charcoal wide trousers high rise, front rise 29, inseam 92, leg opening 58", *TOPS[:24], *LAYERS[:7],
    *SHOES[:9], *BESIDES[:8], "like the last one in navy", "a thing from the attic",
)  # fmt: skip


def view(stylist: Stylist, key: str) -> None:
    stylist.find(f"[data-view={key}]").click()
    stylist.wait(lambda: stylist.find(f"[data-view={key}]").get_attribute("aria-current") == "page")


def done(stylist: Stylist, testid: str) -> None:
    """Wait until long work is done: of sixty pieces most of a minute beside a browser."""
    for _ in range(12):
        try:
            stylist.wait(lambda: stylist.find(f"[data-testid={testid}]").get_attribute("data-state") == "done")
        except AssertionError:
            continue
        else:
            return
    raise AssertionError(f"{testid} was never done")


def come_in(stylist: Stylist, name: str, **more: object) -> None:
    """A new client from a file, opened; `more` of what the file says of them."""
    readings = [{"measure": measure, "cm": cm, "taken_at": BEGAN} for measure, cm in MEASURES.items()]
    session = {"started_at": BEGAN, "ended_at": BEGAN, "ended": "finished", "protocol": "quick", "readings": readings}
    text = json.dumps({**CLIENT, "name": name, "sessions": [session], **more})
    stylist.sign_in()
    status = stylist.driver.execute_async_script(
        """const token = document.cookie.match(/csrftoken=([^;]+)/)[1];
        const headers = { "Content-Type": "application/json", "X-CSRFToken": token };
        fetch("/api/client-files", { method: "POST", headers, body: JSON.stringify({ text: arguments[0] }) })
          .then((answer) => arguments[1](answer.status));""",
        text,
    )
    assert status == 201
    stylist.driver.refresh()
    stylist.open(name)


@pytest.fixture
def visit(stylist: Stylist, request: pytest.FixtureRequest) -> Iterator[Stylist]:
    stylist.server.work()
    if hasattr(request, "param"):
        stylist.sign_in()
        stylist.open(request.param)
    else:
        come_in(stylist, "Petra Lune")
    stylist.step("edit")
    yield stylist
    stylist.server.no_worker()


def test_an_afternoon_at_the_wardrobe(visit: Stylist) -> None:
    # Brought in: a line a piece, by keyboard alone.
    view(visit, "in")
    text = visit.find("textarea")
    visit.driver.execute_script("arguments[0].value = arguments[1]", text, "\n".join(LINES[:-1]))
    text.send_keys("\n", LINES[-1])
    visit.chord(Keys.CONTROL, Keys.ENTER)
    visit.sees(f"{len(LINES) - 1} hang, 1 could not be read")
    assert visit.find("textarea").get_attribute("value") == LINES[-1]
    assert visit.violations() == []

    # Sorted: one key a piece, another one otherwise with a word and a place to go.
    view(visit, "sort")
    done(visit, "sorting")
    total = len(LINES) - 1
    visit.sees(f"0 of {total} decided")
    assert visit.find("[data-testid=proposal]").get_attribute("data-decision")
    visit.rest()
    for number in range(1, 20):
        visit.press(Keys.ENTER)
        visit.sees(f"{number} of {total} decided")
    title = visit.find("[data-testid=sorted-piece]").get_attribute("data-piece")
    visit.press("k")
    visit.sees(f"20 of {total} decided")
    visit.wait(lambda: title in visit.find("[data-testid=whither]").text)
    goes = visit.find("[data-testid=whither] select")
    goes.send_keys("give")
    visit.wait(lambda: len(visit.all("[data-testid=whither] input")) == 3)
    visit.all("[data-testid=whither] input")[1].send_keys("The hospice shop", Keys.TAB)
    view(visit, "lists")
    visit.sees("The hospice shop")
    view(visit, "sort")
    visit.rest()
    # Undone, and done again: every decision has its way back.
    visit.chord(Keys.CONTROL, "z")
    visit.chord(Keys.CONTROL, Keys.SHIFT, "z")
    visit.wait(lambda: visit.all("[data-testid=whither] input")[1].get_attribute("value") == "The hospice shop")
    assert visit.violations() == []
    visit.driver.refresh()
    visit.sees(f"20 of {total} decided")

    # Read: colours and shape, drawn.
    view(visit, "colours")
    done(visit, "work")
    visit.wait(lambda: len(visit.all("[data-testid=colours] li")) > 5)
    visit.sees("What joins most")
    assert visit.violations() == []

    # An orphan adopted by the tailor.
    view(visit, "orphans")
    orphan = visit.find("[data-orphan='charcoal wide trousers']")
    visit.wait(lambda: "off the inseam" in orphan.text)
    visit.wait(lambda: orphan.find_element("css selector", "button").click() is None)
    visit.wait(lambda: "for the tailor" in visit.find("[data-orphan='charcoal wide trousers']").text)
    assert visit.violations() == []

    # What is missing, on the list.
    view(visit, "missing")
    done(visit, "gaps")
    visit.wait(lambda: len(visit.all("[data-testid=gains] button")) > 3)
    visit.wait(lambda: len(visit.all("[data-testid=gain] [data-look]")) > 0)
    visit.wait(lambda: "to buy" in visit.find("[data-testid=gain] [data-look]").text)
    assert visit.violations() == []
    visit.find("[data-testid=gain] .press").click()
    visit.sees("On the buying list")

    # The lists: what leaves is there until it is said to be gone, and comes back.
    view(visit, "lists")
    visit.sees("The hospice shop")
    visit.find("[data-testid=list-give] button").click()
    visit.wait(
        lambda: "gone" in visit.find("[data-testid=list-give]").text and not visit.all("[data-testid=list-give] button")
    )
    visit.chord(Keys.CONTROL, "z")
    visit.wait(lambda: visit.all("[data-testid=list-give] button"))
    assert len(visit.all("[data-testid=buy-now] li")) == 1
    assert visit.violations() == []


@pytest.mark.parametrize("visit", ["Ottoline"], indirect=True)
def test_a_capsule_and_what_changed(visit: Stylist) -> None:
    view(visit, "capsule")
    field = visit.find("form input")
    field.click()
    visit.chord(Keys.CONTROL, "a")
    visit.press("8", Keys.TAB)
    visit.find("form button[data-main]").click()
    done(visit, "capsule")
    visit.sees("pieces make")
    assert 4 <= len(visit.all("[data-testid=parts] > li")) <= 8
    visit.wait(lambda: len(visit.all("main [data-look]")) > 2)
    assert visit.violations() == []
    view(visit, "changed")
    visit.wait(lambda: visit.find("[data-testid=changed]").get_attribute("data-state") in ("done", "failed"))
    assert visit.violations() == []


def test_a_thing_in_a_shop_is_bought_or_left(stylist: Stylist) -> None:
    come_in(stylist, "Berta Moor")
    stylist.step("shop")
    stylist.find("textarea").send_keys("Relaxed white shirt, chest 112 cm, length 72 cm", Keys.ENTER)
    stylist.wait(lambda: stylist.find("[data-testid=buy-or-leave] button").click() is None)
    stylist.wait(lambda: stylist.find("[data-testid=buy-or-leave] [data-verdict]"))
    assert stylist.find("[data-testid=buy-or-leave] li").text
