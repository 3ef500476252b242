"""Accounts, roles and invitations."""

from django.apps import AppConfig


class MembersConfig(AppConfig):
    name = "studio.members"

    def ready(self) -> None:
        """Hear of sign-ins."""
        from studio.members import notices

        notices.listen()
