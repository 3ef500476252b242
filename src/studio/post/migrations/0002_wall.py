"""The second wall for letters on their way. A worker, and who signs in, is of no studio and sees all, sealed as they are; letters
about accounts are of none."""

from typing import ClassVar

from django.db import migrations
from django.db.migrations.operations.base import Operation

from studio.wall import OURS, open_again, walled


class Migration(migrations.Migration):
    dependencies: ClassVar[list[tuple[str, str]]] = [("post", "0001_post"), ("records", "0003_wall")]
    operations: ClassVar[list[Operation]] = [
        migrations.RunSQL(
            walled("post_outgoing", f"{OURS} IS NULL OR studio_id IS NULL OR studio_id = {OURS}"),
            open_again("post_outgoing"),
        ),
    ]
