"""The diary."""

from django.apps import AppConfig


class DiaryConfig(AppConfig):
    name = "studio.diary"
