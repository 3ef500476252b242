"""Letters to clients: written through Django's mail, so that a real server is a setting; put into the post, and kept as they were sent."""

from __future__ import annotations

from typing import Any
from uuid import UUID

from django.conf import settings
from django.core.mail import EmailMultiAlternatives
from django.db import transaction

from craft.errors import InvalidInput
from studio.concurrency import hold, keep_once
from studio.errors import NoPost
from studio.handover.models import Book, Letter
from studio.people.known import client_of
from studio.people.models import Client, Member
from studio.post.services import put, stop, try_again

GONE = "The letter has gone already."
NOT_POSTED = "This letter was only written, to be taken away as a file."
NONE_SET = "No mail server is set here. Take the letter away as a file and send it yourself."


def written(
    member: Member, client: Client, to: str, subject: str, text: str, book: Book | None
) -> EmailMultiAlternatives:
    """A letter, with the book if it goes along. The stylist is whom an answer reaches."""
    letter = EmailMultiAlternatives(subject, text, settings.DEFAULT_FROM_EMAIL, [to], reply_to=[member.email])
    if book is not None:
        letter.attach("outfits.pdf", bytes(book.pdf), "application/pdf")
    return letter


def send(
    member: Member, client_id: Any, letter_id: UUID, to: str, subject: str, text: str, *, with_book: bool, send_it: bool
) -> Letter:
    """Write a letter and keep it; put it into the post, or only lay it ready to be taken away. Raises Http404 or NoPost."""
    with transaction.atomic():
        client = hold(member, client_id)
        book = Book.objects.filter(client=client, layout="week").order_by("-created_at").first() if with_book else None
        letter = written(member, client, to, subject, text, book)
        held = Letter.objects.filter(id=letter_id).exists()
        kept = keep_once(
            Letter, member, letter_id, {"client_id": client.id}, to=to, subject=subject,
            message=letter.message().as_string(),
        )  # fmt: skip
        if send_it and not held:
            if not settings.EMAIL_HOST:
                raise NoPost(NONE_SET)
            kept.outgoing = put(letter, studio=client.studio, client=client)
            kept.save(update_fields=["outgoing"])
        return kept


def letters_of(member: Member, client_id: Any) -> list[Letter]:
    """The letters to a client, the last first. Raises Http404."""
    client = client_of(member, client_id)
    return list(Letter.objects.filter(client=client, removed_at=None).select_related("outgoing").defer("message"))


def post_again(member: Member, letter_id: UUID, *, go: bool) -> Letter:
    """Send a letter that has not gone, now; or take it out of the post. Raises Http404 or InvalidInput."""
    with transaction.atomic():
        row: Letter = Letter.objects.of(member).not_removed().locked_or_404(id=letter_id)
        if row.outgoing is None:
            raise InvalidInput(NOT_POSTED, "letter")
        if go:
            try_again(row.outgoing)
        elif not stop(row.outgoing):
            raise InvalidInput(GONE, "letter")
        row.outgoing.refresh_from_db()
    return row
