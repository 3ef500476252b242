"""Print the interface's OpenAPI document; run inside the local environment."""

from __future__ import annotations

import json
import sys


def document() -> str:
    """The OpenAPI document as it is served at /api/openapi.json."""
    import django

    django.setup()
    from studio.api import api

    return json.dumps(api.get_openapi_schema(), indent=1)


if __name__ == "__main__":
    sys.stdout.write(document())
