"""What is drawn: the sheets of specimens, a figure seen closely, and turned to the client."""

from __future__ import annotations

import re

import pytest

from tests.browser.conftest import Stylist
from tests.browser.test_mending import dress

pytestmark = pytest.mark.browser


def test_the_specimen_sheets_are_shown_from_the_house_rules(stylist: Stylist) -> None:
    stylist.sign_in()
    stylist.go("/rules")
    stylist.find("a[href='/specimens']").click()
    loaded = "return [...document.querySelectorAll('main img')].filter((i) => i.naturalWidth > 800).length"
    stylist.wait(lambda: stylist.driver.execute_script(loaded) == 2, "both sheets")
    assert stylist.violations() == []


def test_the_figure_is_looked_at_closely_and_turned_to_the_client_without_figures(stylist: Stylist) -> None:
    dress(stylist, "Ottoline", "Day in town")
    edges = len(stylist.all("g[data-edge]"))
    for detail in ("neck", "waist", "foot"):
        stylist.press("e")
        stylist.sees(f"Closer: {detail}")
        assert stylist.violations() == []
    stylist.wait(lambda: 0 < len(stylist.all("g[data-edge]")) < edges, "only edges near the foot")
    stylist.press("e")
    stylist.wait(lambda: len(stylist.all("g[data-edge]")) == edges, "the whole figure")
    worn = [item.get_attribute("textContent") for item in stylist.all("[aria-label^='What is worn'] li")]
    assert any("blazer, open" in str(piece) for piece in worn)
    stylist.press("t")
    stylist.wait(lambda: not stylist.find("[data-panel]").is_displayed(), "no panel of words")
    reasons = stylist.find("[aria-label=Reasons]").text
    assert len(reasons) > 40 and not re.search(r"\d", reasons)
    assert all(item.get_attribute("data-stance") == "for" for item in stylist.all("[data-rule]"))
    assert stylist.violations() == []
    stylist.press("t")
