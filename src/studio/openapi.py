"""Write the interface's OpenAPI document, as it is served at /api/openapi.json, to a file; with
`--file`, the JSON Schema of the client file; with `--permissions`, who may do what."""

from __future__ import annotations

import json
import sys
from pathlib import Path

from craft.formats.client_file import schema


def document() -> str:
    """The OpenAPI document as JSON."""
    import django

    django.setup()
    from studio.api import api

    return json.dumps(api.get_openapi_schema(), indent=1)


def permissions() -> str:
    """Every operation by every role, as Markdown."""
    import django

    django.setup()
    from studio.permissions import table

    return table()


WRITTEN = {"--file": lambda: json.dumps(schema(), indent=1) + "\n", "--permissions": permissions}
if __name__ == "__main__":
    written = WRITTEN.get(sys.argv[1], document)()
    Path(sys.argv[-1]).write_text(written, encoding="utf-8")
