"""Planning and handing over as a stylist does it: a week planned and a day changed, a book made, a page sent, opened on a phone and
answered; and the diary: visits moved by hand and by key, a calendar taken in."""

from __future__ import annotations

import contextlib
import tempfile
from collections.abc import Iterator
from datetime import date, datetime, timedelta
from pathlib import Path

import pytest
from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.keys import Keys

from craft.cloth.quick import read_line
from studio.people.demo_wardrobe import BOTTOMS, LAYERS, SHOES, TOPS
from tests.browser.conftest import Stylist, chrome
from tests.browser.test_edit import come_in, view

pytestmark = pytest.mark.browser

RACK = (*BOTTOMS[:4], BOTTOMS[13], *TOPS[:5], *TOPS[17:20], *LAYERS[:2], LAYERS[7], LAYERS[13], *SHOES[:5])
LOOKS = (("Market day", (4, 10, 19)), ("Proofs", (1, 11, 18)))


def filed() -> dict[str, object]:
    """A rack and two looks of it, as a client file has them."""
    pieces = [read_line(line) for line in RACK]
    looks = []
    for name, at in LOOKS:
        worn = [pieces[number] for number in at]
        from_rack = {
            piece.slot: {"rack_at": number, "worn_as": piece.described()}
            for number, piece in zip(at, worn, strict=True)
        }
        looks.append({"name": name, "pieces": [piece.described() for piece in worn], "from_rack": from_rack})
    return {"rack": [{"piece": piece.described()} for piece in pieces], "looks": looks}


@pytest.fixture
def visit(stylist: Stylist, request: pytest.FixtureRequest) -> Iterator[Stylist]:
    stylist.server.work()
    # Each test has a client of its own: a file is taken in once.
    come_in(stylist, f"Linnea Marsh {len(request.node.name)}", **filed())
    yield stylist
    stylist.server.no_worker()


def dressed(stylist: Stylist) -> list[str]:
    """What each day wears, when all of them are dressed."""

    def done() -> bool:
        state = stylist.find("[data-testid=plan-work]").get_attribute("data-state")
        return state == "done" and all("Nothing" not in day.text for day in stylist.all("[data-day]"))

    for _ in range(3):
        # Three cold tables may take longer than one wait.
        with contextlib.suppress(AssertionError):
            stylist.wait(done)
            break
    else:
        stylist.wait(done)
    return [
        ", ".join(piece.text for piece in day.find_elements("css selector", ".piece span"))
        for day in stylist.all("[data-day]")
    ]


def test_a_week_is_planned_and_a_day_changed(visit: Stylist) -> None:
    visit.step("plan")
    visit.sees("No plan yet.")
    visit.click("New week")
    visit.click("Plan the week")
    week = dressed(visit)
    assert len(week) == 7 and len(set(week)) > 3
    # The forecast has come with it; the wash is on a Saturday.
    visit.wait(lambda: any("°C" in day.text for day in visit.all("[data-day]")))
    assert visit.violations() == []
    # By key: the second day otherwise, which keeps it; and back again.
    visit.rest()
    visit.press(Keys.ARROW_RIGHT, "x")
    visit.wait(lambda: visit.all("[data-day]")[1].text.find("kept") >= 0)
    changed = dressed(visit)
    assert changed[1] != week[1]
    assert sum(a != b for a, b in zip(week, changed, strict=True)) <= 3
    visit.chord(Keys.CONTROL, "z")
    visit.wait(lambda: dressed(visit) == week)
    # Worn, and told under Worn.
    visit.rest()
    visit.press("w")
    visit.wait(
        lambda: (
            visit.all("[data-day]")[1]
            .find_element("css selector", "[aria-label$=': worn']")
            .get_attribute("aria-pressed")
            == "true"
        )
    )
    visit.find("[data-view=worn]").click()
    visit.sees("Recorded since")
    assert visit.violations() == []
    # A trip: packed, ticked.
    visit.click("New trip")
    visit.click("Pack for it")
    dressed(visit)
    visit.sees("To pack")
    visit.find("[aria-label='To pack'] input").click()
    visit.sees("1 packed")
    assert visit.violations() == []


def test_a_book_is_made_and_a_page_answered_on_a_phone(visit: Stylist) -> None:
    visit.step("hand")
    visit.click("Make all")
    visit.wait(lambda: len(visit.all("[data-card]")) == 2)
    visit.wait(lambda: visit.find("article img").get_property("naturalWidth"))
    # A sentence in her own words; undone and done again.
    visit.find("[data-line=own]").send_keys("For the market and the ferry.", Keys.ENTER)
    visit.wait(lambda: visit.find("[data-line=own]").get_attribute("data-said") == "true")
    assert visit.violations() == []
    view(visit, "book")
    visit.click("Make the PDF")
    visit.wait(lambda: visit.find("[data-testid=book]"))
    view(visit, "page")
    visit.find("[placeholder='none is asked for']").send_keys("heron")
    visit.click("Make the link")
    address = str(visit.find("[data-testid=address]").get_attribute("href"))
    assert visit.violations() == []

    with tempfile.TemporaryDirectory() as profile:
        driver = chrome("390,844", profile)
        try:
            phone = Stylist(driver, visit.server)
            driver.get(address)
            # It reads and answers with scripts off: there are none.
            assert driver.execute_script("return document.scripts.length") == 0
            assert "Market day" not in phone.find("main").text
            phone.find("#word").send_keys("Heron", Keys.ENTER)
            phone.sees("Proofs")
            phone.sees("For the market and the ferry.")
            assert phone.violations() == []
            loved = phone.find("article button[value=loved]")
            loved.click()
            phone.wait(lambda: phone.find("article button[value=loved]").get_attribute("aria-pressed") == "true")
            phone.find("#text").send_keys("Which coat?")
            phone.find("button[value=question]").click()
            phone.sees("You asked: Which coat?")
            wide = driver.execute_script("return document.documentElement.scrollWidth <= innerWidth + 1")
            assert wide
        finally:
            driver.quit()

    visit.driver.refresh()
    visit.wait(lambda: "2 new" in visit.find("[data-view=page]").text)
    view(visit, "page")
    visit.sees("“Which coat?”")
    visit.sees("opened")
    visit.find("[aria-label^='Seen to: asks']").click()
    visit.wait(lambda: "1 new" in visit.find("[data-view=page]").text)
    visit.click("take back")
    visit.sees("taken back")
    # A letter goes into the outbox.
    view(visit, "letter")
    visit.find("input[type=email]").send_keys("linnea@marsh.example")
    visit.click("Send")
    visit.sees("to linnea@marsh.example")
    visit.find("[data-state=sent]")
    assert visit.violations() == []


CALENDAR = """BEGIN:VCALENDAR
VERSION:2.0
BEGIN:VEVENT
UID:fair@elsewhere.example
SUMMARY:Cloth fair
DTSTART:{day}T090000
DTEND:{day}T110000
END:VEVENT
END:VCALENDAR
"""


def test_visits_are_moved_and_a_calendar_taken_in(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.go("/diary")
    # Three weeks ahead nothing of the demo lies, but what repeats.
    stylist.wait(lambda: stylist.find("[data-appointment]"))
    for _ in range(3):
        stylist.press("]")
    stylist.wait(lambda: len(stylist.all("[data-appointment]")) == 1)
    stylist.press("n")
    # A client by part of the name, chosen by key.
    stylist.tab_to("[aria-label='Client of the visit']")
    stylist.press("ottol")
    stylist.called("Ottoline", "[role=option]", whole=False)
    stylist.press(Keys.ENTER)
    stylist.wait(lambda: "Ottoline" in str(stylist.find("[aria-label='Client of the visit']").get_attribute("value")))
    stylist.find("[placeholder='by its kind and client']").send_keys("Fitting of the coat", Keys.TAB)
    stylist.click("Put it down")
    visit = "[aria-label^='Fitting of the coat']"
    stylist.wait(lambda: len(stylist.all(visit)) == 1)
    assert stylist.violations() == []

    def where() -> str:
        return str(stylist.find(visit).get_attribute("aria-label"))

    # By key: a quarter of an hour later, a day on, a quarter longer.
    began = where()
    stylist.find(visit).send_keys(Keys.ARROW_DOWN)
    stylist.wait(lambda: "10:15" in where())
    stylist.find(visit).send_keys(Keys.SHIFT, Keys.ARROW_DOWN)
    stylist.wait(lambda: "55 min" in where())
    stylist.chord(Keys.CONTROL, "z")
    stylist.chord(Keys.CONTROL, "z")
    stylist.wait(lambda: where() == began)
    # By hand: dragged an hour and a half down and a day over, to the day before where it lies on the week's last.
    column = stylist.find(".column").rect
    last = stylist.all(".column")[-1].rect["x"] <= stylist.find(visit).rect["x"]
    over = int(-column["width"] if last else column["width"])
    ActionChains(stylist.driver).click_and_hold(stylist.find(visit)).move_by_offset(over, 69).release().perform()
    # The hour changes while it is in the hand, the day when it is let go.
    stylist.wait(lambda: "11:30" in where() and where().split(";")[1].split()[0] != began.split(";")[1].split()[0])
    assert len(stylist.all("[data-appointment]")) == 2

    # A calendar, looked at and taken in; and taken back.
    day = datetime.fromisoformat(
        str(stylist.driver.execute_script("return new Date().toISOString()")[:10])
    ).date() + timedelta(21)
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "fair.ics"
        path.write_text(CALENDAR.format(day=f"{day:%Y%m%d}"))
        stylist.click("calendars")
        stylist.find("[aria-label='Calendar file']").send_keys(str(path))
        stylist.sees("Cloth fair")
        stylist.click("Take in 1")
        stylist.wait(lambda: len(stylist.all("[aria-label^='Cloth fair']")) == 1)
    stylist.press("m")
    stylist.wait(lambda: stylist.all("[title='Cloth fair']"))
    assert stylist.violations() == []
    stylist.click("undo")
    stylist.wait(lambda: not stylist.all("[title='Cloth fair']"))


def test_an_owner_says_where_the_studio_works_and_its_holidays_stand_in_the_diary(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.go("/diary")
    stylist.click("calendars")
    country = "[aria-label='Country whose public holidays are shown']"
    stylist.wait(lambda: stylist.find(country).is_enabled())
    stylist.tab_to(country)
    stylist.press("Germ")
    stylist.find("[aria-label='Part of the country']")
    stylist.rest()
    stylist.press("m")
    for _ in range(12 - date.today().month):
        stylist.press("]")
    stylist.find("[title='Christmas Day']")
    assert stylist.violations() == []
