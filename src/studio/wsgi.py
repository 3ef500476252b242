"""The WSGI entry that gunicorn serves."""

from __future__ import annotations

import gc
import os
from importlib import import_module

from django.core.wsgi import get_wsgi_application

from studio.serving import whole_bodies

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "studio.settings")
application = whole_bodies(get_wsgi_application())
# Everything is loaded before the first request comes: else each worker's first one waits seconds for it, and what is
# loaded then is looked through again with every great collection.
import_module("studio.urls")

# What is loaded by now stays as long as the process; and an answer makes some ten thousand small values that die with
# it. Looking through all of them at the usual pace doubled the slowest twentieth of the answers (bench, a rack of 300).
gc.collect()
gc.freeze()
# It is swept between two answers (studio.serving.post_request); this is for one that makes more than that.
gc.set_threshold(3_000_000, 20, 50)
