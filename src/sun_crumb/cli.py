"""The command line: the same services as the API, JSON on standard output, errors as JSON on standard error."""

from __future__ import annotations

import argparse
import json
import os
import sys
from collections.abc import Callable, Sequence
from contextlib import contextmanager
from pathlib import Path
from typing import Any

from sqlalchemy.exc import DBAPIError

from sun_crumb.commands import add_commands, data_folder, own_database, pairs, plain
from sun_crumb.core.errors import CoreError
from sun_crumb.core.pantry import diets
from sun_crumb.core.quantities.measures import cup_standards
from sun_crumb.core.reading import Reading
from sun_crumb.core.wish import DEFINITIONS, eaters, paths
from sun_crumb.flags import families_asked, goals_asked

DEFAULT_PORT = 8710
MOST_BYTES = 2_000_000


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


def _recipe_text(name: str) -> str:
    """Return the recipe of a file: the words of it where it is a page."""
    from sun_crumb.services.kitchen import page_as_text

    text = _text(name)
    return page_as_text(text) or text


def _read(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.reading import ReadingOut
    from sun_crumb.core.errors import EmptyRecipeError
    from sun_crumb.services import kitchen

    found = kitchen.read(_text(arguments.file), arguments.cup)
    if not any(line.ingredient for line in found.lines):
        raise EmptyRecipeError("this text names no food", field="text")
    return plain(ReadingOut, found)


def _analyse(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.reading import AnalysedOut
    from sun_crumb.core.errors import EmptyRecipeError
    from sun_crumb.services import kitchen
    from sun_crumb.services.kitchen import analysed

    formula, reading, _ = kitchen.read_formula(_recipe_text(arguments.file), arguments.cup, arguments.servings)
    if not formula.lines:
        raise EmptyRecipeError("no line of this text could be weighed", field="text")
    return plain(AnalysedOut, analysed(formula)) | {"title": formula.title, "unsure": _unsure(reading)}


def _unsure(reading: Reading) -> list[dict[str, str]]:
    return [
        {"text": line.text, "status": line.status, "problem": line.problem}
        for line in reading.lines
        if line.status in ("ask", "conflict", "unreadable")
    ]


def _rework(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.rework import PlanOut
    from sun_crumb.services import kitchen

    formula, reading, cup = kitchen.read_formula(_recipe_text(arguments.file), arguments.cup, arguments.servings)
    plan = plain(PlanOut, kitchen.plan(formula, goals_asked(arguments, formula), cup))
    metrics = {metric["key"]: metric for part in plan["balance"][:1] for metric in part["metrics"]}
    more = {"title": formula.title, "balance_by_component": plan["balance"], "unsure": _unsure(reading)}
    return plan | more | {"balance": metrics}


def _method(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.method import MethodTextOut, contract_keys
    from sun_crumb.core.reading import method_of
    from sun_crumb.services import bake_day, kitchen

    text = _recipe_text(arguments.file)
    if not arguments.rewrite:
        return contract_keys(plain(MethodTextOut, bake_day.read_steps(text, arguments.cup)))
    formula, reading, cup = kitchen.read_formula(text, arguments.cup, arguments.servings)
    plan = kitchen.plan(formula, goals_asked(arguments, formula), cup)
    told = bake_day.steps_of_plan(formula, method_of(reading).steps, plan, cup)
    return contract_keys(plain(MethodTextOut, told)) | {"unsure": _unsure(reading)}


def _prepare(arguments: argparse.Namespace) -> Any:
    from sun_crumb.core.kitchen.preparations import prepare
    from sun_crumb.core.pantry import shipped_pantry

    given = pairs(arguments.given)
    for key in ("food", "ingredient", "kind", "with", "liquid"):
        if key in given:
            from sun_crumb.services import kitchen

            given[key] = kitchen.pantry_keys([given[key]], field=key)[0]
    return prepare(arguments.kind, given, shipped_pantry()).as_figures()


def _schedule(arguments: argparse.Namespace) -> Any:
    from sun_crumb.services import schedules

    asked = schedules.asked(
        _recipe_text(arguments.file), arguments.serve, arguments.sleep, arguments.now, ovens=arguments.ovens
    )
    found = schedules.planned(asked)
    if arguments.format == "ics":
        return schedules.calendar(asked, found)
    return schedules.told(asked, found)


def _tin(arguments: argparse.Namespace) -> Any:
    from dataclasses import asdict

    from sun_crumb.core.kitchen import tins
    from sun_crumb.services.workshop import minutes_of, number

    given = pairs(arguments.given)
    depths = {key: number(given, key) for key in ("depth", "old_depth") if key in given}
    old = tins.read_size(arguments.old, depths.get("old_depth"))
    new = tins.read_size(arguments.new, depths.get("depth"))
    span = minutes_of(given.get("minutes", ""))
    found = tins.refit(old, new, span, keep_amount=given.get("keep") == "amount")
    return asdict(found) | {"old_ml": round(old.whole_ml), "new_ml": round(new.whole_ml)}


def _oven(arguments: argparse.Namespace) -> Any:
    from dataclasses import asdict

    from sun_crumb.core.kitchen import ovens
    from sun_crumb.services.workshop import number

    given = pairs(arguments.given)
    found = ovens.setting(
        arguments.temperature, arguments.unit, is_fan=arguments.fan, offset_c=number(given, "offset", 0.0)
    )
    height = ovens.at_height(number(given, "altitude", 0.0)) if "altitude" in given else None
    return asdict(found) | ({"height": asdict(height)} if height else {})


def _candy(arguments: argparse.Namespace) -> Any:
    from dataclasses import asdict

    from sun_crumb.core.kitchen import candy
    from sun_crumb.core.pantry import shipped_pantry
    from sun_crumb.services.workshop import number, pot_of

    given = pairs(arguments.given)
    temperature = number(given, "temperature") if "temperature" in given else None
    return asdict(
        candy.boiled(
            given.get("stage"),
            temperature,
            number(given, "altitude", 0.0),
            number(given, "molar_factor") if "molar_factor" in given else None,
            pot_of(given.get("sugar", ""), shipped_pantry()),
        )
    )


def _check(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.checked import CheckOut
    from sun_crumb.services import kitchen

    formula, reading, cup = kitchen.read_formula(_recipe_text(arguments.file), arguments.cup, arguments.servings)
    found = kitchen.check(formula, families_asked(arguments.family or (), formula), cup)
    return {"title": formula.title, **plain(CheckOut, {"components": found}), "unsure": _unsure(reading)}


def _paths(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.rework import PathSidesOut
    from sun_crumb.core.pantry import shipped_pantry
    from sun_crumb.services import kitchen
    from sun_crumb.services.whatif import paths_shown

    formula, reading, cup = kitchen.read_formula(_recipe_text(arguments.file), arguments.cup, arguments.servings)
    sides = paths_shown(formula, goals_asked(arguments, formula), shipped_pantry(), cup)
    return {"title": formula.title, **plain(PathSidesOut, sides), "unsure": _unsure(reading)}


def _others(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.rework import OthersOut
    from sun_crumb.core.exploring import others
    from sun_crumb.core.pantry import shipped_pantry
    from sun_crumb.services import kitchen
    from sun_crumb.services.whatif import shown_other

    formula, reading, cup = kitchen.read_formula(_recipe_text(arguments.file), arguments.cup, arguments.servings)
    found = [shown_other(one) for one in others(formula, goals_asked(arguments, formula), shipped_pantry(), cup)]
    return {"title": formula.title, **plain(OthersOut, {"others": found}), "unsure": _unsure(reading)}


def _afternoon(arguments: argparse.Namespace) -> Any:
    from dataclasses import asdict

    from sun_crumb.core.exploring import Dessert, afternoon
    from sun_crumb.core.pantry import shipped_pantry
    from sun_crumb.core.wish import Goals
    from sun_crumb.services import kitchen

    try:
        given = [float(n) for n in arguments.portions.split(",")] if arguments.portions else []
    except ValueError:
        raise CoreError(f"{arguments.portions!r} are no portions: give numbers, by comma", field="portions") from None
    wish = Goals(path=arguments.path, keep_sweet=arguments.keep_sweet, diets=tuple(arguments.diet or ()))
    desserts = [
        Dessert(kitchen.read_formula(_recipe_text(name))[0], wish, given[n] if n < len(given) else 1.0)
        for n, name in enumerate(arguments.files)
    ]
    found = asdict(afternoon(desserts, arguments.most, shipped_pantry()))
    for one in found["desserts"]:
        del one["plan"]
    return found


def _compare(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.compare import ApartOut
    from sun_crumb.services.comparing import set_apart

    if arguments.first == arguments.second == "-":
        raise CoreError("standard input is one recipe", field="second")
    one, two = (_compared(name) for name in (arguments.first, arguments.second))
    return plain(ApartOut, set_apart(one, two, arguments.definition, arguments.portion))


def _compared(name: str) -> Any:
    """Return a recipe's file, or with food:KEY a food of the pantry, as what is compared, and its method."""
    from sun_crumb.core.exploring.beside import product
    from sun_crumb.core.pantry import shipped_pantry
    from sun_crumb.core.reading import method_of
    from sun_crumb.services import kitchen

    if name.startswith("food:"):
        return product(shipped_pantry()[name.removeprefix("food:")]), ()
    formula, reading, _ = kitchen.read_formula(_recipe_text(name))
    return formula, method_of(reading).steps


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
        with _quiet_stdout():
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

    return plain(RestoredOut, backup.restore(own_database(), _text(arguments.file, 4 * MOST_CHARACTERS)))


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
    text = _text(arguments.file)
    return plain(ImportOut, exchange.import_file(own_database(), Path(arguments.file).name, text))


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
        ("method", _method, "read a recipe's method into steps; --rewrite gives it for a plan"),
        ("check", _check, "judge a recipe by itself: what is off, and the smallest mend"),
        ("paths", _paths, "rebalance a recipe on all five paths, side by side"),
        ("others", _others, "other plans for the same wish that are nearly as good"),
    ):
        made = command(name, run, words)
        made.add_argument("file", help="a text file, or - for standard input")
        made.add_argument("--cup", choices=sorted(cup_standards()), help="cup standard; inferred by default")
        if name != "read":
            made.add_argument("--servings", type=int, help="portions; read from the text by default")
        if name == "method":
            made.add_argument("--rewrite", action="store_true", help="for the plan that rework's options ask for")
        if name in ("rework", "paths", "others", "check", "method"):
            made.add_argument(
                "--family", action="append", metavar="[COMPONENT=]KEY", help="what kind of dessert a component is"
            )
        if name in ("rework", "paths", "others", "method"):
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
            made.add_argument(
                "--confidence",
                type=float,
                help="how often the wish is to hold with amounts and foods as uncertain as they are: 0.9",
            )
            made.add_argument("--base", help="make it on another base: almond, oat, gluten_free, egg_free, fruit, ...")
            made.add_argument(
                "--recast",
                action="append",
                help="make a component as a pattern: COMPONENT=PATTERN, or PATTERN for the main one",
            )
            made.add_argument("--flavours", help="what to put in for sweetness, by comma: vanilla,salt; none: ''")
    made = command("compare", _compare, "put two recipes, or bought foods, beside each other at the same portion")
    made.add_argument("first", help="a recipe's text file, - for standard input, or food:KEY")
    made.add_argument("second", help="the other")
    made.add_argument("--definition", choices=sorted(DEFINITIONS), default="free_sugars_who_g")
    made.add_argument("--portion", type=float, help="the portion of both [g]; the first's own by default")
    made = command(
        "afternoon", _afternoon, "which cut for which of several desserts loses least within a guest's limit"
    )
    made.add_argument("files", nargs="+", help="the recipes' text files")
    made.add_argument("--most", type=float, required=True, help="free sugar that a guest is to eat at most [g]")
    made.add_argument("--portions", help="portions that a guest eats of each, by comma: 1,2")
    made.add_argument("--path", choices=sorted(paths()), default="blend")
    made.add_argument("--keep-sweet", type=float, help="share of the sweetness to keep")
    made.add_argument("--diet", action="append", choices=sorted(diets()))
    made = command("prepare", _prepare, "what a preparation gives: a paste, a mash, a juice boiled down")
    made.add_argument("kind", help="paste, soak, mash, squeeze, reduce and so on; a wrong one lists them")
    made.add_argument("given", nargs="*", help="figures and choices: grams=200 water=100 food=medjool_date")
    planned = command("schedule", _schedule, "when to begin, backwards from the time of serving")
    planned.add_argument("file", help="a recipe, or tasks as JSON (docs/schedule.md); - for standard input")
    planned.add_argument("--serve", required=True, help="when it is to be ready: 2027-01-09T16:00")
    planned.add_argument("--sleep", help="hours of sleep: 22:30-06:30")
    planned.add_argument("--now", help="nothing begins before; the present time by default, 'any' for no such limit")
    planned.add_argument("--ovens", type=int, default=1, help="how many ovens there are: 1")
    planned.add_argument("--format", choices=("json", "ics"), default="json")
    tin = command("tin", _tin, "from one tin to another")
    tin.add_argument("old", help='the recipe\'s tin: "20 cm round", "23 x 33 cm", "loaf_900"')
    tin.add_argument("new", help="the tin at hand")
    tin.add_argument("given", nargs="*", help="minutes=40-45 depth=5 old_depth=5 keep=amount")
    oven = command("oven", _oven, "one heat by every dial")
    oven.add_argument("temperature", type=float)
    oven.add_argument("unit", nargs="?", default="C", help="C, F or gas")
    oven.add_argument("given", nargs="*", help="offset=10 altitude=1600")
    oven.add_argument("--fan", action="store_true", help="it is a fan oven's dial")
    candy = command("candy", _candy, "a stage of boiled sugar")
    candy.add_argument(
        "given",
        nargs="*",
        help="stage=soft_ball or temperature=118, altitude=1600 sugar=white_sugar:200,honey:50 (or molar_factor=1.2)",
    )
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
    served = command("serve", _serve, "serve the screens over your own data")
    served.add_argument("--port", type=int, default=DEFAULT_PORT)
    shown = command("demo", _demo, "serve the screens over demo data of their own")
    shown.add_argument("--port", type=int, default=DEFAULT_PORT)
    shown.add_argument("--folder", help="where the demo data go")
    shown.add_argument("--keep", action="store_true", help="keep what was changed in the last demo")
    for screens in (served, shown):
        screens.add_argument("--scale", help="where a scale answers: host:port")
        screens.add_argument("--probe", help="where a thermometer answers: host:port")
    add_commands(command)
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
    print(result if isinstance(result, str) else json.dumps(result, ensure_ascii=False, indent=2, allow_nan=False))
    return 0


if __name__ == "__main__":
    sys.exit(main())
