"""Django settings. Everything that differs between machines comes from the environment,
which `./basilwood` fills from its own ignored folder."""

from __future__ import annotations

import os
from pathlib import Path

from csp.constants import NONE, SELF

from studio.shell import inline_script_hashes

ROOT = Path(__file__).resolve().parents[2]
WEB_BUILD = ROOT / "web" / "build"

SECRET_KEY = os.environ["BASILWOOD_SECRET_KEY"]
DEBUG = False
ALLOWED_HOSTS = os.environ.get("BASILWOOD_HOSTS", "127.0.0.1,localhost").split(",")
# Behind TLS the cookies and redirects are secure; on loopback there is no TLS to ask for.
SECURE = os.environ.get("BASILWOOD_TLS") == "1"

INSTALLED_APPS = [
    "django.contrib.auth",
    "django.contrib.contenttypes",
    "django.contrib.sessions",
    "axes",
    "csp",
    "studio.people",
    "studio.bodies",
    "studio.looks",
    "studio.rack",
    "studio.fittings",
    "studio.pictures",
    "studio.charts",
    "studio.records",
]
MIDDLEWARE = [
    "django.middleware.security.SecurityMiddleware",
    "csp.middleware.CSPMiddleware",
    "studio.security.headers",
    "whitenoise.middleware.WhiteNoiseMiddleware",
    "django.contrib.sessions.middleware.SessionMiddleware",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "django.contrib.auth.middleware.AuthenticationMiddleware",
    "axes.middleware.AxesMiddleware",
    "django.middleware.clickjacking.XFrameOptionsMiddleware",
]
ROOT_URLCONF = "studio.urls"
WSGI_APPLICATION = "studio.wsgi.application"

DATABASES = {
    "default": {
        "ENGINE": "django.db.backends.postgresql",
        "NAME": os.environ.get("BASILWOOD_DB_NAME", "basilwood"),
        "USER": os.environ.get("BASILWOOD_DB_USER", "basilwood"),
        "PASSWORD": os.environ.get("BASILWOOD_DB_PASSWORD", ""),
        "HOST": os.environ.get("BASILWOOD_DB_HOST", "127.0.0.1"),
        "PORT": os.environ.get("BASILWOOD_DB_PORT", "5432"),
        "OPTIONS": {"pool": {"min_size": 1, "max_size": 6, "timeout": 10}},
    }
}
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"

AUTH_USER_MODEL = "people.Member"
AUTHENTICATION_BACKENDS = ["axes.backends.AxesStandaloneBackend", "django.contrib.auth.backends.ModelBackend"]
AUTH_PASSWORD_VALIDATORS = [
    {"NAME": "django.contrib.auth.password_validation.MinimumLengthValidator", "OPTIONS": {"min_length": 12}},
    {"NAME": "django.contrib.auth.password_validation.CommonPasswordValidator"},
]
# Sign-in is slowed after five misses of one address from one place, for a quarter of an hour.
AXES_USERNAME_FORM_FIELD = "username"
AXES_FAILURE_LIMIT = 5
AXES_COOLOFF_TIME = 0.25
AXES_LOCKOUT_PARAMETERS = [["username", "ip_address"]]
AXES_RESET_ON_SUCCESS = True
AXES_VERBOSE = False
AXES_LOCKOUT_CALLABLE = "studio.security.locked_out"

SESSION_COOKIE_SECURE = CSRF_COOKIE_SECURE = SECURE_SSL_REDIRECT = SECURE
SESSION_COOKIE_SAMESITE = CSRF_COOKIE_SAMESITE = "Strict"
SESSION_COOKIE_AGE = 14 * 24 * 3600
SECURE_HSTS_SECONDS = 31536000 if SECURE else 0
SECURE_REFERRER_POLICY = "same-origin"
X_FRAME_OPTIONS = "DENY"
CSRF_FAILURE_VIEW = "studio.security.csrf_failure"
# The dev server of the front end asks from another port.
CSRF_TRUSTED_ORIGINS = [origin for origin in os.environ.get("BASILWOOD_ORIGINS", "").split(",") if origin]

CONTENT_SECURITY_POLICY = {
    "DIRECTIVES": {
        "default-src": [NONE],
        "script-src": [SELF, *inline_script_hashes(WEB_BUILD / "index.html")],
        "style-src": [SELF],
        # The router's announcer for screen readers carries this one style attribute, and no other may.
        "style-src-attr": ["'unsafe-hashes'", "'sha256-S8qMpvofolR8Mpjy4kQvEm7m1q8clzU4dfDH0AmvZjo='"],
        "img-src": [SELF, "data:"],
        "font-src": [SELF],
        # The measuring tape is heard on this machine, where there is one.
        "connect-src": [SELF, *filter(None, [os.environ.get("BASILWOOD_TAPE")])],
        "form-action": [SELF],
        "base-uri": [NONE],
        "frame-ancestors": [NONE],
        "manifest-src": [SELF],
    }
}

# A request body larger than this is refused: the largest honest one is a client file.
DATA_UPLOAD_MAX_MEMORY_SIZE = 4 * 1024 * 1024

STATIC_URL = "/static/"
WHITENOISE_ROOT = WEB_BUILD if WEB_BUILD.is_dir() else None
WHITENOISE_INDEX_FILE = False


def _immutable(path: str, url: str) -> bool:
    """Built files carry a hash of what is in them in their name."""
    return "/_app/immutable/" in url


WHITENOISE_IMMUTABLE_FILE_TEST = _immutable

LANGUAGE_CODE = "en-gb"
TIME_ZONE = "UTC"
USE_TZ = True
USE_I18N = False
LOGGING = {
    "version": 1,
    "disable_existing_loggers": False,
    "handlers": {"console": {"class": "logging.StreamHandler"}},
    "root": {"handlers": ["console"], "level": "WARNING"},
}
