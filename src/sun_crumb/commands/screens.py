"""Commands that serve the screens, over your own data or the demo's."""

from __future__ import annotations

import argparse
from pathlib import Path
from typing import Any

from sun_crumb.commands.quiet import quiet_stdout
from sun_crumb.commands.shared import Adds, data_folder
from sun_crumb.core.errors import CoreError

DEFAULT_PORT = 8710


def _say(words: str) -> None:
    print(words, flush=True)


def _serve(arguments: argparse.Namespace) -> None:
    from sun_crumb.devices import devices_at
    from sun_crumb.server import run

    run(
        data_folder() / "sun-crumb.db",
        arguments.port,
        is_demo=False,
        prepare=lambda _: None,
        say=_say,
        devices=devices_at(arguments.scale, arguments.probe),
    )


def _demo(arguments: argparse.Namespace) -> None:
    from sun_crumb.demo import fill, live, start_over
    from sun_crumb.devices import devices_at
    from sun_crumb.server import run

    folder = Path(arguments.folder) if arguments.folder else data_folder().with_name("sun-crumb-demo")
    if folder.resolve() == data_folder().resolve():
        raise CoreError("the demo needs a folder of its own, not the one of your data", field="folder")

    def prepare(database: Any) -> None:
        with quiet_stdout():
            if not arguments.keep:
                start_over(database)
            fill(database)
            live(database)

    run(
        folder / "sun-crumb-demo.db",
        arguments.port,
        is_demo=True,
        prepare=prepare,
        say=_say,
        devices=devices_at(arguments.scale, arguments.probe),
    )


def add_commands(command: Adds) -> None:
    """Add the commands that serve the screens."""
    served = command("serve", _serve, "serve the screens over your own data")
    served.add_argument("--port", type=int, default=DEFAULT_PORT)
    shown = command("demo", _demo, "serve the screens over demo data of their own")
    shown.add_argument("--port", type=int, default=DEFAULT_PORT)
    shown.add_argument("--folder", help="where the demo data go")
    shown.add_argument("--keep", action="store_true", help="keep what was changed in the last demo")
    for screens in (served, shown):
        screens.add_argument("--scale", help="where a scale answers: host:port")
        screens.add_argument("--probe", help="where a thermometer answers: host:port")
