"""Commands that put what is kept into files, and take it from them."""

from __future__ import annotations

import argparse
from pathlib import Path
from typing import Any

from sun_crumb.commands.shared import Adds, own_database, plain, text_of
from sun_crumb.core.errors import CoreError


def _backup(arguments: argparse.Namespace) -> Any:
    from sun_crumb.services import backup

    target = Path(arguments.file)
    if target.exists():
        raise CoreError(f"{target} is there already; give the backup a name of its own", field="file")
    made = backup.back_up(own_database())
    backup.write_private(target, made.content)
    return {"file": str(target), "bytes": target.stat().st_size}


def _restore(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.files import RestoredOut
    from sun_crumb.formats.backup import MOST_CHARACTERS
    from sun_crumb.services import backup

    return plain(RestoredOut, backup.restore(own_database(), text_of(arguments.file, 4 * MOST_CHARACTERS)))


def _export(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.files import FileOut
    from sun_crumb.services import backup, exchange

    if arguments.all:
        return plain(FileOut, backup.back_up(own_database()))
    if arguments.recipe is None:
        raise CoreError("say the recipe's number, or --all", field="recipe")
    found = exchange.export_recipe(own_database(), arguments.recipe, arguments.format, arguments.version)
    return plain(FileOut, found)


def _import(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.files import ImportOut
    from sun_crumb.services import exchange

    if arguments.all:
        return _restore(arguments)
    text = text_of(arguments.file)
    return plain(ImportOut, exchange.import_file(own_database(), Path(arguments.file).name, text))


def add_commands(command: Adds) -> None:
    """Add the commands over files."""
    out = command("export", _export, "give a recipe of your shelf as the content of a file")
    out.add_argument("recipe", type=int, nargs="?", help="the recipe's number, as in its address")
    out.add_argument("--all", action="store_true", help="everything you keep, as one open file")
    out.add_argument("--format", choices=("jsonld", "html", "csv", "json"), default="json")
    out.add_argument("--version", type=int, help="a version; the newest by default")
    taken = command(
        "import", _import, "take a recipe from a file; with --all everything, in the place of what is there"
    )
    taken.add_argument("file", help="a file, or - for standard input")
    taken.add_argument("--all", action="store_true", help="the file holds everything, as export --all gives it")
    saved = command("backup", _backup, "write everything you keep into one open file; works while the screens are open")
    saved.add_argument("file", help="the file to write; one that is there is not written over")
    back = command("restore", _restore, "put a backup in the place of everything; what was there is kept beside it")
    back.add_argument("file", help="a backup file, or - for standard input")
