"""a version kept as a pattern that other desserts can follow"""

import sqlalchemy as sa
from alembic import op

from sun_crumb.store.migrations.leftovers import has_column

revision = "0010"
down_revision = "0009"
branch_labels = None
depends_on = None


def upgrade() -> None:
    if not has_column(op.get_bind(), "versions", "is_pattern"):
        op.add_column("versions", sa.Column("is_pattern", sa.Boolean(), nullable=False, server_default="0"))


def downgrade() -> None:
    # Not in a batch, which would make the table anew and lose its triggers.
    op.drop_column("versions", "is_pattern")
