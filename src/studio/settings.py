"""Django settings. Everything that differs between machines comes from `studio.environment`."""

from __future__ import annotations

import os
from pathlib import Path

from csp.constants import NONE, SELF

from studio.discreet import logging_config
from studio.environment import read
from studio.shell import inline_script_hashes

ROOT = Path(__file__).resolve().parents[2]
WEB_BUILD = ROOT / "web" / "build"
# Read by numpy when it is loaded. The core's matrices are small: a second thread of the algebra takes a processor from
# other requests and makes none of ours quicker (the next best measure: 250 ms of processors where it took 140).
os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")

HERE = read()
SECRET_KEY = HERE.secret_key
DEBUG = False
ALLOWED_HOSTS = HERE.hosts.split(",")
TAPE, SHOP, DEMO_PASSWORD = HERE.tape, HERE.shop, HERE.demo_password
METRICS_TOKEN = HERE.metrics_token
# Where the processes of one server put their figures together (prometheus-client); one alone needs none.
PROMETHEUS_FOLDER = os.environ.get("PROMETHEUS_MULTIPROC_DIR", "")
WEATHER, ADDRESS = HERE.weather, HERE.address.rstrip("/")

INSTALLED_APPS = [
    "django.contrib.auth",
    "django.contrib.contenttypes",
    "django.contrib.sessions",
    # Before allauth: its letters are in our words where we have some.
    "studio.members",
    "allauth",
    "allauth.account",
    "allauth.mfa",
    "allauth.headless",
    "allauth.usersessions",
    "csp",
    "procrastinate.contrib.django",
    "studio.people",
    "studio.post",
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
    "studio.audit",
]
MIDDLEWARE = [
    "studio.observing.observed",
    "django.middleware.security.SecurityMiddleware",
    "csp.middleware.CSPMiddleware",
    "studio.security.headers",
    "studio.gate.one_shape",
    "whitenoise.middleware.WhiteNoiseMiddleware",
    "django.contrib.sessions.middleware.SessionMiddleware",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "django.contrib.auth.middleware.AuthenticationMiddleware",
    "allauth.account.middleware.AccountMiddleware",
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
        # What a connection is asked for the fifth time it keeps prepared: with the second wall, to plan a question takes longer than
        # to answer it.
        "OPTIONS": {
            "pool": {"min_size": 1, "max_size": 8, "timeout": 0.25},
            "server_side_binding": True,
            "prepare_threshold": 5,
        },
    }
}
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"

AUTH_USER_MODEL = "members.Account"
AUTHENTICATION_BACKENDS = ["allauth.account.auth_backends.AuthenticationBackend"]
AUTH_PASSWORD_VALIDATORS = [
    {"NAME": "django.contrib.auth.password_validation.MinimumLengthValidator", "OPTIONS": {"min_length": 12}},
    {"NAME": "django.contrib.auth.password_validation.CommonPasswordValidator"},
]
# Old hashes are read still, and made anew at the next sign-in.
PASSWORD_HASHERS = [
    "django.contrib.auth.hashers.Argon2PasswordHasher",
    "django.contrib.auth.hashers.PBKDF2PasswordHasher",
]
PROXIES = HERE.proxies
# Accounts are django-allauth's (studio.members.adapter says what of it is ours). Sign-in is slowed after five misses of one
# address from one place, and of one place after twenty, whatever the addresses; they are counted in the database, so that every
# server counts the same.
ACCOUNT_ADAPTER = "studio.members.adapter.AccountAdapter"
ACCOUNT_LOGIN_METHODS = {"email"}
ACCOUNT_SIGNUP_FIELDS = ["email*", "password1*"]
ACCOUNT_USER_MODEL_USERNAME_FIELD = None
ACCOUNT_EMAIL_VERIFICATION = "mandatory"
ACCOUNT_EMAIL_NOTIFICATIONS = True
ACCOUNT_EMAIL_SUBJECT_PREFIX = ""
# A whole studio signs in from one network in the morning: that is no attack.
ACCOUNT_RATE_LIMITS = {"login_failed": "20/15m/ip,5/15m/key", "login": "120/m/ip"}
ACCOUNT_SESSION_REMEMBER = True
HEADLESS_ONLY = True
HEADLESS_CLIENTS = ["browser"]
HEADLESS_FRONTEND_URLS = {
    # Behind a hash: what stands there is sent to no server, and so into no proxy's log.
    "account_confirm_email": "/confirm#key={key}",
    "account_reset_password": "/forgotten",
    "account_reset_password_from_key": "/forgotten#key={key}",
    "account_signup": "/sign-in",
}
MFA_ADAPTER = "studio.members.adapter.SecondFactorAdapter"
MFA_SUPPORTED_TYPES = ["totp", "webauthn", "recovery_codes"]
MFA_PASSKEY_LOGIN_ENABLED = True
MFA_TOTP_ISSUER = "Basilwood"
# The code before the one that is shown is taken too: whoever proves their password meanwhile is not too late (RFC 6238, 5.2).
MFA_TOTP_TOLERANCE = 1
# A passkey needs a name that browsers take for safe: TLS, or localhost.
MFA_WEBAUTHN_ALLOW_INSECURE_ORIGIN = not HERE.tls
CACHES = {"default": {"BACKEND": "django.core.cache.backends.db.DatabaseCache", "LOCATION": "members_counted"}}

SESSION_ENGINE = "studio.people.sessions"
SESSION_COOKIE_SECURE = CSRF_COOKIE_SECURE = SECURE_SSL_REDIRECT = HERE.tls
SESSION_COOKIE_SAMESITE = CSRF_COOKIE_SAMESITE = "Strict"
SESSION_COOKIE_AGE = 14 * 24 * 3600
# A proxy of ours ends TLS and says so; without one nobody is believed.
SECURE_PROXY_SSL_HEADER = ("HTTP_X_FORWARDED_PROTO", "https") if HERE.tls and HERE.proxies else None
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
        # The service worker, which keeps the application at hand without a connection.
        "worker-src": [SELF],
    }
}

# A request body larger than this is refused: the largest honest one is a client file.
DATA_UPLOAD_MAX_MEMORY_SIZE = 4 * 1024 * 1024

TEMPLATES = [{"BACKEND": "django.template.backends.django.DjangoTemplates", "APP_DIRS": True}]
STATIC_URL = "/static/"
WHITENOISE_ROOT = WEB_BUILD if WEB_BUILD.is_dir() else None
WHITENOISE_INDEX_FILE = False


def _immutable(path: str, url: str) -> bool:
    """Built files carry a hash of what is in them in their name."""
    return "/_app/immutable/" in url


WHITENOISE_IMMUTABLE_FILE_TEST = _immutable

# Letters are put into the post (studio.post); a worker takes them to the mail server that is set.
EMAIL_BACKEND = "studio.post.backend.PostBackend"
POST_GOES_BY = "django.core.mail.backends.smtp.EmailBackend"
EMAIL_HOST, EMAIL_PORT, EMAIL_TIMEOUT = HERE.mail_host, HERE.mail_port, 10
EMAIL_HOST_USER, EMAIL_HOST_PASSWORD, EMAIL_USE_TLS = HERE.mail_user, HERE.mail_password, HERE.mail_tls
DEFAULT_FROM_EMAIL = HERE.mail_from

LANGUAGE_CODE = "en-gb"
TIME_ZONE = "UTC"
USE_TZ = True
USE_I18N = False
LOGGING = logging_config(HERE.log == "json")
