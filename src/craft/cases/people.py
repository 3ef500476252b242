"""Whom a case is about: the body and the aims of its client."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from typing import Any

from craft.body import Body, Measures
from craft.body.words import nominal_measures
from craft.cases.read import BODY_WORDS
from craft.judge import Aims
from craft.judge.aims import WORDS as AIM_WORDS
from craft.judge.aims import Setting


def body_of(client: Mapping[str, Any]) -> Body:
    """The body of a case's client."""
    measured = client.get("measures_cm", {})
    words = {key: word for key, word in client.items() if key in BODY_WORDS}
    if measured and not words.keys() - {"build", "depth", "warmth"}:
        return Body.of(Measures.of(measured, client.get("build")))
    return Body.of(nominal_measures(words, measured))


def aims_of(client: Mapping[str, Any]) -> Aims:
    """What a case's client wants."""
    colouring = {axis: client.get(axis) for axis in ("depth", "warmth")}
    aims = Aims.of({key: client[key] for key in AIM_WORDS if key in client}, colouring)
    code = client.get("dress_code")
    setting = Setting.of(
        client.get("occasion"), None if code == "none" else code, client.get("celsius"), client.get("rain", False)
    )
    return replace(aims, setting=setting)
