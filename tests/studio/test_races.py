"""Many at once: an erasure among writers, one identity handed in by twenty, one picture sent by twenty."""

from __future__ import annotations

import threading
import uuid
from collections.abc import Callable
from functools import partial
from typing import Any

import pytest
from django.db import connection
from django.test import Client as Browser
from PIL import Image

from studio.people.models import Client
from studio.pictures import services
from studio.pictures.harmless import Harmless
from studio.pictures.models import Picture
from studio.pictures.services import MOST_OF_ONE
from studio.rack.models import RackPiece
from studio.records.models import Erasure
from tests.studio.conftest import Api, House
from tests.studio.test_fittings import BEGAN, begin, errand
from tests.studio.test_pictures import encoded, send
from tests.studio.test_rack import hang

pytestmark = pytest.mark.django_db(transaction=True)


def at_once(*acts: Callable[[], Any]) -> list[Any]:
    """What all of these answer, begun at the same moment, each on a connection of its own."""
    start, found = threading.Barrier(len(acts)), [None] * len(acts)

    def act(at: int) -> None:
        try:
            start.wait()
            found[at] = acts[at]()
        finally:
            connection.close()

    hands = [threading.Thread(target=act, args=(at,)) for at in range(len(acts))]
    for hand in hands:
        hand.start()
    for hand in hands:
        hand.join()
    return found


def _writers(house: House, client: Client) -> list[Callable[[], Any]]:
    """Writes of every kind to one client, by colleagues who are signed in already."""
    piece = house.api.ask("POST", f"/clients/{client.id}/rack", {"id": str(uuid.uuid4()), "line": "white tee"}).told
    look = house.api.ask("POST", f"/clients/{client.id}/looks", {"name": "Hers", "pieces": []}).told
    fitting, path = str(uuid.uuid4()), f"/clients/{client.id}"
    house.api.ask("PUT", f"{path}/fittings/{fitting}", {"place": "shop", "started_at": BEGAN})
    house.api.ask("POST", f"{path}/sessions", {"protocol": "full", "consent": {"agreed": ["measure", "record"]}})
    waist = {"id": str(uuid.uuid4()), "measure": "waist", "typed": "74", "unit": "cm", "checked": True}
    trial = {"tried_at": BEGAN, "decision": "alter", "piece_id": piece["id"], "errands": [errand()]}
    asked: list[tuple[str, str, Any]] = [
        ("PATCH", path, {"version": 1, "name": "Later"}),
        ("PATCH", f"/rack/{piece['id']}", {"version": 1, "name": "Later"}),
        ("POST", f"/rack/{piece['id']}/copy", None),
        ("PUT", f"/looks/{look['id']}", {"version": 1, "name": "Later", "pieces": [{"is": "jeans"}]}),
        ("POST", f"{path}/readings", waist),
        ("PUT", f"/fittings/{fitting}/trials/{uuid.uuid4()}", trial),
        ("POST", f"/rack/{piece['id']}/errands", errand()),
    ]

    return [partial(_colleague(house).ask, *one) for one in asked]


def _colleague(house: House) -> Api:
    """Another screen of the same stylist."""
    own = Api(Browser())
    own.browser.cookies = house.api.browser.cookies
    return own


def test_an_erasure_succeeds_among_writers_who_hear_that_the_client_is_gone(house: House) -> None:
    for turn in range(6):
        client = Client.objects.create(studio=house.member.studio, name=f"Ida {turn}")
        erase = partial(_colleague(house).ask, "POST", f"/clients/{client.id}/erase")
        erased, *told = at_once(partial(erase, {"name": client.name}), *_writers(house, client))
        # Renamed a moment before: then it is asked for the new name, and erased at the second try.
        if erased.status_code == 422:
            erased = erase({"name": "Later"})
        assert erased.status_code == 200, erased.content
        # A colleague's write may have come before one's own: that is a conflict, and no break.
        assert {answer.status_code for answer in told} <= {200, 201, 404, 409}
        assert Erasure.objects.latest("at").remaining == 0
        assert not RackPiece.objects.filter(client_id=client.id).exists()


def test_one_identity_handed_in_by_twenty_is_kept_once(house: House) -> None:
    body, path = {"id": str(uuid.uuid4()), "line": "white tee"}, f"/clients/{house.client.id}/rack"

    hands = [partial(_colleague(house).ask, "POST", path, body) for _ in range(20)]
    assert {answer.status_code for answer in at_once(*hands)} == {201}
    assert RackPiece.objects.filter(client=house.client).count() == 1


def test_a_picture_sent_by_twenty_is_kept_once_and_no_more_than_twelve_of_one_piece(house: House) -> None:
    path = f"/rack/{hang(house, 'navy skirt').told['id']}/pictures"
    begin(house)
    given = encoded(Image.new("RGB", (60, 60), "#1f2a44"))

    def sender(picture: str) -> Callable[[], Any]:
        return partial(send, House(house.member, house.client, _colleague(house)), f"{path}/{picture}", given)

    same = str(uuid.uuid4())
    # More at once than are developed are asked to come back; nothing breaks.
    assert {answer.status_code for answer in at_once(*(sender(same) for _ in range(20)))} <= {200, 503}
    assert Picture.objects.count() == 1
    for _ in range(4):
        told = at_once(*[sender(str(uuid.uuid4())) for _ in range(5)])
        assert {answer.status_code for answer in told} <= {200, 422}
    assert Picture.objects.count() == MOST_OF_ONE


def test_a_picture_that_waits_for_its_turn_holds_no_connection(house: House, monkeypatch: pytest.MonkeyPatch) -> None:
    held: list[bool] = []

    def slowly(given: bytes) -> Harmless:
        held.append(connection.connection is not None)
        return Harmless(given, given, 4, 4, ())

    monkeypatch.setattr(services, "develop", slowly)
    path = f"/rack/{hang(house, 'navy skirt').told['id']}/pictures/{uuid.uuid4()}"
    assert [send(house, path, b"a picture").status_code for _ in range(2)] == [200, 200]
    assert held == [False] and Picture.objects.count() == 1
