from django.apps import AppConfig


class RackConfig(AppConfig):
    name = "studio.rack"
    label = "rack"
