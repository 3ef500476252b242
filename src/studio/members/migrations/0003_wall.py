"""The second wall around accounts, members and invitations; and what earlier sign-ins counted with is gone."""

from typing import ClassVar

from django.db import migrations
from django.db.migrations.operations.base import Operation

from studio.wall import ASKED, OURS, open_again, walled, walled_at_the_desk, walled_by_account

#: Tables of accounts, and the column that leads to the account.
OF_ACCOUNTS = {
    "members_account": "id",
    "account_emailaddress": "user_id",
    "mfa_authenticator": "user_id",
    "usersessions_usersession": "user_id",
}
#: What sign-in counts, where every server counts the same (Django's cache in the database).
COUNTED = """
CREATE TABLE IF NOT EXISTS members_counted (
  cache_key varchar(255) NOT NULL PRIMARY KEY, value text NOT NULL, expires timestamptz NOT NULL
);
CREATE INDEX IF NOT EXISTS members_counted_expires ON members_counted (expires);
DROP TABLE IF EXISTS axes_accessattemptexpiration, axes_accessattempt, axes_accesslog, axes_accessfailurelog;
DELETE FROM django_migrations WHERE app = 'axes';
DELETE FROM django_session;
"""


class Migration(migrations.Migration):
    dependencies: ClassVar[list[tuple[str, str]]] = [
        ("members", "0002_members"),
        ("people", "0006_accounts_and_roles"),
        ("records", "0003_wall"),
        ("account", "0009_emailaddress_unique_primary_email"),
        ("mfa", "0003_authenticator_type_uniq"),
        ("usersessions", "0001_initial"),
        ("sessions", "0001_initial"),
    ]
    operations: ClassVar[list[Operation]] = [
        migrations.RunSQL(COUNTED, "DROP TABLE members_counted"),
        *(
            migrations.RunSQL(walled_by_account(table, column), open_again(table))
            for table, column in OF_ACCOUNTS.items()
        ),
        migrations.RunSQL(
            walled("members_invitation", f"studio_id = {OURS} OR token_hash = {ASKED}"),
            open_again("members_invitation"),
        ),
        migrations.RunSQL(walled("members_assignment"), open_again("members_assignment")),
        migrations.RunSQL(
            walled_at_the_desk("people_member", "studio_id"),
            "DROP POLICY IF EXISTS own_studio_added ON people_member",
        ),
    ]
