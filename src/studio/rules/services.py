"""The verbs of the house rules: see what each says and touches, and what another way of judging would change."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Any

from craft.body import Body
from craft.errors import UnknownWord
from craft.fit import land
from craft.formats.look_form import LookFacts
from craft.judge import RULES, Aims, judge
from craft.judge.finding import Remark
from craft.judge.judgement import Verdict, moved
from craft.look import Look as CraftLook
from craft.look import Outfit, compose
from craft.schools import Schools
from craft.wear.shoes import barefoot_on
from studio.bodies.known import measures_of
from studio.errors import UnknownRule
from studio.looks.links import rack_of, worn_now
from studio.looks.models import Look
from studio.people.models import Client, Member
from studio.rack.models import RackPiece
from studio.stored import readable, stored

#: So many of the looks changed last are judged to say what a rule touches.
MOST_LOOKS = 400
#: The heel that racks are looked at with, cm.
HEEL = 2.0


def checked(muted: list[str]) -> list[str]:
    """Ids of rules, in order and once each. Raises UnknownRule."""
    known = {rule.id for rule in RULES}
    for rule_id in muted:
        if rule_id not in known:
            raise UnknownRule(f"“{rule_id[:60]}” is not a rule here.")
    return sorted(set(muted))


@dataclass(frozen=True)
class Held:
    """A kept look as the house judges it today."""

    look: Look
    outfit: Outfit
    aims: Aims


def kept_looks(member: Member) -> Iterator[Held]:
    """The studio's looks, the last changed first, each on its client's body."""
    rows = Look.objects.of(member).not_removed().select_related("client__studio")
    bodies: dict[Any, Body] = {}
    looks = list(rows.order_by("-changed_at")[:MOST_LOOKS])
    rack = rack_of(looks)
    for look in looks:
        if look.client_id not in bodies:
            bodies[look.client_id] = Body.of(measures_of(look.client))
        try:
            worn = CraftLook.of(worn_now(look, rack))
        except UnknownWord:
            continue
        facts = stored(LookFacts, look.facts)
        liked = frozenset(exception.rule for exception in facts.liked)
        aims = replace(look.client.wishes, setting=facts.setting.read(), liked=liked)
        yield Held(look, compose(bodies[look.client_id], worn, look.client.ways), aims)


def touched(member: Member) -> dict[str, list[Look]]:
    """The kept looks that each rule speaks of, muted or not."""
    found: dict[str, list[Look]] = {rule.id: [] for rule in RULES}
    for held in kept_looks(member):
        for rule in RULES:
            if rule.said_of(held.outfit, held.aims):
                found[rule.id].append(held.look)
    return found


@dataclass(frozen=True)
class Otherwise:
    """A kept look that would be judged otherwise: how it is judged now and then."""

    look: Look
    now: Verdict
    then: Verdict


@dataclass(frozen=True)
class Effect:
    """What other ways of judging would change: looks with another verdict, and pieces said otherwise by client."""

    looks: tuple[Otherwise, ...]
    judged: int
    pieces: dict[str, int]
    landed: int


def effect_of(member: Member, schools: dict[str, str], muted: list[str], borders: dict[str, float]) -> Effect:
    """What would be said otherwise under these schools, without these rules, with these borders; a client's own ways
    stay theirs. Raises UnknownSchool, UnknownRule or OutOfReach."""
    house = Schools.of(schools, checked(muted), moved(borders))
    looks, judged = [], 0
    for held in kept_looks(member):
        judged += 1
        now = judge(held.outfit, held.aims).verdict
        then = judge(compose(held.outfit.body, held.outfit.look, held.look.client.ways_in(house)), held.aims).verdict
        if now != then:
            looks.append(Otherwise(held.look, now, then))
    pieces, landed = _pieces(member, house)
    return Effect(tuple(looks), judged, pieces, landed)


def _pieces(member: Member, house: Schools) -> tuple[dict[str, int], int]:
    """Pieces of every rack whose checks would be worded otherwise, by client, and how many were looked at."""
    found: dict[str, int] = {}
    landed = 0
    shoes = barefoot_on(HEEL)
    clients = Client.objects.of(member).not_removed().filter(rack__removed_at=None, rack__isnull=False).distinct()
    for client in clients.select_related("studio"):
        body = Body.of(measures_of(client))
        for piece in readable(RackPiece.objects.filter(client=client, removed_at=None).values_list("piece", flat=True)):
            landed += 1
            now, then = (
                tuple(
                    (check.key, check.stance, check.title, check.text) for check in land(body, piece, shoes, way).checks
                )
                for way in (client.ways, client.ways_in(house))
            )
            if now != then:
                found[client.name] = found.get(client.name, 0) + 1
    return found, landed


def examples(member: Member, rule_id: str) -> list[tuple[Look, Remark]]:
    """The kept looks that one rule speaks of, with what it says of each. Raises UnknownRule."""
    checked([rule_id])
    rule = next(rule for rule in RULES if rule.id == rule_id)
    return [(held.look, said) for held in kept_looks(member) for said in rule.said_of(held.outfit, held.aims)[:1]]
