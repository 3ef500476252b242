"""`./basilwood shots`: take the pictures of docs/screenshots anew, from the demo data."""

from __future__ import annotations

import tempfile

from selenium.webdriver.common.keys import Keys

from house.places import ROOT
from tests.browser.conftest import Stylist, chrome, demo_server

FOLDER = ROOT / "docs" / "screenshots"


def take(stylist: Stylist, name: str) -> None:
    # A finished animation frame, so that nothing is caught half drawn.
    stylist.driver.execute_async_script("requestAnimationFrame(() => requestAnimationFrame(arguments[0]))")
    stylist.driver.save_screenshot(str(FOLDER / f"{name}.png"))


def size(stylist: Stylist, width: int, height: int) -> None:
    metrics = {"width": width, "height": height, "deviceScaleFactor": 1, "mobile": False}
    stylist.driver.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", metrics)


def open_look(stylist: Stylist, name: str) -> None:
    stylist.rest()
    stylist.press("4")
    stylist.wait(lambda: next(b for b in stylist.all("main li button") if name in b.text).click() is None)
    stylist.wait(lambda: stylist.find("[placeholder='Unnamed look']").get_attribute("value") == name)
    stylist.find("[data-testid=verdict]")


def shoot(stylist: Stylist) -> None:
    size(stylist, 1280, 800)
    stylist.go("/sign-in")
    stylist.find("#email")
    take(stylist, "sign-in")
    stylist.sign_in()
    stylist.find("main ul li")
    take(stylist, "people")
    stylist.open("Ottoline")
    open_look(stylist, "The jeans that never work")
    take(stylist, "mend")
    open_look(stylist, "Rehearsal")
    take(stylist, "dress")
    stylist.rest()
    stylist.press("t")
    take(stylist, "turned")
    stylist.press("t", "2")
    stylist.find("[data-testid=shape]")
    take(stylist, "read")
    stylist.press("1")
    field = stylist.find("#m-waist")
    field.click()
    stylist.chord(Keys.CONTROL, "a")
    stylist.press("29", Keys.ENTER)
    stylist.find("#d-waist")
    take(stylist, "measure")
    stylist.press(Keys.ESCAPE)
    size(stylist, 820, 1180)
    stylist.rest()
    stylist.press("3")
    take(stylist, "tablet")


def main() -> None:
    with demo_server() as server, tempfile.TemporaryDirectory() as profile:
        driver = chrome("1280,800", profile)
        try:
            driver.set_script_timeout(20)
            shoot(Stylist(driver, server))
        finally:
            driver.quit()
    print(f"taken: {', '.join(sorted(path.stem for path in FOLDER.glob('*.png')))}")


if __name__ == "__main__":
    main()
