"""The verbs of pictures: take one in, show it, take it away."""

from __future__ import annotations

import io
import re
import zipfile
from typing import Any
from uuid import UUID

from django.db import connection

from studio.concurrency import hold, keep_once
from studio.errors import NotAPicture
from studio.fittings.models import Trial
from studio.people.known import client_of
from studio.people.models import Member
from studio.pictures.darkroom import develop
from studio.pictures.harmless import Harmless
from studio.pictures.models import Picture
from studio.rack.models import RackPiece
from studio.wall import transaction_of

#: So many pictures of one piece or trial are kept.
MOST_OF_ONE = 12


def add_to_piece(member: Member, piece_id: Any, picture_id: UUID, given: bytes) -> Picture:
    """Keep a picture of a piece of the rack; the same one sent twice is kept once. Raises NotAPicture."""
    with transaction_of(member):
        row = _piece(member, piece_id)
        held = _kept(member, picture_id)
    made = None if held else _developed(given)
    with transaction_of(member):
        return _keep(member, picture_id, made, client_id=row.client_id, piece_id=row.id)


def add_to_trial(member: Member, trial_id: Any, picture_id: UUID, given: bytes) -> Picture:
    """Keep a picture of a piece as it was tried on. Raises NotAPicture."""
    with transaction_of(member):
        trial = _trial(member, trial_id)
        held = _kept(member, picture_id)
    made = None if held else _developed(given)
    with transaction_of(member):
        return _keep(member, picture_id, made, client_id=trial.fitting.client_id, trial_id=trial.id)


def _kept(member: Member, picture_id: UUID) -> bool:
    return bool(Picture.objects.of(member).filter(id=picture_id).exists())


def _developed(given: bytes) -> Harmless:
    """Made harmless, which takes a while: no transaction is open and no connection taken from others meanwhile."""
    if not connection.in_atomic_block:
        connection.close()
    return develop(given)


def _keep(member: Member, picture_id: UUID, made: Harmless | None, **whose: Any) -> Picture:
    """Counted and kept in one go; one that was there before is answered as it is."""
    hold(member, whose["client_id"])
    if made is None:
        return keep_once(Picture, member, picture_id, whose)
    kept = Picture.objects.of(member).not_removed().filter(**whose).exclude(id=picture_id)
    if kept.count() >= MOST_OF_ONE:
        raise NotAPicture(f"{MOST_OF_ONE} pictures of one piece are kept at most. Take one away first.")
    palette = [list(colour) for colour in made.palette]
    bare = {"image": made.image, "small": made.small, "width": made.width, "height": made.height}
    return keep_once(Picture, member, picture_id, whose, **bare, palette=palette)


def shown(member: Member, picture_id: Any, *, small: bool) -> bytes:
    """A picture's bytes, JPEG."""
    part = "small" if small else "image"
    row = Picture.objects.of(member).not_removed().only(part).get_or_404(id=picture_id)
    return bytes(getattr(row, part))


def seen_by(member: Member, picture_id: Any) -> None:
    """Whether a member may see a picture at all. Raises Http404."""
    Picture.objects.of(member).not_removed().only("id").get_or_404(id=picture_id)


def of_piece(member: Member, piece_id: Any) -> list[Picture]:
    """The pictures of a piece of the rack, without their bytes."""
    return _listed(member, piece=_piece(member, piece_id))


def of_trial(member: Member, trial_id: Any) -> list[Picture]:
    """The pictures of a piece as it was tried on, without their bytes."""
    return _listed(member, trial=_trial(member, trial_id))


def _listed(member: Member, **of: Any) -> list[Picture]:
    return list(Picture.objects.of(member).not_removed().filter(**of).defer("image", "small"))


def first_of_pieces(member: Member, client_id: Any) -> dict[Any, Any]:
    """The first picture of each piece of a client's rack, by the piece."""
    rows = Picture.objects.of(member).not_removed().filter(client_id=client_id, piece__isnull=False)
    newest_first = rows.order_by("-created_at", "-id").values_list("piece_id", "id")
    return dict(newest_first)


def _piece(member: Member, piece_id: Any) -> RackPiece:
    row: RackPiece = RackPiece.objects.of(member).not_removed().get_or_404(id=piece_id)
    return row


def _trial(member: Member, trial_id: Any) -> Trial:
    rows = Trial.objects.of(member).not_removed().select_related("fitting")
    row: Trial = rows.get_or_404(id=trial_id)
    return row


def remove(member: Member, picture_id: Any) -> None:
    """Take a picture away; it can be brought back."""
    Picture.objects.defer("image", "small").soft_delete(member, id=picture_id)


def restore(member: Member, picture_id: Any) -> Picture:
    """Undo a removal."""
    rows = Picture.objects.defer("image", "small")
    row: Picture = rows.restore(member, id=picture_id)
    return row


def archive(member: Member, client_id: Any) -> bytes:
    """All of a client's pictures as a ZIP file, each named for its piece."""
    client = client_of(member, client_id)
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_STORED) as file:
        rows = Picture.objects.of(member).not_removed().filter(client=client).select_related("piece", "trial")
        for number, row in enumerate(rows.iterator(chunk_size=20), start=1):
            file.writestr(f"{number:03d}-{_named(row)}.jpg", bytes(row.image))
    return out.getvalue()


def _named(row: Picture) -> str:
    of = row.trial.title if row.trial else (row.piece.name or str(row.piece.piece.get("is", ""))) if row.piece else ""
    return re.sub(r"[^\w-]+", "-", of.lower())[:60].strip("-") or "picture"
