"""timers that ring again and again, to stir"""

import sqlalchemy as sa
from alembic import op

from sun_crumb.store.migrations.leftovers import has_column

revision = "0011"
down_revision = "0010"
branch_labels = None
depends_on = None


def upgrade() -> None:
    if not has_column(op.get_bind(), "timers", "repeats"):
        op.add_column("timers", sa.Column("repeats", sa.Boolean(), nullable=False, server_default="0"))


def downgrade() -> None:
    op.drop_column("timers", "repeats")
