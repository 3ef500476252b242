"""Django's sessions in the database, but read in a question put together once: every request asks it."""

from __future__ import annotations

from typing import Any

from django.contrib.sessions.backends import db
from django.contrib.sessions.models import Session
from django.db import connection
from django.utils import timezone

_KEPT = "SELECT session_key, session_data, expire_date FROM django_session WHERE session_key = %s AND expire_date > %s"


class SessionStore(db.SessionStore):
    """A session, by its key. The class keeps Django's name: what is signed is signed under it."""

    def _get_session_from_db(self) -> Any:
        with connection.cursor() as cursor:
            cursor.execute(_KEPT, [self.session_key, timezone.now()])
            row = cursor.fetchone()
        if row is None:
            self._session_key = None
            return None
        return Session(*row)
