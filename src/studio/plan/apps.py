"""Plans."""

from django.apps import AppConfig


class PlanConfig(AppConfig):
    name = "studio.plan"

    def ready(self) -> None:
        """Plans are made in the background."""
        from studio.plan import jobs  # noqa: F401
