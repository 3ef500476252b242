"""The verbs of the rack: hang a piece, change it, hang another like it, take it off, land all of it."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Any, NamedTuple
from uuid import UUID

from django.db import transaction

from craft.body import Body
from craft.cloth import Piece
from craft.cloth.maker import Made, Taken, find_maker, find_size, taken_from
from craft.cloth.quick import Entry, read_entry, read_like
from craft.errors import InvalidInput
from craft.fit import Landed
from craft.formats.rack_csv import PieceTable, read_pieces, write_pieces
from craft.formats.rack_form import Facts, FiledPiece
from craft.units import Unit
from studio.concurrency import hold, keep_once, write
from studio.people.known import client_of
from studio.people.models import Client, Member
from studio.rack.models import RackPiece
from studio.records.handed_in import not_again, note, said_before
from studio.shopping.services import Shopper, land_on, shopper_of
from studio.stored import PieceRow, stored, stored_piece


def hang_line(member: Member, client_id: Any, line: str, piece_id: UUID) -> RackPiece:
    """Hang a piece said in one line; handing the same one in twice hangs it once. What is not understood is kept as a note.

    Raises NotUnderstood, UnknownWord or Http404; then nothing is written.
    """
    with transaction.atomic():
        rest, found = _facts_said(line, _made(member, client_id))
        read = _with_facts(read_entry(rest, member.studio.unit), found)
        return _hang(member, client_id, piece_id, read.piece, read.kept)


class Brought(NamedTuple):
    """What became of a line: the piece that hangs and what was taken from others of its maker; or why it cannot be read."""

    line_id: UUID
    row: RackPiece | None
    taken: tuple[str, ...] = ()
    refused: str = ""


def hang_lines(member: Member, client_id: Any, lines: list[tuple[UUID, str]]) -> list[Brought]:
    """Hang many pieces, a line each. “Like the last one in navy” is the piece of the line before, or the newest that hangs, in
    another colour; a piece of a maker of whom others hang takes what is not said from those. Raises Http404."""
    found: list[Brought] = []
    with transaction.atomic():
        made = _made(member, client_id)
        newest = RackPiece.objects.of(member).not_removed().filter(client_id=client_id).last()
        last = stored_piece(PieceRow(newest.id, newest.version, newest.piece)) if newest else None
        for line_id, line in lines:
            try:
                rest, said = _facts_said(line, made)
                like = read_like(rest, last, member.studio.unit)
                read = _with_facts(like or read_entry(rest, member.studio.unit), said, taking=not like)
            except InvalidInput as error:
                found.append(Brought(line_id, None, refused=str(error)))
                continue
            row = _hang(member, client_id, line_id, read.piece, read.kept)
            found.append(Brought(line_id, row, read.taken))
            last = read.piece
            made.append(Made(read.piece, read.facts.maker, read.facts.label_size))
    return found


class _Read(NamedTuple):
    piece: Piece
    facts: Facts
    taken: tuple[str, ...]

    @property
    def kept(self) -> dict[str, Any]:
        return self.facts.model_dump(mode="json", exclude_defaults=True)


class _Said(NamedTuple):
    """What a line says besides the piece: maker and size; and what else hangs of makers."""

    maker: str
    size: str
    made: list[Made]


def _facts_said(line: str, made: list[Made]) -> tuple[str, _Said]:
    maker, rest = find_maker(line, (one.maker for one in made))
    size, rest = find_size(rest)
    return rest, _Said(maker, size, made)


def _with_facts(entry: Entry, of: _Said, *, taking: bool = True) -> _Read:
    """A piece with its facts; what is not said is taken from others of the maker, but where it is said to be like another."""
    taken = taken_from(entry.piece, of.maker, of.made) if of.maker and taking else Taken(entry.piece, "", ())
    note = f"Ask: {entry.note}" if entry.note else ""
    facts = Facts(note=note, maker=of.maker, label_size=of.size or taken.label_size)
    words = taken.words if of.size or not taken.label_size else (f"size {taken.label_size}", *taken.words)
    return _Read(taken.piece, facts, words)


def _made(member: Member, client_id: Any) -> list[Made]:
    """What hangs already and names its maker, in the order in which it was hung. Raises Http404."""
    client = hold(member, client_id)
    rows = RackPiece.objects.of(member).not_removed().filter(client=client, facts__maker__gt="")
    found = []
    for row in rows:
        piece, facts = stored_piece(PieceRow(row.id, row.version, row.piece)), stored(Facts, row.facts)
        if piece is not None:
            found.append(Made(piece, facts.maker, facts.label_size))
    return found


def hang_piece(member: Member, client_id: Any, piece_id: UUID, piece: dict[str, Any], facts: Facts) -> RackPiece:
    """Hang a piece of a shop or a chart; handing the same one in twice hangs it once. Raises UnknownWord."""
    return _hang(member, client_id, piece_id, Piece.of(piece), facts.model_dump(mode="json"))


def _hang(member: Member, client_id: Any, piece_id: UUID, piece: Piece, facts: dict[str, Any]) -> RackPiece:
    with transaction.atomic():
        client = hold(member, client_id)
        whose = {"client_id": client.id}
        return keep_once(RackPiece, member, piece_id, whose, piece=piece.described(), facts=facts)


def change(member: Member, piece_id: Any, version: int, **changes: Any) -> RackPiece:
    """Change a piece that is still at `version`; raises Stale or UnknownWord."""
    if "piece" in changes:
        changes["piece"] = Piece.of(changes["piece"]).described()
    return write(RackPiece, member, piece_id, version, **changes)


def copy(member: Member, piece_id: Any) -> RackPiece:
    """Hang another like it."""
    with transaction.atomic():
        held: RackPiece = RackPiece.objects.of(member).not_removed().locked_or_404(id=piece_id)
        return RackPiece.objects.create(
            studio_id=member.studio_id,
            client_id=held.client_id,
            name=held.name,
            piece=held.piece,
            facts=held.facts,
            changed_by=member,
        )


def remove(member: Member, piece_id: Any) -> None:
    """Take a piece off the rack; it can be brought back."""
    RackPiece.objects.soft_delete(member, id=piece_id)


def restore(member: Member, piece_id: Any) -> RackPiece:
    """Undo a removal."""
    held: RackPiece = RackPiece.objects.restore(member, id=piece_id)
    return held


def filed(row: RackPiece) -> FiledPiece:
    """A piece as it is filed and tabled."""
    return FiledPiece(name=row.name, piece=row.piece, facts=stored(Facts, row.facts))


def hang_filed(member: Member, client: Client, pieces: Iterable[FiledPiece]) -> list[RackPiece]:
    """Hang pieces from a file or a table, in their order."""
    rows = [
        RackPiece(
            studio_id=member.studio_id,
            client=client,
            name=one.name,
            piece=one.piece,
            facts=one.facts.model_dump(mode="json"),
            changed_by=member,
        )
        for one in pieces
    ]
    for row in rows:
        # One by one: the order they hang in is the order they were made in.
        row.save()
    return rows


def table_of(member: Member, client_id: Any, unit: Unit) -> str:
    """A client's rack as a table."""
    client = client_of(member, client_id)
    return write_pieces((filed(row) for row in RackPiece.objects.of(member).not_removed().filter(client=client)), unit)


def preview_table(member: Member, client_id: Any, text: str) -> tuple[PieceTable, str]:
    """What a table would hang, and whether the same was hung before; nothing is written. Raises NotATable."""
    client = client_of(member, client_id)
    table = read_pieces(text)
    return table, said_before(member, "rack", _hung_from(table), client)


def _hung_from(table: PieceTable) -> str:
    """What a table hangs, as one text: the same for a table that was saved anew."""
    return "\n".join(row.filed.model_dump_json() for row in table.rows)


def keep_table(member: Member, client_id: Any, text: str, *, again: bool = False) -> int:
    """Hang a table's good rows; how many. Raises Again."""
    table = read_pieces(text)
    with transaction.atomic():
        client = hold(member, client_id)
        not_again(member, "rack", _hung_from(table), again, client)
        if table.rows:
            note(member, client, "rack", _hung_from(table))
        return len(hang_filed(member, client, (row.filed for row in table.rows)))


class ShownRow(NamedTuple):
    """What is read of a row to show it on a rack: of three hundred, the rest would be read and looked at by nobody."""

    id: UUID
    version: int
    name: str
    piece: dict[str, Any]
    facts: dict[str, Any]


@dataclass(frozen=True)
class LandedRack:
    """A rack on a body: each piece that can be read with its landing, and those that cannot."""

    shopper: Shopper
    hanging: list[tuple[ShownRow, Landed]]
    unreadable: list[ShownRow]


def landed_rack(member: Member, client_id: Any, heel: float) -> LandedRack:
    """Every piece of a client's rack, each landed on their body in a heel of so many cm."""
    shopper = shopper_of(member, client_id)
    rows = RackPiece.objects.of(member).not_removed().filter(client_id=client_id)
    found = LandedRack(shopper, [], [])
    for row in map(ShownRow._make, rows.values_list(*ShownRow._fields)):
        piece = stored_piece(PieceRow(row.id, row.version, row.piece))
        if piece is None:
            found.unreadable.append(row)
        else:
            found.hanging.append((row, land_on(shopper, piece, heel)))
    return found


def rack_page(member: Member, client_id: Any, first: int, count: int) -> tuple[Body, list[tuple[UUID, Piece]]]:
    """Whose rack it is, and so many rows of it from one on, in the order of the rack: those that can be read."""
    body = shopper_of(member, client_id).body
    held = RackPiece.objects.of(member).not_removed().filter(client_id=client_id).only("version", "piece")
    rows = held[first : first + count]
    read = ((row.id, stored_piece(PieceRow(row.id, row.version, row.piece))) for row in rows)
    return body, [(row_id, piece) for row_id, piece in read if piece is not None]


def landed_piece(member: Member, piece_id: Any, heel: float) -> tuple[Shopper, RackPiece, Landed]:
    """One piece, landed."""
    row: RackPiece = RackPiece.objects.of(member).not_removed().get_or_404(id=piece_id)
    shopper = shopper_of(member, row.client_id)
    return shopper, row, land_on(shopper, Piece.of(row.piece), heel)
