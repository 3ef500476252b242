"""A file that somebody sends as a picture, made into one that is safe to keep: opened in bounds, turned upright,
written anew as JPEG without anything else it carried.
"""

from __future__ import annotations

import io
import warnings
from dataclasses import dataclass

from PIL import Image, ImageFile, ImageOps, UnidentifiedImageError

from studio.errors import NotAPicture

#: What is taken, by what the file itself says it is; its name and its declared type are not asked.
FORMATS = ("JPEG", "PNG", "WEBP")
#: A phone's picture is 3 to 12 million bytes and 12 to 50 million points; larger is refused before it is opened. A JPEG
#: is decoded no further than is kept; other kinds have to be opened whole, so fewer points are taken.
LARGEST_BYTES, MOST_POINTS, MOST_POINTS_WHOLE = 15_000_000, 60_000_000, 25_000_000
LEAST_SIDE = 32
#: Sides of what is kept, points.
KEPT_SIDE, SMALL_SIDE = 1600, 240
QUALITY = 85
#: The middle of a picture, as a share of its sides, in which its colours are looked for: the piece, not the wall.
MIDDLE, COLOURS = 0.6, 5


@dataclass(frozen=True)
class Harmless:
    """A picture made anew: JPEG bytes, a small one, its size in points, and its main colours with their shares."""

    image: bytes
    small: bytes
    width: int
    height: int
    palette: tuple[tuple[str, float], ...]


def too_large() -> NotAPicture:
    return NotAPicture(f"This file is too large: {LARGEST_BYTES // 1_000_000} MB at most.")


def _too_many_points(most: int) -> NotAPicture:
    return NotAPicture(f"This picture has too many points: {most // 1_000_000} million at most.")


def made_harmless(given: bytes) -> Harmless:
    """Make a picture anew from what was sent. Raises NotAPicture."""
    if len(given) > LARGEST_BYTES:
        raise too_large()
    picture = _opened(given)
    kept = picture.copy()
    kept.thumbnail((KEPT_SIDE, KEPT_SIDE), Image.Resampling.LANCZOS)
    small = kept.copy()
    small.thumbnail((SMALL_SIDE, SMALL_SIDE), Image.Resampling.LANCZOS)
    return Harmless(_jpeg(kept), _jpeg(small), kept.width, kept.height, palette_of(small))


def _opened(given: bytes) -> Image.Image:
    """The picture, upright and opaque. Only its header is read before its size is known."""
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("ignore", Image.DecompressionBombWarning)
            opened = Image.open(io.BytesIO(given), formats=FORMATS)
        if getattr(opened, "is_animated", False):
            raise NotAPicture("This picture moves. A still one is needed: JPEG, PNG or WebP.")
        most = MOST_POINTS if opened.format == "JPEG" else MOST_POINTS_WHOLE
        if opened.width * opened.height > most:
            raise _too_many_points(most)
        if min(opened.size) < LEAST_SIDE:
            raise NotAPicture(f"This picture is too small: {LEAST_SIDE} points a side at least.")
        if opened.format == "JPEG":
            # Decodes no more of it than is kept.
            opened.draft("RGB", (KEPT_SIDE, KEPT_SIDE))
        # The library that lays out sheets turns this on for the whole process; half a picture is none here.
        ImageFile.LOAD_TRUNCATED_IMAGES = False
        opened.load()
        upright = ImageOps.exif_transpose(opened)
    except NotAPicture:
        raise
    except Image.DecompressionBombError as wrong:
        raise _too_many_points(MOST_POINTS_WHOLE) from wrong
    except (UnidentifiedImageError, OSError, SyntaxError, ValueError) as wrong:
        raise NotAPicture("This is not a picture that is read here. Send a JPEG, PNG or WebP file.") from wrong
    if upright.mode in ("RGBA", "LA", "PA") or "transparency" in upright.info:
        ground = Image.new("RGBA", upright.size, "white")
        ground.alpha_composite(upright.convert("RGBA"))
        return ground.convert("RGB")
    return upright.convert("RGB")


def _jpeg(picture: Image.Image) -> bytes:
    # A picture of its own: nothing of the file it came in, its profile and place included, goes along.
    clean = Image.new("RGB", picture.size)
    clean.paste(picture)
    out = io.BytesIO()
    clean.save(out, "JPEG", quality=QUALITY, optimize=True)
    return out.getvalue()


def palette_of(picture: Image.Image) -> tuple[tuple[str, float], ...]:
    """The main colours of a picture's middle and their shares, most of it first."""
    wide, tall = picture.size
    off_x, off_y = (1 - MIDDLE) / 2 * wide, (1 - MIDDLE) / 2 * tall
    middle = picture.crop((int(off_x), int(off_y), max(int(wide - off_x), 1), max(int(tall - off_y), 1)))
    few = middle.quantize(COLOURS, method=Image.Quantize.MEDIANCUT)
    counts = few.getcolors() or []
    colours = few.getpalette() or []
    total = sum(count for count, _ in counts) or 1
    found = []
    for count, index in sorted(((int(count), int(str(index))) for count, index in counts), reverse=True):
        red, green, blue = colours[3 * index : 3 * index + 3]
        found.append((f"#{red:02x}{green:02x}{blue:02x}", round(count / total, 2)))
    return tuple(found)
