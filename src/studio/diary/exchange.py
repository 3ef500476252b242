"""Calendars exchanged: a secret address that other calendars read, and files taken in."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import UTC, datetime, timedelta
from typing import NamedTuple
from uuid import UUID

from django.db import transaction
from django.db.models import Q

from studio.diary.calendars import Read, read_calendar
from studio.diary.models import Appointment, Feed
from studio.diary.services import clock_of, kept
from studio.people.models import Member
from studio.secrets import hashed, new_secret
from studio.wall import tell_link, tell_studio

#: A feed reaches so far back, days.
FEED_BACK = 90


def subscribe(member: Member) -> str:
    """A new secret address for a member's diary; the one before opens nothing any more."""
    token = new_secret()
    with transaction.atomic():
        Feed.objects.of(member).filter(member=member, removed_at=None).update(removed_at=datetime.now(UTC))
        Feed.objects.create(studio_id=member.studio_id, member=member, token_hash=hashed(token), changed_by=member)
    return token


def unsubscribe(member: Member) -> None:
    """Take the address back."""
    Feed.objects.of(member).filter(member=member, removed_at=None).update(removed_at=datetime.now(UTC))


def has_feed(member: Member) -> bool:
    """Whether a member has a feed."""
    return Feed.objects.of(member).filter(member=member, removed_at=None).exists()


def read_feed(token: str) -> tuple[Member, list[Appointment]] | None:
    """Whose feed a secret address is, and their appointments; None where there is none. Within a transaction, which is the
    studio's from then on."""
    tell_link(hashed(token))
    feed = Feed.objects.filter(token_hash=hashed(token), removed_at=None).first()
    if feed is None:
        return None
    tell_studio(feed.studio_id)
    member = Member.objects.filter(id=feed.member_id, is_active=True).first()
    if member is None:
        return None
    Feed.objects.filter(pk=feed.pk).update(read_at=datetime.now(UTC))
    since = datetime.now(UTC) - timedelta(FEED_BACK)
    rows = (
        kept(Appointment.objects.of(member))
        .filter(members__contains=[member.pk])
        .filter(~Q(rule="") | Q(starts_at__gte=since))
    )
    return member, list(rows)


class Previewed(NamedTuple):
    """An event of a file, and whether the diary has it already."""

    read: Read
    there: bool


def preview(member: Member, text: str, zone: str) -> list[Previewed]:
    """What a calendar file would add; nothing is written. Raises InvalidInput."""
    clock_of(zone)
    read = read_calendar(text, zone)
    there = _known(member, read)
    return [Previewed(one, one.uid in there) for one in read]


def _known(member: Member, read: Sequence[Read]) -> set[str]:
    rows = Appointment.objects.of(member).not_removed()
    uids = {one.uid for one in read if one.uid}
    found = set(rows.filter(uid__in=uids).values_list("uid", flat=True))
    own = {uid: uid.removesuffix("@basilwood.invalid") for uid in uids if uid.endswith("@basilwood.invalid")}
    ids = {
        str(one)
        for one in rows.filter(id__in=[value for value in own.values() if _is_uuid(value)]).values_list("id", flat=True)
    }
    return found | {uid for uid, value in own.items() if value in ids}


def _is_uuid(text: str) -> bool:
    try:
        UUID(text)
    except ValueError:
        return False
    return True


def take_in(member: Member, text: str, zone: str, wanted: Sequence[int]) -> list[Appointment]:
    """Take chosen events of a calendar file into one's own diary, each once. Raises InvalidInput."""
    previewed = preview(member, text, zone)
    made = []
    with transaction.atomic():
        for number in dict.fromkeys(wanted):
            if not 0 <= number < len(previewed):
                continue
            one, there = previewed[number]
            if there or one.refused or one.starts_at is None:
                continue
            made.append(
                Appointment.objects.create(
                    studio_id=member.studio_id,
                    changed_by=member,
                    kind=one.kind,
                    title=one.title,
                    starts_at=one.starts_at,
                    minutes=one.minutes,
                    zone=one.zone,
                    members=[member.pk],
                    place=one.place,
                    travel=one.travel,
                    buffer=one.buffer,
                    along=one.along,
                    note=one.note,
                    rule=one.rule,
                    excepted=list(one.excepted),
                    uid=one.uid,
                )
            )
    return made
