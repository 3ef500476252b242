from django.apps import AppConfig


class RecordsConfig(AppConfig):
    name = "studio.records"
    label = "records"
