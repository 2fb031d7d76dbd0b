"""Every operation of the OpenAPI document answers, and errs, as the document says."""

from __future__ import annotations

import json
from typing import Any

from sun_crumb.api.contract import ENDPOINTS, openapi
from tests.api.test_tastings import jpeg
from tests.support import WithApplication

DAY = "2026-03-09"


def _key(path: str) -> str:
    return (
        "own_1"
        if "products" in path
        else "mash"
        if path.endswith("/use")
        else "oven"
        if "workshop" in path
        else "honey"
    )


def _first_step(case: WithApplication) -> str:
    return str(case.get("/api/recipes/1/versions/1/bake-day")["method"]["steps"][0]["key"])


class Bench:
    """A scale that can be tared and says nothing."""

    state, count = "live", 1

    def latest(self) -> None:
        return None

    def tare(self) -> bool:
        return True

    def wait(self, count: int, seconds: float) -> bool:
        return False

    def close(self) -> None:
        return None


def _first_weighed(case: WithApplication) -> dict[str, Any]:
    """Weigh something far off, so that there is a question; return what was weighed."""
    line = case.get("/api/recipes/1/versions/1/weigh-in")["lines"][0]
    at = {"position": line["position"], "step": line["step"]}
    case.post("/api/recipes/1/versions/1/weigh-in", at | {"grams": 1.5 * line["target_g"]})
    return at


# What must be done before others can be.
FIRST = (
    "choose",
    "weigh",
    "change_recipe",
    "remove_serving",
    "remove_bake",
    "restore_bake",
    "restore_serving",
    "bake",
    "add_person",
    "add_slip",
    "add_challenge",
    "add_photo",
    "taste",
    "accept_trial",
    "begin_taper",
    "next_step",
)


def _turn(name: str) -> int:
    return FIRST.index(name) if name in FIRST else len(FIRST)


class _Ones(dict[str, Any]):
    """The number 1 for every number of a path."""

    def __missing__(self, key: str) -> int:
        return 1


class Contract(WithApplication):
    def setUp(self) -> None:
        super().setUp()
        self.app.extensions["devices"].scale = Bench()

    def examples(self) -> dict[str, Any]:
        """Return one good body for each operation that takes one."""
        recipe = self.keep_cake()
        bake = self.post("/api/bakes", {"version_id": recipe["versions"][0]["id"], "baked_on": DAY})["bakes"][0]
        self.post("/api/servings", {"bake_id": bake["id"], "eaten_on": DAY, "count": 1})
        self.post("/api/products", {"name": "Mine", "like": "honey"})
        self.post("/api/timers", {"name": "Bake", "seconds": 60})
        line = {"ingredient": "white_sugar", "grams": 100}
        flour = {"ingredient": "plain_flour", "grams": 100}
        return {
            "read": {"text": "Cake\n100 g sugar"},
            "analyse": {"lines": [line], "servings": 4},
            "check": {"lines": [line, flour], "servings": 4, "title": "Sponge"},
            "check_recipe": {"families": {"": "butter_cake"}},
            "keep_recipe": {"title": "x", "servings": 4, "lines": [line, flour]},
            "change_recipe": {"revision": recipe["revision"], "title": "y"},
            "rework_recipe": {"path": "less"},
            "compare_paths": {"cut": 0.4},
            "compare_cuts": {"path": "less"},
            "nudge": {"path": "blend"},
            "relax": {"path": "fruit", "cut": 0.9},
            "preview_recipe": {"path": "fruit", "support": [{"ingredient": "date_paste", "grams": 50}]},
            "keep_version": {"path": "less"},
            "bake": {"version_id": recipe["versions"][0]["id"], "baked_on": DAY},
            "eat": {"bake_id": bake["id"], "eaten_on": DAY, "count": 1},
            "change_settings": {"daily_limit_g": 30},
            "read_label": {"name": "Mine", "like": "honey"},
            "keep_product": {"name": "Mine", "like": "honey"},
            "choose": {"kind": "keep"},
            "goes_in": {"position": 0, "step": _first_step(self)},
            "say_step": {"key": _first_step(self), "text": "As I do it."},
            "plan_day": {"serve": "2031-03-09T16:00"},
            "start_timer": {"name": "Bake", "seconds": 60},
            "work": {"given": {"temperature": "180"}},
            "use_in_a_recipe": {
                "given": {"weighed": "200"},
                "recipe_id": recipe["id"],
                "version_id": recipe["versions"][0]["id"],
            },
            "compare": {"first": {"recipe_id": 1}, "second": {"food": "honey"}},
            "other_ways": {"path": "blend", "cut": 0.5},
            "keep_pattern": {"is_pattern": True},
            "afternoon": {"most_g": 10, "desserts": [{"recipe_id": 1}]},
            "change_bake": {"notes": "fine"},
            "add_photo": {"content": jpeg()},
            "taste": {"bake_id": 1, "tasted_on": DAY, "scores": {"cooling": 2, "sweetness": 1}},
            "accept_trial": {"cause": "more_sweet"},
            "note_test": {"bake_id": 1, "other_id": 2, "test": "pair", "tries": 3, "right": 2, "tried_on": DAY},
            "begin_taper": {"target": 0.5},
            "next_step": {},
            "add_person": {"name": "Ada"},
            "change_person": {"age": "adult"},
            "add_slip": {"name": "jam", "eaten_on": DAY, "grams": 20, "sugars_g": 10},
            "bring_diary": {"content": "day,what,grams\n2026-03-09,jam,20\n"},
            "add_challenge": {"name": "quiet", "since": DAY, "until": DAY},
            "import_file": {"name": "x.txt", "content": "Cake\n100 g sugar"},
        }

    def test_every_operation_answers_with_its_schema(self) -> None:
        bodies = self.examples()
        schemas = openapi()["components"]["schemas"]
        backup = self.get("/api/backup")["content"]
        bodies["restore"] = {"content": backup}
        bodies["undo_restore"] = {"kept_as": self.post("/api/restore", bodies["restore"])["kept_as"]}
        bodies["weigh"] = {**_first_weighed(self), "grams": 300.0}
        last = (
            "remove_serving",
            "delete_recipe",
            "restore_recipe",
            "restore_serving",
            "remove_product",
            "restore_product",
            "remove_bake",
            "restore_bake",
        )
        for e in sorted(
            ENDPOINTS,
            key=lambda e: (
                _turn(e.name),
                e.name in last,
                "restore" in e.name,
                e.name in ("restore", "undo_restore"),
                e.name,
            ),
        ):
            path = e.path.format_map(_Ones(key=_key(e.path)))
            path += {"difference": "?first=1&second=1"}.get(e.name, "")
            response = (
                getattr(self.client, e.method)(path, json=bodies.get(e.name))
                if e.body
                else getattr(self.client, e.method)(path)
            )
            with self.subTest(e.name):
                self.assertEqual(response.status_code, 200, response.get_data(as_text=True)[:300])
                found = response.get_json()
                required = set(schemas[e.returns.__name__].get("required", ()))
                self.assertLessEqual(required, set(found))
                e.returns.model_validate(json.loads(json.dumps(found)))

    def test_every_operation_with_a_body_refuses_what_it_does_not_know(self) -> None:
        for e in ENDPOINTS:
            if e.body:
                path = e.path.format_map(_Ones(key="honey"))
                response = getattr(self.client, e.method)(path, json={"surprise": 1})
                with self.subTest(e.name):
                    self.assertEqual(response.status_code, 422)
                    self.assertEqual(set(response.get_json()["error"]), {"code", "message", "field", "details"})

    def test_what_is_not_there_is_a_clear_404(self) -> None:
        for method, path in (
            ("get", "/api/recipes/9"), ("delete", "/api/recipes/9"), ("post", "/api/recipes/9/restore"), ("delete", "/api/servings/9"),
            ("post", "/api/servings/9/restore"), ("delete", "/api/products/own_9"), ("get", "/api/recipes/9/export"),
        ):  # fmt: skip
            response = getattr(self.client, method)(path)
            with self.subTest(path):
                self.assertEqual((response.status_code, response.get_json()["error"]["code"]), (404, "not_found"))
        self.assertEqual(self.get("/api/pantry/moon_dust", 422)["error"]["code"], "unknown_ingredient")
