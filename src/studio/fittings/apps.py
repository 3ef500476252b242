from django.apps import AppConfig


class FittingsConfig(AppConfig):
    name = "studio.fittings"
    label = "fittings"
