"""Paper: pages laid out as PDF from templates, with the application's own fonts and nothing fetched from anywhere."""

from __future__ import annotations

import re
from base64 import b64encode
from collections.abc import Mapping
from functools import lru_cache
from io import BytesIO
from pathlib import Path
from typing import TYPE_CHECKING, Any

from django.template import Context, Engine

from studio.settings import ROOT, WEB_BUILD

if TYPE_CHECKING:
    from weasyprint.document import Document

_APPS = ("shopping", "handover", "plan")
_TEMPLATES = Engine(dirs=[str(ROOT / "src" / "studio" / app / "templates") for app in _APPS], autoescape=True)
#: Where the styles' fonts are built to, and what they are called on a sheet.
_FACES = {"Basil Sans": "source-sans-3-latin-wght-normal*.woff2", "Basil Book": "literata-latin-wght-normal*.woff2"}
#: A picture of a page is so many dots an inch.
DPI = 200


@lru_cache(maxsize=1)
def font_files() -> tuple[tuple[str, Path], ...]:
    """The fonts that the built front end ships with, by what they are called."""
    assets = WEB_BUILD / "_app" / "immutable" / "assets"
    return tuple((family, path) for family, name in _FACES.items() for path in sorted(assets.glob(name))[:1])


def rendered(template: str, told: Mapping[str, Any]) -> str:
    """A template with what it tells."""
    return _TEMPLATES.get_template(template).render(Context(dict(told)))


def laid_out(template: str, told: Mapping[str, Any]) -> Document:
    """A template as pages; `faces` are added to what it tells."""
    # Read here: it takes a second to load, and most processes lay nothing out.
    from weasyprint import HTML
    from weasyprint.urls import URLFetcher

    faces = [{"family": family, "url": path.as_uri()} for family, path in font_files()]
    page = _PICTURE.sub(_image, rendered(template, {"faces": faces, **told}))
    return HTML(string=page, url_fetcher=URLFetcher(allowed_protocols=("file", "data"))).render()


#: A drawn picture within a page.
_PICTURE = re.compile(r'<svg [^>]*role="img"[^>]*?aria-label="(?P<title>[^"]*)"[^>]*>.*?</svg>', re.S)


def _image(picture: re.Match[str]) -> str:
    """A picture as a file within the page: read by itself, its paths are no part of the page that styles are worked out for."""
    held = b64encode(picture[0].encode()).decode()
    return f'<img src="data:image/svg+xml;base64,{held}" alt="{picture["title"]}">'


def pdf_of(document: Document) -> bytes:
    """Pages as a file."""
    made: bytes = document.write_pdf()
    return made


def png_of(pdf: bytes) -> bytes:
    """The first page of a PDF as a picture."""
    import pypdfium2

    document = pypdfium2.PdfDocument(pdf)
    try:
        kept = BytesIO()
        document[0].render(scale=DPI / 72).to_pil().save(kept, format="PNG", optimize=True)
    finally:
        document.close()
    return kept.getvalue()
