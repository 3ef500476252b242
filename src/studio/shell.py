"""The one page of the application: the built front end's shell."""

from __future__ import annotations

import base64
import hashlib
import re
from pathlib import Path

_INLINE = re.compile(r"<script(?![^>]*\bsrc=)[^>]*>(.*?)</script>", re.DOTALL)


def inline_script_hashes(page: Path) -> list[str]:
    """Policy entries for the scripts that the build wrote into the page, and for no others."""
    try:
        html = page.read_text(encoding="utf-8")
    except FileNotFoundError:
        return []
    digests = (hashlib.sha256(script.encode()).digest() for script in _INLINE.findall(html))
    return [f"'sha256-{base64.b64encode(digest).decode()}'" for digest in digests]
