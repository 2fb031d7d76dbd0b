"""the baker's own words for steps of a version's method"""

import sqlalchemy as sa
from alembic import op

from sun_crumb.store.migrations.leftovers import has_column

revision = "0007"
down_revision = "0006"
branch_labels = None
depends_on = None


def upgrade() -> None:
    if has_column(op.get_bind(), "versions", "own_words"):
        return
    op.add_column("versions", sa.Column("own_words", sa.JSON(), nullable=True))


def downgrade() -> None:
    # Not in a batch, which would make the table anew and lose its triggers.
    op.drop_column("versions", "own_words")
