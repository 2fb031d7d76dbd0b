"""Files in and out."""

from __future__ import annotations

from sun_crumb.api.schemas.base import Out


class ImportOut(Out):
    """Text for the reader, or the number of the recipe that is on the shelf now."""

    text: str
    recipe_id: int | None


class FileOut(Out):
    name: str
    media_type: str
    content: str
