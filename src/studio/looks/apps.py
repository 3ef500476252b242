from django.apps import AppConfig


class LooksConfig(AppConfig):
    name = "studio.looks"
    label = "looks"
