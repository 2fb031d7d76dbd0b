"""Files in and out."""

from __future__ import annotations

from typing import Annotated

from pydantic import ConfigDict, Field

from sun_crumb.api.schemas.base import In, Out


class FileIn(In):
    """A file's name and text."""

    name: Annotated[str, Field(min_length=1, max_length=200)]
    content: Annotated[str, Field(max_length=900_000)]

    model_config = ConfigDict(extra="forbid", str_max_length=900_000)


class ImportOut(Out):
    """Text for the reader, or the number of the recipe that is on the shelf now."""

    text: str
    recipe_id: int | None


class FileOut(Out):
    name: str
    media_type: str
    content: str
