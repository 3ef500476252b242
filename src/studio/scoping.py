"""Every row belongs to a studio, most of them to a client; every query starts from the studio of who asks, and every
write first holds the client, so that writers and an erasure never wait for each other in a circle."""

from __future__ import annotations

from datetime import UTC, date, datetime
from typing import TYPE_CHECKING, Any, ClassVar, Self

from django.apps import apps
from django.db import models, transaction
from django.http import Http404

from studio.policy import seen_by
from studio.touched import touch

if TYPE_CHECKING:
    from studio.people.models import Client, Member


#: Where PostgreSQL is told whose request it is (studio.wall).
SETTING = "basilwood.studio"


class StudioQuerySet(models.QuerySet[Any]):
    """Rows of one studio. Use `of` first: it is the only door the API has to the rows."""

    def of(self, member: Member) -> Self:
        """Only the rows of the member's own studio, and of clients who are open to them."""
        rows = self.filter(studio_id=member.studio_id)
        path = getattr(self.model, "client_path", "")
        if not path and self.model._meta.label != "people.Client":
            return rows
        open_to = seen_by(member, path)
        return rows if open_to is None else rows.filter(open_to)

    def of_kept_clients(self) -> Self:
        """Rows whose client was not removed; rows of no client all the same."""
        path = getattr(self.model, "client_path", "")
        return self.filter(**{f"{path}__removed_at": None}) if path else self

    def not_removed(self) -> Self:
        """Rows that were not removed, nor their client."""
        return self.filter(removed_at__isnull=True).of_kept_clients()

    def get_or_404(self, **which: Any) -> Any:
        """The one row, or a 404 that does not say whether another studio has it."""
        # In no order: to put one row in order takes as long as to ask for it.
        row = next(iter(self.filter(**which).order_by()[:1]), None)
        if row is None:
            raise Http404
        touch(row)
        return row

    def locked_or_404(self, **which: Any) -> Any:
        """The one row, held for this transaction; its client is held first. Raises Http404."""
        self._hold_client(**which)
        return self.select_for_update(of=("self",), no_key=True).get_or_404(**which)

    def _hold_client(self, **which: Any) -> None:
        path = getattr(self.model, "client_path", "")
        held = self.filter(**which).values_list(f"{path}_id", flat=True).first() if path else None
        if held is not None:
            hold_client(held)

    def soft_delete(self, member: Member, **which: Any) -> None:
        """Remove one kept row of the member's studio; it can be brought back. Raises Http404."""
        with transaction.atomic():
            row = self.of(member).not_removed().locked_or_404(**which)
            self.filter(pk=row.pk).update(removed_at=datetime.now(UTC), changed_by=member)

    def restore(self, member: Member, **which: Any) -> Any:
        """Undo a removal; the row. Raises Http404."""
        with transaction.atomic():
            row = self.of(member).of_kept_clients().locked_or_404(**which)
            self.filter(pk=row.pk).update(removed_at=None)
        row.removed_at = None
        return row


def hold_client(client_id: Any) -> Client:
    """Hold a client until this transaction ends: the first lock of every write to anything of theirs. Others read on and
    other clients' writers go on; an erasure waits, and what comes after it finds nobody. Raises Http404."""
    rows: Any = apps.get_model("people", "Client")._default_manager
    held: Client | None = rows.filter(pk=client_id).select_for_update(of=("self",), no_key=True).first()
    if held is None:
        raise Http404
    touch(held)
    return held


#: From when and until when something that a studio keeps can have happened or be due.
WINDOW = (datetime(1950, 1, 1, tzinfo=UTC), datetime(2200, 1, 1, tzinfo=UTC))


def within_window(*times: str, days: tuple[str, ...] = ()) -> list[models.BaseConstraint]:
    """Constraints that hold times and days within what a studio can mean: what slips past every door is refused here."""
    ends: dict[str, tuple[date, date]] = dict.fromkeys(times, WINDOW)
    ends |= {day: (WINDOW[0].date(), WINDOW[1].date()) for day in days}
    return [
        models.CheckConstraint(
            condition=models.Q(**{f"{field}__isnull": True})
            | models.Q(**{f"{field}__gte": first, f"{field}__lt": last}),
            name=f"%(app_label)s_%(class)s_{field}_window",
        )
        for field, (first, last) in ends.items()
    ]


class StudioRow(models.Model):
    """A row of a studio, with a version for optimistic concurrency and a removal that can be undone."""

    #: How a row leads to its client; empty where it is nobody's in particular.
    client_path: ClassVar[str] = "client"
    studio = models.ForeignKey("people.Studio", on_delete=models.CASCADE, related_name="+")
    version = models.PositiveIntegerField(default=1)
    created_at = models.DateTimeField(auto_now_add=True)
    changed_at = models.DateTimeField(auto_now=True)
    changed_by = models.ForeignKey("people.Member", null=True, on_delete=models.SET_NULL, related_name="+")
    removed_at = models.DateTimeField(null=True, blank=True)

    objects = StudioQuerySet.as_manager()

    class Meta:
        abstract = True
