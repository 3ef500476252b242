"""Reading files of judged cases. A malformed case is named with its id and line; the rest is read."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import Any, Literal

import yaml

from craft.body.measures import MEASURES
from craft.brief import BUILD, DRESS_CODES, OCCASIONS
from craft.cloth import Piece
from craft.judge.aims import WORDS as AIM_WORDS
from craft.schools import POSITIONS, Schools

Form = Literal["preference", "verdict", "shape", "landing", "target", "wardrobe"]

#: Words of a client that describe the body, beside the aims (judge/aims.py).
BODY_WORDS: dict[str, tuple[str, ...]] = {
    "shape": ("rectangle", "triangle", "inverted_triangle", "hourglass", "oval"),
    "torso": ("short", "even", "long"),
    "stature": ("petite", "average", "tall"),
    "bust": ("small", "average", "full"),
    "middle": ("flat", "average", "full"),
    "calves": ("slim", "average", "full"),
    "build": BUILD,
    "depth": ("light", "medium", "deep"),
    "warmth": ("warm", "neutral", "cool"),
}
#: Where a client is going, beside body and aims: the words of each, none where it is no word.
SETTING: dict[str, tuple[str, ...]] = {"occasion": OCCASIONS, "dress_code": DRESS_CODES, "celsius": (), "rain": ()}
LINE = "__line__"


class Malformed(ValueError):
    """A case that cannot be read, said with its id and line."""


@dataclass(frozen=True)
class Case:
    """One judged case, checked word by word."""

    id: str
    line: int
    form: Form
    client: Mapping[str, Any]
    school: Schools
    body: Mapping[str, Any]


class _Lines(yaml.SafeLoader):
    """A loader that notes in each mapping the line it starts on."""

    def construct_mapping(self, node: yaml.MappingNode, deep: bool = False) -> dict[Any, Any]:
        mapping: dict[Any, Any] = super().construct_mapping(node, deep=deep)
        mapping[LINE] = node.start_mark.line + 1
        return mapping


def read_cases(text: str) -> Iterator[Case | Malformed]:
    """The cases of a YAML text in order; a Malformed in place of each that cannot be read."""
    try:
        # A SafeLoader with line numbers: it constructs nothing but plain values.
        data = yaml.load(text, Loader=_Lines)  # noqa: S506
    except yaml.YAMLError as error:
        mark = getattr(error, "problem_mark", None)
        yield Malformed(f"line {mark.line + 1 if mark else 1}: not YAML: {getattr(error, 'problem', error)}")
        return
    if not isinstance(data, dict) or not isinstance(data.get("cases"), list):
        yield Malformed("line 1: a file of cases holds a list named “cases”")
        return
    for raw in data["cases"]:
        line = raw.get(LINE, 1) if isinstance(raw, dict) else 1
        name = raw.get("id", "?") if isinstance(raw, dict) else "?"
        try:
            yield _case(raw, str(name), line)
        except (ValueError, TypeError, KeyError, AttributeError) as error:
            yield Malformed(f"{name} (line {line}): {error}")


def _case(raw: Any, name: str, line: int) -> Case:
    if not isinstance(raw, dict) or name == "?":
        raise ValueError("a case is a mapping with an id")
    rest = {key: _plain(value) for key, value in raw.items() if key not in (LINE, "id", "client", "school")}
    client = _plain(raw.get("client") or {})
    _check_client(client)
    return Case(name, line, _form(rest), client, Schools.of(_plain(raw.get("school") or {})), rest)


def _form(rest: Mapping[str, Any]) -> Form:
    if "better" in rest and "worse" in rest:
        for part in ("same", "better", "worse"):
            _check_pieces(rest.get(part, []))
        return "preference"
    if "look" in rest and rest.get("says") in ("works", "watch", "against"):
        _check_pieces(rest["look"])
        return "verdict"
    if "says_any" in rest:
        for word in rest["says_any"]:
            if word not in BODY_WORDS["shape"]:
                raise ValueError(f"“{word}” is not a known shape")
        return "shape"
    if "rack" in rest and "expects" in rest:
        _check_wardrobe(rest)
        return "wardrobe"
    if "garment" in rest and "expects" in rest:
        _check_pieces([rest["garment"]])
        return "landing"
    if "ask" in rest and "expects" in rest:
        return "target"
    raise ValueError("not one of the six forms of a case")


def _check_pieces(pieces: Any) -> None:
    if not isinstance(pieces, list):
        raise ValueError("pieces are a list")
    for piece in pieces:
        Piece.of(piece)


#: What a judged wardrobe may expect.
WARDROBE_LINES = (
    *("orphans", "joined", "best_has", "best_lacks", "does_not_fit", "alter", "twins"),
    *("gap_slot", "gap_any", "adopts", "joins"),
)


def _check_wardrobe(rest: Mapping[str, Any]) -> None:
    """A rack whose pieces have keys of their own, and lines that are known, about those keys."""
    rack = rest["rack"]
    if not isinstance(rack, list) or not all(isinstance(one, dict) and "key" in one for one in rack):
        raise ValueError("a rack is a list of pieces, each with a key")
    keys = [str(one["key"]) for one in rack]
    if len(set(keys)) < len(keys):
        raise ValueError("two pieces of the rack have one key")
    _check_pieces([{word: said for word, said in one.items() if word != "key"} for one in rack])
    for line in rest["expects"]:
        if line not in WARDROBE_LINES:
            raise ValueError(f"“{line}” is not a line of a judged wardrobe")
    for day in rest.get("week", []):
        for key in day:
            if key not in ("occasion", "dress_code", "air_c", "rain", "share"):
                raise ValueError(f"“{key}” is not a known word for a day")


def _check_client(client: Mapping[str, Any]) -> None:
    for key, value in client.items():
        if key == "measures_cm":
            for measure, cm in value.items():
                if measure not in MEASURES or not isinstance(cm, int | float):
                    raise ValueError(f"“{measure}: {cm}” is not a measure in cm")
        elif key in AIM_WORDS:
            for word in value:
                if word not in AIM_WORDS[key]:
                    raise ValueError(f"“{word}” is not a known word for {key}")
        elif key in SETTING:
            _check_setting(key, value)
        elif key not in BODY_WORDS:
            raise ValueError(f"“{key}” is not a known word for a client")
        elif value not in BODY_WORDS[key]:
            raise ValueError(f"“{value}” is not a known {key}")
    if "measures_cm" not in client:
        return
    bad = [pos for pos in client if pos in POSITIONS]
    if bad:
        raise ValueError(f"“{bad[0]}” belongs under school")


def _check_setting(key: str, value: Any) -> None:
    known = SETTING[key]
    if known and value not in known:
        raise ValueError(f"“{value}” is not a known {key}")
    if key == "celsius" and (isinstance(value, bool) or not isinstance(value, int | float)):
        raise ValueError(f"“{value}” is no temperature in °C")
    if key == "rain" and not isinstance(value, bool):
        raise ValueError("rain is true or false")


def _plain(value: Any) -> Any:
    """The value without line notes."""
    if isinstance(value, dict):
        return {key: _plain(part) for key, part in value.items() if key != LINE}
    return [_plain(part) for part in value] if isinstance(value, list) else value
