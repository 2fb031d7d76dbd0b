"""what was done at a bake, tastings, photos; people, slips, tapers; portions by every definition of sugar"""

from typing import Any

import sqlalchemy as sa
from alembic import op

from sun_crumb.store.migrations.leftovers import has_column

revision = "0009"
down_revision = "0008"
branch_labels = None
depends_on = None

TEXT: dict[str, Any] = {"nullable": False, "server_default": ""}
COLUMNS: dict[str, tuple[tuple[str, Any, dict[str, Any]], ...]] = {
    "versions": (("parent", sa.Integer(), {}), ("changed", sa.String(), TEXT)),
    "bakes": (
        ("tin", sa.String(), TEXT),
        ("oven_c", sa.Double(), {}),
        ("minutes", sa.Double(), {}),
        ("swapped", sa.String(), TEXT),
        ("feel", sa.String(), TEXT),
        ("notes", sa.String(), TEXT),
        ("leftovers", sa.Double(), {}),
        ("cost", sa.Double(), {}),
        ("deleted_at", sa.DateTime(), {}),
    ),
    "bake_portions": tuple(
        (name, sa.Double(), {})
        for name in (
            "refined_sugar_g",
            "added_sugars_us_g",
            "free_sugars_uk_g",
            "saved_refined_sugar_g",
            "saved_added_sugars_us_g",
            "saved_free_sugars_uk_g",
            "original_g",
        )
    ),
    "servings": (("eaten_at", sa.Integer(), {}),),
}


def _number() -> sa.Column[Any]:
    return sa.Column("id", sa.Integer(), primary_key=True)


def _of(table: str, name: str) -> sa.Column[Any]:
    return sa.Column(name, sa.Integer(), sa.ForeignKey(f"{table}.id", ondelete="CASCADE"), nullable=False)


def _text(name: str) -> sa.Column[Any]:
    return sa.Column(name, sa.String(), nullable=False, server_default="")


def _figures(*names: str) -> list[sa.Column[Any]]:
    return [sa.Column(name, sa.Double(), nullable=False) for name in names]


def _times(*others: str) -> list[sa.Column[Any]]:
    return [
        sa.Column("created_at", sa.DateTime(), nullable=False),
        *(sa.Column(name, sa.DateTime(), nullable=True) for name in others),
    ]


def _tables() -> dict[str, list[sa.Column[Any] | sa.CheckConstraint]]:
    return {
        "slips": [
            _number(), sa.Column("eaten_on", sa.Date(), nullable=False), sa.Column("eaten_at", sa.Integer()), _text("who"),
            sa.Column("name", sa.String(), nullable=False), _text("ingredient"),
            *_figures("grams", "energy_kcal", "total_sugars_g", "refined_sugar_g", "added_sugars_us_g", "free_sugars_who_g", "free_sugars_uk_g"),
            *_times("deleted_at"), sa.CheckConstraint("grams > 0"),
        ],
        "people": [
            _number(), sa.Column("name", sa.String(), nullable=False), sa.Column("age", sa.String(), nullable=False),
            sa.Column("authority", sa.String(), nullable=False), sa.Column("energy_kcal", sa.Double()), sa.Column("own_limit_g", sa.Double()),
            sa.Column("diets", sa.JSON(), nullable=False), sa.Column("eaters", sa.JSON(), nullable=False),
            sa.Column("is_at_table", sa.Boolean(), nullable=False), *_times("deleted_at"),
        ],
        "tastings": [
            _number(), _of("bakes", "bake_id"), sa.Column("tasted_on", sa.Date(), nullable=False), _text("who"), _text("state"),
            sa.Column("is_blind", sa.Boolean(), nullable=False), sa.Column("scores", sa.JSON(), nullable=False), _text("words"),
            *_times("deleted_at"),
        ],
        "photos": [
            _number(), _of("bakes", "bake_id"), sa.Column("jpeg", sa.LargeBinary(), nullable=False),
            sa.Column("width", sa.Integer(), nullable=False), sa.Column("height", sa.Integer(), nullable=False), *_times("deleted_at"),
        ],
        "trials": [
            _number(), _of("bakes", "bake_id"), _of("bakes", "other_id"), sa.Column("test", sa.String(), nullable=False),
            sa.Column("tries", sa.Integer(), nullable=False), sa.Column("right", sa.Integer(), nullable=False),
            sa.Column("tried_on", sa.Date(), nullable=False), *_times(),
        ],
        "learned": [
            sa.Column("key", sa.String(), primary_key=True), *_figures("mean", "sd"),
            sa.Column("answers", sa.Integer(), nullable=False),
        ],
        "tapers": [
            _number(), _of("recipes", "recipe_id"), *_figures("target"), sa.Column("path", sa.String(), nullable=False),
            *_times("ended_at"),
        ],
        "challenges": [
            _number(), sa.Column("name", sa.String(), nullable=False), _text("who"), sa.Column("since", sa.Date(), nullable=False),
            sa.Column("until", sa.Date(), nullable=False), *_times("deleted_at"),
        ],
    }  # fmt: skip


# The sums of a diary read this index alone.
DIARY = "deleted_at, eaten_on, portion_id, count, who, eaten_at"
INDEXES = (
    ("ix_slips_day", "slips", ["eaten_on", "deleted_at"]),
    ("ix_tastings_bake_id", "tastings", ["bake_id"]),
    ("ix_photos_bake_id", "photos", ["bake_id"]),
    ("ix_trials_bake_id", "trials", ["bake_id"]),
    ("ix_trials_other_id", "trials", ["other_id"]),
    ("ix_tapers_recipe_id", "tapers", ["recipe_id"]),
)


def upgrade() -> None:
    bind = op.get_bind()
    for table, columns in COLUMNS.items():
        for name, kind, options in columns:
            if not has_column(bind, table, name):
                op.add_column(table, sa.Column(name, kind, **({"nullable": True} | options)))
    for made, parts in _tables().items():
        if not sa.inspect(bind).has_table(made):
            op.create_table(made, *parts)
    for index, table, over in INDEXES:
        op.execute(f"CREATE INDEX IF NOT EXISTS {index} ON {table} ({', '.join(over)})")

    op.execute("DROP INDEX IF EXISTS ix_servings_day")
    op.execute(f"CREATE INDEX IF NOT EXISTS ix_servings_diary ON servings ({DIARY})")


def downgrade() -> None:
    op.execute("DROP INDEX IF EXISTS ix_servings_diary")
    op.execute("CREATE INDEX IF NOT EXISTS ix_servings_day ON servings (eaten_on, deleted_at)")
    for name in reversed(list(_tables())):
        op.drop_table(name)
    # Not in a batch, which would make the tables anew and lose their triggers.
    for table, columns in COLUMNS.items():
        for name, _, _ in columns:
            op.drop_column(table, name)
