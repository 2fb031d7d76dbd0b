"""one place for the keys of retries; a version's figures with it"""

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
    ("ix_servings_bake_id", "servings", "bake_id"),
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
    for name, table, columns in INDEXES:
        op.execute(f"CREATE INDEX IF NOT EXISTS {name} ON {table} ({columns})")
    for name, (when, what) in TRIGGERS.items():
        op.execute(f"CREATE TRIGGER {name} {when} BEGIN {what}; END")


def downgrade() -> None:
    for name in TRIGGERS:
        op.execute(f"DROP TRIGGER {name}")
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
