"""Members become what an account is in a studio. Every member keeps address and password in an account of the same number; the
first of a studio is its owner, the others are stylists."""

import uuid
from typing import Any, ClassVar

import django.db.models.deletion
from django.db import migrations, models
from django.db.migrations.operations.base import Operation
from django.db.models import F, Min, OuterRef, Subquery

ROLES = [(role, role) for role in ("owner", "stylist", "apprentice", "front_desk")]


def part(apps: Any, schema_editor: Any) -> None:
    """An account and a confirmed address for every member there is."""
    accounts, members = apps.get_model("members", "Account"), apps.get_model("people", "Member")
    addresses = apps.get_model("account", "EmailAddress")
    for member in members.objects.order_by("id"):
        held = {name: getattr(member, name) for name in ("email", "password", "last_login", "is_active")}
        account = accounts.objects.create(id=member.pk, **held)
        addresses.objects.create(user=account, email=member.email, verified=True, primary=True)
    members.objects.update(account_id=F("id"))
    first = members.objects.filter(studio=OuterRef("studio")).values("studio").annotate(first=Min("id")).values("first")
    members.objects.filter(id=Subquery(first)).update(role="owner")
    # What is deferred is settled now: a table with checks still to come cannot be altered.
    schema_editor.execute("SET CONSTRAINTS ALL IMMEDIATE")
    schema_editor.execute(
        "SELECT setval(pg_get_serial_sequence('members_account', 'id'), GREATEST((SELECT max(id) FROM members_account), 1))"
    )


def name_subjects(apps: Any, schema_editor: Any) -> None:
    """Each client its own: one default would be every row's."""
    schema_editor.execute("UPDATE people_client SET subject = gen_random_uuid()")


class Migration(migrations.Migration):
    dependencies: ClassVar[list[tuple[str, str]]] = [
        ("people", "0005_rules_by_their_ids"),
        ("members", "0001_accounts"),
        ("account", "0009_emailaddress_unique_primary_email"),
        ("records", "0003_wall"),
    ]
    operations: ClassVar[list[Operation]] = [
        migrations.AddField(
            "member",
            "account",
            models.ForeignKey(
                null=True,
                on_delete=django.db.models.deletion.CASCADE,
                related_name="members",
                to="members.account",
            ),
        ),
        migrations.AddField(
            "member", "role", models.CharField(choices=ROLES, default="stylist", max_length=12), preserve_default=True
        ),
        migrations.RunPython(part),
        migrations.AlterField(
            "member",
            "account",
            models.ForeignKey(
                on_delete=django.db.models.deletion.CASCADE, related_name="members", to="members.account"
            ),
        ),
        migrations.RemoveField("member", "email"),
        migrations.RemoveField("member", "password"),
        migrations.RemoveField("member", "last_login"),
        migrations.AddConstraint(
            "member", models.UniqueConstraint(fields=["studio", "account"], name="people_member_once")
        ),
        migrations.AddField("studio", "second_factor", models.BooleanField(default=False)),
        migrations.AddField("studio", "keep_years", models.PositiveSmallIntegerField(default=3)),
        migrations.AddField("client", "reach", models.JSONField(blank=True, default=dict)),
        migrations.AddField("client", "restricted", models.BooleanField(default=False)),
        migrations.AddField("client", "subject", models.UUIDField(default=uuid.uuid4, editable=False)),
        migrations.RunPython(name_subjects),
        migrations.AlterField("client", "subject", models.UUIDField(default=uuid.uuid4, editable=False, unique=True)),
    ]
