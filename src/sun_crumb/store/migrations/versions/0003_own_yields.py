"""how many portions a component is enough for"""

import sqlalchemy as sa
from alembic import op

from sun_crumb.store.migrations.leftovers import has_column

revision = "0003"
down_revision = "0002"
branch_labels = None
depends_on = None


def upgrade() -> None:
    if has_column(op.get_bind(), "versions", "own_yields"):
        return
    with op.batch_alter_table("versions") as batch:
        batch.add_column(sa.Column("own_yields", sa.JSON(), nullable=True))


def downgrade() -> None:
    with op.batch_alter_table("versions") as batch:
        batch.drop_column("own_yields")
