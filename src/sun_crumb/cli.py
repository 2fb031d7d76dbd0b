"""The command line: the same services as the API, JSON on standard output, errors as JSON on standard error."""

from __future__ import annotations

import argparse
import json
import os
import sys
from collections.abc import Callable, Iterable, Sequence
from contextlib import contextmanager
from pathlib import Path
from typing import Any

from pydantic import BaseModel
from sqlalchemy.exc import DBAPIError

from sun_crumb.core.errors import CoreError
from sun_crumb.core.formula import Formula
from sun_crumb.core.pantry import diets
from sun_crumb.core.quantities.measures import cup_standards
from sun_crumb.core.reading import Reading
from sun_crumb.core.wish import DEFINITIONS, Goals, eaters, paths

DEFAULT_PORT = 8710
MOST_BYTES = 2_000_000


def data_folder() -> Path:
    """Return the folder of the user's data: SUN_CRUMB_DATA, else sun-crumb under the user's data home."""
    chosen = os.environ.get("SUN_CRUMB_DATA")
    if chosen:
        return Path(chosen).expanduser()
    home = os.environ.get("XDG_DATA_HOME")
    return (Path(home) if home else Path.home() / ".local" / "share") / "sun-crumb"


@contextmanager
def _quiet_stdout() -> Any:
    """Keep the solver's greeting, written past Python, off standard output."""
    sys.stdout.flush()
    kept, nowhere = os.dup(1), os.open(os.devnull, os.O_WRONLY)
    os.dup2(nowhere, 1)
    try:
        yield
    finally:
        import ctypes

        ctypes.CDLL(None).fflush(None)
        os.dup2(kept, 1)
        os.close(kept)
        os.close(nowhere)


def _text(name: str, most: int = MOST_BYTES) -> str:
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


def _plain(shape: type[BaseModel], record: object) -> dict[str, Any]:
    """Return a record as the API would send it."""
    return shape.model_validate(record).model_dump(mode="json")


def _read(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.reading import ReadingOut
    from sun_crumb.core.errors import EmptyRecipeError
    from sun_crumb.services import kitchen

    found = kitchen.read(_text(arguments.file), arguments.cup)
    if not any(line.ingredient for line in found.lines):
        raise EmptyRecipeError("this text names no food", field="text")
    return _plain(ReadingOut, found)


def _analyse(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.reading import AnalysisOut
    from sun_crumb.core.errors import EmptyRecipeError
    from sun_crumb.core.formula import analyse
    from sun_crumb.services import kitchen

    formula, reading, _ = kitchen.read_formula(_text(arguments.file), arguments.cup, arguments.servings)
    if not formula.lines:
        raise EmptyRecipeError("no line of this text could be weighed", field="text")
    return _plain(AnalysisOut, analyse(formula)) | {"title": formula.title, "unsure": _unsure(reading)}


def _unsure(reading: Reading) -> list[dict[str, str]]:
    return [
        {"text": line.text, "status": line.status, "problem": line.problem}
        for line in reading.lines
        if line.status in ("ask", "conflict", "unreadable")
    ]


def _rework(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.rework import PlanOut
    from sun_crumb.services import kitchen

    formula, reading, cup = kitchen.read_formula(_text(arguments.file), arguments.cup, arguments.servings)
    plan = _plain(PlanOut, kitchen.plan(formula, _goals(arguments, formula), cup))
    metrics = {metric["key"]: metric for part in plan["balance"][:1] for metric in part["metrics"]}
    more = {"title": formula.title, "balance_by_component": plan["balance"], "unsure": _unsure(reading)}
    return plan | more | {"balance": metrics}


def _check(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.checked import CheckOut
    from sun_crumb.services import kitchen

    formula, reading, cup = kitchen.read_formula(_text(arguments.file), arguments.cup, arguments.servings)
    found = kitchen.check(formula, _families(arguments.family or (), formula), cup)
    return {"title": formula.title, **_plain(CheckOut, {"components": found}), "unsure": _unsure(reading)}


def _families(given: Iterable[str], formula: Formula) -> dict[str, str]:
    """Return families by component from words such as "icing=glaze"; without a component they are the main one's."""
    found: dict[str, str] = {}
    for words in given:
        component, _, key = words.rpartition("=")
        component = component.strip() if "=" in words else formula.heaviest()
        if component not in formula.components:
            component = {"base": "", "the base": ""}.get(component.lower(), component)
        if component not in formula.components:
            names = ", ".join(name or "base" for name in formula.components)
            raise CoreError(f"the recipe has no component {component!r}; it has: {names}", field="family")
        found[component] = key.strip()
    return found


def _paths(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.rework import PathSidesOut
    from sun_crumb.core.pantry import shipped_pantry
    from sun_crumb.services import kitchen
    from sun_crumb.services.whatif import paths_shown

    formula, reading, cup = kitchen.read_formula(_text(arguments.file), arguments.cup, arguments.servings)
    sides = paths_shown(formula, _goals(arguments, formula), shipped_pantry(), cup)
    return {"title": formula.title, **_plain(PathSidesOut, sides), "unsure": _unsure(reading)}


def _goals(arguments: argparse.Namespace, formula: Formula) -> Goals:
    """Return the wish that the flags ask for, by the same shape and checks as the API's."""
    from pydantic import ValidationError

    from sun_crumb.core.pantry import shipped_pantry
    from sun_crumb.schemas.recipes import AmountIn, GoalsIn
    from sun_crumb.schemas.words import words_of
    from sun_crumb.services.wishes import goals_of

    def names(text: str | None) -> list[str]:
        return [word.strip() for word in (text or "").split(",") if word.strip()]

    try:
        body = GoalsIn(
            path=arguments.path,
            cut=arguments.cut,
            keep_sweet=arguments.keep_sweet,
            definition=arguments.definition,
            diets=arguments.diet or [],
            cupboard=names(arguments.cupboard) if arguments.cupboard else None,
            avoid=names(arguments.avoid),
            eaters=arguments.eater or [],
            without=names(arguments.without),
            including=names(arguments.including),
            most_energy_kcal=arguments.most_kcal,
            most_free_sugar_g=arguments.most_free_sugar,
            most_cost=arguments.most_cost,
            locks=_locks(arguments.lock or (), formula),
            amounts=[
                AmountIn(component=component, ingredient=key, grams=grams)
                for component, key, grams in _amounts(arguments.amount or (), formula)
            ],
            most_new=arguments.most_new,
            families=_families(arguments.family or (), formula),
            caps=dict(_named(words, "cap") for words in arguments.cap or ()),
            flavours=None if arguments.flavours is None else names(arguments.flavours),
        )
    except ValidationError as error:
        words, field = words_of(error)
        raise CoreError(words, field=field) from None
    return goals_of(body, shipped_pantry(), _prices(arguments.price or ()))


def _named(words: str, field: str) -> tuple[str, float]:
    """Return a name and its number from words such as "honey=60"."""
    name, _, number = words.partition("=")
    try:
        return name.strip(), float(number)
    except ValueError:
        raise CoreError(f"{words!r} is not NAME=NUMBER", field=field) from None


def _amounts(given: Iterable[str], formula: Formula) -> tuple[tuple[str, str, float], ...]:
    """Return amounts of what comes in, for the heaviest component, from words such as "honey=60"."""
    from sun_crumb.services import kitchen

    main = formula.heaviest()
    pairs = [_named(words, "amount") for words in given]
    return tuple((main, kitchen.pantry_keys([name], field="amount")[0], grams) for name, grams in pairs)


def _prices(given: Iterable[str]) -> dict[str, float]:
    """Return prices per kg by pantry key from words such as "honey=12.50"."""
    from sun_crumb.services import kitchen

    found: dict[str, float] = {}
    for words in given:
        name, _, price = words.partition("=")
        key = kitchen.pantry_keys([name.strip()], field="price")[0]
        try:
            found[key] = float(price)
        except ValueError:
            raise CoreError(f"{price!r} is no price of a kilogram", field="price") from None
    return found


def _locks(wishes: Iterable[str], formula: Formula) -> dict[int, float]:
    """Return grams by line position from wishes such as "egg=100" or, for as it is, "egg"."""
    from sun_crumb.services import kitchen

    found: dict[int, float] = {}
    for wish in wishes:
        name, _, amount = wish.partition("=")
        key = kitchen.pantry_keys([name.strip()], field="lock")[0]
        positions = [n for n, line in enumerate(formula.lines) if line.ingredient.key == key]
        if not positions:
            raise CoreError(f"the recipe has no {name.strip()} to lock", field="lock")
        try:
            grams = float(amount) if amount else formula.lines[positions[0]].grams
        except ValueError:
            raise CoreError(f"{amount!r} is no number of grams", field="lock") from None
        found[positions[0]] = grams
    return found


def _say(words: str) -> None:
    print(words, flush=True)


def _serve(arguments: argparse.Namespace) -> None:
    from sun_crumb.server import run

    run(data_folder() / "sun-crumb.db", arguments.port, is_demo=False, prepare=lambda _: None, say=_say)


def _demo(arguments: argparse.Namespace) -> None:
    from sun_crumb.demo import fill, start_over
    from sun_crumb.server import run

    folder = Path(arguments.folder) if arguments.folder else data_folder().with_name("sun-crumb-demo")
    if folder.resolve() == data_folder().resolve():
        raise CoreError("the demo needs a folder of its own, not the one of your data", field="folder")

    def prepare(database: Any) -> None:
        with _quiet_stdout():
            if not arguments.keep:
                start_over(database)
            fill(database)

    run(folder / "sun-crumb-demo.db", arguments.port, is_demo=True, prepare=prepare, say=_say)


def _own_database() -> Any:
    from sun_crumb.store import Database

    database = Database(data_folder() / "sun-crumb.db")
    database.migrate()
    return database


def _backup(arguments: argparse.Namespace) -> Any:
    from sun_crumb.services import backup

    target = Path(arguments.file)
    if target.exists():
        raise CoreError(f"{target} is there already; give the backup a name of its own", field="file")
    made = backup.back_up(_own_database())
    backup.write_private(target, made.content)
    return {"file": str(target), "bytes": target.stat().st_size}


def _restore(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.files import RestoredOut
    from sun_crumb.formats.backup import MOST_CHARACTERS
    from sun_crumb.services import backup

    return _plain(RestoredOut, backup.restore(_own_database(), _text(arguments.file, 4 * MOST_CHARACTERS)))


def _export(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.files import FileOut
    from sun_crumb.services import exchange

    found = exchange.export_recipe(_own_database(), arguments.recipe, arguments.format, arguments.version)
    return _plain(FileOut, found)


def _import(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.files import ImportOut
    from sun_crumb.services import exchange

    text = _text(arguments.file)
    return _plain(ImportOut, exchange.import_file(_own_database(), Path(arguments.file).name, text))


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

    for name, run, words in (
        ("read", _read, "read a recipe into weighed lines"),
        ("analyse", _analyse, "total a recipe per batch, serving and 100 g"),
        ("rework", _rework, "rebalance a recipe with less sugar"),
        ("check", _check, "judge a recipe by itself: what is off, and the smallest mend"),
        ("paths", _paths, "rebalance a recipe on all five paths, side by side"),
    ):
        made = command(name, run, words)
        made.add_argument("file", help="a text file, or - for standard input")
        made.add_argument("--cup", choices=sorted(cup_standards()), help="cup standard; inferred by default")
        if name != "read":
            made.add_argument("--servings", type=int, help="portions; read from the text by default")
        if name in ("rework", "paths", "check"):
            made.add_argument(
                "--family", action="append", metavar="[COMPONENT=]KEY", help="what kind of dessert a component is"
            )
        if name in ("rework", "paths"):
            made.add_argument("--path", choices=sorted(paths()), default="blend")
            made.add_argument("--cut", type=float, help="share of the sugar to take out, 0 to 1")
            made.add_argument("--keep-sweet", type=float, help="share of the sweetness to keep")
            made.add_argument("--definition", choices=sorted(DEFINITIONS), help="which sugar to cut")
            made.add_argument("--diet", action="append", choices=sorted(diets()))
            made.add_argument("--eater", action="append", choices=sorted(eaters()), help="who is at the table")
            made.add_argument("--cupboard", help="sweeteners at hand, by comma: honey,dates")
            made.add_argument("--avoid", help="allergens to add nothing of, by comma: treenut,milk")
            made.add_argument("--without", help="what must not be in, by comma")
            made.add_argument("--including", help="what must come in, by comma")
            made.add_argument("--most-kcal", type=float, help="energy that a portion may hold")
            made.add_argument("--most-free-sugar", type=float, help="free sugar [g] that a portion may hold")
            made.add_argument("--most-cost", type=float, help="what the priced of a portion may cost")
            made.add_argument("--price", action="append", metavar="NAME=PER_KG", help="a price, for --most-cost")
            made.add_argument("--lock", action="append", metavar="NAME[=GRAMS]", help="a line that must not move")
            made.add_argument("--amount", action="append", metavar="NAME=GRAMS", help="how much of what comes in")
            made.add_argument("--most-new", type=int, help="how many new sweeteners at most")
            made.add_argument(
                "--cap", action="append", metavar="KIND=SHARE", help="puree, paste, syrup or filler at most"
            )
            made.add_argument("--flavours", help="what to put in for sweetness, by comma: vanilla,salt; none: ''")
    out = command("export", _export, "give a recipe of your shelf as the content of a file")
    out.add_argument("recipe", type=int, help="the recipe's number, as in its address")
    out.add_argument("--format", choices=("jsonld", "html", "csv", "json"), default="json")
    out.add_argument("--version", type=int, help="a version; the newest by default")
    command("import", _import, "take a recipe from a file").add_argument("file", help="a file, or - for standard input")
    saved = command("backup", _backup, "write everything you keep into one open file; works while the screens are open")
    saved.add_argument("file", help="the file to write; one that is there is not written over")
    back = command("restore", _restore, "put a backup in the place of everything; what was there is kept beside it")
    back.add_argument("file", help="a backup file, or - for standard input")
    served = command("serve", _serve, "serve the screens over your own data")
    served.add_argument("--port", type=int, default=DEFAULT_PORT)
    shown = command("demo", _demo, "serve the screens over demo data of their own")
    shown.add_argument("--port", type=int, default=DEFAULT_PORT)
    shown.add_argument("--folder", help="where the demo data go")
    shown.add_argument("--keep", action="store_true", help="keep what was changed in the last demo")
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
        with _quiet_stdout():
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
    print(json.dumps(result, ensure_ascii=False, indent=2, allow_nan=False))
    return 0


if __name__ == "__main__":
    sys.exit(main())
