"""Clear away what has expired: sessions that ended, what was counted of misses at sign-in, letters long gone, jobs long done."""

from __future__ import annotations

from datetime import UTC, datetime
from typing import Any

from allauth.usersessions.models import UserSession
from django.contrib.sessions.models import Session
from django.core.cache import cache
from django.core.management import call_command
from django.core.management.base import BaseCommand
from django.db import connection

from studio.post.models import Outgoing
from studio.post.queue import KNOWN


class Command(BaseCommand):
    help = __doc__

    def handle(self, *args: Any, **options: Any) -> None:
        """Clear it away."""
        call_command("clearsessions")
        UserSession.objects.exclude(session_key__in=Session.objects.values("session_key")).delete()
        Outgoing.objects.filter(client=None, ended_at__lt=datetime.now(UTC) - KNOWN).delete()
        table = connection.ops.quote_name(cache._table)  # type: ignore[attr-defined]
        with connection.cursor() as cursor:
            cursor.execute(
                "DELETE FROM procrastinate_jobs WHERE status NOT IN ('todo', 'doing') AND id IN "
                "(SELECT job_id FROM procrastinate_events WHERE at < %s)",
                [datetime.now(UTC) - KNOWN],
            )
            cursor.execute(f"DELETE FROM {table} WHERE expires < %s", [datetime.now(UTC)])  # noqa: S608 (our own table)
