"""Fill a database with the demo household, through the same services as a user's own clicks."""

from __future__ import annotations

from datetime import date, timedelta
from importlib.resources import files

from sqlalchemy import delete

from sun_crumb.core.wish import Goals
from sun_crumb.services import bakes, kitchen, ledger, recipes, shelf
from sun_crumb.services.kept import KeptRecipe
from sun_crumb.store import Database
from sun_crumb.store.tables import Base

DESSERTS = (
    "orange_semolina_cake",
    "plum_crumble",
    "rye_ginger_squares",
    "cardamom_rice_pudding",
    "hazelnut_cookies",
    "honeyed_carrot_loaf",
)
# Reworks kept, by dessert: the goals and what the household calls them.
REWORKS = {
    "orange_semolina_cake": (
        Goals(path="blend", cut=0.5, keep_sweet=0.75, cupboard=("honey", "date_paste", "applesauce")),
        "For the school fair",
    ),
    "rye_ginger_squares": (Goals(path="fruit", cut=0.45, keep_sweet=0.85), "Dates only"),
    "cardamom_rice_pudding": (Goals(path="less", cut=0.3, keep_sweet=0.7), "A third less"),
}
# Bakes: dessert, whether the rework, days ago, and portions eaten as (days after baking, how many, by whom).
BAKES = (
    (
        "orange_semolina_cake",
        True,
        13,
        ((0, 2, "Ada"), (0, 1, "Bo"), (1, 2, "Ada"), (2, 1, "Bo"), (3, 2, "Nan"), (5, 1, "Ada")),
    ),
    ("rye_ginger_squares", True, 6, ((0, 1, "Ada"), (1, 2, "Bo"), (2, 1, "Nan"), (3, 1, "Ada"), (4, 2, "Bo"))),
    ("cardamom_rice_pudding", False, 3, ((0, 1, "Nan"), (1, 1, "Ada"))),
)


def start_over(database: Database) -> None:
    """Take everything out of the demo's database, for the household to be put in anew."""
    with database.transaction() as session:
        for table in reversed(Base.metadata.sorted_tables):
            session.execute(delete(table))


def fill(database: Database, today: date | None = None) -> None:
    """Put the demo data into an empty database; one that already holds recipes is left as it is."""
    if shelf.list_recipes(database).total:
        return
    today = today or database.clock.today()
    kept: dict[str, KeptRecipe] = {}
    for name in DESSERTS:
        text = files("sun_crumb.demo").joinpath("recipes", f"{name}.txt").read_text(encoding="utf-8")
        read = kitchen.read(text)
        assert read.yields is not None, name
        new = recipes.NewRecipe(
            title=read.title,
            lines=[
                kitchen.PlainLine(line.ingredient, line.grams, line.component, line.text)
                for line in read.lines
                if line.ingredient and line.grams is not None
            ],
            servings=read.yields.count,
            unit=read.yields.unit,
            source_text=text,
            cup=read.cup,
        )
        recipe = recipes.keep_recipe(database, new, f"demo-{name}")
        if name in REWORKS:
            goals, label = REWORKS[name]
            recipe = recipes.keep_version(database, recipe.id, goals, label=label, client_key=f"demo-{name}-rework")
        kept[name] = recipe
    for number, (name, is_rework, days_ago, eaten) in enumerate(BAKES):
        version = kept[name].versions[-1 if is_rework else 0]
        baked_on = today - timedelta(days=days_ago)
        bake = bakes.bake(database, version.id, baked_on, client_key=f"demo-bake-{number}")[0]
        for position, (after, count, who) in enumerate(eaten):
            ledger.eat(
                database,
                bake.id,
                baked_on + timedelta(days=after),
                count,
                who,
                client_key=f"demo-{number}-{position}",
            )
