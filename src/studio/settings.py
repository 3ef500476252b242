"""Django settings. Everything that differs between machines comes from `studio.environment`."""

from __future__ import annotations

from pathlib import Path

from csp.constants import NONE, SELF

from studio.discreet import logging_config
from studio.environment import read
from studio.shell import inline_script_hashes

ROOT = Path(__file__).resolve().parents[2]
WEB_BUILD = ROOT / "web" / "build"

HERE = read()
SECRET_KEY = HERE.secret_key
DEBUG = False
ALLOWED_HOSTS = HERE.hosts.split(",")
TAPE, SHOP, DEMO_PASSWORD = HERE.tape, HERE.shop, HERE.demo_password
WEATHER, ADDRESS = HERE.weather, HERE.address.rstrip("/")

INSTALLED_APPS = [
    "django.contrib.auth",
    "django.contrib.contenttypes",
    "django.contrib.sessions",
    "axes",
    "csp",
    "procrastinate.contrib.django",
    "studio.people",
    "studio.bodies",
    "studio.looks",
    "studio.rack",
    "studio.fittings",
    "studio.pictures",
    "studio.charts",
    "studio.outfits",
    "studio.edit",
    "studio.handover",
    "studio.plan",
    "studio.diary",
    "studio.records",
]
MIDDLEWARE = [
    "django.middleware.security.SecurityMiddleware",
    "csp.middleware.CSPMiddleware",
    "studio.security.headers",
    "studio.gate.one_shape",
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
        "ENGINE": "studio.postgres",
        "NAME": HERE.db_name,
        "USER": HERE.db_user,
        "PASSWORD": HERE.db_password,
        "HOST": HERE.db_host,
        "PORT": HERE.db_port,
        # One request, one transaction: what is answered with an error has written nothing.
        "ATOMIC_REQUESTS": True,
        # The pool's time is short, so that one who waits looks whether the database is there at all (studio.postgres).
        "OPTIONS": {"pool": {"min_size": 1, "max_size": 8, "timeout": 0.25}},
    }
}
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"

AUTH_USER_MODEL = "people.Member"
AUTHENTICATION_BACKENDS = ["axes.backends.AxesStandaloneBackend", "studio.people.backends.MemberBackend"]
AUTH_PASSWORD_VALIDATORS = [
    {"NAME": "django.contrib.auth.password_validation.MinimumLengthValidator", "OPTIONS": {"min_length": 12}},
    {"NAME": "django.contrib.auth.password_validation.CommonPasswordValidator"},
]
# Old hashes are read still, and made anew at the next sign-in.
PASSWORD_HASHERS = [
    "django.contrib.auth.hashers.Argon2PasswordHasher",
    "django.contrib.auth.hashers.PBKDF2PasswordHasher",
]
# Sign-in is slowed after five misses of one address from one place, for a quarter of an hour; and of one place after
# twenty, whatever the addresses (studio.security).
AXES_USERNAME_FORM_FIELD = "username"
AXES_FAILURE_LIMIT = 5
AXES_COOLOFF_TIME = 0.25
AXES_LOCKOUT_PARAMETERS = [["username", "ip_address"]]
AXES_RESET_ON_SUCCESS = True
AXES_VERBOSE = False
AXES_DISABLE_ACCESS_LOG = True
AXES_ENABLE_ACCESS_FAILURE_LOG = True
AXES_CLIENT_IP_CALLABLE = "studio.security.place_of"
PROXIES = HERE.proxies
AXES_LOCKOUT_CALLABLE = "studio.security.locked_out"

SESSION_ENGINE = "studio.people.sessions"
SESSION_COOKIE_SECURE = CSRF_COOKIE_SECURE = SECURE_SSL_REDIRECT = HERE.tls
SESSION_COOKIE_SAMESITE = CSRF_COOKIE_SAMESITE = "Strict"
SESSION_COOKIE_AGE = 14 * 24 * 3600
SECURE_HSTS_SECONDS = 31536000 if HERE.tls else 0
SECURE_REFERRER_POLICY = "same-origin"
X_FRAME_OPTIONS = "DENY"
CSRF_FAILURE_VIEW = "studio.security.csrf_failure"
CSRF_TRUSTED_ORIGINS = list(filter(None, HERE.origins.split(",")))

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
        "connect-src": [SELF, *filter(None, [TAPE])],
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

# Letters go to the mail server that is set; a slow one keeps nobody waiting for ever.
EMAIL_HOST, EMAIL_PORT, EMAIL_TIMEOUT = HERE.mail_host, HERE.mail_port, 10
EMAIL_HOST_USER, EMAIL_HOST_PASSWORD, EMAIL_USE_TLS = HERE.mail_user, HERE.mail_password, HERE.mail_tls
DEFAULT_FROM_EMAIL = HERE.mail_from

LANGUAGE_CODE = "en-gb"
TIME_ZONE = "UTC"
USE_TZ = True
USE_I18N = False
LOGGING = logging_config()
