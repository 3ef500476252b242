"""What differs between machines, typed and read once; `./basilwood` fills it from its own ignored folder."""

from __future__ import annotations

import os
from collections.abc import Mapping

from pydantic import BaseModel, ConfigDict

PREFIX = "BASILWOOD_"


class Environment(BaseModel):
    """The variables of this name, in capitals and behind `BASILWOOD_`. Raises ValidationError for one that
    cannot be read, which stops the start."""

    model_config = ConfigDict(frozen=True)

    secret_key: str
    #: Names this server answers to, parted by commas.
    hosts: str = "127.0.0.1,localhost"
    #: Other origins whose forms are taken, parted by commas: the front end's dev server.
    origins: str = ""
    #: Behind TLS the cookies and redirects are secure; on loopback there is no TLS to ask for.
    tls: bool = False
    db_name: str = "basilwood"
    db_user: str = "basilwood"
    db_password: str = ""
    #: The role that serves, where `db_user` is the one that migrates; without, one role does both (SECURITY.md).
    db_serve_user: str = ""
    db_serve_password: str = ""
    db_host: str = "127.0.0.1"
    db_port: int = 5432
    #: How many proxies stand before this server, each adding whom it heard; none is believed beyond that.
    proxies: int = 0
    #: Where the measuring tape is heard, and where the shops answer; without, there is none.
    tape: str = ""
    shop: str = ""
    #: Where the forecast answers; without, the air is typed.
    weather: str = ""
    #: The mail server (SMTP) and whom letters come from; without, they are taken away as files.
    mail_host: str = ""
    mail_port: int = 25
    mail_user: str = ""
    mail_password: str = ""
    mail_tls: bool = False
    mail_from: str = "studio@basilwood.invalid"
    #: The address that links for clients begin with; without, that of the page that asks.
    address: str = ""
    #: "json" has every request and whatever breaks told as a line of JSON; else only what breaks is told, in words.
    log: str = ""
    #: What figures at /metrics are asked for with from another machine (`Authorization: Bearer ...`).
    metrics_token: str = ""
    #: What the demo's stylists sign in with; only its loading needs it.
    demo_password: str = ""


def read(variables: Mapping[str, str] = os.environ) -> Environment:
    """The environment as its own variables set it."""
    ours = {name.removeprefix(PREFIX).lower(): text for name, text in variables.items() if name.startswith(PREFIX)}
    return Environment.model_validate(ours)
