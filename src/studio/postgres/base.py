"""The database as Django knows it, but for one thing: while it is away nobody hangs in the queue for a connection.

Named `base` because Django looks for a database engine under that name.
"""

from __future__ import annotations

import socket
from time import monotonic
from typing import Any, ClassVar

import psycopg
from django.db.backends.postgresql import base
from psycopg_pool import PoolTimeout

#: How long a request may wait for a connection while all of them are in use, s.
PATIENCE = 10.0
#: How long to wait for an answer at the database's door, s.
KNOCK = 0.25


class DatabaseWrapper(base.DatabaseWrapper):
    """One connection of the pool. `settings.DATABASES` sets the pool's own time short; here it is asked again."""

    #: Whether the last one who asked found nobody: then the next one knocks first.
    _away: ClassVar[bool] = False

    def get_new_connection(self, conn_params: dict[str, Any]) -> Any:
        """A connection of the pool. Raises OperationalError at once where the database is away."""
        ends = monotonic() + PATIENCE
        if DatabaseWrapper._away and not self._answers():
            raise psycopg.OperationalError("the database is away")
        while True:
            try:
                connection = super().get_new_connection(conn_params)
            except PoolTimeout as late:
                if not self._answers():
                    DatabaseWrapper._away = True
                    # The pool tries again ever more seldom; a new one asks at once.
                    self.close_pool()
                    raise psycopg.OperationalError("the database is away") from late
                if monotonic() > ends:
                    raise
            else:
                DatabaseWrapper._away = False
                return connection

    def close_pool(self) -> None:
        """Let go of the pool; many may do so at once, and the first has done it for all."""
        held = self._connection_pools.pop(self.alias, None)  # type: ignore[attr-defined]
        if held is not None:
            held.close()

    def _answers(self) -> bool:
        held = self.settings_dict
        try:
            socket.create_connection((held["HOST"], int(held["PORT"])), KNOCK).close()
        except OSError:
            return False
        return True
