"""Rules are known by ids of their own: what was muted under another name stays muted."""

from typing import Any

from django.db import migrations

from craft.judge.renamed import muted_now


def rename(apps: Any, schema_editor: Any) -> None:
    for studio in apps.get_model("people", "Studio").objects.exclude(muted=[]):
        studio.muted = muted_now(studio.muted)
        studio.save(update_fields=["muted"])
    for client in apps.get_model("people", "Client").objects.exclude(own_ways={}):
        if client.own_ways.get("muted"):
            client.own_ways["muted"] = muted_now(client.own_ways["muted"])
            client.save(update_fields=["own_ways"])


class Migration(migrations.Migration):
    dependencies = [("people", "0004_ways_of_ones_own")]
    operations = [migrations.RunPython(rename, migrations.RunPython.noop)]
