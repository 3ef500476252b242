"""Who saw what."""

from django.apps import AppConfig


class AuditConfig(AppConfig):
    name = "studio.audit"
