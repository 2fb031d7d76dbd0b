"""timers at the worktop, kept by when they end"""

import sqlalchemy as sa
from alembic import op

revision = "0006"
down_revision = "0005"
branch_labels = None
depends_on = None


def upgrade() -> None:
    if sa.inspect(op.get_bind()).has_table("timers"):
        return
    op.create_table(
        "timers",
        sa.Column("id", sa.Integer(), primary_key=True),
        sa.Column("recipe_id", sa.Integer(), sa.ForeignKey("recipes.id", ondelete="SET NULL"), nullable=True),
        sa.Column("version_id", sa.Integer(), sa.ForeignKey("versions.id", ondelete="SET NULL"), nullable=True),
        sa.Column("step", sa.Integer(), nullable=True),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("seconds", sa.Integer(), nullable=False),
        sa.Column("ends_at", sa.DateTime(), nullable=False),
        sa.Column("created_at", sa.DateTime(), nullable=False),
        sa.Column("stopped_at", sa.DateTime(), nullable=True),
        sa.CheckConstraint("seconds > 0"),
    )
    op.create_index("ix_timers_ends_at", "timers", ["ends_at"])


def downgrade() -> None:
    op.drop_table("timers")
