"""What commands share: a file's text, the household's own database, answers in the API's shapes."""

from __future__ import annotations

import argparse
import os
import sys
from collections.abc import Callable, Iterable
from pathlib import Path
from typing import Any, Protocol

from pydantic import BaseModel

from sun_crumb.core.errors import CoreError
from sun_crumb.core.reading import Reading

MOST_BYTES = 2_000_000


class Adds(Protocol):
    """What adds a command to the parser."""

    def __call__(
        self, name: str, run: Callable[[argparse.Namespace], Any], words: str, /
    ) -> argparse.ArgumentParser: ...


def data_folder() -> Path:
    """Return the folder of the user's data: SUN_CRUMB_DATA, else sun-crumb under the user's data home."""
    chosen = os.environ.get("SUN_CRUMB_DATA")
    if chosen:
        return Path(chosen).expanduser()
    home = os.environ.get("XDG_DATA_HOME")
    return (Path(home) if home else Path.home() / ".local" / "share") / "sun-crumb"


def own_database() -> Any:
    """Return the user's own database, with the newest tables."""
    from sun_crumb.store import Database

    database = Database(data_folder() / "sun-crumb.db")
    database.migrate()
    return database


def plain(shape: type[BaseModel], record: object) -> dict[str, Any]:
    """Return a record in the shape of the API's answer."""
    return shape.model_validate(record).model_dump(mode="json", by_alias=True)


def pairs(words: Iterable[str]) -> dict[str, str]:
    """Return keys and values from words such as "grams=200"; raise CoreError where one is none."""
    found = {}
    for word in words:
        key, sign, value = word.partition("=")
        if not sign:
            raise CoreError(f"{word!r} is not KEY=VALUE", field=word)
        found[key.strip()] = value.strip()
    return found


def text_of(name: str, most: int = MOST_BYTES) -> str:
    """Return the text of a file, or of standard input for ``-``; raise CoreError where it can't be read."""
    if name == "-":
        raw = sys.stdin.buffer.read(most + 1)
    else:
        try:
            with Path(name).open("rb") as handle:
                raw = handle.read(most + 1)
        except (OSError, ValueError) as error:
            why = getattr(error, "strerror", None) or str(error)
            raise CoreError(f"{name} can't be read ({why})", field="file") from None
    return raw.decode("utf-8-sig", errors="replace")


def recipe_text(name: str) -> str:
    """Return the recipe of a file: the words of it where it is a page."""
    from sun_crumb.services.kitchen import page_as_text

    text = text_of(name)
    return page_as_text(text) or text


def unsure_of(reading: Reading) -> list[dict[str, str]]:
    """Return the lines of a reading that are asked about, each with why."""
    return [
        {"text": line.text, "status": line.status, "problem": line.problem}
        for line in reading.lines
        if line.status in ("ask", "conflict", "unreadable")
    ]
