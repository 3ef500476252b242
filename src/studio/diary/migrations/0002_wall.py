"""The second wall for the diary. A feed is seen by its own studio, and, before anybody is known, by whoever tells the database its
hash."""

from typing import ClassVar

from django.db import migrations
from django.db.migrations.operations.base import Operation

from studio.wall import ASKED, OURS, open_again, walled


class Migration(migrations.Migration):
    dependencies: ClassVar[list[tuple[str, str]]] = [("diary", "0001_diary"), ("records", "0003_wall")]
    operations: ClassVar[list[Operation]] = [
        migrations.RunSQL(walled("diary_appointment"), open_again("diary_appointment")),
        migrations.RunSQL(walled("diary_feed", f"studio_id = {OURS} OR token_hash = {ASKED}"), open_again("diary_feed")),
    ]
