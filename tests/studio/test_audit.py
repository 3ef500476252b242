"""Who saw what: every look and change is on a record that nobody changes, told in plain words, and gone dumb after an erasure."""

from __future__ import annotations

import uuid
from datetime import timedelta
from typing import Any

import pytest
from django.db import DatabaseError, connection, transaction
from django.utils import timezone

from studio.api import api
from studio.audit import recording
from studio.audit.models import Entry
from studio.audit.words import AREAS, CALLED, OTHERWISE, UNRECORDED, called
from studio.people.models import Client
from studio.policy import Role
from tests.studio.conftest import House, joined
from tests.studio.test_fittings import begin, log
from tests.studio.test_rack import hang


def did(house: House, client: Any = None) -> list[str]:
    """What the record tells of a client, the first first."""
    told = house.api.ask("GET", f"/clients/{client or house.client.id}/seen").told
    return [f"{row['by']} {row['did']}" for row in reversed(told["rows"])]


def test_looks_and_changes_stand_on_the_record_in_plain_words(house: House) -> None:
    address = f"/clients/{house.client.id}"
    house.api.ask("GET", f"{address}/desk")
    house.read("hip", "99")
    look = house.keep().told["id"]
    house.api.ask("GET", f"{address}/rack")
    hang(house, "white tee")
    house.api.ask("GET", f"{address}/shopping/sheet.pdf")
    house.api.ask("DELETE", f"/looks/{look}")
    house.api.ask("GET", f"{address}/file")
    assert did(house) == [
        "Ada Stitch looked at the body",
        "Ada Stitch changed the body",
        "Ada Stitch changed the body",
        "Ada Stitch changed the looks",
        "Ada Stitch looked at the rack",
        "Ada Stitch changed the rack",
        "Ada Stitch printed the shopping numbers",
        "Ada Stitch changed the looks",
        "Ada Stitch took out the whole file",
    ]


def test_a_row_leads_to_its_client_and_what_was_refused_is_not_on_record(house: House) -> None:
    tee = hang(house, "white tee").told
    trial = log(house, begin(house), piece_id=tee["id"]).told["id"]
    Client.objects.create(studio=house.member.studio, name="Somebody Else")
    before = Entry.objects.count()
    assert house.api.ask("GET", f"/trials/{trial}/pictures").status_code == 200
    assert house.api.ask("PATCH", f"/rack/{tee['id']}", {"version": 99, "name": "Taken"}).status_code == 409
    assert house.api.ask("GET", f"/rack/{uuid.uuid4()}").status_code == 404
    made = list(Entry.objects.order_by("id")[before:])
    assert [(one.kind, one.area, one.subject) for one in made] == [("look", "pictures", house.client.subject)]


def test_the_same_look_again_within_minutes_is_one_look(house: House, monkeypatch: pytest.MonkeyPatch) -> None:
    for _ in range(3):
        house.api.ask("GET", f"/clients/{house.client.id}/desk")
    assert did(house) == ["Ada Stitch looked at the body"]
    colleague = joined(house, "cy@alder.example", "Cy Loom", Role.STYLIST)
    colleague.api.ask("GET", f"/clients/{house.client.id}/desk")
    monkeypatch.setattr(recording, "SAME_LOOK", timedelta(0))
    house.api.ask("GET", f"/clients/{house.client.id}/desk")
    assert did(house) == [
        "Ada Stitch looked at the body",
        "Cy Loom looked at the body",
        "Ada Stitch looked at the body",
    ]


def test_the_database_refuses_to_change_the_record(house: House) -> None:
    house.api.ask("GET", f"/clients/{house.client.id}/desk")
    for change in ("UPDATE audit_entry SET place = ''", "DELETE FROM audit_entry"):
        for role in ("basilwood_serve", ""):
            with pytest.raises(DatabaseError), transaction.atomic(), connection.cursor() as cursor:
                if role:
                    cursor.execute(f"SET LOCAL ROLE {role}")
                cursor.execute(change)
    assert len(did(house)) == 1


def test_an_erased_client_is_named_nowhere_and_the_record_stays(house: House) -> None:
    house.read("hip", "99")
    entries = Entry.objects.count()
    subject = house.client.subject
    assert house.api.ask("POST", f"/clients/{house.client.id}/erase", {"name": "Somebody"}).status_code == 422
    proof = house.api.ask("POST", f"/clients/{house.client.id}/erase", {"name": "Pia Reed"}).told
    assert proof["remaining"] == 0
    assert Entry.objects.filter(subject=subject).count() == entries + 1
    last = house.api.ask("GET", "/seen?kind=erase").told["rows"][0]
    assert (last["did"], last["client"], last["erased"]) == ("erased the whole file", "", True)


def test_an_owner_searches_by_person_client_kind_and_day(house: House) -> None:
    colleague = joined(house, "cy@alder.example", "Cy Loom", Role.STYLIST)
    other = Client.objects.create(studio=house.member.studio, name="Una Ash")
    house.api.ask("GET", f"/clients/{house.client.id}/desk")
    colleague.api.ask("GET", f"/clients/{other.id}/looks")
    colleague.api.ask("POST", f"/clients/{other.id}/looks", {"name": "L", "pieces": [{"is": "jeans"}]})

    def found(query: str) -> list[tuple[str, str]]:
        return [(row["by"], row["client"]) for row in house.api.ask("GET", f"/seen?{query}").told["rows"]]

    assert found(f"by={colleague.member.pk}") == [("Cy Loom", "Una Ash")] * 2
    assert found(f"client_id={house.client.id}") == [("Ada Stitch", "Pia Reed")]
    assert found("kind=change") == [("Cy Loom", "Una Ash")]
    today = timezone.now().date()
    assert found(f"kind=look&first={today}&last={today}&by={colleague.member.pk}") == [("Cy Loom", "Una Ash")]
    assert found(f"client_id={other.id}&last={today - timedelta(days=1)}") == []
    assert colleague.api.ask("GET", "/seen").status_code == 403


def test_where_from_is_on_record(house: House) -> None:
    browser = house.api.browser
    browser.get(
        f"/api/clients/{house.client.id}/desk",
        headers={"User-Agent": "Mozilla/5.0 (iPad) Firefox/1"},
        REMOTE_ADDR="10.9.8.7",
    )
    entry = Entry.objects.get()
    assert (entry.place, entry.device) == ("10.9.8.7", "Firefox on iPad")


def test_every_operation_is_told_or_left_out_on_purpose() -> None:
    known = set()
    for bound in api._get_bound_routers():
        for view in bound.path_operations.values():
            for operation in view.operations:
                module, name = operation.view_func.__module__, operation.view_func.__name__
                known.add(f"{module.removeprefix('studio.')}.{name}")
                for method in operation.methods:
                    what = called(module, name, method)
                    assert what is None or what[1] in CALLED, (module, name)
    assert set(OTHERWISE) <= known and known >= UNRECORDED
    assert {one.rpartition(".")[0] for one in known} == set(AREAS)
