"""The diary against PostgreSQL: put down, moved, repeated over the change of clocks, free, exchanged with other calendars."""

from __future__ import annotations

import random
import uuid
from datetime import UTC, datetime, timedelta
from typing import Any

import pytest

from studio.bodies.known import today
from studio.bodies.models import MeasuringSession
from studio.diary.calendars import read_calendar
from studio.diary.models import Appointment, Feed
from studio.members.services import add_member
from studio.people.models import Client
from studio.policy import Role
from tests.studio.conftest import House, joined
from tests.studio.test_links import Visitor

ZONE = "Europe/Paris"


def put(house: House, local: str, **more: Any) -> Any:
    """An appointment at a time on the wall."""
    given = {
        "id": str(uuid.uuid4()), "kind": "edit", "client_id": str(house.client.id), "local": local, "minutes": 120, "zone": ZONE,
        "members": [house.member.pk], "place": "Mill Lane", **more,
    }  # fmt: skip
    answer = house.api.ask("POST", "/appointments", given)
    assert answer.status_code == 201, answer.told
    return answer.told


def diary(house: House, first: str, last: str) -> Any:
    return house.api.ask("GET", f"/diary?first={first}&last={last}&zone={ZONE}").told


def test_an_appointment_is_put_down_moved_and_brought_back(house: House) -> None:
    made = put(house, "2026-12-01T10:00")
    assert made["title"] == "Edit at home, Pia Reed" and made["starts_at"].startswith("2026-12-01T09:00")
    moved = house.api.ask(
        "PATCH", f"/appointments/{made['id']}/move", {"version": 1, "days": 1, "minutes": -30, "longer": 15}
    )
    assert (moved.told["local"], moved.told["minutes"]) == ("2026-12-02T09:30:00", 135)
    stale = house.api.ask("PATCH", f"/appointments/{made['id']}/move", {"version": 1, "days": 1})
    assert stale.status_code == 409 and stale.told["current"]["version"] == 2
    assert house.api.ask("DELETE", f"/appointments/{made['id']}").status_code == 204
    assert diary(house, "2026-12-01", "2026-12-07")["appointments"] == []
    assert house.api.ask("POST", f"/appointments/{made['id']}/restore").told["id"] == made["id"]
    changed = {
        "kind": "hand_over", "local": "2026-12-03T15:00", "minutes": 45, "zone": ZONE, "members": [house.member.pk], "version": 2,
    }  # fmt: skip
    assert house.api.ask("PUT", f"/appointments/{made['id']}", changed).told["title"] == "Hand-over"


def test_what_cannot_be_is_refused(house: House, other: House) -> None:
    wrong = (
        ({"zone": "Atlantis/Main"}, "zone"), ({"members": [other.member.pk]}, "members"), ({"rule": "FREQ=SECONDLY"}, "rule"),
        ({"rule": "nonsense"}, "rule"), ({"local": "2026-12-01T10:00Z"}, "local"), ({"minutes": 0}, "minutes"), ({"members": []}, "members"),
    )  # fmt: skip
    for more, field in wrong:
        given = {
            "id": str(uuid.uuid4()), "kind": "other", "local": "2026-12-01T10:00", "minutes": 60, "zone": ZONE,
            "members": [house.member.pk], **more,
        }  # fmt: skip
        answer = house.api.ask("POST", "/appointments", given)
        assert answer.status_code == 422 and answer.told["field"] == field, (more, answer.told)
    theirs = {**given, "members": [house.member.pk], "client_id": str(other.client.id)}
    assert house.api.ask("POST", "/appointments", theirs).status_code == 404
    assert house.api.ask("GET", f"/diary?first=2026-01-01&last=2028-01-01&zone={ZONE}").status_code == 422


def test_a_repeat_keeps_its_wall_time_over_the_change_of_clocks(house: House) -> None:
    made = put(house, "2026-03-23T10:00", rule="FREQ=WEEKLY;COUNT=3")
    days = diary(house, "2026-03-01", "2026-04-30")["appointments"]
    assert [one["local"] for one in days] == ["2026-03-23T10:00:00", "2026-03-30T10:00:00", "2026-04-06T10:00:00"]
    assert [one["starts_at"][11:13] for one in days] == ["09", "08", "08"]
    # One day moved stands by itself; one left out is gone, and comes back.
    given = {"version": 1, "minutes": 60, "occurrence": days[1]["starts_at"]}
    apart = house.api.ask("PATCH", f"/appointments/{made['id']}/move", given).told
    assert apart["id"] != made["id"] and apart["local"] == "2026-03-30T11:00:00" and apart["rule"] == ""
    one_day = {"version": 2, "occurrence": days[2]["starts_at"]}
    left = house.api.ask("POST", f"/appointments/{made['id']}/leave-out", one_day).told
    assert len(diary(house, "2026-03-01", "2026-04-30")["appointments"]) == 2
    one_day["version"] = left["version"]
    house.api.ask("DELETE", f"/appointments/{made['id']}/leave-out", one_day)
    assert len(diary(house, "2026-03-01", "2026-04-30")["appointments"]) == 3
    # Moved as a whole, what was left out stays out.
    now = Appointment.objects.get(id=made["id"]).version
    house.api.ask("PATCH", f"/appointments/{made['id']}/move", {"version": now, "days": 1})
    days = diary(house, "2026-03-01", "2026-04-30")["appointments"]
    assert [one["local"][:10] for one in days] == ["2026-03-24", "2026-03-30", "2026-04-07"]


def test_moving_one_never_loses_another(house: House) -> None:
    dice = random.Random(7)
    made = [put(house, f"2026-11-{dice.randint(1, 28):02}T{dice.randint(8, 16):02}:00", minutes=30) for _ in range(8)]
    ids = {one["id"] for one in made}
    for _ in range(30):
        one = dice.choice(made)
        version = Appointment.objects.get(id=one["id"]).version
        given = {"version": version, "days": dice.randint(-3, 3), "minutes": 15 * dice.randint(-8, 8)}
        assert house.api.ask("PATCH", f"/appointments/{one['id']}/move", given).status_code == 200
    assert {one["id"] for one in diary(house, "2026-08-01", "2027-03-01")["appointments"]} == ids


def test_clashes_and_ways_that_are_too_short_are_told(house: House) -> None:
    put(house, "2026-12-01T10:00")
    put(house, "2026-12-01T11:30", kind="tailor", minutes=20, place="Quay")
    put(house, "2026-12-01T12:10", kind="shops", place="High Street", travel=40)
    told = [one["text"] for one in diary(house, "2026-12-01", "2026-12-01")["clashes"]]
    assert any("overlap by 20 minutes" in one and "Ada Stitch" in one for one in told)
    assert any("minutes are missing for the way" in one for one in told)


def test_free_time_of_two(house: House) -> None:
    second = add_member(house.member.studio, "eve@alder.example", "Eve Loom", "willow-basket-42")
    day = (today() + timedelta(14)).isoformat()
    put(house, f"{day}T09:00", minutes=240)
    put(house, f"{day}T13:00", minutes=240, members=[second.pk])
    given = {
        "members": [house.member.pk, second.pk], "minutes": 60, "first": day, "last": day, "zone": ZONE,
        "weekdays": [0, 1, 2, 3, 4, 5, 6],
    }  # fmt: skip
    assert house.api.ask("POST", "/diary/free", given).told["local"] == [f"{day}T17:00:00"]
    alone = house.api.ask("POST", "/diary/free", {**given, "members": [second.pk]}).told["local"]
    assert alone[0] == f"{day}T09:00:00"
    # A visit of a client who is closed to the asker is not seen by them, and takes time all the same.
    put(house, f"{day}T17:00", minutes=60, client_id=str(house.client.id))
    Client.objects.filter(id=house.client.id).update(restricted=True)
    asker = joined(house, "cy@alder.example", "Cy Loom", Role.STYLIST)
    assert diary(asker, day, day)["appointments"] == []
    assert asker.api.ask("POST", "/diary/free", given).told["local"] == []
    put(asker, f"{day}T17:30", minutes=30, client_id=None, members=[house.member.pk], title="Errand")
    (clash,) = diary(asker, day, day)["clashes"]
    assert clash["text"] == "Ada Stitch: another visit and Errand overlap by 30 minutes."


def test_public_holidays_stand_in_the_diary_and_are_no_free_time(house: House) -> None:
    studio = house.api.ask("GET", "/session").told["studio"]
    assert studio["holidays_of"] == "" and diary(house, "2026-12-20", "2026-12-31")["holidays"] == []
    known = {one["country"]: one["parts"] for one in house.api.ask("GET", "/diary/countries").told}
    assert {"place": "GB-SCT", "name": "Scotland"} in known["GB"]
    change = {"version": studio["version"], "holidays_of": "GB-SCT"}
    assert house.api.ask("PATCH", "/studio", {**change, "holidays_of": "GB-LUNE"}).status_code == 422
    assert house.api.ask("PATCH", "/studio", change).told["holidays_of"] == "GB-SCT"
    # Over the turn of a year: two years' holidays.
    year = today().year + 1
    christmas = f"{year}-12-25"
    told = diary(house, f"{year}-12-20", f"{year + 1}-01-02")["holidays"]
    assert {"on": christmas, "name": "Christmas Day"} in told
    assert {f"{year + 1}-01-01", f"{year + 1}-01-02"} <= {one["on"] for one in told}
    given = {"members": [house.member.pk], "minutes": 60, "first": christmas, "last": christmas, "zone": ZONE,
             "weekdays": list(range(7))}  # fmt: skip
    assert house.api.ask("POST", "/diary/free", given).told["local"] == []
    assert house.api.ask("POST", "/diary/free", {**given, "on_holidays": True}).told["local"] != []


def test_before_and_after_a_visit(house: House) -> None:
    made = put(house, f"{(today() + timedelta(3)).isoformat()}T10:00", kind="measuring")
    told = house.api.ask("GET", f"/appointments/{made['id']}/prepare").told
    assert {"what": "To be signed", "of": ["Consent to be measured"]} in told["preparing"]
    assert any(one["what"] == "Measures that would settle most" for one in told["preparing"])
    (follows,) = told["following"]
    assert follows == {
        "kind": "edit",
        "name": "edit at home",
        "on": (today() + timedelta(10)).isoformat(),
        "there": False,
    }
    done = house.api.ask("POST", f"/appointments/{made['id']}/came-of", {"version": 1, "text": "All taken."}).told
    assert done["came_of"] == "All taken." and done["done_at"]
    undone = house.api.ask(
        "POST", f"/appointments/{made['id']}/came-of", {"version": 2, "text": "", "done": False}
    ).told
    assert undone["done_at"] is None


def test_what_is_due_lies_in_the_same_place(house: House) -> None:
    house.take("waist", "74")
    told = diary(house, (today() + timedelta(300)).isoformat(), (today() + timedelta(400)).isoformat())["due"]
    assert any(one["kind"] == "measure" and one["client"] == "Pia Reed" for one in told)
    assert any(one["kind"] == "season" for one in diary(house, "2026-12-01", "2027-12-01")["due"])


def test_who_was_measured_long_ago_is_due_until_measured_anew(house: House) -> None:
    house.take("waist", "74")
    long_ago = datetime.now(UTC) - timedelta(400)
    MeasuringSession.objects.filter(client=house.client).update(started_at=long_ago, ended_at=long_ago)

    def due() -> list[str]:
        told = diary(house, str(today()), str(today()))["due"]
        return [one["on"] for one in told if one["kind"] == "measure"]

    assert due() == [str(today())]
    # A session in which nothing is read yet measures nobody.
    house.begin()
    assert due() == [str(today())]
    house.take("hip", "99")
    assert due() == []


@pytest.fixture
def varied(house: House) -> House:
    put(house, "2026-11-30T10:00", note="Bring; the kit, and\nscarves", along="Her sister", travel=30, buffer=15)
    put(house, "2026-12-01T09:00", rule="FREQ=WEEKLY;INTERVAL=2;COUNT=4", kind="check", minutes=45)
    put(house, "2026-12-24T00:00", kind="away", minutes=3 * 1440, client_id=None, title="Holidays", place="")
    return house


SAME = ("kind", "starts_at", "minutes", "zone", "place", "note", "rule", "travel", "buffer", "along")


def test_a_calendar_goes_out_and_comes_in_as_it_was(varied: House, other: House) -> None:
    made = varied.api.ask("POST", "/diary/feed")
    path = made.told["address"]
    path = path[path.index("/diary/") :]
    visitor = Visitor()
    out = visitor.get(path)
    assert out.status_code == 200 and out.headers["Content-Type"].startswith("text/calendar")
    text = out.content.decode()
    assert "VTIMEZONE" in text and Feed.objects.get().read_at is not None
    ours = [tuple(getattr(row, name) for name in SAME) for row in Appointment.objects.order_by("starts_at")]
    read = sorted(read_calendar(text, "UTC"), key=lambda one: one.starts_at or datetime.min.replace(tzinfo=UTC))
    assert [tuple(getattr(one, name) for name in SAME) for one in read] == ours
    # Its own events are known; another studio takes them in, each once.
    given = {"text": text, "zone": ZONE}
    assert all(one["there"] for one in varied.api.ask("POST", "/diary/calendar/preview", given).told["events"])
    shown = other.api.ask("POST", "/diary/calendar/preview", given).told["events"]
    assert [one["there"] for one in shown] == [False] * 3 and not Appointment.objects.filter(
        studio=other.member.studio
    ).exists()
    taken = other.api.ask("POST", "/diary/calendar", {**given, "wanted": [0, 2, 2, 99]}).told["ids"]
    assert len(taken) == 2
    assert other.api.ask("POST", "/diary/calendar", {**given, "wanted": [0, 2]}).told["ids"] == []
    # Taken back, or made anew, the address opens nothing.
    varied.api.ask("POST", "/diary/feed")
    assert visitor.get(path).status_code == 404
    assert varied.api.ask("DELETE", "/diary/feed").status_code == 204
    assert not Feed.objects.filter(removed_at=None).exists()


def test_a_file_that_is_none_and_events_that_cannot_be(house: House) -> None:
    for text in ("", "hello", "BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n"):
        answer = house.api.ask("POST", "/diary/calendar/preview", {"text": text, "zone": ZONE})
        assert answer.status_code == 422 and answer.told["field"] == "text", text
    events = (
        "UID:a\r\nSUMMARY:Backwards\r\nDTSTART:20261201T100000Z\r\nDTEND:20261201T090000Z",
        "UID:b\r\nSUMMARY:Often\r\nDTSTART:20261201T100000Z\r\nRRULE:FREQ=SECONDLY",
        "UID:c\r\nSUMMARY:No time",
        "UID:d\r\nSUMMARY:All day\r\nDTSTART;VALUE=DATE:20261201",
        "UID:e\r\nSUMMARY:On the wall\r\nDTSTART:20261201T100000\r\nDURATION:PT30M",
    )
    text = (
        "BEGIN:VCALENDAR\r\nVERSION:2.0\r\n"
        + "".join(f"BEGIN:VEVENT\r\n{one}\r\nEND:VEVENT\r\n" for one in events)
        + "END:VCALENDAR\r\n"
    )
    told = house.api.ask("POST", "/diary/calendar/preview", {"text": text, "zone": ZONE}).told["events"]
    assert [bool(one["refused"]) for one in told] == [True, True, True, False, False]
    assert (told[3]["local"], told[3]["minutes"]) == ("2026-12-01T00:00:00", 1440)
    assert (told[4]["local"], told[4]["minutes"]) == ("2026-12-01T10:00:00", 30)
    assert (
        len(
            house.api.ask("POST", "/diary/calendar", {"text": text, "zone": ZONE, "wanted": [0, 1, 2, 3, 4]}).told[
                "ids"
            ]
        )
        == 2
    )


def test_a_foreign_repeats_moved_day_stands_by_itself_and_a_cancelled_one_is_left_out(house: House) -> None:
    events = (
        "UID:r\r\nSUMMARY:Cloth\r\nDTSTART;TZID=Europe/Paris:20270104T100000\r\nDURATION:PT1H\r\nRRULE:FREQ=WEEKLY;COUNT=4",
        "UID:r\r\nSUMMARY:Cloth, later\r\nRECURRENCE-ID;TZID=Europe/Paris:20270111T100000\r\n"
        "DTSTART;TZID=Europe/Paris:20270112T150000\r\nDURATION:PT2H",
        "UID:r\r\nSUMMARY:Cloth\r\nSTATUS:CANCELLED\r\nRECURRENCE-ID;TZID=Europe/Paris:20270118T100000\r\n"
        "DTSTART;TZID=Europe/Paris:20270118T100000\r\nDURATION:PT1H",
        "UID:s\r\nSUMMARY:Lost\r\nRECURRENCE-ID:20270111T100000Z\r\nDTSTART:20270112T100000Z\r\nDURATION:PT1H",
        "UID:t\r\nSUMMARY:Off\r\nSTATUS:CANCELLED\r\nDTSTART:20270112T100000Z\r\nDURATION:PT1H",
    )
    lines = "".join(f"BEGIN:VEVENT\r\n{one}\r\nEND:VEVENT\r\n" for one in events)
    text = f"BEGIN:VCALENDAR\r\nVERSION:2.0\r\n{lines}END:VCALENDAR\r\n"
    told = house.api.ask("POST", "/diary/calendar/preview", {"text": text, "zone": ZONE}).told["events"]
    assert [(one["title"], bool(one["refused"])) for one in told] == [
        ("Cloth", False), ("Cloth, later", False), ("Lost", True), ("Off", True),
    ]  # fmt: skip
    house.api.ask("POST", "/diary/calendar", {"text": text, "zone": ZONE, "wanted": [0, 1, 2, 3]})
    there = diary(house, "2027-01-01", "2027-01-31")["appointments"]
    assert [(one["title"], one["local"][5:16], one["minutes"]) for one in there] == [
        ("Cloth", "01-04T10:00", 60), ("Cloth, later", "01-12T15:00", 120), ("Cloth", "01-25T10:00", 60),
    ]  # fmt: skip
    again = house.api.ask("POST", "/diary/calendar/preview", {"text": text, "zone": ZONE}).told["events"]
    assert [one["there"] for one in again] == [True, True, False, False]


def test_who_was_not_seen_for_years_is_asked_about_and_what_an_apprentice_measured_too(house: House) -> None:
    long_ago = datetime.now(UTC) - timedelta(365 * 3 + 2)
    Client.objects.filter(id=house.client.id).update(created_at=long_ago)

    def asked(kind: str, who: House = house) -> list[str]:
        told = diary(who, str(today()), str(today() + timedelta(30)))["due"]
        return [one["text"] for one in told if one["kind"] == kind]

    assert asked("keep") == ["Not seen for 3 years: keep, or erase?"]
    apprentice = joined(house, "jo@alder.example", "Jo Pell", Role.APPRENTICE)
    house.api.ask("PATCH", f"/clients/{house.client.id}/assigned", {"add": [apprentice.member.pk]})
    assert asked("keep", apprentice) == []
    apprentice.take("hip", "99")
    # Somebody has been here: nobody need ask any more.
    assert asked("keep") == []
    assert asked("confirm") == ["A measure of Jo Pell: a second pair of eyes."] and asked("confirm", apprentice) == []
    house.api.ask("POST", f"/clients/{house.client.id}/measures/hip/confirm")
    assert asked("confirm") == []
