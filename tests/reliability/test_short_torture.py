"""A short torture: a few kills of each part under writers, half-sent requests and huge pictures beside an honest one."""

from __future__ import annotations

import random
from collections.abc import Iterator

import pytest
from selenium.webdriver.common.keys import Keys
from torture import hostile, kills
from torture.victim import PASSWORD, Victim, victim

from tests.browser.conftest import at_the_screen


@pytest.fixture(scope="module")
def held() -> Iterator[Victim]:
    with victim() as running:
        yield running


def test_half_sent_requests_stop_nobody(held: Victim) -> None:
    # Without a server that waits for them off its workers this never comes back.
    assert hostile.half_sent(held, 120) < 10


def test_huge_pictures_at_once_take_no_more_memory_than_one(held: Victim) -> None:
    flood = hostile.pictures(held, 6)
    assert set(flood.answers) <= {200, 503} and flood.answers.count(200) >= 1
    # One such picture is 100 MB opened, and is copied once or twice on its way.
    assert flood.most - flood.before < 900_000_000
    assert flood.after - flood.before < 100_000_000


def test_nothing_acknowledged_is_lost_and_nothing_is_half_written(held: Victim) -> None:
    found = kills.storm(held, 6)
    assert found.whole, (found.lost, found.doubled, found.half, found.broken)
    assert found.writes > 20 and all(len(times) == 2 for times in found.away.values())


@pytest.mark.browser
def test_a_screen_waits_for_a_dead_database_says_so_and_loses_nothing(held: Victim) -> None:
    name = "Ottilie Fenwright-Combe"
    with at_the_screen(held) as stylist:
        stylist.sign_in(password=PASSWORD)
        stylist.tab_to("#name")
        stylist.press(name)
        held.kill("database", random.Random(1))
        stylist.press(Keys.ENTER)
        stylist.find("[data-testid=waiting]")
        stylist.find("[data-brief=changed]")
        stylist.wait(lambda: not stylist.all("[data-testid=waiting]"), "that it is said no more")
        stylist.go("/people")
        stylist.sees(name)
        assert len([row for row in stylist.all("main ul li") if name in row.text]) == 1
