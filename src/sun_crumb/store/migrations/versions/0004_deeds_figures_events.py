"""one place for the keys of retries; a version's figures with it; a bake is an event with portions"""

import sqlalchemy as sa
from alembic import op

revision = "0004"
down_revision = "0003"
branch_labels = None
depends_on = None

KEYED = {"recipes": "recipe", "versions": "version", "servings": "serving"}
# An earlier release stopped between replacing a table and indexing it left these out.
INDEXES = (
    ("ix_versions_recipe_id", "versions", "recipe_id"),
    ("ix_lines_version_id", "lines", "version_id"),
    ("ix_bakes_version_id", "bakes", "version_id"),
    ("ix_bakes_baked_on", "bakes", "baked_on"),
    ("ix_bake_portions_bake_id", "bake_portions", "bake_id"),
    ("ix_servings_portion_id", "servings", "portion_id"),
    ("ix_servings_day", "servings", "eaten_on, deleted_at"),
)
# Whoever changes what a version's figures are computed from, this program or another, takes their stamp away.
FORGET = "UPDATE versions SET figures_stamp = NULL WHERE figures_stamp IS NOT NULL AND id ="
TRIGGERS = {
    "figures_of_version": (
        "AFTER UPDATE OF number, servings, unit, status, goals, portions, own_yields ON versions",
        f"{FORGET} NEW.id",
    ),
    "figures_of_recipe": (
        "AFTER UPDATE OF cup ON recipes",
        "UPDATE versions SET figures_stamp = NULL WHERE recipe_id = NEW.id",
    ),
    "figures_of_product": ('AFTER UPDATE OF label, "like" ON products', "UPDATE versions SET figures_stamp = NULL"),
    "figures_of_new_line": ("AFTER INSERT ON lines", f"{FORGET} NEW.version_id"),
    "figures_of_line": ("AFTER UPDATE ON lines", f"{FORGET} NEW.version_id"),
    "figures_of_old_line": ("AFTER DELETE ON lines", f"{FORGET} OLD.version_id"),
}


def _checks(table: str) -> tuple[sa.CheckConstraint, ...]:
    """Return a table's checks, which have no name: they would be left out of the table made anew."""
    return (sa.CheckConstraint("count > 0"),) if table == "servings" else ()


def upgrade() -> None:
    op.create_table(
        "deeds",
        sa.Column("key", sa.String(), nullable=False),
        sa.Column("what", sa.String(), nullable=False),
        sa.Column("content", sa.String(), nullable=True),
        sa.Column("made", sa.JSON(), nullable=False),
        sa.Column("created_at", sa.DateTime(), nullable=False),
        sa.PrimaryKeyConstraint("key"),
    )
    for table, what in KEYED.items():
        op.execute(
            f"INSERT OR IGNORE INTO deeds (key, what, made, created_at) "
            f"SELECT client_key, '{what}', json_array(id), created_at FROM {table} WHERE client_key IS NOT NULL"
        )
    # The kinds of portion of one bake had its key with a number behind it.
    op.execute(
        "INSERT OR IGNORE INTO deeds (key, what, made, created_at) "
        "SELECT rtrim(rtrim(client_key, '0123456789'), '/'), 'bake', json_group_array(id), min(created_at) FROM "
        "(SELECT * FROM bakes WHERE client_key IS NOT NULL ORDER BY id) GROUP BY 1"
    )
    with op.batch_alter_table("versions") as batch:
        batch.drop_column("client_key")
        batch.add_column(sa.Column("figures", sa.JSON(), nullable=True))
        batch.add_column(sa.Column("figures_stamp", sa.String(), nullable=True))
    for table in ("recipes", "bakes", "servings"):
        with op.batch_alter_table(table, table_args=_checks(table)) as batch:
            batch.drop_column("client_key")
    _bakes_become_events()
    for name, table, columns in INDEXES:
        op.execute(f"CREATE INDEX IF NOT EXISTS {name} ON {table} ({columns})")
    for name, (when, what) in TRIGGERS.items():
        op.execute(f"CREATE TRIGGER {name} {when} BEGIN {what}; END")


def _bakes_become_events() -> None:
    """What was one row for each kind of portion becomes a bake and its portions; portions keep their numbers.

    Rows of one version, day and moment are one bake, unless two of them are of the same kind.
    """
    for name in ("ix_bakes_version_id", "ix_bakes_baked_on", "ix_servings_bake_id"):
        op.execute(f"DROP INDEX IF EXISTS {name}")
    op.rename_table("bakes", "bake_portions")
    op.create_table(
        "bakes",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("version_id", sa.Integer(), nullable=False),
        sa.Column("baked_on", sa.Date(), nullable=False),
        sa.Column("created_at", sa.DateTime(), nullable=False),
        sa.ForeignKeyConstraint(["version_id"], ["versions.id"], ondelete="CASCADE"),
        sa.PrimaryKeyConstraint("id"),
    )
    op.execute(
        "CREATE TEMP TABLE events AS SELECT id AS portion, min(id) OVER "
        "(PARTITION BY version_id, baked_on, created_at, twin) AS bake, version_id, baked_on, created_at FROM "
        "(SELECT *, row_number() OVER (PARTITION BY version_id, baked_on, created_at, kind ORDER BY id) AS twin FROM bake_portions)"
    )
    op.execute(
        "INSERT INTO bakes (id, version_id, baked_on, created_at) "
        "SELECT bake, version_id, baked_on, created_at FROM events WHERE bake = portion"
    )
    with op.batch_alter_table("bake_portions") as batch:
        batch.add_column(sa.Column("bake_id", sa.Integer(), nullable=True))
    op.execute("UPDATE bake_portions SET bake_id = (SELECT bake FROM events WHERE portion = bake_portions.id)")
    op.execute("DROP TABLE temp.events")
    with op.batch_alter_table("bake_portions") as batch:
        for column in ("version_id", "baked_on", "created_at"):
            batch.drop_column(column)
        batch.alter_column("bake_id", nullable=False)
        batch.create_foreign_key("fk_bake_portions_bake_id", "bakes", ["bake_id"], ["id"], ondelete="CASCADE")
    with op.batch_alter_table("servings", table_args=_checks("servings")) as batch:
        batch.alter_column("bake_id", new_column_name="portion_id")


def _bakes_become_rows() -> None:
    for name in ("ix_bakes_version_id", "ix_bakes_baked_on", "ix_bake_portions_bake_id", "ix_servings_portion_id"):
        op.execute(f"DROP INDEX IF EXISTS {name}")
    with op.batch_alter_table("servings", table_args=_checks("servings")) as batch:
        batch.alter_column("portion_id", new_column_name="bake_id")
    with op.batch_alter_table("bake_portions") as batch:
        batch.add_column(sa.Column("version_id", sa.Integer(), nullable=True))
        batch.add_column(sa.Column("baked_on", sa.Date(), nullable=True))
        batch.add_column(sa.Column("created_at", sa.DateTime(), nullable=True))
    for column in ("version_id", "baked_on", "created_at"):
        op.execute(
            f"UPDATE bake_portions SET {column} = (SELECT {column} FROM bakes WHERE bakes.id = bake_portions.bake_id)"
        )
    with op.batch_alter_table("bake_portions") as batch:
        batch.drop_constraint("fk_bake_portions_bake_id", type_="foreignkey")
        batch.drop_column("bake_id")
        for column in ("version_id", "baked_on", "created_at"):
            batch.alter_column(column, nullable=False)
        batch.create_foreign_key("fk_bakes_version_id", "versions", ["version_id"], ["id"], ondelete="CASCADE")
    op.drop_table("bakes")
    op.rename_table("bake_portions", "bakes")
    op.create_index("ix_bakes_version_id", "bakes", ["version_id"])
    op.create_index("ix_bakes_baked_on", "bakes", ["baked_on"])
    op.create_index("ix_servings_bake_id", "servings", ["bake_id"])


def downgrade() -> None:
    for name in TRIGGERS:
        op.execute(f"DROP TRIGGER {name}")
    _bakes_become_rows()
    for table in ("recipes", "bakes", "servings"):
        with op.batch_alter_table(table, table_args=_checks(table)) as batch:
            batch.add_column(sa.Column("client_key", sa.String(), nullable=True))
            batch.create_unique_constraint(f"uq_{table}_client_key", ["client_key"])
    with op.batch_alter_table("versions") as batch:
        batch.drop_column("figures")
        batch.drop_column("figures_stamp")
        batch.add_column(sa.Column("client_key", sa.String(), nullable=True))
        batch.create_unique_constraint("uq_versions_client_key", ["client_key"])
    for table, what in KEYED.items():
        op.execute(
            f"UPDATE {table} SET client_key = (SELECT key FROM deeds WHERE what = '{what}' "
            f"AND json_extract(made, '$[0]') = {table}.id)"
        )
    op.execute(
        "UPDATE bakes SET client_key = (SELECT deeds.key || '/' || each.key FROM deeds, json_each(deeds.made) AS each "
        "WHERE deeds.what = 'bake' AND each.value = bakes.id)"
    )
    op.drop_table("deeds")
