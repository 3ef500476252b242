"""The tape: what a session over it comes to, and what a lost connection does not lose."""

from __future__ import annotations

import asyncio
import contextlib
import json
from typing import Any

from websockets.asyncio.client import connect

from craft.body.measures import TOLERANCE, Measures, kind_of
from craft.measuring.cards import PROTOCOLS
from craft.measuring.checks import Doubt, check
from craft.measuring.repeats import settle
from craft.units import parse_length
from house.postgres import free_port
from stands.tape.device import Tape
from stands.tape.script import read_script
from stands.tape.server import Carrier, run


def read_all(tape: Tape) -> tuple[dict[str, list[float]], list[Doubt], int]:
    """Every measure twice or thrice, as the desk does: a doubt with a value meant is corrected, another
    one set aside and measured again. Readings by measure, the doubts, and how often the tape dropped out."""
    taken: dict[str, list[float]] = {}
    doubts: list[Doubt] = []
    dropped = 0
    for measure in PROTOCOLS["full"].measures:
        tape.show(measure)
        held = taken.setdefault(measure, [])
        while not held or settle(measure, held).wants_another:
            messages, drops = tape.press()
            if drops:
                # Out of reach: nothing arrived. Afterwards the desk asks for what it has not heard.
                dropped += 1
                messages = tape.since(tape.presses - 1)
            reading = messages[-1]
            cm = parse_length(f"{reading['value']}{reading['unit']}", "cm")
            others = Measures.of({name: settle(name, cms).figure for name, cms in taken.items() if cms})
            doubt = check(measure, cm, others, this_session=tuple(held))
            tape.got(reading["seq"])
            if doubt is None:
                held.append(cm)
                continue
            doubts.append(doubt)
            if doubt.suggested_cm is not None:
                held.append(doubt.suggested_cm)
    return taken, doubts, dropped


def test_a_whole_session_ends_with_the_right_medians_and_both_slips_caught() -> None:
    script = read_script("full")
    for seed in range(1, 9):
        tape = Tape(script, seed)
        taken, doubts, dropped = read_all(tape)
        assert len(taken) >= 35 and dropped == 1 and tape.remembered == []
        for measure, readings in taken.items():
            assert abs(settle(measure, readings).figure.cm - script.truth(measure)) <= TOLERANCE[kind_of(measure)], (
                measure,
                seed,
            )
        slips = [event for event in script.events if event.do == "slip"]
        assert len(slips) == 2
        assert len(doubts) >= 2, f"seed {seed}: {[(d.measure, d.cm) for d in doubts]}"
        assert sum(doubt.reason == "unit" for doubt in doubts) == 1


def test_a_tape_shows_both_units_and_forgets_only_what_was_kept() -> None:
    tape = Tape(read_script("full"), seed=4)
    tape.show("hip")
    first = tape.press()[0][-1]
    tape.unit = "in"
    second = tape.press()[0][-1]
    assert (first["unit"], second["unit"]) == ("cm", "in")
    assert abs(float(second["value"]) * 2.54 - float(first["value"])) < 2.0
    tape.got(first["seq"])
    assert [reading["id"] for reading in tape.since(0)] == [second["id"]]
    assert Tape(read_script("full"), seed=4).hello()["battery"] == 84


def heard(port: int, *say: dict[str, Any], until: str) -> Any:
    """Speak to the tape over its socket; the messages up to one of a type."""

    async def speak() -> list[dict[str, Any]]:
        async with connect(f"ws://127.0.0.1:{port}") as link:
            for one in say:
                await link.send(json.dumps(one))
            told: list[dict[str, Any]] = []
            while not told or told[-1]["type"] != until:
                told.append(json.loads(await asyncio.wait_for(link.recv(), 5)))
            return told

    return speak()


def test_a_hand_plays_a_measure_until_another_is_shown() -> None:
    port = free_port()
    carrier = Carrier(Tape(read_script("full"), seed=3), auto=0.01)

    async def session() -> list[str]:
        ready = asyncio.Event()
        serving = asyncio.create_task(run(carrier, port, ready))
        await ready.wait()
        read: list[str] = []
        async with connect(f"ws://127.0.0.1:{port}") as link:
            for measure in ("hip", "waist", ""):
                await link.send(json.dumps({"say": "show", "measure": measure}))
                while measure and read.count(measure) < 2:
                    told = json.loads(await asyncio.wait_for(link.recv(), 5))
                    if told["type"] == "reading":
                        read.append(told["for"])
                        if read.count(measure) < 2:
                            await link.send(json.dumps({"say": "got", "seq": told["seq"]}))
            with contextlib.suppress(TimeoutError):
                while True:
                    told = json.loads(await asyncio.wait_for(link.recv(), 0.2))
                    read += [told["for"]] * (told["type"] == "reading")
        serving.cancel()
        return read

    assert asyncio.run(session()) == ["hip", "hip", "waist", "waist"]


def test_over_the_socket_nothing_is_lost_and_nonsense_is_answered() -> None:
    port = free_port()
    carrier = Carrier(Tape(read_script("full"), seed=2))

    async def session() -> None:
        ready = asyncio.Event()
        serving = asyncio.create_task(run(carrier, port, ready))
        await ready.wait()
        told = await heard(port, {"say": "show", "measure": "waist"}, {"say": "read"}, until="reading")
        assert [message["type"] for message in told] == ["hello", "live", "live", "live", "reading"]
        assert told[-1]["for"] == "waist"
        # Nobody confirmed it: another desk, or the same one come back, gets the same reading again.
        again = await heard(port, {"say": "since", "seq": 0}, until="reading")
        assert again[-1] == told[-1]
        await heard(port, {"say": "got", "seq": told[-1]["seq"]}, {"say": "since", "seq": 0}, {"x": 1}, until="error")
        assert carrier.tape.remembered == []
        serving.cancel()

    asyncio.run(session())
