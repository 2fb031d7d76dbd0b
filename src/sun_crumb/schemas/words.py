"""What a schema objects to, in words."""

from __future__ import annotations

from pydantic import ValidationError


def words_of(error: ValidationError) -> tuple[str, str | None]:
    """Return the first thing that a schema objects to, in words, and the field it is in."""
    first = error.errors(include_url=False, include_context=False, include_input=False)[0]
    field = ".".join(str(part) for part in first["loc"]) or None
    return f"{field or 'the content'}: {first['msg'].removeprefix('Value error, ')}", field
