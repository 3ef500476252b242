"""Write the interface's OpenAPI document, as it is served at /api/openapi.json, to a file."""

from __future__ import annotations

import json
import sys
from pathlib import Path


def document() -> str:
    """The OpenAPI document as JSON."""
    import django

    django.setup()
    from studio.api import api

    return json.dumps(api.get_openapi_schema(), indent=1)


if __name__ == "__main__":
    Path(sys.argv[1]).write_text(document(), encoding="utf-8")
