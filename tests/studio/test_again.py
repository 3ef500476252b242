"""What is handed in again is seen and asked; a table says nothing that a spreadsheet would run."""

from __future__ import annotations

import uuid
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from craft.formats.cells import guarded, read_lines, unguarded, write_lines
from studio.bodies.models import Reading
from studio.people import services
from studio.people.models import Client
from tests.studio.conftest import House
from tests.studio.test_rack import rack

MEASURES = "measure,value (cm),taken on\nwaist,74,2026-05-09\nhip,100,2026-05-09"
#: The same table as a spreadsheet saves it anew.
SAVED_ANEW = "\ufeffmeasure;value (cm);taken on\r\nwaist;74,0;2026-05-09\r\nhip;100;2026-05-09\r\n"


@given(
    st.lists(
        st.lists(st.text(st.characters(exclude_categories=["Cs"], exclude_characters="\0")), min_size=2, max_size=4),
        min_size=1,
        max_size=5,
    )
)
def test_cells_are_read_back_as_they_were_and_none_is_run(lines: list[list[str]]) -> None:
    told = [["name", "note"], *lines]
    assert read_lines(write_lines(told)) == told
    for cell in (cell for line in lines for cell in line):
        assert unguarded(guarded(cell)) == cell
        assert not guarded(cell)[:1] or (
            guarded(cell)[0] not in "=+@\t\r" and (guarded(cell)[0] != "-" or float(guarded(cell)) <= 0)
        )


@pytest.mark.parametrize("text", ['piece\n"' + "x" * 140_000, "piece\n" + "x" * 140_000, '"', ""])
def test_a_table_that_is_none_is_refused_in_words(house: House, text: str) -> None:
    for door in ("table", "rack/table"):
        told = house.api.ask("POST", f"/clients/{house.client.id}/{door}/preview", {"text": text})
        assert told.status_code == 422 and told.told["message"], door


@pytest.mark.parametrize("door", ["table", "rack/table"])
def test_a_table_handed_in_again_is_asked_about(house: House, door: str) -> None:
    first, second = (
        (MEASURES, SAVED_ANEW) if door == "table" else ("piece,colour\njeans,navy", "piece;colour\r\njeans;navy")
    )
    path = f"/clients/{house.client.id}/{door}"

    def hand_in(text: str, **more: Any) -> Any:
        return house.api.ask("POST", path, {"text": text, **more})

    assert house.api.ask("POST", f"{path}/preview", {"text": first}).told["before"] == ""
    assert hand_in(first).status_code == 200
    kept = (Reading.objects.count(), len(rack(house)))
    assert (
        "Ada Stitch took in this same table"
        in house.api.ask("POST", f"{path}/preview", {"text": second}).told["before"]
    )
    for _ in range(4):
        asked = hand_in(second)
        assert (asked.status_code, asked.told["field"]) == (409, "again")
    assert kept == (Reading.objects.count(), len(rack(house)))
    assert hand_in(second, again=True).status_code == 200
    assert kept != (Reading.objects.count(), len(rack(house)))


def test_a_file_handed_in_again_is_asked_about_while_its_client_is_here(house: House) -> None:
    text = house.api.ask("GET", f"/clients/{house.client.id}/file").content.decode()
    made = house.api.ask("POST", "/client-files", {"text": text})
    assert made.status_code == 201
    assert [house.api.ask("POST", "/client-files", {"text": text}).status_code for _ in range(4)] == [409] * 4
    assert "Pia Reed" in house.api.ask("POST", "/client-files/preview", {"text": text}).told["before"]
    assert Client.objects.of(house.member).count() == 2
    services.remove_client(house.member, made.told["id"])
    assert house.api.ask("POST", "/client-files", {"text": text}).status_code == 201


def test_a_table_out_carries_no_formula_and_comes_back_unchanged(house: House) -> None:
    names = ["=HYPERLINK(1)", "+cmd", "-2+3", "@SUM(A1)", "'=quoted", "plain"]
    for name in names:
        body = {"id": str(uuid.uuid4()), "piece": {"is": "tee"}, "maker": name}
        piece = house.api.ask("POST", f"/clients/{house.client.id}/rack/pieces", body).told
        house.api.ask("PATCH", f"/rack/{piece['id']}", {"version": piece["version"], "name": name})
    told = house.api.ask("GET", f"/clients/{house.client.id}/rack/table").content.decode()
    assert not any(cell[:1] in "=+-@" for line in told.splitlines() for cell in line.split(",") if cell)
    second = services.add_client(house.member, "Ida Reed")
    assert house.api.ask("POST", f"/clients/{second.id}/rack/table", {"text": told}).told["added"] == len(names)
    hung = house.api.ask("GET", f"/clients/{second.id}/rack").told["pieces"]
    assert [(piece["name"], piece["facts"]["maker"]) for piece in hung] == [(name, name) for name in names]
