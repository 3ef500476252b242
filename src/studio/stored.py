"""What a row holds as JSON, read as far as it can be: one bad row takes no list down."""

from __future__ import annotations

import logging
from collections.abc import Mapping
from typing import Any, TypeVar

from pydantic import BaseModel, ValidationError

Form = TypeVar("Form", bound=BaseModel)
_log = logging.getLogger(__name__)


def stored(form: type[Form], held: Any) -> Form:
    """The form that a row holds. Parts that cannot be read are left out, and that is logged by their names alone."""
    kept = dict(held) if isinstance(held, Mapping) else {}
    try:
        return form.model_validate(kept)
    except ValidationError as error:
        unreadable = sorted({str(one["loc"][0]) for one in error.errors() if one["loc"]})
    _log.warning("a stored %s has unreadable parts: %s", form.__name__, ", ".join(unreadable))
    rest = {key: value for key, value in kept.items() if key not in unreadable}
    try:
        return form.model_validate(rest)
    except ValidationError:
        return form.model_validate({})
