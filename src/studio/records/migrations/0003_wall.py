"""The second wall: no row of another studio, whatever a query forgot."""

from typing import ClassVar

from django.db import migrations
from django.db.migrations.operations.base import Operation

from studio.wall import GRANTS, open_again, walled, walled_at_the_door

OF_A_STUDIO = (
    "people_client",
    "bodies_measuringsession",
    "bodies_reading",
    "looks_look",
    "rack_rackpiece",
    "fittings_fitting",
    "fittings_trial",
    "fittings_errand",
    "pictures_picture",
    "charts_chart",
    "records_erasure",
    "records_handedin",
)
OF_A_READING = "EXISTS (SELECT 1 FROM bodies_reading AS one WHERE one.id = reading_id)"


class Migration(migrations.Migration):
    dependencies: ClassVar[list[tuple[str, str]]] = [
        ("records", "0002_handed_in"),
        ("people", "0005_rules_by_their_ids"),
        ("bodies", "0006_sane_times"),
        ("looks", "0003_liked_rules_by_their_ids"),
        ("rack", "0001_initial"),
        ("fittings", "0002_sane_times"),
        ("pictures", "0001_pictures"),
        ("charts", "0001_charts"),
        ("sessions", "0001_initial"),
    ]
    operations: ClassVar[list[Operation]] = [
        migrations.RunSQL(GRANTS, migrations.RunSQL.noop),
        *(migrations.RunSQL(walled(table), open_again(table)) for table in OF_A_STUDIO),
        migrations.RunSQL(walled("bodies_withdrawal", OF_A_READING), open_again("bodies_withdrawal")),
        migrations.RunSQL(walled_at_the_door("people_member", "studio_id"), open_again("people_member")),
        migrations.RunSQL(walled_at_the_door("people_studio", "id"), open_again("people_studio")),
    ]
