"""Found a studio: its first row, and the invitation of its owner, who chooses a password of their own."""

from __future__ import annotations

from typing import Any

from django.core.exceptions import ValidationError
from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.core.validators import validate_email
from django.db import transaction

from studio.members.invitations import invite
from studio.people.models import NAME_LENGTH, Studio
from studio.policy import Role


class Command(BaseCommand):
    help = __doc__

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("name")
        parser.add_argument("email")
        parser.add_argument("--address", default="http://127.0.0.1:8420")

    def handle(self, *args: Any, **options: Any) -> None:
        """Found it, or ask its owner in once more where it is there already."""
        name, email = " ".join(options["name"].split()), options["email"].strip().lower()
        if not 0 < len(name) <= NAME_LENGTH:
            raise CommandError(f"A studio's name has up to {NAME_LENGTH} letters.")
        try:
            validate_email(email)
        except ValidationError:
            raise CommandError(f"{email} is not an email address.") from None
        with transaction.atomic():
            studio, made = Studio.objects.get_or_create(name=name)
            _, link, sent = invite(studio, email, Role.OWNER, options["address"])
        self.stdout.write(
            f"{name} is {'founded' if made else 'there already'}. Its owner comes in at, once, within 14 days:"
        )
        self.stdout.write(f"\n    {link}\n")
        if sent:
            self.stdout.write(f"The same address is on its way to {email} as a letter.")
