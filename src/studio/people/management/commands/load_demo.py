"""Load the demo studio, and a second studio that must never be seen from it."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta
from typing import Any
from uuid import uuid4

from django.conf import settings
from django.core.management import call_command
from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.db import transaction

from craft.cloth.kinds import KIND
from craft.cloth.quick import read_line
from craft.formats.brief_form import Aims, BriefForm
from craft.formats.client_file import ClientFile, FiledConsent, FiledReading, FiledSession
from craft.formats.look_form import FiledLink, FiledLook, LookFacts
from craft.formats.rack_form import Facts, FiledPiece
from studio.edit.services import carry
from studio.members.services import add_member, assign
from studio.people import demo
from studio.people.demo_fittings import load_charts, load_fittings
from studio.people.demo_handover import load_handover
from studio.people.demo_looks import LOOK_FACTS
from studio.people.demo_rack import KIT, RACKS
from studio.people.models import Client, Member, Studio
from studio.policy import Role
from studio.records.services import client_from_file


class Command(BaseCommand):
    help = "Load the demo studio once. The demo password comes from BASILWOOD_DEMO_PASSWORD."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("--migrate", action="store_true", help="Make the tables first, in an empty database.")

    def handle(self, *args: Any, **options: Any) -> None:
        if not settings.DEMO_PASSWORD:
            raise CommandError("BASILWOOD_DEMO_PASSWORD is not set.")
        if options["migrate"]:
            call_command("migrate", verbosity=0)
        if Studio.objects.filter(name=demo.STUDIO).exists():
            self.stdout.write("The demo studio is there already.")
            return
        with transaction.atomic():
            load(settings.DEMO_PASSWORD)


def load(password: str) -> Member:
    """Make both studios; the first stylist of the first one."""
    studio = Studio.objects.create(name=demo.STUDIO)
    members = [add_member(studio, email, name, password, role) for email, name, role in demo.STYLISTS]
    other = Studio.objects.create(name=demo.OTHER_STUDIO, unit="in")
    add_member(other, *demo.OTHER_STYLIST, password, Role.OWNER)
    # One of them works for both.
    add_member(other, *demo.STYLISTS[1][:2], password)
    for person in demo.PEOPLE:
        client = client_from_file(members[0], file_of(person, datetime.now(UTC)))
        load_fittings(members[0], client, datetime.now(UTC))
    load_charts(members[0])
    for line in KIT:
        carry(members[0], uuid4(), line)
    load_handover(members)
    apprentice = next(member for member in members if member.role == Role.APPRENTICE)
    for client in Client.objects.filter(studio=studio, name__in=demo.APPRENTICES_CLIENTS):
        assign(members[0], client.id, restricted=False, add=[apprentice.pk])
    return members[0]


def file_of(person: demo.Person, today: datetime) -> ClientFile:
    """A demo client as a client file: the same door as any other record."""
    last = today.replace(hour=10, minute=0, second=0, microsecond=0) - timedelta(days=person.days_ago)
    sessions = []
    if person.measures:
        days = [(before, {**person.measures, **then}) for before, then in person.earlier] + [(0, person.measures)]
        sessions = [_session(last - timedelta(days=before), taken, twice=person.twice) for before, taken in days]
    return ClientFile(
        name=person.name,
        note=person.note,
        aims=Aims.model_validate(person.aims),
        brief=BriefForm.model_validate(person.brief),
        sessions=sessions,
        looks=_looks(person),
        rack=[
            FiledPiece(piece=read_line(line).described(), facts=Facts.model_validate(facts))
            for line, facts in RACKS.get(person.name, ())
        ],
    )


def _looks(person: demo.Person) -> list[FiledLook]:
    """The looks with what is known of them; the first named is kept last, so it is at hand first."""
    names = [name for name, _ in reversed(person.looks)]
    filed = []
    for name, pieces in reversed(person.looks):
        facts = dict(LOOK_FACTS.get(name, {}))
        origin = facts.pop("of", None)
        slots = {KIND[piece["is"]].slot: piece for piece in pieces}
        from_rack = {place: FiledLink(rack_at=at, worn_as=slots[place]) for place, at in facts.pop("rack", {}).items()}
        variant_of = names.index(origin) if origin else None
        filed.append(
            FiledLook(
                name=name,
                pieces=pieces,
                facts=LookFacts.model_validate(facts),
                variant_of=variant_of,
                from_rack=from_rack,
            )
        )
    return filed


def _session(when: datetime, taken: dict[str, float], *, twice: bool) -> FiledSession:
    """A finished session: each measure read once, or twice a few millimetres apart."""
    readings: list[FiledReading] = []
    for at, (measure, cm) in enumerate(taken.items()):
        apart = 0.1 * (1 + at % 3) if twice else 0.0
        for off in (-apart, apart) if twice else (0.0,):
            taken_at = when + timedelta(seconds=20 * len(readings))
            readings.append(
                FiledReading(measure=measure, cm=cm + off, typed=f"{cm + off:.1f}", taken_at=taken_at, source="tape")
            )
    return FiledSession(
        started_at=when,
        ended_at=when + timedelta(minutes=25),
        ended="finished",
        protocol="full" if len(taken) > 10 else "quick",
        twice=twice,
        consent=FiledConsent(agreed=["measure", "record", "hold"]),
        readings=readings,
    )
