from django.apps import AppConfig


class PostConfig(AppConfig):
    name = "studio.post"
    label = "post"

    def ready(self) -> None:
        """Let the queue know its tasks."""
        from studio.post import queue  # noqa: F401
