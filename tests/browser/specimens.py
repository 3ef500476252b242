"""`./basilwood specimens`: draw the specimen sheets and the held looks anew."""

from __future__ import annotations

import tempfile
from pathlib import Path

from craft.draw.specimens import LOOKS, bodies_svg, drawn_look, kinds_svg
from craft.draw.svg import picture_svg
from house.places import ROOT
from tests.browser.conftest import chrome

FOLDER = ROOT / "docs" / "screenshots"
HELD = ROOT / "tests" / "craft" / "drawn"


def held_looks() -> dict[str, str]:
    """The dozen looks as SVG files, by name."""
    return {name: picture_svg(drawn_look(look), name) for name, look in LOOKS}


def main() -> None:
    HELD.mkdir(exist_ok=True)
    for name, svg in held_looks().items():
        (HELD / f"{name}.svg").write_text(svg)
    with tempfile.TemporaryDirectory() as profile:
        driver = chrome("1600,900", profile)
        try:
            for name, svg in (("specimens", kinds_svg()), ("bodies", bodies_svg())):
                page = Path(profile) / f"{name}.html"
                page.write_text(f'<!doctype html><body style="margin:0;overflow:hidden">{svg}')
                driver.get(page.as_uri())
                wide, tall = driver.execute_script(
                    "const s = document.querySelector('svg').getBoundingClientRect(); return [s.width, s.height]"
                )
                metrics = {"width": int(wide), "height": int(tall), "deviceScaleFactor": 1, "mobile": False}
                driver.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", metrics)
                driver.save_screenshot(str(FOLDER / f"{name}.png"))
        finally:
            driver.quit()
    print(f"drawn: {', '.join(sorted(path.stem for path in HELD.glob('*.svg')))}; specimens, bodies")


if __name__ == "__main__":
    main()
