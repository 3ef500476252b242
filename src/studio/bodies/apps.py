from django.apps import AppConfig


class BodiesConfig(AppConfig):
    name = "studio.bodies"
    label = "bodies"
