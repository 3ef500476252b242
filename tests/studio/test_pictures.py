"""Pictures: what is kept is made anew, and what is no picture is refused clearly."""

from __future__ import annotations

import io
import struct
import uuid
import zipfile
import zlib
from typing import Any

import pytest
from PIL import Image

from tests.studio.conftest import House
from tests.studio.test_fittings import begin, log
from tests.studio.test_rack import hang, rack


def encoded(picture: Image.Image, kind: str = "JPEG", **more: Any) -> bytes:
    out = io.BytesIO()
    picture.save(out, kind, **more)
    return out.getvalue()


def send(house: House, path: str, given: bytes, kind: str = "image/jpeg") -> Any:
    answer = house.api.browser.put(f"/api{path}", data=given, content_type=kind)
    answer.told = answer.json()  # type: ignore[attr-defined]
    return answer


@pytest.fixture
def path(house: House) -> str:
    return f"/rack/{hang(house, 'navy skirt').told['id']}/pictures"


def test_a_pictures_identity_stands_for_one_piece(house: House, path: str, other: House) -> None:
    """Handed in for another piece it is a conflict, and not answered as if it were kept; elsewhere it cannot be had."""
    own, given = str(uuid.uuid4()), encoded(Image.new("RGB", (40, 40)))
    assert send(house, f"{path}/{own}", given).status_code == 200
    second, foreign = (f"/rack/{hang(one, 'white tee').told['id']}/pictures" for one in (house, other))
    assert [send(house, f"{second}/{own}", given).status_code, send(other, f"{foreign}/{own}", given).status_code] == [
        409,
        404,
    ]
    assert house.api.ask("GET", second).told["pictures"] == []


def shown(house: House, picture: str, query: str = "") -> Image.Image:
    return Image.open(io.BytesIO(house.api.ask("GET", f"/pictures/{picture}{query}").content))


def test_a_picture_is_made_anew_without_what_it_carried(house: House, path: str) -> None:
    exif = Image.Exif()
    exif[0x0112] = 6  # turned on its side
    exif[0x9286] = "at home"
    exif[0x8825] = {1: "N", 2: (52.0, 0.0, 0.0)}
    given = encoded(Image.new("RGB", (3000, 2000), "#1f2a44"), exif=exif.tobytes(), comment=b"made-up comment")
    own = str(uuid.uuid4())
    told = [send(house, f"{path}/{own}", given) for _ in range(2)]
    assert [one.status_code for one in told] == [200, 200] and told[0].told == told[1].told
    assert (told[0].told["width"], told[0].told["height"]) == (1067, 1600)
    assert told[0].told["palette"][0]["near"] == "navy" and told[0].told["palette"][0]["share"] > 0.9
    kept = shown(house, own)
    assert (
        kept.format == "JPEG"
        and not kept.getexif()
        and set(kept.info) <= {"jfif", "jfif_version", "jfif_unit", "jfif_density"}
    )
    assert max(shown(house, own, "?small=true").size) == 240
    assert len(house.api.ask("GET", path).told["pictures"]) == 1 and rack(house)[0]["picture"] == own


def test_transparent_pictures_stand_on_white(house: House, path: str) -> None:
    given = encoded(Image.new("RGBA", (64, 64), (0, 0, 0, 0)), "PNG")
    own = str(uuid.uuid4())
    assert send(house, f"{path}/{own}", given, "image/png").status_code == 200
    assert shown(house, own).getpixel((30, 30)) == (255, 255, 255)


def bomb() -> bytes:
    """A PNG of a few kilobytes that says it is 60,000 points on each side."""

    def chunk(kind: bytes, data: bytes) -> bytes:
        return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))

    header = struct.pack(">IIBBBBB", 60_000, 60_000, 8, 2, 0, 0, 0)
    return (
        b"\x89PNG\r\n\x1a\n"
        + chunk(b"IHDR", header)
        + chunk(b"IDAT", zlib.compress(b"\0" * 10_000))
        + chunk(b"IEND", b"")
    )


def moving(kind: str) -> bytes:
    first, second = (Image.new("RGB", (64, 64), colour) for colour in ("red", "blue"))
    return encoded(first, kind, save_all=True, append_images=[second])


REFUSED = {
    "no picture": (b"%PDF-1.7 and so on", "not a picture"),
    "a picture that lies about itself": (b"\xff\xd8\xff\xe0" + b"\0" * 2000, "not a picture"),
    "nothing": (b"", "not a picture"),
    "a bomb": (bomb(), "too many points"),
    "moving": (moving("WEBP"), "moves"),
    "moving PNG": (moving("PNG"), "moves"),
    "another kind": (moving("GIF"), "not a picture"),
    "a drawing that runs scripts": (b"<svg xmlns='http://www.w3.org/2000/svg'><script/></svg>", "not a picture"),
    "too small": (encoded(Image.new("RGB", (8, 8))), "too small"),
    "50 MB": (b"\xff" * 50_000_000, "too large"),
}


@pytest.mark.parametrize("what", REFUSED)
def test_what_is_not_taken_is_refused_in_words_and_nothing_is_kept(what: str, house: House, path: str) -> None:
    given, says = REFUSED[what]
    refused = send(house, f"{path}/{uuid.uuid4()}", given)
    assert refused.status_code == 422 and says in refused.told["message"], refused.told
    assert house.api.ask("GET", path).told["pictures"] == []


def test_a_cut_off_file_is_refused(house: House, path: str) -> None:
    whole = encoded(Image.effect_noise((600, 600), 80).convert("RGB"))
    assert send(house, f"{path}/{uuid.uuid4()}", whole[: len(whole) // 2]).status_code == 422


def test_pictures_of_a_fitting_are_taken_away_brought_back_taken_along_and_erased(house: House, path: str) -> None:
    trial = log(house, begin(house), line="red skirt", decision="let_go").told
    own, theirs = str(uuid.uuid4()), str(uuid.uuid4())
    given = encoded(Image.new("RGB", (100, 80), "red"))
    send(house, f"{path}/{own}", given)
    assert send(house, f"/trials/{trial['id']}/pictures/{theirs}", given).status_code == 200
    assert house.api.ask("DELETE", f"/pictures/{theirs}").status_code == 204
    assert house.api.ask("GET", f"/pictures/{theirs}").status_code == 404
    house.api.ask("POST", f"/pictures/{theirs}/restore")
    assert [one["id"] for one in house.api.ask("GET", f"/trials/{trial['id']}/pictures").told["pictures"]] == [theirs]
    file = zipfile.ZipFile(io.BytesIO(house.api.ask("GET", f"/clients/{house.client.id}/pictures.zip").content))
    assert file.namelist() == ["001-skirt.jpg", "002-red-skirt.jpg"]
    mark = house.api.ask("GET", f"/pictures/{own}").headers["ETag"]
    assert house.api.browser.get(f"/api/pictures/{own}", headers={"if-none-match": mark}).status_code == 304
    proof = house.api.ask("POST", f"/clients/{house.client.id}/erase", {"name": "Pia Reed"}).told
    assert (proof["rows"]["Picture"], proof["remaining"]) == (2, 0)
    assert house.api.browser.get(f"/api/pictures/{own}", headers={"if-none-match": mark}).status_code == 404
