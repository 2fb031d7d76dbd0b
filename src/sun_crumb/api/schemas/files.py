"""Files in and out."""

from __future__ import annotations

from typing import Annotated

from pydantic import ConfigDict, Field

from sun_crumb.api.schemas.base import Moment, Out
from sun_crumb.formats.backup import MOST_CHARACTERS as MOST_OF_A_BACKUP
from sun_crumb.formats.incoming import MOST_CHARACTERS
from sun_crumb.schemas.fields import ClientKey, In


class FileIn(In):
    """A file's name and text."""

    name: Annotated[str, Field(min_length=1, max_length=200)]
    content: Annotated[str, Field(max_length=MOST_CHARACTERS)]
    client_key: ClientKey = None

    model_config = ConfigDict(extra="forbid", str_max_length=MOST_CHARACTERS)


class ImportOut(Out):
    """Text for the reader, or the number of the recipe that is on the shelf now."""

    text: str
    recipe_id: int | None


class FileOut(Out):
    name: str
    media_type: str
    content: str


class BackupIn(In):
    """The text of a backup file."""

    content: Annotated[str, Field(max_length=MOST_OF_A_BACKUP)]

    model_config = ConfigDict(extra="forbid", str_max_length=MOST_OF_A_BACKUP)


class UndoIn(In):
    """The name that a restore gave to what was there before it."""

    kept_as: Annotated[str, Field(min_length=1, max_length=80)]


class RestoredOut(Out):
    """What is there now, and the name of the file in the data folder that holds what was there before."""

    recipes: int
    versions: int
    products: int
    bakes: int
    servings: int
    made_at: Moment
    kept_as: str
