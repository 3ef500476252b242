"""Every row belongs to a studio; every query starts from the studio of who asks."""

from __future__ import annotations

from datetime import UTC, date, datetime
from typing import TYPE_CHECKING, Any, Self

from django.db import models
from django.http import Http404

if TYPE_CHECKING:
    from studio.people.models import Member


class StudioQuerySet(models.QuerySet[Any]):
    """Rows of one studio. Use `of` first: it is the only door the API has to the rows."""

    def of(self, member: Member) -> Self:
        """Only the rows of the member's own studio."""
        return self.filter(studio_id=member.studio_id)

    def not_removed(self) -> Self:
        """Rows that were not removed."""
        return self.filter(removed_at__isnull=True)

    def get_or_404(self, **which: Any) -> Any:
        """The one row, or a 404 that does not say whether another studio has it."""
        row = self.filter(**which).first()
        if row is None:
            raise Http404
        return row

    def soft_delete(self, member: Member, **which: Any) -> None:
        """Remove one kept row of the member's studio; it can be brought back. Raises Http404."""
        row = self.of(member).not_removed().get_or_404(**which)
        self.filter(pk=row.pk).update(removed_at=datetime.now(UTC), changed_by=member)

    def restore(self, member: Member, **which: Any) -> Any:
        """Undo a removal; the row. Raises Http404."""
        row = self.of(member).get_or_404(**which)
        self.filter(pk=row.pk).update(removed_at=None)
        row.removed_at = None
        return row


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

    studio = models.ForeignKey("people.Studio", on_delete=models.CASCADE, related_name="+")
    version = models.PositiveIntegerField(default=1)
    created_at = models.DateTimeField(auto_now_add=True)
    changed_at = models.DateTimeField(auto_now=True)
    changed_by = models.ForeignKey("people.Member", null=True, on_delete=models.SET_NULL, related_name="+")
    removed_at = models.DateTimeField(null=True, blank=True)

    objects = StudioQuerySet.as_manager()

    class Meta:
        abstract = True
