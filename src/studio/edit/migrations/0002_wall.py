"""The second wall for what is kept of edits."""

from typing import ClassVar

from django.db import migrations
from django.db.migrations.operations.base import Operation

from studio.wall import open_again, walled


class Migration(migrations.Migration):
    dependencies: ClassVar[list[tuple[str, str]]] = [("edit", "0001_edit"), ("records", "0003_wall")]
    operations: ClassVar[list[Operation]] = [
        migrations.RunSQL(walled(table), open_again(table)) for table in ("edit_sorted", "edit_kitpiece", "edit_tobuy")
    ]
