"""The backup file: all that a household keeps, as JSON with a digest (docs/backup.md). Knows no database."""

from __future__ import annotations

import json
from hashlib import sha256
from typing import Any

from pydantic import ValidationError

from sun_crumb.core.errors import CoreError
from sun_crumb.schemas.files import Backup
from sun_crumb.schemas.words import words_of

FORMAT, VERSION = "sun-crumb-backup", 2
MOST_CHARACTERS = 60_000_000


class BadBackupError(CoreError):
    """The file is no whole backup of ours; says why. Nothing was changed."""

    code = "bad_backup"


def digest(household: dict[str, Any]) -> str:
    """Return the SHA-256 of a household as canonical JSON: keys sorted, no spaces, ASCII only."""
    return sha256(json.dumps(household, sort_keys=True, separators=(",", ":"), ensure_ascii=True).encode()).hexdigest()


def write(made_at: str, damaged: dict[str, Any], household: dict[str, Any]) -> str:
    """Return the content of a backup file."""
    data = {"format": FORMAT, "version": VERSION, "made_at": made_at, "sha256": digest(household)}
    return json.dumps(data | {"damaged": damaged, "household": household}, ensure_ascii=False, indent=1)


def read(content: str) -> Backup:
    """Return what a backup file holds, row by row of the right shape.

    Raises
    ------
    BadBackupError
        It is foreign, newer, cut short, or not as it was written.
    """
    try:
        data = json.loads(content.lstrip("\ufeff"))
    except (ValueError, RecursionError) as error:
        raise BadBackupError(f"the file is not whole JSON ({error}); nothing was changed", field="content") from None
    if not isinstance(data, dict) or data.get("format") != FORMAT:
        kind = "a recipe file: bring it in under Bring in" if _is_recipe(data) else "no backup of Sun Crumb"
        raise BadBackupError(f"the file is {kind}; nothing was changed", field="content")
    if data.get("version") not in range(1, VERSION + 1):
        raise BadBackupError("the backup was made by a newer Sun Crumb; nothing was changed", field="content")
    try:
        is_whole = data.get("sha256") == digest(data["household"])
        json.dumps(data["household"], ensure_ascii=False).encode()  # a lone surrogate could not be stored
    except (KeyError, TypeError, ValueError, RecursionError):
        is_whole = False
    if not is_whole:
        raise BadBackupError(
            "the backup is damaged: its content is not what its digest says; nothing was changed", field="content"
        )
    try:
        return Backup.model_validate(data)
    except ValidationError as error:
        words, _ = words_of(error)
        raise BadBackupError(f"the backup is damaged: {words}; nothing was changed", field="content") from None


def _is_recipe(data: Any) -> bool:
    return isinstance(data, dict) and data.get("format") == "sun-crumb-recipe"
