"""A quarter of the demo household's life: bakes, tastings, slices, slips, a taper under way; through the same services as a user's own clicks."""

from __future__ import annotations

import base64
import io
from collections.abc import Iterator
from dataclasses import dataclass, field
from datetime import date, timedelta
from random import Random
from typing import Any

from PIL import Image, ImageDraw

from sun_crumb.core.reference import table
from sun_crumb.services import bakes, challenges, learning, ledger, people, progress, shelf, slips, tastings
from sun_crumb.services.recipes import get_recipe
from sun_crumb.store import Database

PEOPLE: tuple[dict[str, Any], ...] = (
    {"name": "Ada", "age": "adult_woman", "authority": "who_5", "energy_kcal": 2000.0, "own_limit_g": None, "diets": [], "eaters": [], "is_at_table": True},
    {"name": "Bo", "age": "7_to_10", "authority": "uk", "energy_kcal": None, "own_limit_g": None, "diets": [], "eaters": [], "is_at_table": True},
    {"name": "Nan", "age": "adult", "authority": "own", "energy_kcal": None, "own_limit_g": 20.0, "diets": [], "eaters": ["diabetes"], "is_at_table": True},
)  # fmt: skip
# Afternoons mostly, some evenings, now and then with the second breakfast [minutes after midnight].
TIMES = (630, 930, 945, 960, 990, 1140, 1170)


@dataclass(frozen=True)
class Day:
    """A bake: days ago, the dessert, how it is chosen (*original*, *rework*, *trial* of a cause, *taper*'s next step), what was done, sheets by taster, portions eaten."""

    ago: int
    dessert: str
    which: str
    eaten: int
    sheets: dict[str, dict[str, int]] = field(default_factory=dict)
    minutes: float | None = None
    feel: str = ""
    notes: str = ""


GOOD = {"sweetness": 0, "moisture": 0, "crumb": 0, "liked": 2}
DAYS = (
    Day(91, "Orange semolina cake", "original", 14, {"Ada": {"sweetness": 0, "liked": 2}, "Bo": {"sweetness": 0, "liked": 2}}, 36),
    Day(88, "Hazelnut cookies", "original", 18, {"Bo": {"liked": 2}, "Ada": {"sweetness": 1, "liked": 2}}, 12),
    Day(84, "Rye ginger squares", "original", 13, {"Nan": {"sweetness": 0, "liked": 2}}, 30),
    Day(80, "Cardamom rice pudding", "original", 10, {"Nan": {"liked": 2}, "Ada": {"liked": 2}}),
    Day(77, "Orange semolina cake", "rework", 16, {"Ada": {"sweetness": -1, "moisture": 1, "crumb": 1, "liked": 1}, "Bo": {"sweetness": -1, "crumb": 2, "liked": 1}}, 34, "pours", "the middle stayed damp"),
    Day(73, "Hazelnut cookies", "taper", 20, {"Ada": {"sweetness": 0, "rise": 0, "liked": 3}, "Bo": {"sweetness": 0, "liked": 2}}, 12, "holds"),
    Day(70, "Plum crumble", "original", 11, {"Nan": {"sweetness": 1, "liked": 2}}, 42),
    Day(66, "Orange semolina cake", "trial", 16, {"Ada": {"sweetness": -1, "crumb": 0, "moisture": 0, "colour": 1, "liked": 2}, "Nan": {"sweetness": 0, "liked": 2}}, 37, "drops", "cut cleanly"),
    Day(63, "Cardamom rice pudding", "rework", 10, {"Nan": {"sweetness": -1, "flavour": -1, "liked": 1}, "Ada": {"sweetness": 0, "liked": 2}}),
    Day(59, "Rye ginger squares", "rework", 16, {"Ada": {"sweetness": 0, "moisture": 1, "liked": 2}, "Bo": {"sweetness": -1, "colour": 1, "liked": 2}}, 29, "drops"),
    Day(56, "Hazelnut cookies", "taper", 20, {"Ada": {"sweetness": 0, "liked": 2}, "Bo": {"sweetness": 0, "liked": 2}}, 13, "holds"),
    Day(52, "Carrot loaf with a cream cheese top", "original", 13, {"Nan": {"sweetness": 1, "liked": 2}}, 52),
    Day(49, "Orange semolina cake", "newest", 16, {"Bo": dict(GOOD), "Ada": {"sweetness": 0, "colour": 1, "liked": 2}}, 36, "drops"),
    Day(45, "Plum crumble", "original", 11, {"Ada": {"sweetness": 1, "liked": 2}, "Bo": {"liked": 2}}, 41),
    Day(42, "Rye ginger squares", "rework", 18, {"Ada": {"sweetness": -1, "colour": 1, "liked": 2}}, 28, "drops", "a little dark at the back"),
    Day(38, "Cardamom rice pudding", "trial", 10, {"Nan": {"sweetness": 0, "flavour": 0, "liked": 3}, "Ada": {"sweetness": 0, "liked": 2}}, None, "", "more cardamom was right"),
    Day(35, "Hazelnut cookies", "taper", 22, {"Ada": {"sweetness": -1, "liked": 2}, "Bo": {"sweetness": 0, "rise": 0, "liked": 2}}, 12, "holds"),
    Day(31, "Orange semolina cake", "newest", 16, {"Nan": {"sweetness": 0, "liked": 2}, "Bo": {"sweetness": 0, "crumb": 0, "liked": 2}}, 36, "drops"),
    Day(28, "Carrot loaf with a cream cheese top", "original", 13, {"Ada": {"moisture": 0, "liked": 2}}, 54),
    Day(24, "Rye ginger squares", "rework", 18, {"Bo": {"sweetness": 0, "liked": 2}, "Nan": {"sweetness": 0, "moisture": 1, "liked": 2}}, 30, "drops"),
    Day(20, "Cardamom rice pudding", "newest", 10, {"Nan": {"liked": 3}, "Ada": {"flavour": 0, "liked": 2}}),
    Day(17, "Hazelnut cookies", "newest", 22, {"Bo": {"sweetness": 0, "liked": 2}, "Nan": {"sweetness": 0, "liked": 2}}, 12, "holds"),
    Day(10, "Plum crumble", "original", 11, {"Ada": {"sweetness": 1, "liked": 2}}, 42),
    Day(2, "Orange semolina cake", "newest", 5, {}, 36, "drops"),
)  # fmt: skip
# How often each of these slips in a quarter: a key of usual_slips.csv, who, when.
SLIPS = (("ketchup", "Bo", 780, 7), ("juice", "Bo", 480, 8), ("tea_sugar", "Nan", 960, 6), ("biscuit", "Ada", 1260, 6), ("yoghurt", "Bo", 1080, 4), ("ice_cream", "Bo", 960, 3), ("bar", "Ada", 900, 3))  # fmt: skip


def live(database: Database, today: date | None = None) -> None:
    """Put a quarter of life into the demo's household; one that has tastings already is left as it is."""
    today = today or database.clock.today()
    if bakes.list_bakes(database).total >= len(DAYS):
        return
    chance = Random(2026)
    for given in PEOPLE:
        people.add_person(database, dict(given), f"demo-{given['name']}")
    numbers = {row.title: row.id for row in shelf.list_recipes(database).recipes}
    known = {
        title: next(n for name, n in numbers.items() if name.lower() == title.lower())
        for title in {day.dessert for day in DAYS}
    }
    progress.begin_taper(database, known["Hazelnut cookies"], 0.4, "less")
    last: dict[str, int] = {}
    for number, day in enumerate(DAYS):
        version = _version(database, known[day.dessert], day, last)
        baked_on = today - timedelta(days=day.ago)
        portion = bakes.bake(database, version, baked_on, client_key=f"demo-quarter-{number}")[0]
        last[day.dessert] = portion.event_id
        done = {"minutes": day.minutes, "feel": day.feel, "notes": day.notes}
        bakes.change_bake(database, portion.event_id, {k: v for k, v in done.items() if v})
        for n, (who, scores) in enumerate(day.sheets.items()):
            tastings.taste(
                database, portion.event_id, baked_on + timedelta(days=n), scores, who=who, state="cool" if n else "warm",
                client_key=f"demo-taste-{number}-{n}", learns=False,
            )  # fmt: skip
        for n, (who, count) in enumerate(_slices(chance, day.eaten, portion.servings)):
            on = min(baked_on + timedelta(days=n // 4), today)
            ledger.eat(database, portion.id, on, count, who, f"demo-eat-{number}-{n}", chance.choice(TIMES))
        if day.notes:
            bakes.add_photo(database, portion.event_id, _picture(chance), f"demo-photo-{number}")
    learning.learn_anew(database)
    _slip(database, today, chance)
    challenges.add_challenge(
        database, "No bought sweets this fortnight", today - timedelta(days=9), today + timedelta(days=4)
    )


def _version(database: Database, recipe_id: int, day: Day, last: dict[str, int]) -> int:
    """Return the version that is baked: made first where it is a trial or the taper's next step."""
    if day.which == "taper":
        return progress.next_step(database, recipe_id, f"demo-step-{day.ago}")
    if day.which == "trial":
        found = tastings.judged(database, last[day.dessert])
        why = next(why for why in found.causes if why.trial is not None and why.trial.moved)
        return tastings.accept_trial(database, last[day.dessert], why.cause.key, f"demo-trial-{day.ago}").version_id
    versions = get_recipe(database, recipe_id).versions
    reworks = [v for v in versions if v.number > 1] or list(versions)
    return {"original": versions[0], "rework": reworks[0], "newest": reworks[-1]}[day.which].id


def _slices(chance: Random, count: int, servings: int) -> Iterator[tuple[str, float]]:
    left = float(servings)
    for _ in range(count):
        taken = min(chance.choice((1.0, 1.0, 1.0, 2.0, 0.5)), left)
        if taken <= 0:
            return
        left -= taken
        yield chance.choice(("Ada", "Bo", "Nan", "Ada", "Bo")), taken


def _slip(database: Database, today: date, chance: Random) -> None:
    usual = {row["key"]: row for row in table("usual_slips")}
    for key, who, at, often in SLIPS:
        row = usual[key]
        for n in range(often):
            slips.add_slip(
                database,
                row["name"],
                today - timedelta(days=chance.randint(1, 90)),
                grams=float(row["grams"]),
                sugars_g=float(row["sugars_g"]),
                energy_kcal=float(row["energy_kcal"]),
                kind=row["kind"],
                who=who,
                eaten_at=at,
                client_key=f"demo-slip-{key}-{n}",
            )


def _picture(chance: Random) -> str:
    """Return a drawn slice as base64: crust, crumb with its holes, a plate."""
    image = Image.new("RGB", (900, 600), (250, 240, 220))
    draw = ImageDraw.Draw(image)
    draw.ellipse((90, 330, 810, 560), fill=(233, 222, 200), outline=(205, 190, 160), width=6)
    top = chance.randint(170, 220)
    draw.polygon(((220, top + 60), (640, top), (700, top + 230), (240, top + 270)), fill=(214, 164, 92))
    draw.polygon(((220, top + 60), (640, top), (646, top + 34), (224, top + 96)), fill=(130, 78, 40))
    for _ in range(160):
        x, y, r = chance.randint(245, 660), chance.randint(top + 95, top + 225), chance.randint(2, 7)
        draw.ellipse((x - r, y - r, x + r, y + r), fill=(188, 136, 70))
    out = io.BytesIO()
    image.save(out, "JPEG", quality=80)
    return base64.b64encode(out.getvalue()).decode()
