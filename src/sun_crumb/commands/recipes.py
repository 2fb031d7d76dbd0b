"""Commands over a recipe's text: read, totalled, reworked, judged, compared."""

from __future__ import annotations

import argparse
from typing import Any

from sun_crumb.commands.shared import Adds, plain, recipe_text, text_of, unsure_of
from sun_crumb.core.errors import CoreError
from sun_crumb.core.pantry import diets
from sun_crumb.core.quantities.measures import cup_standards
from sun_crumb.core.wish import DEFINITIONS, eaters, paths
from sun_crumb.flags import families_asked, goals_asked


def _read(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.reading import ReadingOut
    from sun_crumb.core.errors import EmptyRecipeError
    from sun_crumb.services import kitchen

    found = kitchen.read(text_of(arguments.file), arguments.cup)
    if not any(line.ingredient for line in found.lines):
        raise EmptyRecipeError("this text names no food", field="text")
    return plain(ReadingOut, found)


def _analyse(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.reading import AnalysedOut
    from sun_crumb.core.errors import EmptyRecipeError
    from sun_crumb.services import kitchen
    from sun_crumb.services.kitchen import analysed

    formula, reading, _ = kitchen.read_formula(recipe_text(arguments.file), arguments.cup, arguments.servings)
    if not formula.lines:
        raise EmptyRecipeError("no line of this text could be weighed", field="text")
    return plain(AnalysedOut, analysed(formula)) | {"title": formula.title, "unsure": unsure_of(reading)}


def _rework(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.rework import PlanOut
    from sun_crumb.services import kitchen

    formula, reading, cup = kitchen.read_formula(recipe_text(arguments.file), arguments.cup, arguments.servings)
    plan = plain(PlanOut, kitchen.plan(formula, goals_asked(arguments, formula), cup))
    metrics = {metric["key"]: metric for part in plan["balance"][:1] for metric in part["metrics"]}
    more = {"title": formula.title, "balance_by_component": plan["balance"], "unsure": unsure_of(reading)}
    return plan | more | {"balance": metrics}


def _method(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.method import MethodTextOut, contract_keys
    from sun_crumb.core.reading import method_of
    from sun_crumb.services import bake_day, kitchen

    text = recipe_text(arguments.file)
    if not arguments.rewrite:
        return contract_keys(plain(MethodTextOut, bake_day.read_steps(text, arguments.cup)))
    formula, reading, cup = kitchen.read_formula(text, arguments.cup, arguments.servings)
    plan = kitchen.plan(formula, goals_asked(arguments, formula), cup)
    told = bake_day.steps_of_plan(formula, method_of(reading).steps, plan, cup)
    return contract_keys(plain(MethodTextOut, told)) | {"unsure": unsure_of(reading)}


def _check(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.checked import CheckOut
    from sun_crumb.services import kitchen

    formula, reading, cup = kitchen.read_formula(recipe_text(arguments.file), arguments.cup, arguments.servings)
    found = kitchen.check(formula, families_asked(arguments.family or (), formula), cup)
    return {"title": formula.title, **plain(CheckOut, {"components": found}), "unsure": unsure_of(reading)}


def _paths(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.rework import PathSidesOut
    from sun_crumb.core.pantry import shipped_pantry
    from sun_crumb.services import kitchen
    from sun_crumb.services.whatif import paths_shown

    formula, reading, cup = kitchen.read_formula(recipe_text(arguments.file), arguments.cup, arguments.servings)
    sides = paths_shown(formula, goals_asked(arguments, formula), shipped_pantry(), cup)
    return {"title": formula.title, **plain(PathSidesOut, sides), "unsure": unsure_of(reading)}


def _others(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.rework import OthersOut
    from sun_crumb.core.exploring import others
    from sun_crumb.core.pantry import shipped_pantry
    from sun_crumb.services import kitchen
    from sun_crumb.services.whatif import shown_other

    formula, reading, cup = kitchen.read_formula(recipe_text(arguments.file), arguments.cup, arguments.servings)
    found = [shown_other(one) for one in others(formula, goals_asked(arguments, formula), shipped_pantry(), cup)]
    return {"title": formula.title, **plain(OthersOut, {"others": found}), "unsure": unsure_of(reading)}


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
        Dessert(kitchen.read_formula(recipe_text(name))[0], wish, given[n] if n < len(given) else 1.0)
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
    formula, reading, _ = kitchen.read_formula(recipe_text(name))
    return formula, method_of(reading).steps


def _add_wish(made: argparse.ArgumentParser) -> None:
    """Add the flags that a wish is told by."""
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
    made.add_argument("--cap", action="append", metavar="KIND=SHARE", help="puree, paste, syrup or filler at most")
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


def add_commands(command: Adds) -> None:
    """Add the commands over a recipe's text."""
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
            _add_wish(made)
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
