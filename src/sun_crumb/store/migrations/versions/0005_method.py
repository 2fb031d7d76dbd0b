"""the method as data; the text is read once, when the application starts on what an earlier release kept"""

import sqlalchemy as sa
from alembic import op

from sun_crumb.store.migrations.leftovers import has_column

revision = "0005"
down_revision = "0004"
branch_labels = None
depends_on = None


def upgrade() -> None:
    if has_column(op.get_bind(), "recipes", "method"):
        return
    op.add_column("recipes", sa.Column("method", sa.JSON(), nullable=True))


def downgrade() -> None:
    # Not in a batch, which would make the table anew and lose its triggers.
    op.drop_column("recipes", "method")
