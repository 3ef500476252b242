"""Long work of the core, done beside the worker's own thread, so that short answers need not wait behind it.

A worker answers one request at a time and turns to another while it waits for the database. Ranking a rail works for a tenth of
a second and waits for nothing: whoever came after it waited too. Aside, the interpreter turns between the two some two
hundred times a second. Only the core's pure functions go aside: the database's connection belongs to who opened it.
"""

from __future__ import annotations

from collections.abc import Callable
from functools import cache
from typing import ParamSpec, TypeVar

from gevent import monkey
from gevent.threadpool import ThreadPool

P = ParamSpec("P")
T = TypeVar("T")
#: So much goes on aside at once in a worker; what comes after waits its turn, for they share one interpreter.
AT_ONCE = 3


def aside(work: Callable[P, T], *args: P.args, **kwargs: P.kwargs) -> T:
    """What `work` answers, or its error; other requests of the worker are answered meanwhile. Outside a worker it is just done.

    >>> aside(max, 1, 2)
    2
    """
    if not monkey.is_module_patched("socket"):
        return work(*args, **kwargs)
    answer: T = _pool().apply(work, args, kwargs)
    return answer


@cache
def _pool() -> ThreadPool:
    """The threads of this worker: made when first asked for, for a worker is forked before."""
    return ThreadPool(AT_ONCE)
