"""Clear away what has expired: sessions that ended, and what was noted of misses at sign-in."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta
from typing import Any

from axes.models import AccessAttempt, AccessFailureLog
from django.core.management import call_command
from django.core.management.base import BaseCommand

#: Misses are counted over a quarter of an hour; they are kept for a day, for whoever looks into an attack.
KEPT_FOR = timedelta(days=1)


class Command(BaseCommand):
    help = __doc__

    def handle(self, *args: Any, **options: Any) -> None:
        """Clear it away."""
        call_command("clearsessions")
        for noted in (AccessAttempt, AccessFailureLog):
            noted.objects.filter(attempt_time__lt=datetime.now(UTC) - KEPT_FOR).delete()
