"""The second wall around confirmations: those of a reading of the own studio."""

from typing import ClassVar

from django.db import migrations
from django.db.migrations.operations.base import Operation

from studio.wall import open_again, walled

OF_A_READING = "EXISTS (SELECT 1 FROM bodies_reading AS one WHERE one.id = reading_id)"


class Migration(migrations.Migration):
    dependencies: ClassVar[list[tuple[str, str]]] = [("bodies", "0007_second_eyes"), ("records", "0003_wall")]
    operations: ClassVar[list[Operation]] = [
        migrations.RunSQL(walled("bodies_confirmation", OF_A_READING), open_again("bodies_confirmation"))
    ]
