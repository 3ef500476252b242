"""The second wall for what is handed over. A link is seen by its own studio, and, before anybody is known, by whoever tells the
database its hash."""

from typing import ClassVar

from django.db import migrations
from django.db.migrations.operations.base import Operation

from studio.wall import ASKED, OURS, open_again, walled


class Migration(migrations.Migration):
    dependencies: ClassVar[list[tuple[str, str]]] = [("handover", "0001_handover"), ("records", "0003_wall")]
    operations: ClassVar[list[Operation]] = [
        *(
            migrations.RunSQL(walled(table), open_again(table))
            for table in ("handover_outfitcard", "handover_opening", "handover_said", "handover_book", "handover_letter")
        ),
        migrations.RunSQL(
            walled("handover_share", f"studio_id = {OURS} OR token_hash = {ASKED}"), open_again("handover_share")
        ),
        # Who knocks is nobody yet.
        migrations.RunSQL(walled("handover_knock", f"{OURS} IS NULL"), open_again("handover_knock")),
    ]
