from django.apps import AppConfig


class EditConfig(AppConfig):
    name = "studio.edit"
    label = "edit"

    def ready(self) -> None:
        # The worker learns what an edit asks for.
        from studio.edit import jobs  # noqa: F401
