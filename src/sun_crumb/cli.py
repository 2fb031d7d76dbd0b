"""The command line: the same services as the API, JSON on standard output, errors as JSON on standard error."""

from __future__ import annotations

import argparse
import json
import sys
from collections.abc import Callable, Sequence
from typing import Any

from sqlalchemy.exc import DBAPIError

from sun_crumb.commands import household, keeping, recipes, screens, worktop
from sun_crumb.commands.quiet import quiet_stdout
from sun_crumb.core.errors import CoreError


def _openapi(_arguments: argparse.Namespace) -> Any:
    import sun_crumb.app  # noqa: F401  (registers every endpoint)
    from sun_crumb.api.contract import openapi

    return openapi()


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="sun-crumb", description="Cut the sugar of a dessert and keep its balance.")
    commands = parser.add_subparsers(dest="command", required=True)

    def command(name: str, run: Callable[[argparse.Namespace], Any], words: str) -> argparse.ArgumentParser:
        made = commands.add_parser(name, help=words, description=words)
        made.set_defaults(run=run)
        return made

    for group in (recipes, worktop, keeping, screens, household):
        group.add_commands(command)
    command("openapi", _openapi, "print the API's OpenAPI document")
    return parser


def _complain(command: str, error: CoreError) -> None:
    """Tell what is wrong: the API's error object for scripts, its sentence for someone who starts the screens by hand."""
    from sun_crumb.api.errors import core_error_view

    if command in ("serve", "demo") and sys.stderr.isatty():
        print(f"Sun Crumb can't start: {error.message}.", file=sys.stderr)
    else:
        print(json.dumps(core_error_view(error), ensure_ascii=False), file=sys.stderr)


def main(arguments: Sequence[str] | None = None) -> int:
    """Run one command; return 0, or 2 on bad input."""
    parsed = _parser().parse_args(arguments)
    try:
        if parsed.command in ("serve", "demo"):
            parsed.run(parsed)
            return 0
        with quiet_stdout():
            result = parsed.run(parsed)
    except CoreError as error:
        _complain(parsed.command, error)
        return 2
    except DBAPIError as error:
        from sun_crumb.store.errors import DataFolderError

        words = f"the database can't be read or written ({error.orig}); what was kept before is safe; make room, or stop whatever else uses it, and try again"
        _complain(parsed.command, DataFolderError(words, field="folder"))
        return 2
    except KeyboardInterrupt:
        return 0
    print(result if isinstance(result, str) else json.dumps(result, ensure_ascii=False, indent=2, allow_nan=False))
    return 0


if __name__ == "__main__":
    sys.exit(main())
