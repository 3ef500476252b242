"""The record of who saw what is added to and never changed: the database refuses, whoever asks."""

from typing import ClassVar

from django.db import migrations
from django.db.migrations.operations.base import Operation

from studio.wall import SERVING, open_again, walled

APPEND_ONLY = f"""
CREATE FUNCTION audit_refuses() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'The record of who saw what is only ever added to.' USING ERRCODE = 'insufficient_privilege';
END $$;
CREATE TRIGGER audit_append_only BEFORE UPDATE OR DELETE ON audit_entry
FOR EACH ROW EXECUTE FUNCTION audit_refuses();
REVOKE UPDATE, DELETE, TRUNCATE ON audit_entry FROM {SERVING};
"""
CHANGEABLE = f"""
DROP TRIGGER audit_append_only ON audit_entry;
DROP FUNCTION audit_refuses();
GRANT UPDATE, DELETE ON audit_entry TO {SERVING};
"""


class Migration(migrations.Migration):
    dependencies: ClassVar[list[tuple[str, str]]] = [("audit", "0001_audit"), ("records", "0003_wall")]
    operations: ClassVar[list[Operation]] = [
        migrations.RunSQL(APPEND_ONLY, CHANGEABLE),
        migrations.RunSQL(walled("audit_entry"), open_again("audit_entry")),
    ]
