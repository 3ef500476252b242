"""Handing over, against PostgreSQL: cards and their sentences, the book, the tailor's sheet, letters."""

from __future__ import annotations

import json
import re
import uuid
from datetime import timedelta
from typing import Any

import pytest

from studio.bodies.known import today
from studio.handover.models import Said, Share
from studio.people.models import Client
from tests.studio.conftest import TEE, TROUSERS, House, words
from tests.studio.test_outfits import work


def texts(card: dict[str, Any], part: str) -> list[str]:
    return [line["text"] for line in card[part]]


def test_a_card_says_what_the_look_has_and_nothing_of_the_body(house: House, dressed: dict[str, Any]) -> None:
    card = dressed["card"]
    assert [(one["place"], one["source"]) for one in card["pieces"]] == [
        ("bottom", "owned"), ("top", "owned"), ("shoes", "owned"),
    ]  # fmt: skip
    how = texts(card, "how")
    assert any("Tuck" in line and "front" in line for line in how)
    assert any("tone of your skin" in line for line in how)
    assert any(line.startswith("With the brown loafers") for line in how)
    assert 1 <= len(card["reasons"]) <= 2 and len(card["steps"]) == 3
    assert card["air"][0] < card["air"][1]
    # Words of the look alone: nothing that is not on is named, and no figure.
    for line in (*how, *texts(card, "reasons")):
        assert not re.search(r"\d|blazer|necklace|knit|waist 7|hip 9", line), line
    other = house.api.ask(
        "POST", f"/clients/{house.client.id}/cards", {"id": str(uuid.uuid4()), "look_id": dressed["look"]["id"]}
    )
    assert other.told["id"] == card["id"]


def test_a_sentence_written_anew_stays_when_the_card_is_made_again(house: House, dressed: dict[str, Any]) -> None:
    card = dressed["card"]
    ask = lambda key, text, version: house.api.ask(  # noqa: E731
        "PATCH", f"/cards/{card['id']}/line", {"version": version, "key": key, "text": text}
    )
    anew = ask("shoes", "The brown loafers, always.", 1).told
    assert "The brown loafers, always." in texts(anew, "how")
    stale = ask("tuck", "", 1)
    assert stale.status_code == 409 and stale.told["current"]["version"] == 2
    struck = ask("tuck", "", 2).told
    assert next(line for line in struck["how"] if line["key"] == "tuck") == {"key": "tuck", "text": "", "edited": True}
    # The look changes; what was written stays.
    look = dressed["look"]
    pieces = [{**piece, "colour": "navy"} if piece["is"] == "trousers" else piece for piece in look["pieces"]]
    house.api.ask("PUT", f"/looks/{look['id']}", {"name": "Market day", "pieces": pieces, "version": 1})
    told = house.api.ask("GET", f"/clients/{house.client.id}/cards").told["cards"][0]
    assert "The brown loafers, always." in texts(told, "how") and "" in texts(told, "how")
    back = ask("tuck", None, 3).told
    assert any("Tuck" in line for line in texts(back, "how"))


def test_the_look_made_over_holds_as_long_as_look_and_pieces_do(house: House, dressed: dict[str, Any]) -> None:
    # What is worn where trainers are too casual: the shoe of her rack mends it.
    on = [
        words("trousers", cut="straight", colour="navy", rise="high", hem="ankle"),
        words("blouse", colour="cream", tuck="full"),
        words("trainers", colour="white"),
    ]
    house.client.brief = {"week": [{"occasion": "ceremony", "share": 100}]}
    house.client.save()
    look = house.keep("Errands", on).told
    made = house.api.ask(
        "POST", f"/clients/{house.client.id}/cards", {"id": str(uuid.uuid4()), "look_id": look["id"]}
    ).told
    assert made["occasions"] == []
    told = house.api.ask("POST", f"/cards/{made['id']}/variants").told
    (line,) = told["variants"]
    assert line["text"].startswith("For ceremony: change to the ")

    def variants() -> list[Any]:
        listed = house.api.ask("GET", f"/clients/{house.client.id}/cards").told["cards"]
        return next(one["variants"] for one in listed if one["id"] == made["id"])

    assert variants() == [line]
    worn = [piece for name, piece in dressed["hung"].items() if name in line["text"]]
    assert worn
    house.api.ask("DELETE", f"/rack/{worn[0]}")
    assert variants() == []
    house.api.ask("POST", f"/rack/{worn[0]}/restore")
    assert variants() == [line]
    house.api.ask("PUT", f"/looks/{look['id']}", {"name": "Errands", "pieces": on[:2], "version": 1})
    assert variants() == []


def test_cards_are_put_in_order_taken_away_and_brought_back(house: House, dressed: dict[str, Any]) -> None:
    second = house.keep("Second", [{"is": "dress"}]).told
    made = house.api.ask(
        "POST", f"/clients/{house.client.id}/cards", {"id": str(uuid.uuid4()), "look_id": second["id"]}
    ).told
    first = dressed["card"]["id"]
    told = house.api.ask("POST", f"/clients/{house.client.id}/cards/order", {"order": [made["id"], first]}).told
    assert [one["id"] for one in told["cards"]] == [made["id"], first]
    assert house.api.ask("DELETE", f"/cards/{first}").status_code == 204
    assert len(house.api.ask("GET", f"/clients/{house.client.id}/cards").told["cards"]) == 1
    assert house.api.ask("POST", f"/cards/{first}/restore").told["id"] == first
    # A look that was removed takes its card along, and brings it back.
    house.api.ask("DELETE", f"/looks/{second['id']}")
    assert len(house.api.ask("GET", f"/clients/{house.client.id}/cards").told["cards"]) == 1


@pytest.mark.parametrize("layout", ["week", "four"])
def test_a_book_is_made_in_the_background(house: House, dressed: dict[str, Any], layout: str) -> None:
    asked = {
        "layout": layout, "cards": [dressed["card"]["id"]], "note": "With love",
        "parts": {"numbers": True, "buying": True, "colours": True, "care": True, "dates": True},
    }  # fmt: skip
    ask = lambda: house.api.ask("POST", f"/clients/{house.client.id}/book", asked).told  # noqa: E731
    assert ask()["job"]["state"] == "waiting"
    work()
    told = ask()
    assert told["job"]["state"] == "done" and told["pages"] >= 1, told
    pdf = house.api.ask("GET", f"/books/{told['book_id']}.pdf")
    assert pdf.content.startswith(b"%PDF-") and "attachment" in pdf.headers["Content-Disposition"]
    # What goes into it changes, and it is made anew.
    thing = {"id": str(uuid.uuid4()), "piece": {"is": "belt"}}
    assert house.api.ask("POST", f"/clients/{house.client.id}/buying", thing).status_code == 201
    assert ask()["job"]["state"] == "waiting"
    work()
    # Another of its kind takes its place; the first question has it made again.
    asked["note"] = "With more love"
    ask()
    work()
    assert ask()["job"]["state"] == "done"
    asked["note"] = "With love"
    assert ask()["job"]["state"] == "waiting"


def test_a_card_as_a_file(house: House, dressed: dict[str, Any]) -> None:
    card = dressed["card"]["id"]
    svg = house.api.ask("GET", f"/cards/{card}/card.svg").content.decode()
    assert "Market day" in svg and svg.count("<svg") == 2
    assert house.api.ask("GET", f"/cards/{card}/card.png").content.startswith(b"\x89PNG")
    picture = house.api.ask("GET", f"/cards/{card}/picture.svg").content.decode()
    # So many units tall whatever the stature: no true length can be read off it.
    assert "mm" not in picture and ' viewBox="0 0 ' in picture and " 1000" in picture


def test_the_tailors_sheet_holds_the_piece_and_nothing_else_of_the_client(
    house: House, dressed: dict[str, Any]
) -> None:
    from studio.handover.tailor import _pieces, sheet_of

    piece = dressed["hung"][TROUSERS]
    due = {
        "id": str(uuid.uuid4()), "kind": "alter", "text": "Shorten the hem.", "figure": "inseam_cm", "by_cm": -3,
        "due_on": (today() + timedelta(7)).isoformat(),
    }  # fmt: skip
    assert house.api.ask("POST", f"/rack/{piece}/errands", due).status_code == 201
    assert house.api.ask("GET", f"/clients/{house.client.id}/tailor.pdf").content.startswith(b"%PDF-")
    client = Client.objects.select_related("studio").get(id=house.client.id)
    assert len(sheet_of(client, today()).pages) == 1
    from craft.body import Body
    from studio.bodies.known import measures_of
    from studio.fittings.models import Errand

    (told,) = _pieces(Body.of(measures_of(client)), Errand.objects.select_related("rack_piece", "trial"), client)
    assert told["change"] == "Inseam: 3 cm less" and "#9c2b27" in told["picture"] and told["due"]
    assert not re.search("waist|hip|bust", str({**told, "picture": ""}))


def test_a_letter_is_sent_kept_and_taken_away(house: House, dressed: dict[str, Any], request: Any) -> None:
    given = {"id": str(uuid.uuid4()), "to": "pia@reed.example", "subject": "Your outfits", "text": "Here they are."}
    path = f"/clients/{house.client.id}/letters"
    refused = house.api.ask("POST", path, given)
    assert refused.status_code == 503 and "No mail server" in refused.told["message"]
    assert house.api.ask("GET", path).told == {"letters": [], "can_send": False}
    assert house.api.ask("POST", path, {**given, "send": False}).status_code == 201
    mail_server = request.getfixturevalue("mail_server")
    sent = house.api.ask("POST", path, {**given, "id": str(uuid.uuid4())})
    assert sent.status_code == 201 and sent.told["state"] == "waiting"
    (letter,) = mail_server.letters()
    assert (letter["To"], letter["Reply-To"]) == ("pia@reed.example", "ada@alder.example")
    assert [one["state"] for one in house.api.ask("GET", path).told["letters"]] == ["sent", "file"]
    told = house.api.ask("POST", f"/letters/{sent.told['id']}/post", {"go": False})
    assert told.status_code == 422 and "gone already" in told.told["message"]
    file = house.api.ask("GET", f"/letters/{sent.told['id']}/letter.eml").content.decode()
    assert "Subject: Your outfits" in file and "Here they are." in file
    assert house.api.ask("POST", path, {**given, "to": "nobody"}).status_code == 422
    assert house.api.ask("POST", path, {**given, "id": str(uuid.uuid4()), "subject": "Two\nlines"}).status_code in (
        201,
        422,
    )


def test_a_client_file_takes_cards_worn_and_visits_along(house: House, other: House, dressed: dict[str, Any]) -> None:
    key = {"version": 1, "key": "shoes", "text": "The brown ones."}
    house.api.ask("PATCH", f"/cards/{dressed['card']['id']}/line", key)
    hung = dressed["hung"]
    worn = {
        "id": str(uuid.uuid4()),
        "on": today().isoformat(),
        "pieces": [hung[TEE], hung[TROUSERS]],
        "title": "Market",
    }
    house.api.ask("POST", f"/clients/{house.client.id}/worn", worn)
    visit = {
        "id": str(uuid.uuid4()), "kind": "check", "client_id": str(house.client.id), "local": f"{today()}T10:00", "minutes": 45,
        "zone": "Europe/Paris", "members": [house.member.pk], "rule": "FREQ=MONTHLY;COUNT=3", "note": "Bring the book.",
    }  # fmt: skip
    assert house.api.ask("POST", "/appointments", visit).status_code == 201
    letter = {
        "id": str(uuid.uuid4()),
        "to": "pia@reed.example",
        "subject": "Fürs Büro",
        "text": "Grüße.",
        "send": False,
    }
    assert house.api.ask("POST", f"/clients/{house.client.id}/letters", letter).status_code == 201
    link = {"id": str(uuid.uuid4()), "cards": [dressed["card"]["id"]], "ends_on": f"{today() + timedelta(9)}"}
    assert house.api.ask("POST", f"/clients/{house.client.id}/links", link).status_code == 201
    Said.objects.create(
        studio=house.member.studio, share=Share.objects.get(client=house.client), says="question", text="Which shoes?"
    )
    plan = {"id": str(uuid.uuid4()), "kind": "week", "name": "Fair", "occasions": [
        {"key": "a", "on": f"{today()}", "occasion": "dinner"}]}  # fmt: skip
    assert house.api.ask("POST", f"/clients/{house.client.id}/plans", plan).status_code == 201
    file = house.api.ask("GET", f"/clients/{house.client.id}/file")
    told = file.told if file.told else json.loads(file.content)
    made = other.api.ask("POST", "/client-files", {"text": json.dumps(told)})
    assert made.status_code == 201, made.told
    again = other.api.ask("GET", f"/clients/{made.told['id']}/file")
    back = again.told if again.told else json.loads(again.content)
    for part in ("cards", "worn", "visits"):
        assert back[part] == told[part] and len(told[part]) == 1, part
    # Told, and not taken in: what was written, said and planned is of the house it was in.
    assert [(one["subject"], one["text"], one["state"]) for one in told["letters"]] == [("Fürs Büro", "Grüße.", "file")]
    assert [(one["says"], one["text"]) for one in told["said"]] == [("question", "Which shoes?")]
    assert [(one["name"], [day["occasion"] for day in one["days"]]) for one in told["plans"]] == [("Fair", ["dinner"])]
    assert back["letters"] == back["said"] == back["plans"] == []
    bad = {**told, "visits": [{**told["visits"][0], "zone": "Atlantis/Main"}]}
    assert other.api.ask("POST", "/client-files", {"text": json.dumps(bad)}).status_code == 422
