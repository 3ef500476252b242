from django.apps import AppConfig


class OutfitsConfig(AppConfig):
    name = "studio.outfits"
    label = "outfits"
