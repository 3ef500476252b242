"""The second wall for plans and what was worn."""

from typing import ClassVar

from django.db import migrations
from django.db.migrations.operations.base import Operation

from studio.wall import open_again, walled


class Migration(migrations.Migration):
    dependencies: ClassVar[list[tuple[str, str]]] = [("plan", "0001_plan"), ("records", "0003_wall")]
    operations: ClassVar[list[Operation]] = [
        migrations.RunSQL(walled(table), open_again(table)) for table in ("plan_plan", "plan_worn")
    ]
