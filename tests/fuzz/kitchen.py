"""A household to attack, and the attacks. An answer of 500 or more, or a screen that no longer loads, is a fault."""

from __future__ import annotations

import json
import tempfile
from collections import defaultdict
from collections.abc import Iterator
from itertools import repeat
from pathlib import Path
from random import Random
from typing import Any
from urllib.parse import quote

from sun_crumb.api.contract import ENDPOINTS
from sun_crumb.app import create_app
from sun_crumb.formats.backup import digest
from tests.api.test_tastings import jpeg
from tests.fuzz.mutate import damaged, mutated, text_of

DAY = "2026-03-09"
LINES = [
    {"ingredient": "white_sugar", "grams": 150.0, "component": "loaf", "text": "150 g sugar"},
    {"ingredient": "plain_flour", "grams": 200.0, "component": "loaf", "text": "200 g flour"},
    {"ingredient": "egg", "grams": 100.0, "component": "loaf", "text": "2 eggs"},
    {"ingredient": "icing_sugar", "grams": 40.0, "component": "top", "text": "40 g icing sugar", "is_crushed": True},
    {"ingredient": "cream_cheese", "grams": 100.0, "component": "top", "text": "100 g cream cheese"},
    {"ingredient": "own_1", "grams": 30.0, "component": "top", "text": "30 g spread"},
]
KINDS = [
    {"name": "plain", "count": 3, "components": ["loaf"]},
    {"name": "iced", "count": 5, "components": ["loaf", "top"]},
]
RECIPE = {
    "title": "Fig loaf", "source_text": "Fig loaf\nMakes 8 slices\n150 g sugar\nMethod\nBake at 170 C for 40 minutes.", "cup": "us",
    "servings": 8, "unit": "slice", "lines": LINES, "portions": KINDS, "own_yields": {"top": 16},
}  # fmt: skip
GOALS = {
    "path": "blend", "cut": 0.4, "keep_sweet": 0.85, "definition": "free_sugars_who_g", "diets": ["vegetarian"], "cupboard": ["honey", "date_paste", "own_1"],
    "avoid": ["treenut"], "eaters": ["small_child"], "without": ["maple_syrup"], "including": [], "most_energy_kcal": 500.0, "most_free_sugar_g": 40.0,
    "most_cost": None, "families": {"loaf": "butter_cake"}, "locks": {"2": 100.0}, "amounts": [{"component": "loaf", "ingredient": "honey", "grams": 30.0}],
    "most_new": 2, "caps": {"paste": 0.1}, "flavours": ["vanilla"],
}  # fmt: skip
LABEL = {
    "name": "Corner oat spread",
    "like": "peanut_butter",
    "energy_kcal": 560.0,
    "fat_g": 42.0,
    "carbohydrate_g": 30.0,
    "sugars_g": 18.0,
    "cup_g": 240.0,
}
PAGE = (
    '<!doctype html><html><head><title>x</title><script type="application/ld+json">{"@context":"https://schema.org","@graph":'
    '[{"@type":["Recipe"],"name":"Pear &amp; oat bars","recipeYield":["12"],"recipeIngredient":["1 cup rolled oats","2 ripe pears"],'
    '"recipeInstructions":[{"@type":"HowToStep","text":"Bake."}]}]}</script></head><body><div itemscope itemtype="http://schema.org/Recipe">'
    '<h1 itemprop="name">Bars</h1><li itemprop="recipeIngredient">1 cup oats</li></div></body></html>'
)
TABLE = "component,ingredient,name,grams,household,text\r\n,white_sugar,sugar,100,1/2 cup,100 g\r\ntop,honey,honey,20,1 tbsp,\r\n"


class Attacked:
    """An application over a household of its own, made anew when it has grown."""

    def __init__(self, seed: int) -> None:
        self.random = Random(seed)
        self.requests = 0
        self.faults: list[str] = []
        self._open()

    def _open(self) -> None:
        self.folder = tempfile.TemporaryDirectory()
        self.app = create_app(Path(self.folder.name) / "attacked.db")
        self.client = self.app.test_client()
        self.send("post", "/api/products", text_of(LABEL))
        for path, body in (
            ("recipes", RECIPE),
            ("recipes/1/versions", GOALS | {"label": "Half"}),
            ("bakes", {"version_id": 2, "baked_on": DAY}),
            ("servings", {"bake_id": 1, "eaten_on": DAY, "count": 2, "who": "Ada"}),
        ):
            if (answer := self.send("post", f"/api/{path}", text_of(body))).status_code != 200:
                raise AssertionError(f"nothing to attack: {answer.get_data(as_text=True)}")
        self.own = self.get_json("/api/recipes/1/export?format=json")["content"]
        self.backup = self.get_json("/api/backup")["content"]

    def close(self) -> None:
        self.app.extensions["database"].close()
        self.folder.cleanup()

    def anew(self) -> None:
        """Start over with a fresh household."""
        self.close()
        self._open()

    def send(self, method: str, path: str, body: str | None = None) -> Any:
        """Send a request and note a fault; return the answer."""
        self.requests += 1
        raw = body.encode(errors="surrogatepass") if body is not None else None
        answer = getattr(self.client, method)(
            path, data=raw, content_type="application/json" if body is not None else None
        )
        if answer.status_code >= 500:
            self.faults.append(f"{answer.status_code} {method} {path} {body} -> {answer.get_data(as_text=True)[:300]}")
        elif path.startswith("/api"):
            try:
                json.loads(answer.get_data(), parse_constant=_no_constant)
            except ValueError as error:
                self.faults.append(f"no JSON ({error}) {method} {path} {body}")
        return answer

    def get_json(self, path: str) -> Any:
        """Return what a screen loads; that it can't is a fault."""
        answer = self.send("get", path)
        if answer.status_code != 200:
            self.faults.append(f"{answer.status_code} GET {path} -> {answer.get_data(as_text=True)[:300]}")
            return {}
        return answer.get_json()

    def look(self, recipe_id: int | None = None) -> None:
        """Load what the screens load."""
        rows = self.get_json("/api/recipes?count=500").get("recipes", [])
        for path in ("/api/ledger?since=2026-01-01&until=2026-12-31", "/api/settings", "/api/choices", "/api/pantry"):
            self.get_json(path)
        for row in rows:
            if row["damage"]:
                self.faults.append(f"kept and damaged: {row}")
        if recipe_id is not None:
            self.get_json(f"/api/recipes/{recipe_id}")
            for kind in ("jsonld", "html", "csv", "json"):
                self.get_json(f"/api/recipes/{recipe_id}/export?format={kind}")
            self.send("post", f"/api/recipes/{recipe_id}/rework", "{}")


def _no_constant(name: str) -> None:
    raise ValueError(f"{name} is no JSON")


def bodies() -> dict[str, Any]:
    """Return a good body for each operation that takes one."""
    wish = GOALS | {"cup": "metric"}
    return {
        "read": {"text": RECIPE["source_text"], "cup": "us"},
        "analyse": {key: RECIPE[key] for key in ("lines", "servings", "unit", "own_yields")},
        "check": {key: RECIPE[key] for key in ("lines", "servings", "unit", "own_yields")} | {"title": "Date loaf", "families": {"": "quick_bread"}, "oven": {"temperature_c": 170}},
        "check_recipe": {"families": {"": "quick_bread"}, "cup": "metric"},
        "keep_recipe": RECIPE | {"client_key": "a key"},
        "change_recipe": {"revision": 2, "title": "Date loaf", "servings": 8, "unit": "slice", "lines": LINES, "portions": KINDS, "own_yields": {"top": 16}},
        "rework_recipe": wish,
        "compare_paths": wish,
        "compare_cuts": wish,
        "other_ways": wish,
        "keep_pattern": {"is_pattern": True},
        "afternoon": {"most_g": 15.0, "desserts": [{"recipe_id": 1, "portions": 1.0, "path": "blend"}]},
        "nudge": wish,
        "relax": wish,
        "preview_recipe": wish | {"support": [{"component": "loaf", "ingredient": "honey", "grams": 30.0}]},
        "keep_version": wish | {"label": "Half", "client_key": "another key"},
        "bake": {"version_id": 1, "baked_on": DAY, "client_key": "b"},
        "eat": {"bake_id": 1, "eaten_on": DAY, "count": 1.5, "who": "Bo", "client_key": "s"},
        "compare": {"first": {"recipe_id": 1, "version_id": 1}, "second": {"food": "honey"}, "definition": "total_sugars_g", "portion_g": 60.0},
        "change_bake": {"tin": "20 cm", "oven_c": 170.0, "minutes": 40.0, "feel": "drops", "notes": "rose well", "pieces": 12, "anew": True, "cost": 3.5},
        "add_photo": {"content": jpeg((40, 30)), "client_key": "ph"},
        "taste": {"bake_id": 1, "tasted_on": DAY, "scores": {"sweetness": -1, "crumb": 2, "liked": 1}, "who": "Bo", "client_key": "ta"},
        "accept_trial": {"cause": "gummy_wet", "client_key": "tr"},
        "note_test": {"bake_id": 1, "other_id": 2, "test": "triangle", "tries": 6, "right": 4, "tried_on": DAY},
        "begin_taper": {"target": 0.4, "path": "less"},
        "next_step": {"client_key": "st"},
        "add_person": {"name": "Ines", "age": "7_to_10", "authority": "uk", "diets": ["vegan"], "eaters": ["diabetes"], "client_key": "pe"},
        "change_person": {"authority": "own", "own_limit_g": 20.0, "energy_kcal": 1800.0, "is_at_table": False},
        "add_slip": {"name": "jam", "eaten_on": DAY, "grams": 20.0, "sugars_g": 10.0, "energy_kcal": 50.0, "kind": "refined", "eaten_at": 900},
        "bring_diary": {"content": "day,at,who,what,grams,free_sugars_who_g\n2026-03-09,08:30,Bo,jam,20,10\n"},
        "add_challenge": {"name": "quiet", "since": DAY, "until": "2026-03-20", "who": "Bo"},
        "say_step": {"key": "Heat the oven", "text": "As I do it."},
        "plan_day": {
            "serve": "2031-03-09T16:00",
            "sleep": "22:30-06:30",
            "from_now": True,
            "beside": [{"recipe_id": 1, "version_id": 2}],
            "pins": {"1": "2031-03-09T10:00"},
        },
        "goes_in": {"position": 0, "step": "Bake at 170 C for 40 minutes."},
        "weigh": {"position": 0, "step": 1, "grams": 120.0},
        "choose": {"kind": "keep"},
        "start_timer": {"name": "Bake", "seconds": 60, "step": 1, "client_key": "t"},
        "work": {"given": {"grams": "200", "water": "100", "temperature": "180"}},
        "use_in_a_recipe": {
            "given": {"grams": "200", "water": "100", "old": "20 cm round", "new": "23 cm square", "weighed": "90"},
            "recipe_id": 1,
            "version_id": 1,
            "position": 0,
            "component": "loaf",
            "grams": 50.0,
            "client_key": "u",
        },
        "change_settings": {"daily_limit_g": 30.0, "diets": ["vegan"], "cupboard": ["honey"], "prices": {"honey": 12.5, "butter": None}},
        "read_label": LABEL,
        "keep_product": LABEL | {"client_key": "p"},
        "import_file": {"name": "x.txt", "content": "Cake\n100 g sugar", "client_key": "i"},
        "restore": {"content": "{}"},
        "undo_restore": {"kept_as": "before-restore-20260309T101010.json"},
    }  # fmt: skip


QUERIES = {
    "q": ("", "fig", "%", "²", "\ud800", "x" * 400),
    "start": ("", "0", "1", "-1", "²", "9" * 30, "1e3"),
    "count": ("", "1", "0", "501", "²"),
    "since": ("", DAY, "0001-01-01", "9999-12-31", "²"),
    "until": ("", DAY, "0001-01-01", "9999-12-31", "2026-02-30"),
    "definition": ("", "free_sugars_uk_g", "love", "\ud800", "x" * 400),
    "who": ("", "Bo", "²", "\ud800", "x" * 400),
    "by": ("", "month", "recipe", "time", "person", "week", "century"),
    "recipe_id": ("", "1", "9", "-1", "²", "9" * 30),
    "sugar": ("", "100", "nan", "inf", "-1", "1e309", "²"),
    "batter": ("", "850", "nan", "0", "x"),
    "cup": ("", "us", "mug"),
    "first": ("1", "2", "²", "0", "9" * 25),
    "second": ("1", "2", "-1", ""),
    "format": ("", "json", "html", "csv", "jsonld", "pdf", "../x"),
    "version": ("", "1", "2", "²", "9" * 25, "-1"),
}


def attack_endpoints(kitchen: Attacked, requests: int) -> None:
    """Send *requests* requests that are nearly right, to every endpoint in turn."""
    good, random, done = bodies(), kitchen.random, kitchen.requests + requests
    while kitchen.requests < done:
        for e in ENDPOINTS:
            number = random.choice((1, 1, 1, 1, 2, 9, 0, 2**63 - 1, 2**63, 10**30))
            key = random.choice(
                ("honey", "own_1", "paste", "mash", "tin", "oven", "candy", "own_²", "own_" + "9" * 20, "%", "x" * 300)
            )
            path = e.path.format_map(defaultdict(repeat(number).__next__, key=key))
            if e.query:
                path += "?" + "&".join(
                    f"{name}={quote(random.choice(QUERIES[name]), errors='surrogatepass')}" for name in e.query
                )
            body = None
            if e.body:
                content = kitchen.backup if e.name == "restore" and random.random() < 0.5 else None
                base = {"content": content} if content else good[e.name]
                body = text_of(base if random.random() < 0.1 else mutated(base, random))
                if random.random() < 0.05:
                    body = damaged(body, random)
            kitchen.send(e.method, path, body)
        kitchen.send(
            "get",
            random.choice(("/x." + "y" * 300, "/api/²", "/..%2f..%2fetc/passwd", "/a%00.b", "/assets/..%2findex.html")),
        )
        if random.random() < 0.02:
            kitchen.look()
            kitchen.anew()


def files(kitchen: Attacked) -> Iterator[tuple[str, str]]:
    """Give damaged files of every format without end: a name and a content."""
    random, own, backup = kitchen.random, json.loads(kitchen.own), json.loads(kitchen.backup)
    ld = json.loads(PAGE.split('ld+json">')[1].split("</script>")[0])
    while True:
        match random.randrange(10):
            case 0 | 1 | 2 | 3 | 4:
                yield "own.json", text_of(mutated(own, random))
            case 5:
                yield "own.json", damaged(kitchen.own, random)
            case 6:
                yield "page.html", damaged(PAGE, random)
            case 7:
                yield "recipe.jsonld", text_of(mutated(ld, random))
            case 8:
                yield "table.csv", damaged(TABLE, random)
            case _:
                changed = mutated(backup, random)
                if isinstance(changed, dict) and isinstance(changed.get("household"), dict) and random.random() < 0.8:
                    changed["sha256"] = digest(changed["household"])
                yield "backup.json", text_of(changed)


def attack_with_files(kitchen: Attacked, count: int) -> int:
    """Bring in *count* damaged files and look at every screen after one that was taken; return how many were."""
    taken = 0
    for number, (name, content) in enumerate(files(kitchen)):
        if number == count:
            return taken
        if name == "backup.json":
            answer = kitchen.send("post", "/api/restore", json.dumps({"content": content}))
            recipe_id = None
        else:
            before = kitchen.get_json("/api/recipes?count=1").get("total")
            answer = kitchen.send("post", "/api/import", json.dumps({"name": name, "content": content}))
            recipe_id = answer.get_json().get("recipe_id") if answer.status_code == 200 else None
            after = kitchen.get_json("/api/recipes?count=1").get("total")
            if after - before != (recipe_id is not None):
                kitchen.faults.append(f"{name}: {after - before} kept by an answer of {answer.status_code}: {content}")
        if answer.status_code == 200:
            taken += 1
            kitchen.look(recipe_id)
            if recipe_id is None and name != "backup.json":
                kitchen.send("post", "/api/read", json.dumps({"text": answer.get_json()["text"]}))
        if number % 100 == 99:
            kitchen.get_json("/api/backup")
            kitchen.anew()
    return taken
