"""One of everything in a studio, what every operation is asked with, and where it is asked: for tests that walk them all."""

from __future__ import annotations

import re
import uuid
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import date, timedelta
from typing import Any

from django.db import transaction
from PIL import Image

from studio.api import api
from studio.bodies.models import MeasuringSession
from studio.charts.models import Chart
from studio.diary.models import Appointment
from studio.edit.models import KitPiece, ToBuy
from studio.fittings.models import Errand, Fitting, Trial
from studio.handover.models import Book, Letter, OutfitCard, Said, Share
from studio.members.models import Invitation
from studio.outfits.models import Apart, OutfitSearch
from studio.pictures.models import Picture
from studio.plan.models import Plan, Worn
from studio.rack.models import RackPiece
from tests.studio.conftest import House
from tests.studio.test_charts import keep as keep_charts
from tests.studio.test_fittings import BEGAN, begin, errand, log
from tests.studio.test_pictures import encoded, send
from tests.studio.test_rack import hang

A_PLAN = {"name": "Taken", "occasions": [{"key": "a", "on": "2026-12-01", "occasion": "dinner"}]}
A_VISIT = {"kind": "edit", "local": "2026-12-01T10:00", "minutes": 60, "zone": "UTC", "members": [1]}
BODIES: dict[str, Any] = {
    "/clients/{client_id}": {"version": 1, "name": "Taken"},
    "/clients/{client_id}/readings": {
        "id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c11",
        "measure": "hip",
        "typed": "99.5",
        "unit": "cm",
        "checked": True,
    },
    "/clients/{client_id}/sessions": {"protocol": "full", "consent": {"agreed": ["measure", "record"]}},
    "/clients/{client_id}/sessions/{session_id}/end": {"how": "finished"},
    "/clients/{client_id}/table": {"text": "measure,value (cm)\nwaist,74"},
    "/clients/{client_id}/table/preview": {"text": "measure,value (cm)\nwaist,74"},
    "/clients/{client_id}/erase": {"name": "Pia Reed"},
    "/clients/{client_id}/rack": {"id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c12", "line": "white tee"},
    "/clients/{client_id}/rack/pieces": {"id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c13", "piece": {"is": "tee"}},
    "/clients/{client_id}/rack/table": {"text": "piece\njeans"},
    "/clients/{client_id}/rack/table/preview": {"text": "piece\njeans"},
    "/rack/{piece_id}": {"version": 1, "name": "Taken"},
    "/clients/{client_id}/expect": {"line": "white tee"},
    "/clients/{client_id}/fittings/{fitting_id}": {"place": "wardrobe", "started_at": BEGAN},
    "/fittings/{fitting_id}/trials/{trial_id}": {"tried_at": BEGAN, "line": "white tee"},
    "/trials/{trial_id}": {"version": 1, "seen": {}},
    "/trials/{trial_id}/correct": {"whose": "piece", "key": "length_cm"},
    "/trials/{trial_id}/uncorrect": {"whose": "piece", "key": "length_cm"},
    "/rack/{piece_id}/errands": errand(),
    "/errands/{errand_id}": {"version": 1, "due_on": "2026-12-24"},
    "/clients/{client_id}/assess": {"pieces": []},
    "/clients/{client_id}/unsettled": {"pieces": []},
    "/clients/{client_id}/rail": {"pieces": []},
    "/clients/{client_id}/remedies": {"pieces": []},
    "/clients/{client_id}/views": {"pieces": []},
    "/clients/{client_id}/tuck": {"pieces": []},
    "/clients/{client_id}/profile": {"pieces": []},
    "/clients/{client_id}/compare": {"looks": [{"pieces": []}, {"pieces": [{"is": "jeans"}]}]},
    "/clients/{client_id}/shopping/place": {"text": "inseam 70 cm"},
    "/clients/{client_id}/outfits": {},
    "/clients/{client_id}/outfits/drawn": {"looks": [[{"is": "jeans"}]]},
    "/clients/{client_id}/outfits/apart": {
        "id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c14",
        "pieces": ["3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c15", "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c16"],
    },
    "/clients/{client_id}/rack/lines": {"lines": [{"id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c17", "line": "white tee"}]},
    "/clients/{client_id}/edit/capsule": {"pieces": 8},
    "/rack/{piece_id}/sorted": {"id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c18", "decision": "wear"},
    "/clients/{client_id}/buying": {"id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c19", "piece": {"is": "belt"}},
    "/clients/{client_id}/buying/verdict": {"piece": {"is": "belt"}},
    "/buying/{buy_id}": {"version": 1, "when": "next"},
    "/clients/{client_id}/cards": {"id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c20", "look_id": "{look_id}"},
    "/clients/{client_id}/cards/order": {"order": []},
    "/cards/{card_id}/line": {"version": 1, "key": "own", "text": "Taken"},
    "/clients/{client_id}/book": {"cards": ["3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c21"]},
    "/clients/{client_id}/links": {
        "id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c22",
        "parts": {"numbers": True},
        "ends_on": f"{date.today() + timedelta(days=9)}",
    },
    "/clients/{client_id}/letters": {
        "id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c23",
        "to": "a@b.example",
        "subject": "Taken",
        "text": "",
        "send": False,
    },
    "/letters/{letter_id}/post": {"go": False},
    "/clients/{client_id}/plans/proposed": {"first": "2026-12-01"},
    "/clients/{client_id}/plans": {"id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c24", "kind": "week", **A_PLAN},
    "/plans/{plan_id}": {"version": 1, **A_PLAN},
    "/plans/{plan_id}/air": {"version": 1},
    "/plans/{plan_id}/day": {"version": 1, "key": "a", "doing": "free"},
    "/plans/{plan_id}/undo": {"version": 1},
    "/plans/{plan_id}/tick": {"piece": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c25", "on": True},
    "/clients/{client_id}/worn": {
        "id": "3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c26",
        "on": f"{date.today()}",
        "pieces": ["3f0c9a52-6a1e-4b6f-9d0a-0f5b7f0a7c27"],
    },
    "/appointments/{appointment_id}": {"version": 1, **A_VISIT},
    "/appointments/{appointment_id}/move": {"version": 1, "days": 1},
    "/appointments/{appointment_id}/leave-out": {"version": 1, "occurrence": "2026-12-01T09:00:00Z"},
    "/appointments/{appointment_id}/came-of": {"version": 1, "text": "Taken"},
    "/members/{member_id}": {"name": "Taken"},
    "/clients/{client_id}/assigned": {"restricted": False},
    "/clients/{client_id}/reach": {"version": 1, "phone": "Taken"},
    "/clients/{client_id}/looks": {"name": "Taken", "pieces": []},
    "/looks/{look_id}": {"version": 1, "name": "Taken", "pieces": []},
}
METHODS = ("get", "post", "put", "patch", "delete")


def endpoints() -> list[tuple[str, str]]:
    """Every operation of the interface, from its own document, so that a new one cannot be forgotten."""
    paths = api.get_openapi_schema()["paths"]
    return [(method, path.removeprefix("/api")) for path, held in paths.items() for method in held if method in METHODS]


def of_everything(house: House) -> str:
    """One of everything in a studio; its look's id."""
    look = str(house.keep("Theirs").told["id"])
    house.read("hip", "99")
    tee = hang(house, "white tee").told
    log(house, begin(house), piece_id=tee["id"], errands=[errand()])
    send(house, f"/rack/{tee['id']}/pictures/{uuid.uuid4()}", encoded(Image.new("RGB", (40, 40))))
    keep_charts(house)
    house.api.ask("POST", f"/clients/{house.client.id}/outfits", {})
    pieces = sorted([tee["id"], str(uuid.uuid4())])
    decided = {"id": str(uuid.uuid4()), "decision": "out_of_keeping", "goes": "give", "place": "Theirs"}
    house.api.ask("PUT", f"/rack/{tee['id']}/sorted", decided)
    house.api.ask("POST", "/kit", {"id": str(uuid.uuid4()), "line": "white tee"})
    house.api.ask("POST", "/invitations", {"email": "new@birch.example"})
    wanted = {"id": str(uuid.uuid4()), "piece": {"is": "belt"}, "why": "Theirs"}
    house.api.ask("POST", f"/clients/{house.client.id}/buying", wanted)
    whose = {"studio": house.member.studio, "client": house.client}
    Apart.objects.create(**whose, pieces=pieces, word="Theirs")
    card = house.api.ask("POST", f"/clients/{house.client.id}/cards", {"id": str(uuid.uuid4()), "look_id": look})
    Book.objects.create(**whose, layout="week", pages=1, pdf=b"Theirs")
    given = {"id": str(uuid.uuid4()), "cards": [card.told["id"]], "ends_on": f"{date.today() + timedelta(days=9)}"}
    house.api.ask("POST", f"/clients/{house.client.id}/links", given)
    Said.objects.create(
        studio=house.member.studio, share=Share.objects.get(client=house.client), says="question", text="Theirs"
    )
    letter = {
        "id": str(uuid.uuid4()),
        "to": "theirs@birch.example",
        "subject": "Theirs",
        "text": "Theirs",
        "send": False,
    }
    house.api.ask("POST", f"/clients/{house.client.id}/letters", letter)
    plan = {"id": str(uuid.uuid4()), "kind": "week", **A_PLAN, "name": "Theirs"}
    house.api.ask("POST", f"/clients/{house.client.id}/plans", plan)
    worn = {"id": str(uuid.uuid4()), "on": f"{date.today()}", "pieces": [tee["id"]], "title": "Theirs"}
    house.api.ask("POST", f"/clients/{house.client.id}/worn", worn)
    visit = {
        "id": str(uuid.uuid4()),
        "title": "Theirs",
        "rule": "FREQ=WEEKLY;COUNT=2",
        "client_id": str(house.client.id),
    }
    house.api.ask("POST", "/appointments", {**A_VISIT, **visit, "members": [house.member.pk]})
    return look


def filled(path: str, house: House, look: str) -> str:
    session = MeasuringSession.objects.get(client=house.client)
    ids = {
        "client_id": house.client.id,
        "look_id": look,
        "session_id": session.id,
        "before_id": session.id,
        "reading_id": session.readings.get().id,
        "piece_id": RackPiece.objects.get(client=house.client).id,
        "fitting_id": Fitting.objects.get(client=house.client).id,
        "trial_id": Trial.objects.get(fitting__client=house.client).id,
        "picture_id": Picture.objects.filter(client=house.client).values_list("id", flat=True)[0],
        "chart_id": Chart.objects.filter(studio=house.member.studio).values_list("id", flat=True)[0],
        "errand_id": Errand.objects.get(client=house.client).id,
        "search_id": OutfitSearch.objects.get(client=house.client).id,
        "kit_id": KitPiece.objects.get(studio=house.member.studio).id,
        "buy_id": ToBuy.objects.get(client=house.client).id,
        "card_id": OutfitCard.objects.get(client=house.client).id,
        "book_id": Book.objects.get(client=house.client).id,
        "link_id": Share.objects.get(client=house.client).id,
        "said_id": Said.objects.get(share__client=house.client).id,
        "letter_id": Letter.objects.get(client=house.client).id,
        "plan_id": Plan.objects.get(client=house.client).id,
        "worn_id": Worn.objects.get(client=house.client).id,
        "appointment_id": Appointment.objects.get(client=house.client).id,
        "apart_id": Apart.objects.get(client=house.client).id,
        "invitation_id": Invitation.objects.get(studio=house.member.studio).id,
        "member_id": house.member.pk,
        "measure": "hip",
    }
    return re.sub(r"\{(\w+)\}", lambda found: str(ids[found[1]]), path)


def in_body(body: Any, look: str, house: House) -> Any:
    """A body that names a row of that studio, so that its owner is let in."""
    if not isinstance(body, dict):
        return body
    told = {key: look if value == "{look_id}" else value for key, value in body.items()}
    return {**told, "members": [house.member.pk]} if "members" in told else told


@contextmanager
def held_together(django_db_blocker: Any) -> Iterator[None]:
    """What is made within lasts for a whole module of tests, each of which is taken back by itself; then it is taken back too."""
    with django_db_blocker.unblock(), transaction.atomic():
        yield
        transaction.set_rollback(True)
