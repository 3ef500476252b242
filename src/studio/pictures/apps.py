from django.apps import AppConfig


class PicturesConfig(AppConfig):
    name = "studio.pictures"
    label = "pictures"
