"""Property tests are about laws, not about speed: how fast is what `./basilwood bench` measures."""

from __future__ import annotations

from hypothesis import settings

settings.register_profile("house", deadline=None)
settings.load_profile("house")
