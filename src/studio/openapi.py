"""Write the interface's OpenAPI document, as it is served at /api/openapi.json, to a file; with
`--file`, the JSON Schema of the client file."""

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


if __name__ == "__main__":
    written = json.dumps(schema(), indent=1) + "\n" if sys.argv[1] == "--file" else document()
    Path(sys.argv[-1]).write_text(written, encoding="utf-8")
