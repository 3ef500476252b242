from django.apps import AppConfig


class PeopleConfig(AppConfig):
    name = "studio.people"
    label = "people"
