"""Handing over."""

from django.apps import AppConfig


class HandoverConfig(AppConfig):
    name = "studio.handover"

    def ready(self) -> None:
        """Books are made in the background."""
        from studio.handover import jobs  # noqa: F401
