"""The second wall: with the filter forgotten on purpose PostgreSQL shows nothing of another studio, and takes nothing."""

from __future__ import annotations

import pytest
from django.apps import apps
from django.db import DatabaseError, connection, transaction

from studio.bodies.models import Reading, Withdrawal
from studio.looks.models import Look
from studio.people.models import Client, Member, Studio
from studio.rack.models import RackPiece
from studio.wall import tell_studio
from tests.studio.conftest import House, serving
from tests.studio.test_rack import hang


def test_every_table_of_the_studio_is_walled(db: None) -> None:
    tables = {model._meta.db_table for model in apps.get_models() if model.__module__.startswith("studio.")}
    tables |= {"account_emailaddress", "mfa_authenticator", "usersessions_usersession"}
    with connection.cursor() as cursor:
        cursor.execute("SELECT relname FROM pg_class WHERE relrowsecurity")
        assert tables == {name for (name,) in cursor.fetchall()}
        cursor.execute("SELECT count(*) FROM pg_tables WHERE tableowner = 'basilwood_serve'")
        assert cursor.fetchone() == (0,)


def test_a_query_without_its_filter_gets_nothing_of_others(house: House, other: House) -> None:
    for one in (house, other):
        hang(one, "white tee")
        one.keep()
        one.api.ask("POST", f"/clients/{one.client.id}/readings/{one.take('waist', '74')}/withdraw")
    with serving():
        # Nobody is known yet: one can sign in, and nothing else.
        assert not any(rows.objects.exists() for rows in (Client, RackPiece, Look, Reading, Withdrawal))
        assert Member.objects.count() == 2
        tell_studio(other.member.studio_id)
        assert [client.studio_id for client in Client.objects.all()] == [other.member.studio_id]
        for rows in (RackPiece, Look, Reading, Withdrawal, Member):
            assert rows.objects.count() == 1, rows
        assert Client.objects.filter(id=house.client.id).update(name="Taken") == 0
        assert RackPiece.objects.filter(client=house.client).delete()[0] == 0
        assert Studio.objects.exclude(id=other.member.studio_id).update(name="Taken") == 0
        with pytest.raises(DatabaseError, match="row-level security"), transaction.atomic():
            Client.objects.create(studio_id=house.member.studio_id, name="Slipped in")
    assert Client.objects.get(id=house.client.id).name == "Pia Reed" and RackPiece.objects.count() == 2
