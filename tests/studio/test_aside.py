"""Long work aside: in a worker others are answered meanwhile; its answer and its errors come back."""

from __future__ import annotations

import subprocess
import sys

import pytest

from studio.aside import aside

#: What a worker does: somebody works for long and waits for nothing, somebody else looks in now and then.
WORKER = """
from gevent import monkey
monkey.patch_all()
import time
import gevent
from studio.aside import aside

def long_work(until):
    while time.monotonic() < until:
        sum(range(2000))
    return "done"

def fails():
    raise ValueError("as it said")

def looks():
    global seen
    while True:
        seen += 1
        gevent.sleep(0.01)

seen = 0
looking = gevent.spawn(looks)
gevent.sleep(0)
before = seen
print(long_work(time.monotonic() + 0.3), seen - before)
before = seen
print(aside(long_work, time.monotonic() + 0.6), seen - before)
try:
    aside(fails)
except ValueError as error:
    print(error)
"""


def test_others_are_answered_while_work_goes_on_aside() -> None:
    told = subprocess.run([sys.executable, "-c", WORKER], capture_output=True, text=True, check=True, timeout=60)
    alone, beside, failed = told.stdout.splitlines()
    assert alone == "done 0" and failed == "as it said"
    done, seen = beside.split()
    assert done == "done" and int(seen) >= 5


def test_outside_a_worker_it_is_just_done() -> None:
    assert aside(sorted, [2, 1], reverse=True) == [2, 1]
    with pytest.raises(ZeroDivisionError):
        aside(divmod, 1, 0)
