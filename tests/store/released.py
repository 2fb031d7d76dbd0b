"""Databases as earlier releases left them, with rows in every table."""

from __future__ import annotations

import sqlite3
from pathlib import Path

from alembic import command

from sun_crumb.store.migrating import config_of

REVISIONS = ("0001", "0002", "0003", "0004")
# Rows as the first schema held them.
FIRST = """
INSERT INTO recipes (id, title, source_text, cup, revision, created_at) VALUES (1, 'Fig cake', 'Fig cake', 'us', 3, '2026-01-02 08:00:00');
INSERT INTO versions (id, recipe_id, number, label, servings, unit, status, created_at)
  VALUES (1, 1, 1, 'Original', 8, 'slice', '', '2026-01-02 08:00:00'), (2, 1, 2, 'Half', 8, 'slice', 'balanced', '2026-01-03 08:00:00');
INSERT INTO lines (version_id, position, component, ingredient, grams, text, is_crushed, reason)
  VALUES (1, 0, '', 'white_sugar', 200, '1 cup sugar', 0, ''), (1, 1, '', 'plain_flour', 200, '', 0, ''),
         (2, 0, '', 'white_sugar', 100, '1 cup sugar', 0, 'cut'), (2, 1, '', 'plain_flour', 200, '', 0, '');
INSERT INTO bakes (id, version_id, baked_on, servings, portion_g, energy_kcal, total_sugars_g, free_sugars_who_g, saved_energy_kcal,
                   saved_total_sugars_g, saved_free_sugars_who_g, created_at)
  VALUES (1, 2, '2026-01-04', 8, 37.5, 140, 12.5, 12.5, 5, 6.3, 6.2, '2026-01-04 08:00:00');
INSERT INTO servings (id, bake_id, eaten_on, count, who, created_at) VALUES (1, 1, '2026-01-05', 2, 'Ada', '2026-01-05 08:00:00');
INSERT INTO settings (key, value) VALUES ('daily_limit_g', '30.0');
"""

SECOND = """
UPDATE versions SET portions = '[{"name": "plain", "count": 8, "components": [""]}]', goals =
  '{"path": "less", "cut": 0.5, "keep_sweet": 0.6, "definition": "free_sugars_who_g", "diets": [], "cupboard": null, "families": {}, "locks": {}}'
  WHERE id = 2;
INSERT INTO bakes (id, version_id, baked_on, kind, servings, portion_g, energy_kcal, total_sugars_g, free_sugars_who_g, saved_energy_kcal,
                   saved_total_sugars_g, saved_free_sugars_who_g, created_at)
  VALUES (2, 2, '2026-02-04', 'plain', 5, 30, 100, 8, 8, 4, 2, 2, '2026-02-04 08:00:00'),
         (3, 2, '2026-02-04', 'frosted', 3, 45, 180, 20, 20, 4, 2, 2, '2026-02-04 08:00:00'),
         (4, 2, '2026-02-04', 'plain', 8, 30, 100, 8, 8, 4, 2, 2, '2026-02-04 09:00:00');
INSERT INTO servings (id, bake_id, eaten_on, count, who, created_at) VALUES (2, 3, '2026-02-05', 1, 'Bo', '2026-02-05 08:00:00');
INSERT INTO products (id, label, "like", created_at) VALUES (1, '{"name": "Fig spread"}', 'jam', '2026-02-01 08:00:00');
"""


def database_at(path: Path, revision: str) -> Path:
    """Make a database as the release of *revision* left it, with rows in every table."""
    command.upgrade(config_of(path), "0001")
    with sqlite3.connect(path) as connection:
        connection.executescript(FIRST)
        connection.execute("UPDATE servings SET client_key = 'slice'")
        connection.execute("UPDATE bakes SET client_key = 'bake/0'")
        connection.execute("PRAGMA journal_mode=WAL")
    if revision > "0001":
        command.upgrade(config_of(path), "0002")
        with sqlite3.connect(path) as connection:
            connection.executescript(SECOND)
    command.upgrade(config_of(path), revision)
    return path
