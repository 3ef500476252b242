from django.apps import AppConfig


class ChartsConfig(AppConfig):
    name = "studio.charts"
    label = "charts"
