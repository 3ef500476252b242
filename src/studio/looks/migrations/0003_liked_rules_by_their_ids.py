"""A rule that was parted in two is liked all the same in both."""

from typing import Any

from django.db import migrations

from craft.judge.renamed import liked_now


def rename(apps: Any, schema_editor: Any) -> None:
    for look in apps.get_model("looks", "Look").objects.exclude(facts={}):
        liked = look.facts.get("liked")
        if liked:
            now = [{**one, "rule": rule} for one in liked for rule in liked_now([one["rule"]])]
            look.facts["liked"] = list({one["rule"]: one for one in now}.values())
            look.save(update_fields=["facts"])


class Migration(migrations.Migration):
    dependencies = [("looks", "0002_known_of_a_look")]
    operations = [migrations.RunPython(rename, migrations.RunPython.noop)]
