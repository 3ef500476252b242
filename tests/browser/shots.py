"""`./basilwood shots`: take the pictures of docs/screenshots anew, from the demo data."""

from __future__ import annotations

import contextlib
import tempfile

from selenium.webdriver.common.keys import Keys

from house.places import ROOT
from tests.browser.conftest import Stylist, chrome, demo_server

FOLDER = ROOT / "docs" / "screenshots"


#: Whether every flat that is in sight is drawn: they are asked for when they are seen.
DRAWN = """return [...document.querySelectorAll("[data-drawn=false]")].every((flat) => {
  const at = flat.getBoundingClientRect();
  return at.bottom < 0 || at.top > innerHeight || at.right < 0 || at.left > innerWidth;
})"""


def take(stylist: Stylist, name: str) -> None:
    stylist.wait(lambda: stylist.driver.execute_script(DRAWN), "the flats in sight")
    # A finished animation frame, so that nothing is caught half drawn.
    stylist.driver.execute_async_script("requestAnimationFrame(() => requestAnimationFrame(arguments[0]))")
    stylist.driver.save_screenshot(str(FOLDER / f"{name}.png"))


def size(stylist: Stylist, width: int, height: int) -> None:
    metrics = {"width": width, "height": height, "deviceScaleFactor": 1, "mobile": False}
    stylist.driver.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", metrics)


def open_look(stylist: Stylist, name: str) -> None:
    stylist.step("looks")
    stylist.click(name, "main li button", whole=False)
    stylist.wait(lambda: stylist.find("[placeholder='Unnamed look']").get_attribute("value") == name)
    stylist.find("[data-testid=verdict]")


def measure(stylist: Stylist) -> None:
    """The desk in the middle of a session, with a slip being asked about."""
    stylist.open("Jory")
    stylist.begin("full", twice=False)
    stylist.wait(lambda: stylist.find("[data-testid=tape]").get_attribute("data-state") == "connected")
    before = ""
    for _ in range(6):
        stylist.wait(lambda before=before: stylist.at_measure() != before)
        before = stylist.at_measure()
        stylist.press(Keys.SPACE)
    stylist.go_to("waist")
    stylist.press("29", Keys.ENTER)
    stylist.find("#d-waist")
    take(stylist, "measure")


def done(stylist: Stylist, testid: str) -> None:
    """Wait for long work over a large wardrobe, which takes most of a minute beside a browser."""
    for _ in range(15):
        with contextlib.suppress(AssertionError):
            stylist.wait(lambda: stylist.find(f"[data-testid={testid}]").get_attribute("data-state") == "done")
            return


def edit(stylist: Stylist) -> None:
    """The same wardrobe gone through, and what it lacks."""
    stylist.step("edit")
    done(stylist, "sorting")
    stylist.rest()
    for number in range(1, 6):
        stylist.press(Keys.ENTER)
        stylist.sees(f"{number} of ")
    stylist.wait(lambda: len(stylist.all("main [data-look] svg g path")) > 20)
    take(stylist, "edit")
    stylist.find("[data-view=missing]").click()
    done(stylist, "gaps")
    stylist.wait(lambda: len(stylist.all("[data-testid=gain] [data-look] svg g path")) > 20)
    take(stylist, "missing")


def outfits(stylist: Stylist) -> None:
    """Every look of a large wardrobe."""
    stylist.open("Rosalind")
    stylist.step("outfits")
    done(stylist, "search")
    stylist.press(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT)
    stylist.wait(lambda: len(stylist.all("main svg [data-slot=shoes]")) >= 5)
    take(stylist, "outfits")


def hand(stylist: Stylist) -> None:
    """A week dressed, its cards, the page that a client opens, and the diary."""
    stylist.step("plan")
    stylist.click("New week")
    stylist.click("Plan the week")
    done(stylist, "plan-work")
    stylist.wait(lambda: len(stylist.all("[data-day] svg g path")) > 150)
    take(stylist, "plan")
    stylist.step("hand")
    stylist.wait(lambda: stylist.find("article img").get_property("naturalWidth"))
    stylist.click("make it over")
    stylist.wait(lambda: not [button for button in stylist.all("button") if "Trying" in button.text])
    take(stylist, "hand-over")
    stylist.find("[data-view=page]").click()
    stylist.click("Make the link")
    address = str(stylist.find("[data-testid=address]").get_attribute("href"))
    stylist.go("/diary")
    stylist.wait(lambda: stylist.find("[data-appointment]"))
    # The week that holds most of what is made up about today.
    stylist.press("]")
    stylist.wait(lambda: len(stylist.all("[data-appointment]")) > 4)
    stylist.find("[aria-label^='Edit at home']").send_keys(Keys.ENTER)
    stylist.sees("Kit to bring")
    take(stylist, "diary")
    stylist.driver.get(address)
    size(stylist, 390, 844)
    stylist.find("article svg")
    take(stylist, "client-page")


def members(stylist: Stylist) -> None:
    """Who works here and who is asked in, and who saw what of the day's work."""
    size(stylist, 1280, 800)
    stylist.go("/studio")
    stylist.find("[data-member]")
    stylist.find("#invite-email").send_keys("wren@hollinrow.example", Keys.ENTER)
    stylist.find("[data-invited]")
    stylist.rest()
    take(stylist, "members")
    stylist.go("/studio#seen")
    stylist.find("[data-seen]")
    take(stylist, "who-saw-what")


def shoot(stylist: Stylist) -> None:
    size(stylist, 1280, 800)
    stylist.go("/sign-in")
    stylist.find("#email")
    stylist.sign_in()
    stylist.find("main ul li")
    take(stylist, "people")
    stylist.open("Ottoline")
    open_look(stylist, "Day in town")
    stylist.step("dress")
    stylist.rest()
    stylist.press("b")
    stylist.sees("from behind")
    take(stylist, "dress")
    stylist.press("b")
    stylist.step("read")
    stylist.find("[data-testid=shape]")
    take(stylist, "read")
    stylist.step("shop")
    stylist.find("[data-number]")
    take(stylist, "shop")
    stylist.step("rack")
    stylist.find("[data-piece='mid blue wide jeans']").click()
    stylist.find("[data-check=length]")
    stylist.wait(lambda: stylist.all("[data-works]"))
    take(stylist, "rack")
    stylist.step("try")
    stylist.find("[data-panel] button[data-main]").click()
    stylist.find("#try").send_keys("mid blue wide", Keys.ENTER)
    stylist.find("[data-see=hem]").send_keys("1.5")
    stylist.find("[data-decide=alter]").click()
    take(stylist, "try-on")
    stylist.go("/rules")
    row = stylist.find("[data-house-rule='feet.weight']")
    stylist.driver.execute_script("arguments[0].scrollIntoView({ block: 'center' })", row)
    stylist.find("[data-house-rule='feet.weight'] button[aria-expanded]").click()
    stylist.wait(lambda: "looks would" in stylist.find("[data-testid=effect]").text)
    take(stylist, "rules")
    stylist.go("/people")
    measure(stylist)
    stylist.go("/people")
    outfits(stylist)
    edit(stylist)
    hand(stylist)
    members(stylist)


def main() -> None:
    with demo_server() as server, tempfile.TemporaryDirectory() as profile:
        server.fresh_tape()
        server.work()
        driver = chrome("1280,800", profile)
        try:
            driver.set_script_timeout(20)
            shoot(Stylist(driver, server))
        finally:
            driver.quit()
    print(f"taken: {', '.join(sorted(path.stem for path in FOLDER.glob('*.png')))}")


if __name__ == "__main__":
    main()
