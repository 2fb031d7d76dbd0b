"""what is in the bowl of a bake under way, and the true weights of a bake"""

import sqlalchemy as sa
from alembic import op

from sun_crumb.store.migrations.leftovers import has_column

revision = "0008"
down_revision = "0007"
branch_labels = None
depends_on = None


def upgrade() -> None:
    if not sa.inspect(op.get_bind()).has_table("weigh_ins"):
        op.create_table(
            "weigh_ins",
            sa.Column("id", sa.Integer(), primary_key=True),
            sa.Column("version_id", sa.Integer(), sa.ForeignKey("versions.id", ondelete="CASCADE"), nullable=False),
            sa.Column("weighed", sa.JSON(), nullable=False),
            sa.Column("targets", sa.JSON(), nullable=False),
            sa.Column("asked", sa.String(), nullable=False, server_default=""),
            sa.Column("begun_at", sa.DateTime(), nullable=False),
            sa.Column("ended_at", sa.DateTime(), nullable=True),
        )
        op.create_index("ix_weigh_ins_version_id", "weigh_ins", ["version_id"])
    if not has_column(op.get_bind(), "bakes", "weights"):
        op.add_column("bakes", sa.Column("weights", sa.JSON(), nullable=True))


def downgrade() -> None:
    # Not in a batch, which would make the table anew and lose its triggers.
    op.drop_column("bakes", "weights")
    op.drop_table("weigh_ins")
