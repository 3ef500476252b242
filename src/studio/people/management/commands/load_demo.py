"""Load the demo studio, and a second studio that must never be seen from it."""

from __future__ import annotations

import os
from typing import Any

from django.core.management.base import BaseCommand, CommandError
from django.db import transaction

from studio.bodies.services import readings_in_force, take_reading
from studio.looks.services import keep_look
from studio.people import demo
from studio.people.models import Client, Member, Studio
from studio.people.services import add_client


class Command(BaseCommand):
    help = "Load the demo studio once. The demo password comes from BASILWOOD_DEMO_PASSWORD."

    def handle(self, *args: Any, **options: Any) -> None:
        password = os.environ.get("BASILWOOD_DEMO_PASSWORD", "")
        if not password:
            raise CommandError("BASILWOOD_DEMO_PASSWORD is not set.")
        if Studio.objects.filter(name=demo.STUDIO).exists():
            self.stdout.write("The demo studio is there already.")
            return
        with transaction.atomic():
            load(password)


def load(password: str) -> Member:
    """Make both studios; the first stylist of the first one."""
    studio = Studio.objects.create(name=demo.STUDIO)
    members = [Member.objects.create_member(studio, email, name, password) for email, name in demo.STYLISTS]
    other = Studio.objects.create(name=demo.OTHER_STUDIO, unit="in")
    Member.objects.create_member(other, *demo.OTHER_STYLIST, password)
    for person in demo.PEOPLE:
        _load_person(members[0], person)
    return members[0]


def _load_person(member: Member, person: demo.Person) -> Client:
    client = add_client(member, person.name, person.note)
    client.aims = person.aims
    client.save(update_fields=["aims"])
    for measure, cm in person.measures.items():
        take_reading(member, client.id, measure, f"{cm:g}", "cm", checked=True)
    taken = readings_in_force(client)
    if len(taken) != len(person.measures):
        raise CommandError(f"{person.name}: some demo measures were not kept.")
    for name, pieces in person.looks:
        keep_look(member, client.id, name, pieces)  # type: ignore[arg-type]
    return client
