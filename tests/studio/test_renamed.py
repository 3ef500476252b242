"""What was muted or liked before rules had ids of their own is muted or liked still."""

from __future__ import annotations

import json
from importlib import import_module
from typing import Any

from django.apps import apps

from craft.judge import RULES
from craft.judge.renamed import LIKED, MUTED
from studio.looks.models import Look
from studio.people.models import Client, Studio
from tests.studio.conftest import House

TODAY = {rule.id for rule in RULES}
LIKES = [{"rule": rule, "who": "client", "on": "2026-01-02", "why": "hers"} for rule in ("feet.weight", "edges.gap")]


def test_every_id_of_before_leads_to_rules_of_today() -> None:
    led_to = {now for ids in (*MUTED.values(), *LIKED.values()) for now in ids}
    assert led_to <= TODAY, led_to - TODAY


def test_rows_are_renamed_once_and_stay(house: House) -> None:
    Studio.objects.filter(pk=house.member.studio_id).update(muted=["colour.foot", "rise.rides_up"])
    Client.objects.filter(pk=house.client.pk).update(own_ways={"schools": {}, "muted": ["feet.heel"]})
    house.keep("Old", [{"is": "jeans"}])
    look = Look.objects.get()
    Look.objects.filter(pk=look.pk).update(facts={**look.facts, "liked": LIKES})
    for _ in range(2):
        for module in (
            "studio.people.migrations.0005_rules_by_their_ids",
            "studio.looks.migrations.0003_liked_rules_by_their_ids",
        ):
            import_module(module).rename(apps, None)
    assert Studio.objects.get(pk=house.member.studio_id).muted == ["colour.again", "feet.colour", "rise.rides_up"]
    assert Client.objects.get().own_ways["muted"] == ["feet.dated", "feet.heel"]
    liked = Look.objects.get().facts["liked"]
    assert [one["rule"] for one in liked] == ["feet.weight", "feet.balance", "edges.gap"]
    assert {one["why"] for one in liked} == {"hers"}


def test_a_client_file_of_version_1_comes_in_under_the_ids_of_today(house: House) -> None:
    old: dict[str, Any] = {
        "format": "basilwood-client",
        "version": 1,
        "name": "Pia Reed",
        "ways": {"muted": ["colour.foot"]},
        "looks": [{"name": "Old", "pieces": [{"is": "jeans"}], "facts": {"liked": LIKES}}],
    }
    told = house.api.ask("POST", "/client-files", {"text": json.dumps(old)})
    assert told.status_code in (200, 201), told.told
    came = Client.objects.exclude(pk=house.client.pk).get()
    assert came.own_ways["muted"] == ["colour.again", "feet.colour"]
    assert [one["rule"] for one in Look.objects.get().facts["liked"]] == ["feet.weight", "feet.balance", "edges.gap"]
