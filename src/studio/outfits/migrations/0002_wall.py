"""The second wall for searches, and the queue's rights for the role that serves."""

from typing import ClassVar

from django.db import migrations
from django.db.migrations.operations.base import Operation

from studio.wall import GRANTS, open_again, walled


class Migration(migrations.Migration):
    dependencies: ClassVar[list[tuple[str, str]]] = [
        ("outfits", "0001_outfits"),
        ("records", "0003_wall"),
        ("procrastinate", "__first__"),
    ]
    operations: ClassVar[list[Operation]] = [
        # The queue's tables hold the ids of searches and nothing of a client: they are not walled.
        migrations.RunSQL(GRANTS, migrations.RunSQL.noop),
        *(
            migrations.RunSQL(walled(table), open_again(table))
            for table in ("outfits_outfitsearch", "outfits_apart")
        ),
    ]
