"""The choices that the screens offer."""

from __future__ import annotations

from dataclasses import asdict

from sun_crumb.core.balance import families
from sun_crumb.core.pantry import diets
from sun_crumb.core.quantities.measures import cup_standards
from sun_crumb.core.reference import constant, table
from sun_crumb.core.wish import CAPS, DEFINITIONS, eaters, paths
from sun_crumb.services.pantry import hidden_products, pantry_of
from sun_crumb.services.views import View, ingredient_view
from sun_crumb.store import Database


def choices(database: Database) -> View:
    """Return what can be chosen: paths, definitions, families, diets, cups, sweeteners, daily limits."""
    hidden = hidden_products(database)
    pantry = [i for i in pantry_of(database) if i.key not in hidden]
    return {
        "paths": [
            {
                "key": p.key,
                "name": p.name,
                "words": p.words,
                "cut": p.cut,
                "keep_sweet": p.keep_sweet,
                "definition": p.definition,
                "usual": list(p.usual),
                "most_new": p.most_new,
                "sweeteners": [i.key for i in pantry if p.allows(i)],
            }
            for p in paths().values()
        ],
        "definitions": [{"key": key, "name": name} for key, name in DEFINITIONS.items()],
        "families": [{"key": f.key, "name": f.name, "caps": f.caps} for f in families().values()],
        "caps": [{"key": key, "name": name} for key, name in CAPS.items()],
        "diets": [{"key": d.key, "name": d.name} for d in diets().values()],
        "allergens": [{"key": row["tag"], "name": row["name"]} for row in table("allergens")],
        "eaters": [{"key": e.key, "name": e.name} for e in eaters().values()],
        "cups": [asdict(c) for c in cup_standards().values()],
        "sweeteners": [ingredient_view(i) for i in pantry if any(p.allows(i) for p in paths().values())],
        "limits": [
            {"grams": constant(key), "name": name}
            for key, name in (
                ("limit_who_low", "WHO, 5 % of energy"),
                ("limit_uk_adult", "UK, adults"),
                ("limit_who_high", "WHO, 10 % of energy"),
            )
        ],
    }
