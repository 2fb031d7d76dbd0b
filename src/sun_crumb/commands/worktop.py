"""Commands for the worktop: what a preparation gives, when to begin, tins, ovens, boiled sugar."""

from __future__ import annotations

import argparse
from typing import Any

from sun_crumb.commands.shared import Adds, pairs, recipe_text


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
        recipe_text(arguments.file), arguments.serve, arguments.sleep, arguments.now, ovens=arguments.ovens
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


def add_commands(command: Adds) -> None:
    """Add the commands for the worktop."""
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
