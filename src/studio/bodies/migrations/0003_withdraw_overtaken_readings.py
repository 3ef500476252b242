"""Before the desk, the newest reading of a measure stood alone and an empty one withdrew it. Now the
readings of a session count together, so those overtaken then are withdrawn, and empty ones go."""

from django.db import migrations


def withdraw_overtaken(apps, schema_editor):
    Reading = apps.get_model("bodies", "Reading")
    Withdrawal = apps.get_model("bodies", "Withdrawal")
    newest = {}
    for reading in Reading.objects.select_related("session").order_by("taken_at", "id"):
        before = newest.get((reading.session.client_id, reading.measure))
        if before is not None and before.cm is not None:
            Withdrawal.objects.get_or_create(reading=before, defaults={"at": reading.taken_at})
        newest[reading.session.client_id, reading.measure] = reading
    Reading.objects.filter(cm__isnull=True).delete()


class Migration(migrations.Migration):

    dependencies = [("bodies", "0002_measuring_desk")]

    operations = [migrations.RunPython(withdraw_overtaken, migrations.RunPython.noop)]
